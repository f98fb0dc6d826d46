import { seriousFor } from "./quick-axe";
import { TestServer } from "./server";
import { Technician } from "./technician";
import { expect, type Page, test } from "./test";

/** The bench book as it is used: found, filled, turned, kept; cut from sheet; and opened from a step of a job. */
const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

const answer = (page: Page, label: string) =>
  page.getByRole("region", { name: "Answer" }).locator("div", { hasText: label }).locator("b").first();

test("a hydrant test: typed as people type, units turned, undone, remembered, shared, kept and taken back", async ({
  page,
  context,
}) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  await page.goto(`${server.url}/bench`);
  await page.getByRole("searchbox", { name: "Find a calculation" }).fill("pitot");
  await page.getByRole("link", { name: /^Hydrant flow/ }).click();
  await page.getByLabel("Static pressure", { exact: true }).fill("65 psi");
  await page.getByLabel("Residual pressure", { exact: true }).fill("50 psi");
  await page.getByLabel("Pitot, outlet 1", { exact: true }).fill("1,379");
  await page.getByLabel("Bore, outlet 1", { exact: true }).fill("2 1/2 in");
  await expect(answer(page, "Rated flow")).toHaveText("5 143 L/min");
  await expect(page.getByText("class A, green")).toBeVisible();

  // A wrong dimension is told at its field, and no figure is left standing.
  await page.getByLabel("Residual pressure", { exact: true }).fill("50 mm");
  await expect(page.getByRole("alert").filter({ hasText: /length/ })).toBeVisible();
  await expect(page.getByRole("region", { name: "Answer" })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByLabel("Residual pressure", { exact: true })).toHaveValue("50 psi");
  await expect(answer(page, "Rated flow")).toHaveText("5 143 L/min");

  // A unit is turned, the amount stays.
  await page.getByLabel("Unit of Pitot, outlet 1").selectOption("psi g");
  await expect(page.getByLabel("Pitot, outlet 1", { exact: true })).toHaveValue(/^20\.00/);
  await expect(answer(page, "Rated flow")).toHaveText("5 143 L/min");

  // An emptied field says which usual figure it counts as.
  const rated = page.getByLabel("Rated at residual", { exact: true });
  await rated.fill("");
  await expect(rated).toHaveAttribute("placeholder", "1.379");
  await expect(rated).toHaveAccessibleDescription(/usual figure/);
  await expect(answer(page, "Rated flow")).toHaveText("5 143 L/min");

  // The last values are there again; the link carries them to a device that never saw them.
  await page.reload();
  await expect(page.getByLabel("Static pressure", { exact: true })).toHaveValue("65 psi");
  await page.getByRole("button", { name: "Copy link" }).click();
  const link = await page.evaluate(() => navigator.clipboard.readText());
  const other = await (await page.context().browser()!.newContext()).newPage();
  await other.goto(link);
  await expect(answer(other, "Rated flow")).toHaveText("5 143 L/min");
  await other.context().close();

  // Kept with a valve, seen there, and taken back.
  await page.getByRole("button", { name: "Keep with a valve" }).click();
  await page.getByLabel("Valve", { exact: true }).fill("NQ-H07");
  await page.getByLabel("Figure").selectOption("rated");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByText("Kept with NQ-H07: 5 143 L/min")).toBeVisible();
  const seen = await context.newPage();
  await seen.goto(`${server.url}/valves/NQ-H07`);
  await seen.getByRole("link", { name: "Hydrant flow: Rated flow" }).click();
  // The next test is laid over this one.
  await expect(seen.getByRole("textbox", { name: /^Rated flow of an earlier test/ })).toHaveValue(
    /^514\d\.\d+ L\/min$/,
  );
  await seen.goBack();
  await page.getByRole("button", { name: "Undo", exact: true }).last().click();
  await expect(page.getByText("Taken back from NQ-H07.")).toBeVisible();
  await seen.reload();
  await expect(seen.getByText("Hydrant flow: Rated flow")).toHaveCount(0);
});

test("a gasket is cut: found by its trade word, drawn, and its template is as large as the gasket", async ({
  page,
}) => {
  await page.goto(`${server.url}/bench`);
  await page.getByRole("searchbox", { name: "Find a calculation" }).fill("full face joint");
  await page.getByRole("link", { name: /^Gasket cutter/ }).click();
  await page.getByLabel("Flange face").selectOption("flat");
  await page.getByLabel("Outside of the flange", { exact: true }).fill("8 1/2 in");
  await page.getByLabel("Bolt circle", { exact: true }).fill("7 in");
  await page.getByLabel("Bore", { exact: true }).fill("4 in");
  await expect(page.getByRole("img", { name: /^full-face gasket, 216 mm outside/ })).toBeVisible();
  const svg = page.getByRole("link", { name: "SVG" });
  const drawn = await (await page.request.get(server.url + (await svg.getAttribute("href")))).text();
  // 215.9 mm and an edge of 6 mm on either side; eight holes, a bore and the rim.
  expect(drawn).toContain('width="227.9mm"');
  expect(drawn.match(/<circle/g)).toHaveLength(10);
  const href = await page.getByRole("link", { name: "PDF" }).getAttribute("href");
  const pdf = await page.request.get(server.url + href);
  expect([pdf.status(), pdf.headers()["content-type"]]).toEqual([200, "application/pdf"]);
  const bytes = (await pdf.body()).toString("latin1");
  expect(bytes.slice(0, 5)).toBe("%PDF-");
  // A3: 297 × 420 mm in points.
  expect(bytes).toMatch(/MediaBox \[0 0 841\.8\d* 1190\.5\d*\]/);
  const wrong = await page.request.get(`${server.url}/bench/gasket-cutter/template/pdf?bore=9 psi`);
  expect([wrong.status(), (await wrong.json()).errors[0].path]).toEqual([422, "/bore"]);
});

test("from a step: the coil opens with its band, the cold reading is put right, and stands in the record", async ({
  page,
}) => {
  await page.clock.install({ time: Date.now() });
  await page.goto(`${server.url}/valves/LY-S1h/start`);
  await page.getByRole("button", { name: /Start the job/ }).click();
  await page.waitForURL(/\/jobs\/[^/]+$/);
  const tech = new Technician(page);
  // Its power alone is shut before it: no water, no wait.
  await tech.until(/^Take one wire off/);
  await tech.card.getByRole("button", { name: /^Coil check/ }).click();
  const sheet = page.getByRole("dialog", { name: "Coil check" });
  await expect(sheet.getByLabel("Band from", { exact: true })).toHaveValue("180 Ω");
  await expect(sheet.getByLabel("Band to", { exact: true })).toHaveValue("260 Ω");
  await sheet.getByLabel("Ohms read", { exact: true }).fill("172");
  await sheet.getByLabel("Leads and run", { exact: true }).fill("0,4");
  await sheet.getByLabel("Coil's temperature", { exact: true }).fill("-2 °C");
  await expect(sheet.getByText(/only because the coil is cold/)).toBeVisible();
  expect(await seriousFor(page, { include: ["[role=dialog]"] })).toEqual([]);
  await sheet.getByRole("button", { name: "Use as what was measured" }).click();
  await expect(sheet).toHaveCount(0);
  await expect(tech.headline).not.toHaveText(/^Take one wire off/);
  await expect(page.getByText("saved", { exact: true })).toBeVisible();
  // It is on the server, with what it was worked out from.
  const id = new URL(page.url()).pathname.split("/").at(-1);
  const job = await (await page.request.get(`${server.url}/api/v1/jobs/${id}`)).json();
  const kinds = job.events.map((each: { event: { kind: string } }) => each.event.kind);
  expect(kinds.slice(-2)).toEqual(["result-kept", "check-measured"]);
  await page.goto(`${server.url}/jobs/${id}/record`);
  await expect(page.getByText("Coil check: At 20 °C").first()).toBeVisible();
  await expect(page.getByText("188 Ω").first()).toBeVisible();
});

test("a wait becomes a bell for the phone, and the sheet prints what went in", async ({ page }) => {
  await page.goto(`${server.url}/bench/soak-and-hold?what=cure&start=2027-03-02T16:20`);
  await expect(answer(page, "Bell rings at")).toHaveText("2027-03-03 16:20");
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Set a bell" }).click(),
  ]);
  const text = await (await file.createReadStream()).toArray();
  const calendar = Buffer.concat(text).toString();
  expect(calendar).toContain("BEGIN:VALARM");
  const rings = await page.evaluate(() => new Date(2027, 2, 3, 16, 20).toISOString());
  expect(calendar).toContain(`DTSTART:${rings.replace(/[-:]|\.000/g, "")}`);
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("definition").filter({ hasText: "cure of a sealant" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Set a bell" })).toBeHidden();
});
