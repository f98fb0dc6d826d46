import { demoWith } from "./begun";
import { CHROMIUM, heldBy, withLetters } from "./browser";
import { tooSmall } from "./glove";
import { TestServer } from "./server";
import { Technician } from "./technician";
import { type BrowserContext, chromium, expect, type Locator, type Page, test } from "./test";

/** In the hand: gloves, one thumb, a voice, keys alone, large letters. */
const LOOSE: ReadonlySet<string> = new Set(["drain", "drain-at-valve", "open-bleed", "release", "crack"]);
const server = new TestServer(
  "demo",
  false,
  demoWith(
    { tag: "CB-D1", until: (step) => LOOSE.has(step.kind) },
    { tag: "GL-P1", until: (step) => step.kind === "gauge" },
    { tag: "NQ-H07", until: (step) => step.kind === "shut" },
  ),
);
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

/** Figures that a sound solenoid gives. */
const SOLENOID = { "Take one wire off": "220", "Crack the": "0", "Clip the meter": "100 mA" };
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

async function jobOf(page: Page, tag: string): Promise<string> {
  const news = await (await page.request.get(`${server.url}/api/v1/bells`)).json();
  return news.bells.find((each: { valve: string; job?: string }) => each.valve === tag && each.job).job;
}

async function opened(context: BrowserContext, tag: string): Promise<Technician> {
  const page = await context.newPage();
  await page.goto(`${server.url}/jobs/${await jobOf(page, tag)}`);
  return new Technician(page, server);
}

test.describe("with a thumb", () => {
  test.use(PHONE);

  test("what lets something loose is held down: a tap, a double tap and a key only say so", async ({
    context,
  }) => {
    const tech = await opened(context, "CB-D1");
    const before = await tech.title();
    await expect(tech.wide).toContainText("hold it down");
    await tech.wide.tap();
    await expect(tech.card.getByText(/^Hold it down until it is full/)).toBeVisible();
    await tech.wide.dblclick();
    await tech.page.keyboard.press("Enter");
    expect(await tech.title()).toBe(before);
    await tech.press();
    await expect(tech.headline).not.toHaveText(before);
    // The finger that goes up belongs to the card before.
    const after = await tech.title();
    await tech.page.waitForTimeout(300);
    expect(await tech.title()).toBe(after);
  });

  test("figures with large keys: a unit of the trade, taken back, and no keyboard of the phone", async ({
    context,
  }) => {
    const tech = await opened(context, "GL-P1");
    const field = tech.card.getByRole("textbox").first();
    await field.tap();
    await expect(field).toHaveAttribute("inputmode", "none");
    const keys = tech.card.locator("[data-pad]");
    const key = (name: string) => keys.getByRole("button", { name, exact: true });
    for (const each of await keys.getByRole("button").all()) {
      const box = (await each.boundingBox())!;
      expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(48);
    }
    for (const each of ["psi g", "5", "8", "point", "2", "take the last one back"]) await key(each).tap();
    await expect(field).toHaveValue("58.");
    await key("5").tap();
    await tech.press();
    await expect(tech.card.getByRole("alert")).toContainText("58.5 psi g");

    // A usual figure gives way to the first key; where a unit can be turned, the figure is turned with it.
    await tech.page.goto(`${server.url}/bench/drain-down`);
    const bore = tech.page.getByRole("textbox", { name: /^Bore of the pipe/ });
    await expect(bore).toHaveValue("150");
    await bore.tap();
    for (const each of ["5", "0", "in"])
      await tech.page.locator("[data-pad]").getByRole("button", { name: each, exact: true }).tap();
    await expect(bore).toHaveValue("1.9685");
  });

  test("a thumb drawn across turns to the axis, the tray and the line, and back", async ({ context }) => {
    const tech = await opened(context, "GL-P1");
    const views = tech.page.getByRole("navigation", { name: "Views" });
    const on = (name: RegExp) =>
      expect(views.getByRole("button", { name })).toHaveAttribute("aria-pressed", "true");
    await drawn(tech.headline, -1);
    await on(/axis/i);
    await drawn(tech.page.locator("main section").first(), -1);
    await on(/tray/i);
    await drawn(tech.page.getByText("The tray").first(), 1);
    await on(/axis/i);
  });

  test("closures in one sweep: in their order, each with its lock; what has a danger comes as a card", async ({
    context,
  }) => {
    const tech = await opened(context, "NQ-H07");
    await expect(tech.headline).toHaveText(/^Shut V-12/);
    await tech.card.getByRole("textbox", { name: "Lock number" }).fill("11");
    await tech.card.getByText(/^The next, in this order/).tap();
    const next = (name: string) => tech.card.getByRole("textbox", { name: new RegExp(`^Lock of ${name}`) });
    // What has a danger of its own comes as a card of its own.
    await expect(next("V-19")).toHaveCount(0);
    await next("V-15").fill("12");
    await tech.press();
    await expect(tech.headline).toHaveText(/^Shut V-19/);
  });

  test("nothing that is pressed is smaller than a glove, on any card of a job", async ({ page }) => {
    await page.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
    await page.goto(`${server.url}/valves/HO-S1h/start`);
    await page.getByRole("button", { name: "Does not open", exact: true }).tap();
    await page.getByRole("button", { name: /^Start the job/ }).tap();
    await page.waitForURL(/\/jobs\/[^/]+$/);
    const tech = new Technician(page, server);
    const small = new Set<string>();
    const looks: Promise<void>[] = [];
    await tech.until(/^Sign off/, SOLENOID, (title) => {
      looks.push(
        tooSmall(page).then((all) => {
          for (const each of all) small.add(`${title}: ${each}`);
        }),
      );
    });
    await Promise.all(looks);
    expect([...small]).toEqual([]);
  });

  test("read aloud: what can happen first; a tap goes on, and it is done by its button", async ({
    context,
  }) => {
    await context.addInitScript(() => {
      const said: string[] = [];
      Object.assign(window, { said });
      speechSynthesis.speak = (each) => said.push(each.text);
    });
    const tech = await opened(context, "GL-P1");
    const { page } = tech;
    const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said);
    await page.getByRole("button", { name: "Read aloud" }).tap();
    await expect.poll(said).toHaveLength(1);
    await tech.headline.tap();
    await expect.poll(said).toHaveLength(2);
    await page.getByRole("button", { name: "Again" }).tap();
    await expect.poll(async () => (await said()).at(-1)).toBe((await said())[0]);
    await page.getByRole("button", { name: "Done", exact: true }).tap();
    // Nothing was filled in: it says what is missing, as to anybody.
    await expect(tech.card.getByRole("alert").first()).toBeVisible();
  });
});

/** A thumb drawn across, by touches. */
async function drawn(over: Locator, way: 1 | -1): Promise<void> {
  const box = (await over.boundingBox())!;
  const y = box.y + Math.min(20, box.height / 2);
  const [from, to] = way < 0 ? [300, 80] : [80, 300];
  await over.evaluate(
    (element, { from, to, y }) => {
      const at = (x: number) => new Touch({ identifier: 1, target: element, clientX: x, clientY: y });
      const tell = (kind: string, touches: Touch[], changed: Touch[]) =>
        element.dispatchEvent(
          new TouchEvent(kind, { bubbles: true, touches, changedTouches: changed, cancelable: true }),
        );
      tell("touchstart", [at(from)], [at(from)]);
      tell("touchend", [], [at(to)]);
    },
    { from, to, y },
  );
}

/** Whoever has keys alone: what is pressed was come to by the Tab key. */
class ByKeys extends Technician {
  async reach(wanted: Locator): Promise<void> {
    const element = await wanted.elementHandle();
    for (let tabs = 0; tabs < 250; tabs++) {
      if (await this.page.evaluate((each) => document.activeElement === each, element)) return;
      await this.page.keyboard.press("Tab");
    }
    throw new Error(`no Tab key leads to ${wanted}`);
  }

  override async press(): Promise<void> {
    await this.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    const holds = (await this.wide.getAttribute("data-hold")) !== null;
    await this.page.keyboard.down("Enter");
    if (holds) await this.held();
    await this.page.keyboard.up("Enter");
  }

  override async tap(button: Locator): Promise<void> {
    await this.reach(button);
    await this.page.keyboard.press("Space");
  }

  override async write(box: Locator, text: string): Promise<void> {
    await this.reach(box);
    await this.page.keyboard.press("ControlOrMeta+A");
    await this.page.keyboard.type(text);
  }
}

test("a whole job by keys alone, from its valve to its record", async ({ page }) => {
  await page.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
  await page.goto(`${server.url}/valves/HO-S1c`);
  const tech = new ByKeys(page, server);
  await tech.reach(page.getByRole("link", { name: "Start a job" }));
  await page.keyboard.press("Enter");
  await page.waitForURL(/start$/);
  const begin = page.getByRole("button", { name: /^Start the job/ });
  await expect(begin).toBeEnabled();
  await tech.tap(page.getByRole("button", { name: "Does not open", exact: true }));
  await tech.reach(begin);
  await page.keyboard.press("Enter");
  await page.waitForURL(/\/jobs\/[^/]+$/);
  await tech.until(/^Sign off/, SOLENOID);
  await tech.sign();
  await page.waitForURL(/record$/);
  await expect(page.getByRole("heading", { name: "Record of service" })).toBeVisible();
});

test("a whole job with letters twice as large in the hand: nothing is cut off, nothing is out of reach", async () => {
  const context = await chromium.launchPersistentContext(withLetters(32), {
    ...CHROMIUM,
    viewport: PHONE.viewport,
    hasTouch: true,
    reducedMotion: "reduce",
  });
  try {
    await context.addCookies(heldBy("Tam Arkle").cookies);
    const page = await context.newPage();
    await page.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
    await page.goto(`${server.url}/valves/HO-S2c/start`);
    await expect(page.getByRole("button", { name: /^Start the job/ })).toBeEnabled();
    await page.getByRole("button", { name: "Does not open", exact: true }).click();
    await page.getByRole("button", { name: /^Start the job/ }).click();
    await page.waitForURL(/\/jobs\/[^/]+$/);
    const tech = new Technician(page, server);
    const seen: Promise<void>[] = [];
    await tech.until(/^Sign off/, SOLENOID, () => void seen.push(fits(page)));
    await Promise.all(seen);
    await tech.sign();
    await page.waitForURL(/record$/);
  } finally {
    await context.close();
  }
});

async function fits(page: Page): Promise<void> {
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect.soft(wide).toBeLessThanOrEqual(390);
}
