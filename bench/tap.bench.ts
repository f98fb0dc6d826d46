import { type Browser, chromium, type Locator, type Page } from "@playwright/test";
import { CHROMIUM, heldBy } from "../e2e/browser";
import loadOnce from "../e2e/global-setup";
import { TestServer } from "../e2e/server";
import { Technician } from "../e2e/technician";
import { row } from "./table";

/** Longer than a button has to be held, and than a card takes to settle. */
const HELD_MS = 1_800;
const SETTLED_MS = 700;
/** The same job, tapped through so often: a tap counts with the middle of what it took, or a busy host would be measured. */
const WALKS = 5;
const VIEW = { viewport: { width: 1280, height: 800 } };

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
  return () => page.evaluate(() => (window as unknown as { times: number[] }).times);
}

/** As on an older phone. */
async function slowed(page: Page): Promise<void> {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send("Emulation.setCPUThrottlingRate", { rate: 4 });
}

/** A job begun anew on a demo of its own, tapped as far as the proof, where a reading is entered and taken back. */
async function walked(browser: Browser): Promise<number[]> {
  const server = new TestServer("demo");
  const context = await browser.newContext({ ...VIEW, storageState: heldBy("Tam Arkle") });
  try {
    await server.start();
    const page = await context.newPage();
    await page.goto(`${server.url}/valves/NQ-H07/start`);
    await page.getByRole("button", { name: /Start the job/ }).click();
    await page.waitForURL(/\/jobs\/[^/]+$/);
    const tech = new Looks(page);
    // The program lies on the device: what fetches it takes a processor of its own.
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    const measured = await watched(page, "section[aria-label='The step']");
    await slowed(page);
    await tech.until(/^Prove zero/);
    for (let again = 0; again < 10; again++) {
      await tech.fill("0.4");
      await tech.tap(tech.card.getByRole("button", { name: "Undo the newest entry" }));
    }
    return await measured();
  } finally {
    await context.close();
    await server.end();
  }
}

/** A page with one button that changes one word: no answer is painted sooner. */
async function oneWord(browser: Browser): Promise<number[]> {
  const page = await (await browser.newContext(VIEW)).newPage();
  await page.setContent("<main><button>Press</button><p>0</p></main>");
  await page.evaluate(() =>
    document.querySelector("button")!.addEventListener("click", () => {
      document.querySelector("p")!.textContent += "1";
    }),
  );
  const measured = await watched(page, "p");
  await slowed(page);
  const presser = new Looks(page);
  for (let again = 0; again < 20; again++) await presser.tap(page.getByRole("button"));
  return measured();
}

const rising = (times: readonly number[]) => times.toSorted((a, b) => a - b);
const at = (times: readonly number[], part: number) =>
  rising(times)[Math.min(times.length - 1, Math.floor(times.length * part))]!;
const ms = (time: number) => time.toFixed(0);

/** Taps on the job card of the built app (./loftbell build first): from the press to the painted answer. */
const browser = await chromium.launch(CHROMIUM);
try {
  await loadOnce();
  const walks: number[][] = [];
  for (let walk = 0; walk < WALKS; walk++) walks.push(await walked(browser));
  const taps = Math.min(...walks.map(({ length }) => length));
  const times = Array.from({ length: taps }, (_, tap) =>
    at(
      walks.map((walk) => walk[tap]!),
      0.5,
    ),
  );
  const every = walks.flat();
  const word = await oneWord(browser);
  const say = (each: readonly number[]) => `${ms(at(each, 0.5))} and ${ms(at(each, 0.95))} ms`;
  row({
    bench: "tap",
    what: `press to painted answer on a processor four times slower, ${taps} taps of a job, each the middle of ${WALKS} walks, median and p95; every tap of every walk; a page with one button that changes one word`,
    measured: `${say(times)}; ${say(every)}; ${say(word)}`,
    reach: "100 ms",
  });
  console.log(
    `tap to painted answer: ${say(times)} (median, p95 of ${taps} taps, each the middle of ${WALKS} walks; bound 100 ms); every tap ${say(every)}; one changed word ${say(word)}`,
  );
} finally {
  await browser.close();
}
