import { expect, test } from "@playwright/test";
import { PAGES } from "./pages";
import { quickAxe } from "./quick-axe";
import { TestServer } from "./server";

// The longest of the browser tests: both begin first, each on a worker of its own.
test.describe.configure({ mode: "parallel", timeout: 300_000 });

const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

for (const [name, options] of [
  ["at the desk", { viewport: { width: 1280, height: 800 } }],
  [
    "in the hand, dark",
    { viewport: { width: 390, height: 844 }, colorScheme: "dark" as const, hasTouch: true },
  ],
] as const)
  test(`every screen ${name}: nothing serious for axe, nothing sideways, no error in the console`, async ({
    browser,
  }) => {
    const context = await browser.newContext(options);
    const page = await context.newPage();
    const errors: string[] = [];
    page.on(
      "console",
      (message) => message.type() === "error" && errors.push(`${page.url()} ${message.text()}`),
    );
    page.on("pageerror", (error) => errors.push(`${page.url()} ${error.message}`));
    for (const path of PAGES) {
      await page.goto(server.url + path);
      await expect(page.getByRole("heading", { level: 1 }).first()).toBeAttached();
      const axe = quickAxe(page);
      // Rope and tabs are the same on every screen: they are looked at on the first.
      if (path !== PAGES[0]) axe.exclude("aside").exclude("header.no-print");
      // Hundreds of drawn parts, each of which is looked at on the page of its sheet.
      if (path === "/sheets/axes") axe.exclude("svg");
      const found = await axe.analyze();
      const serious = found.violations.filter(
        (each) => each.impact === "serious" || each.impact === "critical",
      );
      expect(
        serious.map(
          (each) => `${path} ${each.id}: ${each.nodes.map((node) => node.html.slice(0, 120)).join(" | ")}`,
        ),
      ).toEqual([]);
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(wide, `${path} scrolls sideways`).toBeLessThanOrEqual(0);
    }
    expect(errors).toEqual([]);
    await context.close();
  });
