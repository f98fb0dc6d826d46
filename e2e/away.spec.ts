import { TestServer } from "./server";
import { Technician } from "./technician";
import { type BrowserContext, expect, type Page, test } from "./test";

/** Without signal: the server is really gone, the browser is opened anew, and the work goes on. */
test.use({ serviceWorkers: "allow" });

const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

/** Until the program and the pages of this device lie on it. */
async function installed(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await expect
    .poll(() => page.evaluate(() => localStorage.getItem("loftbell.build")), { timeout: 60_000 })
    .not.toBeNull();
}

/** A page with a clock that can be set on: nobody sits a wait out. */
async function opened(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  await page.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
  return page;
}

async function takenAlong(page: Page, label: string): Promise<void> {
  await page.getByRole("button", { name: label }).click();
  await expect(page.getByText(/pages, .* MB: here without signal/)).toBeVisible({ timeout: 120_000 });
}

const sign = (page: Page) => page.locator("[data-sync]").filter({ visible: true });

test("a day taken along: cold start without the server, a job from its start to its record, and all of it there afterwards", async ({
  page: first,
  context,
}) => {
  await first.goto(`${server.url}/along`);
  await installed(first);
  await takenAlong(first, "My day");
  await first.goto(`${server.url}/valves/LY-S1h`);
  await takenAlong(first, "Take this valve along");
  await first.close();

  await server.kill();
  const page = await opened(context);
  await page.goto(server.url);
  await expect(page.getByRole("heading", { name: "Today", level: 1 })).toBeVisible();
  // Found by what lies on the device, and opened.
  await page.keyboard.press("/");
  await page.getByPlaceholder(/^Tag, place/).fill("ly-s1h");
  await expect(page.getByText(/^No signal: only what is below/)).toBeVisible();
  await page.keyboard.press("Enter");
  await page.waitForURL(`${server.url}/valves/LY-S1h`);
  await page.getByRole("link", { name: "Start a job" }).click();
  await page.getByRole("button", { name: "Clean it and put it back", exact: true }).click();
  await page.getByRole("button", { name: /^Start the job/ }).click();
  await page.waitForURL(/\/along\/job\?id=/);
  const tech = new Technician(page, server);
  const answers = {
    "Take one wire off": "220",
    "Crack the washer hose": "0",
    "Clip the meter": "100 mA",
  };
  await tech.until(/^Lever the coil off/, answers);
  await expect(sign(page)).toHaveAttribute("data-sync", /\d+ waiting/);

  // The battery is dead in the middle of it: a new start, the same card.
  const address = page.url();
  await page.close();
  const again = await opened(context);
  await again.goto(address);
  const back = new Technician(again, server);
  await expect(back.headline).toHaveText(/^Lever the coil off/);
  await back.until(/^Sign off/, answers);
  await back.sign();
  await again.waitForURL(/\/along\/record\?id=/);
  await expect(again.getByText("Signed off on this device.")).toBeVisible();
  await expect(again.getByText(/100 mA/).first()).toBeVisible();

  await server.start();
  await expect(sign(again)).toHaveAttribute("data-sync", "all there", { timeout: 60_000 });
  await expect(again.getByText("The server has all of it.")).toBeVisible();
  await again.getByRole("link", { name: "The record it signs for" }).click();
  await again.waitForURL(/\/jobs\/[^/]+\/record$/);
  await expect(again.getByText(/100 mA/).first()).toBeVisible();
  const id = /jobs\/([^/]+)/.exec(again.url())![1];
  const job = await (await again.request.get(`${server.url}/api/v1/jobs/${id}`)).json();
  const ids = job.events.map((each: { event: { id: string } }) => each.event.id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(job.events.at(-1).event.kind).toBe("signed-off");
  const taken = job.events.flatMap(({ event }: { event: { photo?: string } }) => event.photo ?? []);
  expect(taken.length).toBeGreaterThan(0);
  for (const photo of taken)
    expect((await again.request.get(`${server.url}/api/v1/jobs/${id}/photos/${photo}`)).status()).toBe(200);
});

test("two devices on one job, the server gone: both go on, come back, and stand alike", async ({
  context,
  browser,
}) => {
  const [mine, theirs] = [await opened(context), await opened(await browser.newContext())];
  await mine.goto(`${server.url}/valves/NQ-H05/start`);
  await mine.getByRole("button", { name: /^Start the job/ }).click();
  await mine.waitForURL(/\/jobs\/[^/]+$/);
  await theirs.goto(mine.url());
  const [one, two] = [new Technician(mine, server), new Technician(theirs, server)];
  await expect(two.headline).toBeVisible();
  await Promise.all([installed(mine), installed(theirs)]);
  await expect(mine.getByText("saved", { exact: true })).toBeVisible();

  await server.kill();
  await one.until(/^Shut V-/);
  await two.until(/^Shut V-/);
  await one.fill("12");
  await two.fill("31");
  await two.fill("32");
  await expect(sign(mine)).toHaveAttribute("data-sync", /waiting/);

  await server.start();
  await expect(sign(mine)).toHaveAttribute("data-sync", "all there", { timeout: 60_000 });
  await expect(sign(theirs)).toHaveAttribute("data-sync", "all there", { timeout: 60_000 });
  await expect(async () => {
    await mine.reload();
    expect(await one.title()).toBe(await two.title());
  }).toPass({ timeout: 30_000 });
  const id = new URL(mine.url()).pathname.split("/").at(-1);
  const log = await (await mine.request.get(`${server.url}/api/v1/jobs/${id}`)).json();
  const ids = log.events.map(({ event }: { event: { id: string } }) => event.id);
  expect(new Set(ids).size).toBe(ids.length);
  const locks = log.events.flatMap(({ event }: { event: { entry?: string } }) => event.entry ?? []);
  for (const lock of ["12", "31", "32"]) expect(locks).toContain(lock);
  await theirs.context().close();
});

test("the bench book along: worked out and kept with a valve without the server, and there once afterwards", async ({
  page: first,
  context,
}) => {
  await first.goto(`${server.url}/along`);
  await installed(first);
  await takenAlong(first, "The bench book");
  await first.close();
  await server.kill();
  const page = await opened(context);
  await page.goto(`${server.url}/bench/drain-down`);
  await expect(page.getByRole("button", { name: "Keep with a valve" })).toBeVisible();
  // The first page went by the clock of this machine; this one goes by the server's.
  await page.evaluate(() => localStorage.removeItem("loftbell.clock"));
  await page.getByRole("button", { name: "Keep with a valve" }).click();
  await page.getByRole("dialog").getByLabel("Valve", { exact: true }).fill("NQ-H07");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByText(/on this device, and with the valve when there is a signal/)).toBeVisible();
  await expect(sign(page)).toHaveAttribute("data-sync", "1 waiting");
  // What was never taken along says so, and leads to what is.
  await page.goto(`${server.url}/crew`);
  await expect(page.getByText("this page is not on this device")).toBeVisible();

  const before = Date.now();
  await server.start();
  await expect(sign(page)).toHaveAttribute("data-sync", "all there", { timeout: 60_000 });
  const kept = await (await page.request.get(`${server.url}/api/v1/valves/NQ-H07/readings`)).json();
  const fresh = kept.readings.filter(({ what }: { what: string }) => what.includes("drain-down"));
  expect(fresh).toHaveLength(1);
  expect(fresh[0].at - server.clockAhead * 60_000).toBeLessThan(before);
});

test("a line along: what is planned and what if are worked out on the device, behind its service worker", async ({
  page: first,
  context,
}) => {
  if (!server.isUp) await server.start();
  await first.goto(`${server.url}/lines/north-quay?open=NQ-H07`);
  await installed(first);
  await takenAlong(first, "Take this line along");
  await first.close();

  await server.kill();
  const page = await opened(context);
  await page.goto(`${server.url}/lines/north-quay`);
  const plan = page.getByRole("group", { name: "Plan" });
  await page.getByLabel("To open").selectOption("NQ-H07");
  await expect(plan).toContainText("Shut and lock V-12 Chandler street");
  await page.getByRole("button", { name: /^V-12 / }).press("Enter");
  await plan.getByRole("button", { name: "It passes" }).click();
  await expect(plan).not.toContainText("Shut and lock V-12");
  await server.start();
});
