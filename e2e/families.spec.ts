import { tooSmall } from "./glove";
import { soundForAll } from "./quick-axe";
import { TestServer } from "./server";
import { Technician } from "./technician";
import { expect, type Page, test } from "./test";

/** Whole jobs of families whose work is drawn: sets of bolts, a stem, a body turned over, what is held. */
const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

// As it is on site: a phone in one hand.
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
/** What is smaller than a glove needs, by the card it stands on. */
const small: Promise<readonly string[]>[] = [];
test.afterEach(async () => {
  expect((await Promise.all(small.splice(0))).flat()).toEqual([]);
});

/** Measures each card on the way. */
class Gloved extends Technician {
  override async until(
    matches: RegExp,
    answers: Readonly<Record<string, string>> = {},
    seen: (title: string) => void = () => {},
  ): Promise<void> {
    await super.until(matches, answers, (title) => {
      seen(title);
      small.push(tooSmall(this.page).then((all) => all.map((each) => `${title}: ${each}`)));
    });
  }
}

async function begun(page: Page, tag: string, reason?: string): Promise<Technician> {
  await page.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
  await page.goto(`${server.url}/valves/${tag}/start`);
  if (reason !== undefined) await page.getByRole("button", { name: reason, exact: true }).click();
  await page.getByRole("button", { name: /^Start the job/ }).click();
  await page.waitForURL(/\/jobs\/[^/]+$/);
  return new Gloved(page, server);
}

async function signed(tech: Technician, page: Page): Promise<void> {
  await tech.sign();
  await page.waitForURL(/record$/);
}

test("a fire engine's ball valve: its sets of bolts from above, its generation by the rim, pulled at the end", async ({
  page,
}) => {
  const tech = await begun(page, "FST-A1");
  const answers = {
    "Read the": "0",
    "Run the pump to the test figure": "10 bar",
    "Its height, measured": "9",
    "How high is the rim": "9 mm",
    "Where does the handle's stop sit": "On a loose plate, four screws",
  };
  await tech.until(/^Slacken all 4 bolts, set a/, answers);
  await expect(tech.card.getByText("set A; it hangs on set C")).toBeVisible();
  await soundForAll(page);
  const seen: string[] = [];
  await tech.until(/^Sign off/, answers, (title) => seen.push(title));
  expect(seen.findIndex((title) => /^Shut the ball before/.test(title))).toBeLessThan(
    seen.findIndex((title) => /^Bolts, set A, pass 1/.test(title)),
  );
  await signed(tech, page);
});

test("a pit valve: looked at before it is opened, old apart from new, its tab, its current", async ({
  page,
}) => {
  const tech = await begun(page, "MG-D1");
  const answers = {
    "Open the bleed": "0",
    "Clip the meter": "200 mA",
    "Its tab": ["one tab"] as never,
  };
  await tech.until(/^Put every old part into the bag/, answers);
  await tech.until(/^Look at the diaphragm before the spring/, answers);
  await tech.choose("Beside it");
  await expect(tech.card.getByText(/Lift it and lay it again/)).toBeVisible();
  await tech.card.getByRole("button", { name: "Put it right, then look again" }).click();
  await tech.choose("In its hole");
  await tech.until(/^Sign off/, answers);
  await signed(tech, page);
});

test("a washer's solenoid: cleaned, disc and coils the right way up, what it draws", async ({ page }) => {
  const tech = await begun(page, "LY-S1h", "Clean it and put it back");
  const answers = {
    "Take one wire off": "220",
    "Crack the washer hose": "0",
    "Clip the meter": "100 mA",
  };
  await tech.until(/^Lever the coil off/, answers);
  await expect(tech.card.getByText(/tip of the tube bends/)).toBeVisible();
  await soundForAll(page);
  await tech.until(/^Sign off/, answers);
  await signed(tech, page);
  await expect(page.getByText(/100 mA/).first()).toBeVisible();
});

test("a booster's check valve: supported and ticked, nothing pulled before all is in, it sleeps again", async ({
  page,
}) => {
  const tech = await begun(page, "SK-C1", "Pump wakes and sleeps");
  const answers = {
    "Stop the watch": "120 min",
    "Stop the pump and read": "4.5 bar",
    "Open the casing drain": "0",
    "Its width, measured": "86",
    "Its arrow": ["cast, with a foot"] as never,
  };
  await tech.until(/^Set one jack under the spool/, answers);
  await tech.press();
  await expect(tech.card.getByText(/Not ticked yet: /)).toBeVisible();
  const seen: string[] = [];
  await tech.until(/^Sign off/, answers, (title) => seen.push(title));
  const at = (title: RegExp) => seen.findIndex((each) => title.test(each));
  expect(at(/^Fit all spool bolts/)).toBeLessThan(at(/^Lower the jack until valve and spool/));
  expect(at(/^Lower the jack until valve and spool/)).toBeLessThan(at(/^Spool bolts, pass 1/));
  await signed(tech, page);
});
