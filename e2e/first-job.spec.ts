import { TestServer } from "./server";
import { Technician } from "./technician";
import { expect, type Locator, type Page, test } from "./test";

/** From an empty folder to the first signed job, as a newcomer does it: each act is counted, and none is JSON. */
test.use({ storageState: { cookies: [], origins: [] } });

const MOST_ACTS = 120;

const ACTS = ["click", "fill", "press", "selectOption", "check", "uncheck", "setInputFiles"] as const;

/** Counts what a hand does on a page from now on. */
function counted(page: Page): () => number {
  let acts = 0;
  const locator = Object.getPrototypeOf(page.locator("body")) as Locator & Record<string, unknown>;
  const was = ACTS.map((act) => [act, locator[act]] as const);
  for (const [act, does] of was)
    Object.assign(locator, {
      [act](this: Locator, ...given: unknown[]) {
        acts++;
        return (does as (...given: unknown[]) => unknown).apply(this, given);
      },
    });
  page.once("close", () => Object.assign(locator, Object.fromEntries(was)));
  return () => acts;
}

test(`from an empty folder to the first signed job in ${MOST_ACTS} acts`, async ({ page }) => {
  const server = new TestServer("own");
  try {
    await server.start();
    await page.clock.install();
    const acts = counted(page);
    const today = () => page.getByRole("link", { name: "Today", exact: true }).last().click();

    await page.goto(server.url);
    await page.getByRole("link", { name: /Who are you/ }).click();
    await page.getByLabel("Name", { exact: true }).fill("Ina Lund");
    await page.getByRole("group", { name: "Until when" }).getByLabel("Fire").fill("open");
    await page.getByRole("button", { name: "Add to the crew" }).click();
    await page.waitForURL(/\/crew$/);

    await today();
    await page.getByRole("link", { name: /A place/ }).click();
    await page.getByLabel("Name", { exact: true }).fill("North yard");
    await page.getByRole("button", { name: "Add this place" }).click();
    await page.waitForURL(/places\/North%20yard$/);

    await today();
    await page.getByRole("link", { name: /A line/ }).click();
    await page.getByLabel("What is it called?").fill("Yard main");
    const hydrants = page.locator("li", { hasText: "Hydrants on a street main" });
    await hydrants.getByRole("button", { name: "Begin with this" }).click();
    await page.getByRole("button", { name: "Save the line" }).click();
    await page.waitForURL(/lines\/yard-main$/);

    await page.getByRole("link", { name: "Register the valve at H2" }).click();
    await page.getByLabel("Part of its name, maker or kind").fill("wet-barrel hydrant, outlet");
    await page.getByRole("link", { name: /Wet-barrel hydrant, outlet valve/ }).click();
    await page.getByLabel("Tag", { exact: true }).fill("YH-2");
    await page.getByLabel("Which one it is").fill("Hydrant at the shed");
    await page.getByLabel("Place", { exact: true }).fill("North yard");
    await page.getByLabel("Build", { exact: true }).selectOption({ index: 1 });
    await page.getByRole("button", { name: "Register this valve" }).click();
    await page.waitForURL(/valves\/YH-2$/);
    const setUp = acts();

    await page.getByRole("link", { name: "Start a job" }).click();
    await page.getByRole("button", { name: "Water at the stem", exact: true }).click();
    await page.getByRole("button", { name: /Start the job/ }).click();
    await page.waitForURL(/\/jobs\/[^/]+$/);
    const tech = new Technician(page, server);
    await tech.until(/^Sign off/);
    await tech.sign("Ina Lund");
    await page.waitForURL(/record$/);
    await expect(page.getByRole("main")).toContainText("Signed off by Ina Lund");
    await expect(page.getByRole("main")).toContainText("The log is whole.");

    const all = acts();
    test.info().annotations.push({ type: "acts", description: `${setUp} to set up, ${all} in all` });
    expect(all).toBeLessThanOrEqual(MOST_ACTS);
  } finally {
    await server.end();
  }
});
