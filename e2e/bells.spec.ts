import { demoWith, done } from "./begun";
import { TestServer } from "./server";
import { Technician } from "./technician";
import { type BrowserContext, expect, type Page, test } from "./test";

/** Bells that ring: in another tab, after a reload, without a server; put off with a reason. */
const HOLD = { tag: "NQ-H07", until: (step: { kind: string }) => step.kind === "hold" };
// The job that holds the dock steps shut would be waited for: it is done.
const made = () => new TestServer("demo", false, demoWith(done("NQ-H02"), HOLD));
const server = made();
const alone = made();
test.beforeAll(() => Promise.all([server.start(), alone.start()]));
test.afterAll(() => Promise.all([server.end(), alone.end()]));

/** Counts what would be heard and felt: a test has no ears. */
function listens(): void {
  const heard = Object.assign(window, { strokes: 0, shakes: 0, awake: 0, notified: [] as string[] });
  const { createOscillator } = AudioContext.prototype;
  AudioContext.prototype.createOscillator = function () {
    heard.strokes++;
    return createOscillator.call(this);
  };
  navigator.vibrate = () => {
    heard.shakes++;
    return true;
  };
  navigator.wakeLock.request = async () => {
    heard.awake++;
    throw new DOMException("not in a test", "NotAllowedError");
  };
  // As behind other pages, and allowed.
  document.hasFocus = () => false;
  class Told {
    static readonly permission = "granted";
    constructor(title: string) {
      heard.notified.push(title);
    }
  }
  Object.assign(window, { Notification: Told });
}
const heardIn = (page: Page) =>
  page.evaluate(() => {
    const { strokes, shakes, awake, notified } = window as unknown as {
      strokes: number;
      shakes: number;
      awake: number;
      notified: readonly string[];
    };
    return { strokes, shakes, awake, notified };
  });

async function opened(server: TestServer, context: BrowserContext, path: string): Promise<Page> {
  if (context.pages().length === 0)
    await context.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
  const page = await context.newPage();
  await page.addInitScript(listens);
  await page.goto(`${server.url}${path}`);
  return page;
}

async function jobPage(server: TestServer, page: Page): Promise<string> {
  const news = await (await page.request.get(`${server.url}/api/v1/bells`)).json();
  const bell = news.bells.find(
    (each: { valve: string; job?: string }) => each.valve === HOLD.tag && each.job,
  );
  return `/jobs/${bell.job}`;
}

const bar = (page: Page) => page.getByRole("region", { name: "What rings now" });
const rung = (page: Page) =>
  bar(page)
    .getByRole("listitem")
    .filter({ hasText: /(^|NQ-H07: )Stand test/ });

/** For all pages of the browser: they have one clock. */
async function timeGoesOn(server: TestServer, minutes: number, page: Page): Promise<void> {
  await server.clockGoesOn(minutes);
  await page.clock.fastForward(minutes * 60_000);
  await page.evaluate(() => localStorage.removeItem("loftbell.clock"));
}

test("a wait rings in another tab, after a reload too; put off with a reason everybody sees, it rings again", async ({
  context,
}) => {
  const today = await opened(server, context, "/");
  const at = await opened(server, context, await jobPage(server, today));
  const tech = new Technician(at, server);
  await expect(tech.card.getByText(/^It rings on every open screen, with a tone/)).toBeVisible();
  await expect.poll(async () => (await heardIn(at)).awake).toBeGreaterThan(0);
  expect((await heardIn(today)).awake).toBe(0);
  await tech.card.getByRole("button", { name: "Try the bell" }).click();
  await expect.poll(async () => (await heardIn(at)).strokes).toBeGreaterThan(0);
  await tech.press();
  await expect(tech.wide).toBeDisabled();
  await expect(rung(today)).toHaveCount(0);
  await expect(at.getByText("saved", { exact: true })).toBeVisible();

  await timeGoesOn(server, 16, today);
  await expect(bar(today)).toContainText("NQ-H07: Stand test");
  await expect(bar(today)).toContainText("Look at the gauge before you touch anything");
  await expect(today).toHaveTitle(/^● Rings: (watch|stand), NQ-H0\d · Loft Bell/);
  // One page of a device sounds; the one nobody has touched asks for a touch.
  await expect
    .poll(async () => (await heardIn(at)).shakes + (await heardIn(today)).shakes)
    .toBeGreaterThan(1);
  await expect
    .poll(async () => [...(await heardIn(at)).notified, ...(await heardIn(today)).notified].join())
    .toContain("Stand test");
  await today.reload();
  await expect(bar(today)).toContainText("NQ-H07: Stand test");

  await rung(today).getByRole("button", { name: "Put it off" }).click();
  await rung(today).getByRole("button", { name: "Put it off for 5 min" }).click();
  await expect(rung(today)).toContainText("Say why");
  await rung(today).getByRole("button", { name: "I am on my way" }).click();
  await rung(today).getByRole("button", { name: "Put it off for 5 min" }).click();
  await expect(rung(today)).toHaveCount(0);
  await expect(rung(at)).toHaveCount(0);

  await timeGoesOn(server, 6, today);
  await expect(rung(today)).toBeVisible();
  await expect(rung(at)).toBeVisible();
  await tech.press();
  await expect(rung(at)).toHaveCount(0);
  await expect(rung(today)).toHaveCount(0);
  await tech.fill("0 bar");
});

test.describe("without signal", () => {
  test.use({ serviceWorkers: "allow" });

  test("a wait begun without a server rings all the same, in every tab of the device", async ({
    context,
  }) => {
    const today = await opened(alone, context, "/");
    await today.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    const at = await opened(alone, context, await jobPage(alone, today));
    const tech = new Technician(at, alone);
    await alone.kill();
    await tech.press();
    await expect(tech.wide).toBeDisabled();
    await expect(today.getByRole("complementary").getByText("stand test")).toHaveCount(2);
    await timeGoesOn(alone, 16, today);
    await expect(rung(today)).toBeVisible();
    await tech.press();
    await expect(rung(today)).toHaveCount(0);
  });
});
