import { chromium, type Page } from "@playwright/test";
import { CHROMIUM, heldBy } from "./browser";
import loadOnce from "./global-setup";
import { TestServer } from "./server";
import { Technician } from "./technician";

/**
 * Takes the pictures of docs/screenshots from the demo data: `npx tsx e2e/pictures.ts [folder]`. Run it after a screen
 * has changed, and look at what it made.
 */
const folder = process.argv[2] ?? "docs/screenshots";
const DESK = { width: 1280, height: 800 };
const HAND = { width: 390, height: 844 };

/** The drawn calculations, each by the link that fills it in. */
const DRAWN = [
  "hydrant-flow?before=1500+US+gpm",
  "bolt-up",
  "o-ring",
  "spanner-finder",
  "thread-finder",
  "gasket-cutter?face=flat",
  "drain-down",
  "saturation?refrigerant=co2&pressure=8+bar+g",
  "brine",
  "stand-test?middle=0.03+bar+g&last=0.045+bar+g",
  "decay-test?first=6+bar+g&middle=5.93+bar+g&last=5.9+bar+g&firstTemperature=15+°C&lastTemperature=15+°C",
  "impairment-clock?since=2026-03-02T08:30&now=2026-03-02T20:00",
  "renew-or-reuse",
];

/** The live stream never lets the network rest, so a page is waited for by the clock. */
const SETTLED_MS = 1200;

await loadOnce();
const server = new TestServer("demo");
const browser = await chromium.launch(CHROMIUM);
try {
  await server.start();
  const context = await browser.newContext({ viewport: DESK, storageState: heldBy("Tam Arkle") });
  const page = await context.newPage();
  await page.clock.install();
  const shot = async (name: string, on: Page = page) => {
    await on.clock.runFor(900);
    await on.waitForTimeout(250);
    await on.screenshot({ path: `${folder}/${name}.png` });
  };
  const open = async (path: string, name: string) => {
    await page.goto(server.url + path);
    await page.waitForTimeout(SETTLED_MS);
    await shot(name);
  };
  await open("/", "today");
  await open("/valves/NQ-H07", "valve");
  await open("/lines/north-quay?open=NQ-H07", "line");
  await page.goto(`${server.url}/valves/MG-P3/trouble`);
  await page.getByRole("button", { name: /The far bed stays dry/ }).click();
  await page.getByRole("button", { name: /^No click/ }).click();
  await shot("trouble");
  await page.goto(`${server.url}/lines/lido-water/edit`);
  await page.getByRole("button", { name: /^Links/ }).click();
  await page.getByRole("button", { name: "LD-W13", exact: true }).click();
  await shot("line-editor");
  await open("/sheets/ottermouth-ironbrook-30?part=stack", "sheet");
  await open("/store", "store");
  await open("/places", "places");
  await page.goto(`${server.url}/rounds`);
  // While it is dragged to the next day.
  const box = (await page.getByRole("button", { name: /^NQ-H10,/ }).boundingBox({ timeout: 60_000 }))!;
  await page.mouse.move(box.x + 20, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + 170, box.y + 30, { steps: 8 });
  await shot("rounds");
  await page.keyboard.press("Escape");
  await page.mouse.up();
  await page
    .getByRole("link", { name: /^back \d\d:\d\d/ })
    .nth(1)
    .click();
  await page.getByText("Take along").waitFor();
  await shot("rounds-day");
  await open("/valves?sort=due", "valves");
  await drawings(page);
  await open("/valves/LD-SF1/start", "start");
  await page.goto(`${server.url}/valves/NQ-H07/start`);
  await page.getByRole("button", { name: /Start the job/ }).click();
  await page.waitForURL(/\/jobs\/[^/]+$/);
  const job = new URL(page.url()).pathname;
  const tech = new Technician(page, server);
  await tech.until(/^Shut V-15/);
  await shot("job-isolate");
  await tech.until(/wait \d+ minutes/);
  await standing(page, tech);
  await tech.until(/^Look at the face of the outlet disc/, {});
  await tech.card.getByRole("button", { name: "Catches", exact: true }).click();
  await tech.press();
  await tech.card.getByText("The plan has changed").waitFor();
  await tech.until(/Gland bolts, pass 2/);
  await tech.press();
  await tech.press();
  const hand = await browser.newContext({
    viewport: HAND,
    storageState: await context.storageState(),
    hasTouch: true,
  });
  const phone = await hand.newPage();
  await phone.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
  await phone.goto(server.url + job);
  // Another job's wait is over meanwhile: it is put off, so that the bolts are seen.
  await phone.getByRole("button", { name: "Put it off" }).click();
  await phone.getByRole("button", { name: "Somebody else looks after it" }).click();
  await phone.getByRole("button", { name: "Put it off for 5 min" }).click();
  await phone.waitForTimeout(SETTLED_MS);
  await shot("phone-bolts", phone);
  await tech.until(/^Sign off/);
  await tech.sign();
  await page.waitForURL(/record$/);
  await page.waitForTimeout(SETTLED_MS);
  await shot("record");
  const dusk = await browser.newContext({
    viewport: { width: 390, height: 844 },
    colorScheme: "dark",
    storageState: heldBy("Tam Arkle"),
  });
  const dark = await dusk.newPage();
  await dark.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
  await dark.goto(`${server.url}/rounds/mine`);
  await dark.getByRole("button", { name: "Runs over" }).first().click({ timeout: 60_000 });
  await dark.getByRole("dialog").getByRole("button", { name: "1 h", exact: true }).click();
  await dark.getByText("What that moved").waitFor();
  // Until the toast is gone.
  await dark.waitForTimeout(6000);
  await shot("my-day", dark);
  await away();
} finally {
  await browser.close();
  await server.end();
}

/** A section that stands while a logger watches it, unplugged for a while. */
async function standing(page: Page, tech: Technician): Promise<void> {
  const plug = async (name: string) => {
    await page.getByRole("button", { name: /^Instruments/ }).click();
    await page.getByRole("dialog").getByRole("button", { name, exact: true }).click();
    await page.keyboard.press("Escape");
  };
  const pass = async (seconds: number) => {
    // Both clocks together: what runs far ahead of the other is put right.
    for (let gone = 0; gone < seconds; gone += 10) {
      await server.clockGoesOn(1 / 6);
      await page.clock.runFor(10_000);
    }
  };
  await page.evaluate(() => localStorage.setItem("loftbell.hides", "nothing"));
  await plug("Connect Pressure logger");
  await tech.press();
  await tech.card.getByRole("img", { name: /left/ }).waitFor();
  await pass(110);
  await plug("Unplug");
  await pass(60);
  await plug("Plug in again");
  await pass(80);
  await tech.card.evaluate((card) => card.querySelector("h1")?.scrollIntoView());
  await page.waitForTimeout(SETTLED_MS);
  await page.screenshot({ path: `${folder}/standing-test.png` });
}

/** All drawings of the bench book on one sheet, cut out of their pages. */
async function drawings(page: Page): Promise<void> {
  const cut: string[] = [];
  for (const path of DRAWN) {
    await page.goto(`${server.url}/bench/${path}`);
    await page.waitForTimeout(SETTLED_MS);
    await page.clock.runFor(900);
    const drawn = page.locator("section.card:has(svg[viewBox], .recharts-wrapper)").first();
    const png = (await drawn.screenshot()).toString("base64");
    cut.push(
      `<figure><img src="data:image/png;base64,${png}"><figcaption>${await page.locator("h1").innerText()}</figcaption></figure>`,
    );
  }
  const sheet = await page.context().newPage();
  await sheet.setViewportSize({ width: 1280, height: 800 });
  await sheet.setContent(
    `<!doctype html><style>body{margin:20px;background:#f5f3ec;font:600 20px sans-serif;columns:3;column-gap:18px}
    figure{margin:0 0 16px;break-inside:avoid}img{width:100%;display:block}</style>${cut.join("")}`,
  );
  await sheet.screenshot({ path: `${folder}/bench-drawn.png`, fullPage: true });
  await sheet.close();
}

/** A phone in a pit: a job begun and half done with the server gone, and what waits. */
async function away(): Promise<void> {
  const pit = await browser.newContext({ viewport: HAND, storageState: heldBy("Tam Arkle") });
  const first = await pit.newPage();
  await first.goto(`${server.url}/along`);
  await first.waitForFunction(() => localStorage.getItem("loftbell.build") !== null, undefined, {
    timeout: 60_000,
  });
  const take = async (label: string) => {
    await first.getByRole("button", { name: label }).click();
    await first.getByText("here without signal").waitFor({ timeout: 120_000 });
  };
  await take("My day");
  await first.goto(`${server.url}/valves/LY-S1h`);
  await take("Take this valve along");
  await first.close();
  await server.kill();
  const phone = await pit.newPage();
  await phone.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
  await phone.goto(`${server.url}/valves/LY-S1h/start`);
  await phone.getByRole("button", { name: "Clean it and put it back", exact: true }).click();
  await phone.getByRole("button", { name: /^Start the job/ }).click();
  await phone.waitForURL(/along\/job/);
  const answers = { "Take one wire off": "220", "Crack the washer hose": "0" };
  await new Technician(phone, server).until(/^Lever the coil off/, answers);
  await phone.goto(`${server.url}/along`);
  await phone.waitForTimeout(SETTLED_MS);
  await phone.screenshot({ path: `${folder}/away-phone.png` });
}
