import { chromium, type Page } from "@playwright/test";
import { CHROMIUM } from "./browser";
import { TestServer } from "./server";
import { Technician } from "./technician";

/**
 * Takes the pictures of docs/screenshots from the demo data: `npx tsx e2e/pictures.ts [folder]`. Run it after a screen
 * has changed, and look at what it made.
 */
const folder = process.argv[2] ?? "docs/screenshots";
const DESK = { width: 1280, height: 800 };
const HAND = { width: 390, height: 844 };

const server = new TestServer("demo");
const browser = await chromium.launch(CHROMIUM);
try {
  await server.start();
  const context = await browser.newContext({ viewport: DESK });
  const page = await context.newPage();
  await page.clock.install();
  const shot = async (name: string, on: Page = page) => {
    await on.clock.runFor(900);
    await on.waitForTimeout(250);
    await on.screenshot({ path: `${folder}/${name}.png` });
  };
  const open = async (path: string, name: string) => {
    await page.goto(server.url + path);
    await page.waitForLoadState("networkidle");
    await shot(name);
  };
  await open("/", "today");
  await open("/valves/NQ-H07", "valve");
  await open("/lines/north-quay?open=NQ-H07", "line");
  await open("/lines/gannet-low-side?open=GN-HRV1", "line-ammonia");
  await open("/lines/gannet-co2?open=GC-SV2", "line-double-block");
  await open("/lines/gannet-co2/isolation?open=GC-SV2", "isolation-sheet");
  await open("/lines/lido-water/edit", "line-editor");
  await open("/sheets/quillon-harbour-5?part=main-seat", "sheet");
  await open("/bench/bolt-up", "bolt-up");
  await open("/valves/NQ-H07/start", "start");
  await page.getByRole("button", { name: /Start the job/ }).click();
  await page.waitForURL(/\/jobs\/[^/]+$/);
  const job = new URL(page.url()).pathname;
  const tech = new Technician(page);
  await tech.until(/^Shut V-15/);
  await shot("job-isolate");
  await tech.until(/^Prove zero/);
  await tech.fill("0.4 bar");
  await shot("job-not-zero");
  await tech.fill("0");
  await tech.press();
  await tech.wide.getByText("The wait runs").waitFor();
  await server.kill();
  await server.start(11);
  await page.clock.fastForward("11:00");
  await page.reload();
  await tech.until(/^Look at the face of the outlet disc/, {});
  await tech.card.getByRole("button", { name: "Catches", exact: true }).click();
  await tech.press();
  await tech.card.getByText("The plan has changed").waitFor();
  await shot("job-plan-changed");
  await tech.until(/^Press the new friction ring/);
  await shot("job-rebuild");
  await tech.until(/Gland bolts, pass 2/);
  await tech.press();
  await tech.press();
  const hand = await browser.newContext({
    viewport: HAND,
    storageState: await context.storageState(),
    hasTouch: true,
  });
  const phone = await hand.newPage();
  await phone.clock.install({ time: Date.now() + 11 * 60_000 });
  await phone.goto(server.url + job);
  await phone.waitForLoadState("networkidle");
  await shot("phone-bolts", phone);
  await phone.getByRole("button", { name: "Axis", exact: true }).click();
  await shot("phone-axis", phone);
  await tech.until(/^Sign off/);
  await tech.press();
  await page.waitForURL(/record$/);
  await page.waitForLoadState("networkidle");
  await shot("record");
  await phone.goto(`${server.url}/lines/ferry-shed?open=FS-PA1`);
  await phone.waitForLoadState("networkidle");
  await shot("phone-line", phone);
  const dusk = await browser.newContext({ viewport: DESK, colorScheme: "dark" });
  const dark = await dusk.newPage();
  await dark.clock.install();
  await dark.goto(`${server.url}/jobs/demo-h02-stopped`);
  await dark.waitForLoadState("networkidle");
  await shot("job-stopped-dark", dark);
} finally {
  await browser.close();
  await server.end();
}
