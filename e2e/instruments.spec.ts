import { type ChildProcess, spawn } from "node:child_process";
import { demoWith, done } from "./begun";
import { TestServer } from "./server";
import { Technician } from "./technician";
import { expect, type Page, test } from "./test";

/** Instruments: a trace into a standing test with its gateway cut, one touch into the field, each way to break one. */
const server = new TestServer(
  "demo",
  false,
  demoWith(
    done("NQ-H02"),
    { tag: "NQ-H07", until: (step) => step.kind === "gauge" },
    { tag: "GL-P1", until: (step) => step.kind === "gauge" },
  ),
);
let gateway: ChildProcess | undefined;
test.beforeAll(() => server.start());
test.afterAll(() => server.end());
test.afterEach(() => gateway?.kill());

/** A gateway that says what a logger said of a section that stood; four times as fast as it was. @returns its address */
function replay(port = "0"): Promise<string> {
  const one = spawn(
    process.execPath,
    [
      "--import",
      "tsx",
      "demo/gateway/replay.ts",
      "demo/gateway/standing-test.jsonl",
      "--port",
      port,
      "--speed",
      "4",
    ],
    { stdio: ["ignore", "pipe", "inherit"] },
  );
  gateway = one;
  return new Promise((resolve) => {
    let said = "";
    one.stdout.on("data", (text: Buffer) => {
      said += String(text);
      const address = /ws:\/\/\S+/.exec(said)?.[0];
      if (address !== undefined) resolve(address);
    });
  });
}

async function opened(page: Page, tag: string): Promise<{ tech: Technician; job: string }> {
  const news = await (await page.request.get(`${server.url}/api/v1/bells`)).json();
  const { job } = news.bells.find((each: { valve: string; job?: string }) => each.valve === tag && each.job);
  await page.goto(`${server.url}/jobs/${job}`);
  return { tech: new Technician(page, server), job };
}

const panel = (page: Page) => page.getByRole("dialog", { name: "Instruments" });
async function inPanel(page: Page, does: () => Promise<unknown>): Promise<void> {
  await page.getByRole("button", { name: /^Instruments/ }).click();
  await does();
  await page.keyboard.press("Escape");
  await expect(panel(page)).toBeHidden();
}
const connect = (page: Page, name: RegExp) =>
  inPanel(page, () => panel(page).getByRole("button", { name }).click());

async function timeGoesOn(page: Page, minutes: number): Promise<void> {
  await server.clockGoesOn(minutes);
  await page.clock.fastForward(minutes * 60_000);
  await page.evaluate(() => localStorage.removeItem("loftbell.clock"));
}

const eventsOf = async (page: Page, job: string) =>
  (
    (await (await page.request.get(`${server.url}/api/v1/jobs/${job}`)).json()) as {
      events: { event: Record<string, unknown> }[];
    }
  ).events.map(({ event }) => event);

test("a logger's trace stands in the standing test, with the gap in which it was cut, and is judged", async ({
  page,
}) => {
  test.setTimeout(90_000);
  const address = await replay();
  await page.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
  const { tech, job } = await opened(page, "NQ-H07");
  await inPanel(page, async () => {
    await panel(page).getByLabel("Address of the gateway").fill("localhost");
    await panel(page).getByRole("button", { name: "Connect", exact: true }).click();
    await expect(panel(page).getByText("Write it as ws://name:port.")).toBeVisible();
    await panel(page).getByLabel("Address of the gateway").fill("ws://127.0.0.1:9");
    await panel(page).getByRole("button", { name: "Connect", exact: true }).click();
    await expect(panel(page)).toContainText("ws://127.0.0.1:9 does not answer");
    await panel(page).getByRole("button", { name: "Let go of ws://127.0.0.1:9" }).click();
    await panel(page).getByLabel("Address of the gateway").fill(address);
    await panel(page).getByRole("button", { name: "Connect", exact: true }).click();
    const card = panel(page).getByRole("article", { name: "Pressure logger" });
    await expect(card).toContainText("PL-0410");
    await expect(card).toContainText("64 %");
    await expect(card).toContainText("calibrated until");
  });
  // One touch: figure, instrument, serial, time.
  await tech.card.getByRole("button", { name: /^Take .* bar g from Pressure logger$/ }).click();
  await expect(tech.card.getByText(/^from Pressure logger PL-0410,/)).toBeVisible();
  await tech.press();
  await tech.until(/wait \d+ minutes|Shut .* wait/i);
  await tech.press();
  const trace = tech.card.getByRole("region", { name: "What it shows over the time" });
  await expect(trace.getByRole("img")).toBeVisible();
  await expect(trace).toContainText("Standing test so far");

  gateway?.kill();
  await timeGoesOn(page, 1);
  await inPanel(page, () => expect(panel(page)).toContainText(/Gone for \d+/, { timeout: 20_000 }));
  // It comes back to the plug it was on.
  await replay(new URL(address).port);
  await expect(trace).toContainText(/A gap, .* in all: what was in it nobody knows/, { timeout: 30_000 });

  const { minutes } = (await eventsOf(page, job)).findLast(({ kind }) => kind === "wait-started") as {
    minutes: number;
  };
  await timeGoesOn(page, minutes);
  await expect(tech.wide).toBeEnabled({ timeout: 20_000 });
  await tech.press();
  await expect(tech.headline).toContainText(/again/i);
  await expect(async () => {
    const kept = (await eventsOf(page, job)).find(({ kind }) => kind === "trace-kept");
    expect(kept).toMatchObject({
      dimension: "gauge pressure",
      with: { serial: "PL-0410", by: "socket", registered: "IN-03" },
    });
    const { points } = kept as { points: [number, number][] };
    expect(Math.max(...points.slice(1).map(([s], index) => s - points[index]![0]))).toBeGreaterThan(60);
  }).toPass();
});

test("what is wrong with an instrument is said at the field, and typing stays possible", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const { tech, job } = await opened(page, "GL-P1");
  await connect(page, /^Connect Test gauge$/);
  const take = tech.card.getByRole("button", { name: /^Take .* from Test gauge$/ });
  const list = tech.card.getByRole("list", { name: /^Instruments for: Gauge reading/ });
  await expect(take).toBeVisible();
  await expect(list).toContainText("A simulated instrument");
  expect((await take.boundingBox())!.height).toBeGreaterThanOrEqual(48);

  const gauge = panel(page).getByRole("article", { name: "Test gauge" });
  const broken = (name: string) =>
    inPanel(page, () => gauge.getByRole("button", { name, exact: true }).click());
  await broken("Freeze");
  await expect(list).toContainText("the same line over and over");
  await broken("Freeze");
  await broken("Garble");
  await expect(list).toContainText("says what nobody understands");
  await broken("Garble");
  await broken("Drift");
  await connect(page, /^Connect Pressure logger$/);
  await expect(list).toContainText(/Pressure logger shows .* open air/, { timeout: 75_000 });
  await broken("Drift");
  await broken("Unplug");
  await expect(list).toContainText(/Gone for \d+ s/);
  await expect(take).toBeHidden();

  // Typed over, it is nobody's reading but one's own.
  const other = tech.card.getByRole("button", { name: /^Take .* from Pressure logger$/ });
  await other.click();
  await expect(tech.card.getByText(/^from Pressure logger/)).toBeVisible();
  await tech.card.getByRole("textbox").first().fill("0.0");
  await expect(tech.card.getByText(/^from Pressure logger/)).toBeHidden();
  await tech.press();
  await expect(async () => {
    const read = (await eventsOf(page, job)).findLast(({ kind }) => kind === "reading-taken");
    expect(read).toMatchObject({ si: 0 });
    expect(read).not.toHaveProperty("with");
  }).toPass();
});

/** No browser without a screen has a serial port: one that speaks like one takes its place, allowed once and for all. */
async function cabled(page: Page) {
  await page.addInitScript(() => {
    let into: ReadableStreamDefaultController<Uint8Array>;
    const asked: string[] = [];
    const text = new TextEncoder();
    const port = {
      open: async ({ baudRate }: { baudRate: number }) => {
        asked.push(`${baudRate} baud`);
        port.readable = new ReadableStream<Uint8Array>({
          start: (controller) => {
            into = controller;
          },
        });
      },
      close: async () => void asked.push("closed"),
      forget: async () => void asked.push("forgotten"),
      readable: undefined as ReadableStream<Uint8Array> | undefined,
      writable: new WritableStream<Uint8Array>({
        write: (bytes) => void asked.push(new TextDecoder().decode(bytes).trim()),
      }),
    };
    Object.defineProperty(navigator, "serial", {
      value: { requestPort: async () => port, getPorts: async () => [port] },
    });
    Object.assign(window, {
      cable: {
        asked,
        says: (line: string) => into.enqueue(text.encode(line)),
        pulled: () => into.error(new Error("The device has been lost.")),
      },
    });
  });
  type Fake = { cable: { asked: string[]; says: (line: string) => void; pulled: () => void } };
  return {
    says: (...pieces: string[]) =>
      page.evaluate((all) => {
        for (const each of all) (window as unknown as Fake).cable.says(each);
      }, pieces),
    asked: () => page.evaluate(() => (window as unknown as Fake).cable.asked),
    pulled: () => page.evaluate(() => (window as unknown as Fake).cable.pulled()),
  };
}

test("an instrument on a cable reads for whoever looks for a fault: its lines come in pieces, noise is told, unplugged it is gone", async ({
  page,
}) => {
  const { says, asked, pulled } = await cabled(page);
  await page.goto(`${server.url}/instruments`);
  const cable = page.getByRole("region", { name: "By cable" });
  await cable.getByRole("combobox", { name: "Speed" }).selectOption("9600 baud");
  await cable.getByRole("button", { name: "Choose the port" }).click();
  await expect.poll(asked).toEqual(["9600 baud", expect.stringContaining("hello")]);

  // On the next page it is there again, without being asked for.
  await page.goto(`${server.url}/valves/MG-P3/trouble`);
  await page.getByRole("button", { name: /The far bed stays dry/ }).click();
  await page.getByRole("button", { name: /^No click/ }).click();
  await page.getByRole("button", { name: /What is the coil's resistance/ }).click();
  await expect.poll(asked).toEqual(["9600 baud", expect.stringContaining("hello")]);
  await says(
    '{"say":"hello","v":1,"kind":"multimeter","serial":"MM-0009","name":"Cable multimeter","every_s":60,"reads":[{"what":"resis',
    'tance","unit":"ohm","low":0,"high":2000000,"step":0.1}]}\r\n{"say":"reading","n":0,"what":"resistance","val',
    'ue":20.5,"unit":"ohm"}\n',
  );
  const list = page.getByRole("list", { name: /^Instruments for: Resistance/ });
  await list.getByRole("button", { name: /^Take .* from Cable multimeter$/ }).click();
  await expect(page.getByText(/^from Cable multimeter MM-0009/)).toBeVisible();
  await says("\u0000\uFFFD~~\u0007\n");
  await expect(list).toContainText("says what nobody understands");
  await pulled();
  await expect(list).toContainText(/Gone for \d+ s/);

  // What it had shown before stands.
  await page.getByRole("textbox", { name: "Coil's temperature" }).fill("20 °C");
  await page.getByRole("button", { name: "Take this figure" }).click();
  const known = page.getByRole("heading", { name: "Known" }).locator("..");
  await expect(known.getByText(/20\.5 .*: shorted turns/)).toBeVisible();
  await expect(known.getByText(/^with Cable multimeter MM-0009/)).toBeVisible();
});
