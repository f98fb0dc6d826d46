import { readFileSync } from "node:fs";
import { TestServer } from "./server";
import { expect, type Page, test } from "./test";

const server = new TestServer("demo", true);
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

const plan = (page: Page) => page.getByRole("group", { name: "Plan" });
const open = (page: Page, line: string, place: string) =>
  page.goto(`${server.url}/lines/${line}?open=${place}`);
const valve = (page: Page, id: string) => page.getByRole("button", { name: new RegExp(`^${id} `) });

/** What a foreman looks for on each kind of medium, in the order it stands there. */
const MEDIA: readonly (readonly [string, string, string, readonly (string | RegExp)[]])[] = [
  [
    "water",
    "north-quay",
    "NQ-H07",
    ["V-12 Chandler street", "instead of V-14, which is seized", "Ferry shed sprinklers"],
  ],
  [
    "ammonia",
    "gannet-low-side",
    "GN-HRV1",
    ["GN-L2", "Liquid first", "GN-H1", "GN-G1", "Gauge valve G1", "Refrigerant work"],
  ],
  [
    "CO2",
    "gannet-co2",
    "GC-SV2",
    ["second barrier", "Open and leave open Bleed B1", "Low point drain", "Gauge valve G2"],
  ],
  [
    "steam and condensate",
    "lido-steam",
    "LD-T11",
    ["LD-S7", "LD-C2", "Open and leave open Bleed 5", "170 °C", "Hot work and steam"],
  ],
  [
    "hot and cold water",
    "lido-water",
    "LD-M1",
    ["Switch off and lock LD-Q1", "instead of LD-W13, which is known to pass", "Showers, pool side"],
  ],
  ["vapour", "holm-library", "HL-V1", ["HL-M0", "HL-C1", "Reading room"]],
  ["gas", "ropewalk-gas", "RW-M19", ["RW-G19", "Boiler, 19", "Gas work"]],
  [
    "air and water",
    "ferry-shed",
    "FS-PN1",
    ["FS-Q1", "FS-V1", "FS-T7", "The control line last: without it the valve would open", "spring"],
  ],
  [
    "electricity and pumps",
    "skerry-booster",
    "SK-C1",
    ["Stop and lock SK-P1", "SK-Q1", "capacitor", "Wait 10 min"],
  ],
  ["oil pot", "gannet-low-side", "GN-RV6", ["It becomes possible when Oil pot is pumped out first"]],
];

for (const [medium, line, place, says] of MEDIA)
  test(`${medium}: what to shut to open ${place}, with the reasons`, async ({ page }) => {
    await open(page, line, place);
    for (const text of says) await expect(plan(page)).toContainText(text, { ignoreCase: true });
  });

test("what if: a valve, a stem, another way, a valve to avoid, one that passes", async ({ page }) => {
  await open(page, "north-quay", "NQ-H07");
  await plan(page)
    .getByRole("button", { name: /Keep Ferry shed sprinklers in service/ })
    .click();
  await expect(plan(page)).toContainText("V-16 Fish market floor");
  await valve(page, "V-09").click();
  await plan(page).getByRole("button", { name: "What if: shut it" }).click();
  await expect(plan(page)).toContainText("Nobody loses service");
  await valve(page, "V-15").click();
  await plan(page).getByRole("button", { name: "What if: shut it" }).click();
  await expect(plan(page)).toContainText("Without service: NQ-H04, Net loft.");
  await plan(page).getByRole("button", { name: "Back to the plan" }).click();
  await plan(page).getByRole("button", { name: "Back to the quickest way" }).click();
  await expect(plan(page)).toContainText("Shut and lock V-12 Chandler street");
  await valve(page, "V-12").click();
  await plan(page).getByRole("button", { name: "It passes" }).click();
  await expect(plan(page)).not.toContainText("Shut and lock V-12");
  await page.getByRole("button", { name: /V-12 passes/ }).click();
  await expect(plan(page)).toContainText("Shut and lock V-12 Chandler street");

  await open(page, "gannet-low-side", "GN-RV4A");
  await expect(plan(page)).toContainText("front seat, GN-RV4A shut off");
  await page.getByRole("button", { name: /GN-RS4, three-way valve/ }).press("Enter");
  await plan(page).getByRole("button", { name: "back seat, GN-RV4B shut off" }).click();
  await expect(plan(page)).toContainText("GN-RV4A: still live.");

  await open(page, "gannet-low-side", "GN-RV6");
  await plan(page).getByRole("button", { name: "Plan it with Oil pot pumped out" }).click();
  await expect(plan(page)).toContainText("Pump out Oil pot");
});

test("walks through shutting and restoring; the drawing follows by touch and keys", async ({ page }) => {
  await open(page, "lido-water", "LD-M1");
  await expect(page.getByText("Shutting 6 of 6")).toBeVisible();
  await page.getByRole("button", { name: "One step on" }).click();
  await expect(page.getByText("Restoring 1 of 7")).toBeVisible();
  await expect(valve(page, "LD-W12")).toHaveAttribute("aria-pressed", "true");
  await page.getByRole("button", { name: "One step on" }).click();
  await expect(page.getByText("Open LD-W12 Cold to mixer")).toBeVisible();
  await expect(valve(page, "LD-W12")).toHaveAttribute("aria-pressed", "false");
  const drawing = page.getByRole("group", { name: /^Drawing of/ });
  const at = () => drawing.locator("> g").getAttribute("transform");
  const before = await at();
  await drawing.focus();
  await page.keyboard.press("ArrowRight");
  expect(await at()).not.toBe(before);
  const moved = await at();
  await page.keyboard.press("+");
  expect(await at()).not.toBe(moved);
});

test("the isolation sheet prints on one page with room for the lock numbers", async ({ page }) => {
  await open(page, "gannet-co2", "GC-SV2");
  await plan(page).getByRole("link", { name: "Isolation sheet to print" }).click();
  await expect(page.getByRole("columnheader", { name: "Lock no." })).toBeVisible();
  await expect(page.getByRole("main")).toContainText("Shut Bleed B1");
  await page.emulateMedia({ media: "print" });
  const pdf = await page.pdf({ format: "A4" });
  expect(pdf.toString("latin1").match(/\/Type\s*\/Page[^s]/g)?.length).toBe(1);
});

test("a line is changed by hand: bad input said at its place, undo, drag, save, take back", async ({
  page,
}) => {
  await page.goto(`${server.url}/lines/laundry-supply/edit`);
  const tables = page.getByRole("group", { name: "Tables" });
  const save = tables.getByRole("button", { name: "Save the line" });
  await tables.getByRole("button", { name: "Add a place" }).click();
  await expect(tables.getByRole("alert").first()).toContainText("hangs on nothing");
  await expect(save).toBeDisabled();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(tables.getByRole("alert")).toHaveCount(0);

  const washer = page.getByRole("button", { name: "Washer 1", exact: true });
  const box = (await washer.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2 + 20, { steps: 4 });
  await page.mouse.up();
  const there = (await washer.boundingBox())!;
  expect(Math.round(there.x - box.x)).toBeGreaterThan(30);
  await page.getByRole("button", { name: "Undo" }).click();
  expect(Math.round((await washer.boundingBox())!.x - box.x)).toBe(0);

  await tables.getByRole("button", { name: /^Links/ }).click();
  await tables.getByRole("button", { name: "LY-V1h", exact: true }).click();
  // An id that is taken is refused where it is typed, and joins nothing.
  const id = tables.getByLabel("Id", { exact: true }).first();
  await id.fill("LY-S1h");
  await id.press("Enter");
  await expect(tables).toContainText("LY-S1h is taken");
  await expect(page.getByRole("button", { name: "Undo" })).toBeDisabled();
  await id.fill("LY-V1h");
  await tables.getByLabel("Minutes to shut").fill("soon");
  await expect(tables.getByRole("alert").first()).toContainText('"soon" is not a figure');
  await expect(save).toBeDisabled();
  await tables.getByLabel("Minutes to shut").fill("120 s");
  await tables.getByLabel("Minutes to shut").blur();
  await expect(tables.getByLabel("Minutes to shut")).toHaveValue("2");
  await tables.getByRole("button", { name: "Known to pass" }).click();
  await expect(tables.getByRole("checkbox", { name: "Known to pass" })).toBeChecked();
  await page.getByRole("navigation", { name: "Main" }).getByRole("link", { name: "Store" }).click();
  const leaving = page.getByRole("dialog", { name: "Leave without saving?" });
  await leaving.getByRole("button", { name: "Stay" }).click();
  await expect(leaving).toHaveCount(0);
  // What was left without saving is kept on the device.
  await page.getByRole("navigation", { name: "Main" }).getByRole("link", { name: "Store" }).click();
  await leaving.getByRole("button", { name: "Leave" }).click();
  await page.waitForURL(/\/store$/);
  await page.goto(`${server.url}/lines/laundry-supply/edit`);
  await tables.getByRole("button", { name: "Go on with it" }).click();
  await save.click();
  await expect(page.getByText("The line is saved.")).toBeVisible();
  // What is saved is left without a question.
  await page.getByRole("navigation", { name: "Main" }).getByRole("link", { name: "Store" }).click();
  await page.waitForURL(/\/store$/);
  await open(page, "laundry-supply", "LY-S1h");
  await expect(plan(page)).toContainText("instead of LY-V1h, which is known to pass");
});

test("links go out and come in as CSV; a bad row is named and changes nothing", async ({ page }) => {
  await page.goto(`${server.url}/lines/ropewalk-gas/edit`);
  const tables = page.getByRole("group", { name: "Tables" });
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    tables.getByRole("button", { name: "Take the links as CSV" }).click(),
  ]);
  const csv = readFileSync(await download.path(), "utf8");
  expect(csv.split("\n")[0]).toContain("kind,id,name,from,to");
  const bring = (text: string) =>
    tables
      .getByLabel("Bring links in from CSV")
      .setInputFiles({ name: "links.csv", mimeType: "text/csv", buffer: Buffer.from(text) });
  await bring(csv.replace("RW-K1,Kerb valve,GM,", "RW-K1,Kerb valve,,"));
  await expect(tables.getByRole("alert")).toContainText("/row 2/from");
  await bring(csv.replace("Kerb valve", "Kerb valve at the corner"));
  await expect(page.getByText(/links were read/)).toBeVisible();
});

test("a new line is drawn, laid out by the worker, and saved", async ({ page }) => {
  await page.goto(`${server.url}/lines`);
  await page.getByRole("link", { name: "Draw a new line" }).click();
  await page.getByRole("button", { name: "Begin with nothing" }).click();
  await page.getByLabel("Id", { exact: true }).first().fill("yard-main");
  await page.getByLabel("Name").first().fill("Yard main");
  await page.getByRole("button", { name: "Lay out anew" }).click();
  await expect(page.getByText("Drag a place to move it")).toBeVisible();
  await page.getByRole("button", { name: "Save the line" }).click();
  await page.waitForURL(/lines\/yard-main$/);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Yard main");
});

test("the town's whole main opens, moves, and answers for any hydrant", async ({ page }) => {
  await page.goto(`${server.url}/lines/town-main`);
  await expect(plan(page)).toContainText("Shut and lock", { timeout: 60_000 });
  const drawn = () =>
    page
      .getByRole("group", { name: /^Drawing of/ })
      .locator("g[role=button]")
      .count();
  expect(await drawn()).toBeLessThan(900);
  await page.getByLabel("To open").fill("H66-66");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/To open H66-66/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/Planned in \d+ ms/)).toBeVisible();
  await page.getByLabel("To open").fill("H0-nowhere");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "no place" })).toBeVisible();
});

test("in the hand: the line can be read, tapped and walked through at 390 px", async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await open(page, "ferry-shed", "FS-PA1");
  await expect(plan(page)).toContainText("FS-V1 Main control gate");
  await valve(page, "FS-V3").tap();
  await expect(plan(page).getByRole("button", { name: "What if: shut it" })).toBeVisible();
  expect(
    await page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth"),
  ).toBeLessThanOrEqual(0);
  await context.close();
});
