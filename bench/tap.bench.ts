import { chromium, type Locator, type Page } from "@playwright/test";
import { CHROMIUM, heldBy } from "../e2e/browser";
import loadOnce from "../e2e/global-setup";
import { TestServer } from "../e2e/server";
import { Technician } from "../e2e/technician";
import { row } from "./table";

/** Longer than a button has to be held, and than a card takes to settle. */
const HELD_MS = 900;
const SETTLED_MS = 700;

/** Whoever works looks at the card, and then presses: what a test asks the page about a press would be timed with it. */
class Looks extends Technician {
  override async press(): Promise<void> {
    await this.tap(this.wide);
  }
  override async tap(button: Locator): Promise<void> {
    await button.scrollIntoViewIfNeeded();
    const held = (await button.getAttribute("data-hold")) !== null;
    const { x, y, width, height } = (await button.boundingBox())!;
    const { mouse } = this.page;
    await mouse.move(x + width / 2, y + height / 2);
    await this.page.waitForTimeout(200);
    await mouse.down();
    if (held) await this.page.waitForTimeout(HELD_MS);
    await mouse.up();
    await this.page.waitForTimeout(SETTLED_MS);
  }
}

/** Writes down how long it is from each press to the frame in which what is looked at has changed. */
async function watched(page: Page, looked: string): Promise<() => Promise<number[]>> {
  await page.evaluate((selector) => {
    const times: number[] = [];
    Object.assign(window, { times });
    let pressed: number | undefined;
    addEventListener(
      "click",
      ({ target }) => {
        // What is held down is done before the finger goes up.
        if (target instanceof Element && target.closest("[data-hold]") !== null) return;
        pressed = performance.now();
      },
      true,
    );
    new MutationObserver(() => {
      const since = pressed;
      if (since === undefined) return;
      pressed = undefined;
      requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - since)));
    }).observe(document.querySelector(selector)!, {
      subtree: true,
      childList: true,
      characterData: true,
      attributes: true,
    });
  }, looked);
  return async () =>
    (await page.evaluate(() => (window as unknown as { times: number[] }).times)).sort((a, b) => a - b);
}

/** As on an older phone. */
async function slowed(page: Page): Promise<void> {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send("Emulation.setCPUThrottlingRate", { rate: 4 });
}

const at = (times: readonly number[], part: number) =>
  times[Math.min(times.length - 1, Math.floor(times.length * part))]!.toFixed(0);

/** Taps on the job card of the built app (./loftbell build first): from the press to the painted answer. */
const server = new TestServer("demo");
const browser = await chromium.launch(CHROMIUM);
try {
  await loadOnce();
  await server.start();
  const page = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, storageState: heldBy("Tam Arkle") })
  ).newPage();
  await page.goto(`${server.url}/valves/NQ-H07/start`);
  await page.getByRole("button", { name: /Start the job/ }).click();
  await page.waitForURL(/\/jobs\/[^/]+$/);
  const tech = new Looks(page);
  // The program lies on the device: what fetches it takes a processor of its own.
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  const measured = await watched(page, "section[aria-label='The step']");
  await slowed(page);
  await tech.until(/^Prove zero/);
  for (let again = 0; again < 20; again++) {
    await tech.fill("0.4");
    await tech.tap(tech.card.getByRole("button", { name: "Undo the newest entry" }));
  }
  const times = await measured();
  const plain = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await plain.setContent("<main><button>Press</button><p>0</p></main>");
  await plain.evaluate(() =>
    document.querySelector("button")!.addEventListener("click", () => {
      document.querySelector("p")!.textContent += "1";
    }),
  );
  const least = await watched(plain, "p");
  await slowed(plain);
  const presser = new Looks(plain);
  for (let again = 0; again < 20; again++) await presser.tap(plain.getByRole("button"));
  const word = await least();
  row({
    bench: "tap",
    what: `press to painted answer on a processor four times slower, ${times.length} taps, median and p95; beside it a page with one button that changes one word`,
    measured: `${at(times, 0.5)} and ${at(times, 0.95)} ms; ${at(word, 0.5)} and ${at(word, 0.95)} ms`,
    reach: "100 ms",
  });
  console.log(
    `tap to painted answer, ${times.length} taps: median ${at(times, 0.5)} ms, p95 ${at(times, 0.95)} ms, worst ${at(times, 1)} ms (bound 100 ms); one changed word: median ${at(word, 0.5)} ms`,
  );
} finally {
  await browser.close();
  await server.end();
}
