import { PAGES } from "./pages";
import { seriousFor } from "./quick-axe";
import { TestServer } from "./server";
import { expect, test } from "./test";

// The longest of the browser tests: both begin first, each on a worker of its own.
test.describe.configure({ mode: "parallel", timeout: 600_000 });

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
  test(`every screen ${name}: nothing serious for axe, nothing sideways, no error in the console, no link to nowhere`, async ({
    browser,
  }) => {
    const context = await browser.newContext(options);
    const page = await context.newPage();
    const errors: string[] = [];
    const links = new Set<string>();
    page.on(
      "console",
      (message) => message.type() === "error" && errors.push(`${page.url()} ${message.text()}`),
    );
    page.on("pageerror", (error) => errors.push(`${page.url()} ${error.message}`));
    for (const path of PAGES) {
      await page.goto(server.url + path);
      await expect(page.getByRole("heading", { level: 1 }).first()).toBeAttached();
      const serious = await seriousFor(page, {
        include: ["html"],
        exclude: [
          // Rope and tabs are the same on every screen: they are looked at on the first.
          ...(path === PAGES[0] ? [] : ["aside", "header.no-print"]),
          // Hundreds of drawn parts, each of which is looked at on the page of its sheet.
          ...(path === "/sheets/axes" ? ["svg"] : []),
        ],
      });
      expect(serious, path).toEqual([]);
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(wide, `${path} scrolls sideways`).toBeLessThanOrEqual(0);
      // The same ones as in the hand.
      if (options.viewport.width < 1000) continue;
      for (const href of await page
        .locator("a[href^='/']")
        .evaluateAll((links) => links.map((link) => link.getAttribute("href")!)))
        links.add(href);
    }
    expect(errors).toEqual([]);
    for (const href of links) expect((await context.request.get(server.url + href)).status(), href).toBe(200);
    await context.close();
  });
