import {
  type Browser,
  type BrowserContext,
  test as base,
  expect,
  type Locator,
  type Page,
} from "@playwright/test";

export * from "@playwright/test";

/** The rope is drawn by the clock of the browser, when all of a page takes presses; who has not come in sees none. */
const ROPE = "aside[aria-label^='The rope']";

/**
 * Has a page be opened only when it takes presses. What is pressed earlier goes nowhere, and a busy host takes seconds
 * to get there; a person presses again.
 */
function waits(page: Page): void {
  const lives = async () => {
    await page
      .waitForFunction(
        (rope) => {
          const drawn = document.querySelector(rope);
          return drawn === null || drawn.childElementCount > 0;
        },
        ROPE,
        { timeout: 20_000 },
      )
      // It has gone on to another, or its clock stands: what is awaited next says what is missing.
      .catch(() => undefined);
  };
  const { goto, reload } = page;
  page.goto = async (...asked) => {
    const answer = await goto.apply(page, asked);
    await lives();
    return answer;
  };
  page.reload = async (...asked) => {
    const answer = await reload.apply(page, asked);
    await lives();
    return answer;
  };
}

/** Every page of a context, those too that a test opens itself. */
function allWait(context: BrowserContext): BrowserContext {
  const { newPage } = context;
  context.newPage = async () => {
    const page = await newPage.apply(context);
    waits(page);
    return page;
  };
  return context;
}

export const test = base.extend<object, { browser: Browser }>({
  context: async ({ context }, use) => use(allWait(context)),
  browser: [
    async ({ browser }, use) => {
      const { newContext } = browser;
      browser.newContext = async (...asked) => allWait(await newContext.apply(browser, asked));
      await use(browser);
      browser.newContext = newContext;
    },
    { scope: "worker" },
  ],
});

/**
 * Does it until it is seen. What is pressed before a page listens is pressed again; what only takes its time is not:
 * a second press would take the first back, or find its button gone.
 */
export const until = (does: () => Promise<unknown>, seen: Locator, count = 1) =>
  expect(async () => {
    if ((await seen.count()) !== count) await does();
    await expect(seen).toHaveCount(count, { timeout: 4000 });
  }).toPass({ timeout: 60_000 });
