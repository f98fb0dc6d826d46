import { readFileSync } from "node:fs";
import { soundForAll } from "./quick-axe";
import { TestServer } from "./server";
import { Technician } from "./technician";
import { expect, type Page, test } from "./test";

/** Jobs on three kinds of build, by the buttons a technician has: a counted stack, a twin under pressure, a live cock. */
const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

async function start(page: Page, tag: string, reason?: string): Promise<Technician> {
  await page.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
  await page.goto(`${server.url}/valves/${tag}/start`);
  if (reason !== undefined) await page.getByRole("button", { name: reason, exact: true }).click();
  await page.getByRole("button", { name: /Start the job/ }).click();
  await page.waitForURL(/\/jobs\/[^/]+$/);
  return new Technician(page, server);
}

const saved = (page: Page) => expect(page.getByText("saved", { exact: true })).toBeVisible();

test("a stack valve: photographed, counted out, its look-alike piston caught, counted in, its depth measured", async ({
  page,
}) => {
  const tech = await start(page, "LD-SF1");
  await tech.until(/^Where stands the cam mark/);
  await tech.card.locator("input[type=file]").setInputFiles("docs/screenshots/sheet.png");
  const photo = tech.card.getByRole("img", { name: "Photograph 1" });
  await expect(photo).toBeVisible();
  await saved(page);

  await tech.until(/^Pull the stack out piece by piece/);
  await expect(tech.card.getByText("out, from the top down")).toBeVisible();
  await soundForAll(page);
  for (let piece = 1; piece <= 9; piece++) {
    await expect(tech.wide).toHaveText(new RegExp(`^Piece ${piece} is out`));
    if (piece === 9) await expect(tech.card.getByText("The odd one:")).toBeVisible();
    await tech.press();
  }
  await expect(tech.wide).toHaveText(/^Off, on the tray/);
  await tech.press();

  // Each piece is looked at by itself; one seal is frayed, and what frayed it is asked.
  await tech.until(/^Look at each piece/);
  await expect(tech.card.getByText("It went back 2 times since it was new.")).toBeVisible();
  await soundForAll(page);
  for (let piece = 1; piece <= 9; piece++) {
    await expect(tech.card.getByText(`Piece ${piece} of 9, from the bottom`)).toBeVisible();
    await tech.card
      .getByRole("button", { name: piece === 4 ? "Frayed or torn" : "Sound", exact: true })
      .click();
  }
  await tech.until(/^Draw a nail along the piston/);
  await tech.choose("The nail catches");
  await tech.until(/^Look what lies in the bore/);
  await tech.choose("Sand or grit");
  // What goes in is compared first: the softener's piston has the filter's for a twin.
  await tech.until(/^Build the stack up one by one/, { "Count blocked holes": "0" });
  for (let piece = 1; piece <= 9; piece++) {
    await expect(tech.wide).toHaveText(new RegExp(`^Piece ${piece} is in`));
    await expect(tech.card.getByText(piece === 4 ? "a new one" : "the old one again")).toBeVisible();
    await tech.press();
  }
  await tech.press();
  await tech.until(/^Push the piston in/, { "Measure from the rim": "7 mm" });
  await tech.compare({ "Its length, measured": "118", "Its rings": "two grooves" });
  await expect(tech.card.getByText("A look-alike.")).toBeVisible();
  await soundForAll(page);
  await expect(tech.card.getByText(/raw water passes in service/)).toBeVisible();
  await tech.compare({ "Its length, measured": "124", "Its rings": "three grooves" });
  await expect(tech.card.getByText("It is the right one.")).toBeVisible();
  await tech.press();

  // The note and its photograph come back where the drive goes in; another answer than the noted one is not taken.
  await tech.until(/socket|plug sit\? Look now/i);
  await tech.choose("Socket M2");
  await expect(tech.card.getByText("You noted: Socket M1.")).toBeVisible();
  await tech.choose("Socket M1");

  // Three seals of the kit are right to be left: they are ticked, and counted.
  await tech.until(/^Account for the tray/);
  await tech.press();
  await expect(tech.card.getByText(/Not ticked yet: Seal/)).toBeVisible();
  await tech.card.getByRole("button", { name: /3 × Seal/ }).click();
  await tech.press();
  await expect(tech.card.getByText(/3 should be left over and 0 are/)).toBeVisible();
  await tech.until(/^Sign off/, { "Run a cycle": "1", "Measure from the rim": "7 mm" });
  await tech.sign();
  await page.waitForURL(/record$/);
  await expect(page.getByText(/This is the piston for filters/)).toBeVisible();
  await expect(page.getByText(/Seal stack: 8 × Sound, 1 × Frayed or torn/)).toBeVisible();
  // It rings in two years now, because of the grit, and the hardness is looked at after a week.
  await page.goto(`${server.url}/valves/LD-SF1`);
  await expect(page.getByText("Measure the hardness again").first()).toBeVisible();
  await expect(page.getByText(/24 months .* The sheet says 60 months/).first()).toBeVisible();
  await page.goBack();
  await expect(page.getByRole("img", { name: /^Where stands the cam mark/ })).toBeVisible();
  const shown = await page.getByRole("img", { name: /^Where stands the cam mark/ }).getAttribute("src");
  const kept = await page.request.get(server.url + shown);
  expect([kept.status(), kept.headers()["content-type"]]).toEqual([200, "image/jpeg"]);
});

test("a twin relief set: the stem is turned, the vessel stays protected, the wrong setting is not fitted", async ({
  page,
}) => {
  const tech = await start(page, "GN-RV4A", "Due: exchange it");
  await tech.until(/^Turn Relief stem GN-RS4/);
  await tech.until(/^Pull both shipping caps/, { "Read the set pressure": "20 bar" });
  await tech.compare({ "Its tag colour": "red" });
  await expect(tech.card.getByText(/the vessel would burst before it opens/)).toBeVisible();
  await tech.compare({ "Its tag colour": "blue" });
  await tech.press();
  await tech.until(/back.* Relief stem GN-RS4|Turn back .*GN-RS4|turn back Relief stem GN-RS4/i);
  await tech.until(/^Sign off/);
  await tech.sign();
  await page.waitForURL(/record$/);
  await expect(page.getByText(/New: Relief valve/)).toBeVisible();
});

test("a hydrant that opens otherwise than registered: looked at again, taken back, then worked by", async ({
  page,
}) => {
  const tech = await start(page, "NQ-H10");
  await tech.until(/^Which way does it open/);
  await tech.choose("Left (anticlockwise)");
  await expect(tech.headline).toHaveText('Look again: the register says "Opens right (clockwise)".');
  await soundForAll(page);
  // A wrong tap is taken back, and nothing is asked any more.
  await tech.card.getByRole("button", { name: "Undo the newest entry" }).click();
  await expect(tech.headline).toHaveText(/^Which way does it open/);
  await tech.choose("Right (clockwise)");
  await expect(tech.headline).toHaveText("Which way does the large nozzle face?");
  await tech.card.getByRole("button", { name: "Undo the newest entry" }).click();
  await tech.choose("Left (anticlockwise)");
  await tech.press();
  await expect(tech.headline).toHaveText("Which way does the large nozzle face?");
  await saved(page);
  const { events } = await (
    await page.request.get(`${server.url}/api/v1/jobs/${page.url().split("/").at(-1)}`)
  ).json();
  expect(events.at(-1).event).toMatchObject({ kind: "step-done", step: "build:opens", by: "Tam Arkle" });
});

test("a meter cock is only greased: nothing is shut, it is asked twice, and nobody is left without gas", async ({
  page,
}) => {
  const tech = await start(page, "RW-G17");
  const figures = {
    "Feel the key": "12",
    "Read the air": "15 °C",
    "Read the gas monitor": "2",
    "Shut it gently": "0",
    "At which angle": "0",
  };
  await tech.until(/^Nothing is shut: gas stays in the pipe/, figures);
  await tech.press();
  await expect(tech.card.getByText("Say yes to both, or stop work.")).toBeVisible();
  await soundForAll(page);
  await tech.until(/^Key OPEN. Fit the gun to the port/, figures);
  await expect(tech.card.getByText(/stands OPEN/)).toBeVisible();
  await expect(tech.card.getByText("No pipe wrench:")).toBeVisible();
  await tech.until(/^Turn the key briskly through a half circle/, figures);
  for (const tick of await tech.card.locator("[data-tick]").all()) await tick.click();
  // Nothing is done that was not timed; a count-in can be called off.
  await tech.press();
  await expect(tech.card.getByRole("alert")).toContainText("have yourself counted in");
  await tech.card.getByRole("button", { name: "Count me in" }).click();
  await expect(tech.card.getByText("Both hands on the wrenches.")).toBeVisible();
  await tech.card.getByRole("button", { name: "Not yet: back" }).click();
  await tech.until(/Turn the key on through the other half circle/, figures);
  await tech.until(/^Look at every appliance/, figures);
  await tech.choose("One does not");
  await expect(tech.card.getByText(/Stay. Relight it/)).toBeVisible();
  await tech.card.getByRole("button", { name: "Put it right, then look again" }).click();
  await tech.choose("All burn");
  await tech.until(/^Sign off/, figures);
  await tech.sign();
  await page.waitForURL(/record$/);
  await expect(page.getByText("Nothing was shut.")).toBeVisible();
});

test("a gas cock that smells is declined by everybody, and handed over as a graded leak", async ({
  page,
}) => {
  await page.goto(`${server.url}/valves/RW-G21/start`);
  // What was tried before anybody reads the plan stands on the page it begins on.
  const proven = page.getByText(/^Proven: \d+ acts against \d+ truths?, no harm$/);
  await expect(proven).toBeVisible();
  await proven.click();
  await expect(page.getByText("All is as everybody believes.")).toBeVisible();
  const tech = await start(page, "RW-G21");
  await tech.choose("It smells or bubbles");
  await expect(tech.card.getByText(/Grade the leak and hand it over/)).toBeVisible();
  await expect(tech.card.getByRole("button", { name: "Skip, with a reason" })).toHaveCount(0);
  await tech.card.getByRole("button", { name: "Close here, or hand it over" }).click();
  const closing = page.getByRole("dialog");
  await closing.getByRole("button", { name: "A leak, graded" }).click();
  await soundForAll(page);
  await closing.getByRole("combobox", { name: "Write your name to sign" }).fill("Tam Arkle");
  await closing.getByRole("button", { name: "Sign and close" }).click();
  await expect(closing.getByText("Write who took it on")).toBeVisible();
  await closing.getByRole("textbox", { name: "To whom?" }).fill("Gas emergency desk, Ina Lund");
  await closing.getByRole("button", { name: "Sign and close" }).click();
  await page.waitForURL(/record$/);
  await expect(page.getByRole("heading", { name: "Handed over" })).toBeVisible();
  await expect(page.getByText("A leak, graded, to Gas emergency desk, Ina Lund").first()).toBeVisible();
});

test("a sheet is edited: what holds what is drawn, steps follow, a broken one is not stored, revisions are kept", async ({
  page,
}) => {
  await page.goto(`${server.url}/sheets/ottermouth-brook-20/edit`);
  const steps = page.getByRole("list", { name: "Steps" });
  // A choice that is made before the page has come to life is lost.
  await expect(async () => {
    await page.getByRole("combobox", { name: "Reach" }).selectOption("Piston");
    await page.getByRole("combobox", { name: "Reach" }).selectOption("Injector screen");
    await expect(steps).not.toContainText("Take the cover off.", { timeout: 2000 });
  }).toPass({ timeout: 60_000 });

  await page.getByRole("tab", { name: "Held by" }).click();
  const plate = (name: string) => page.locator(".react-flow__node", { hasText: new RegExp(`^${name}$`) });
  await expect(plate("Cover")).toBeVisible();
  await plate("Cover").locator(".source").dragTo(plate("Injector cap screws").locator(".target"));
  await expect(steps).toContainText("Take the cover off.");

  // A figure that cannot be and a name that is gone are said at the part, and Save waits.
  await page.getByRole("tab", { name: "Parts" }).click();
  await page
    .getByRole("button", { name: /^Piston,? ?/ })
    .first()
    .click();
  const name = page.getByRole("textbox", { name: "Name", exact: true }).first();
  await name.fill("");
  await expect(page.getByText(/to mend before it can be saved/)).toBeVisible();
  await expect(page.getByRole("button", { name: "Save" })).toBeDisabled();
  await name.fill("Piston, softener");
  await expect(page.getByRole("button", { name: "Save" })).toBeEnabled();

  // Undo takes the last letters back; what is not saved is kept on the device.
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Redo" }).click();
  await page.reload();
  await page.getByRole("button", { name: "Go on with it" }).click();
  await expect(page.getByRole("button", { name: "Piston, softener" }).first()).toBeVisible();
  await page.getByRole("button", { name: "Save" }).click();
  await page.waitForURL(/\/sheets\/ottermouth-brook-20$/);
  const shipped: number = JSON.parse(readFileSync("library/ottermouth-brook-20.json", "utf8")).revision;
  await expect(page.getByText(`Brook 20, revision ${shipped + 1}`)).toBeVisible();
  await page
    .getByRole("navigation", { name: "Revisions" })
    .getByRole("link", { name: `${shipped}`, exact: true })
    .click();
  await expect(page.getByText("An older revision.")).toBeVisible();

  await page.getByRole("link", { name: "Adapt a copy" }).click();
  await expect(page.getByText("stored under ottermouth-brook-20-2")).toBeVisible();
  await page.getByRole("button", { name: "Save" }).click();
  await page.waitForURL(/\/sheets\/ottermouth-brook-20-2$/);
});

test("a harm in a sheet is caught while it is written: the card, what would happen, and what cures it", async ({
  page,
}) => {
  await page.goto(`${server.url}/sheets/brae-quaywall-4/edit`);
  await expect(page.getByText(/^Proven: \d+ acts against \d+ truths, no harm$/)).toBeVisible();
  await page.getByRole("tab", { name: "Tools, supplies" }).click();
  await page
    .locator("summary, button", { hasText: /^Torque wrench/ })
    .first()
    .click();
  await page.getByRole("textbox", { name: /^Pulls from/ }).fill("50");
  await expect(page.getByText(/^Not proven: 2 harms found$/)).toBeVisible();
  const harms = page.getByRole("list", { name: "Harms" });
  await expect(harms).toContainText("Pull the gland bolts crosswise");
  await expect(harms).toContainText("No wrench that is named for Gland bolts can show 5.4 N·m.");
  await expect(harms).toContainText("Name one whose range covers every pass.");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText(/^Proven: \d+ acts/)).toBeVisible();
});

test("a sheet by the route: the next revision, a stale one, a broken one", async ({ request }) => {
  const get = async () =>
    (await request.get(`${server.url}/api/v1/sheets/sedgeway-furrow-25`)).json() as Promise<
      Record<string, unknown> & { revision: number; symptoms: readonly unknown[] }
    >;
  const sheet = await get();
  const { symptoms } = sheet;
  const next = sheet.revision + 1;
  const post = async (data: unknown) => {
    const answer = await request.post(`${server.url}/api/v1/sheets`, { data: data as object });
    return { status: answer.status(), body: await answer.json() };
  };
  expect(await post({ ...sheet, title: "Pit valve" })).toMatchObject({
    status: 201,
    body: { revision: next },
  });
  expect(await post({ ...sheet, title: "Pit valve again" })).toMatchObject({
    status: 409,
    body: { errors: [{ path: "/revision" }] },
  });
  expect(
    await post({ ...(await get()), symptoms: [...symptoms, { id: "x", says: "x", reach: ["ghost"] }] }),
  ).toMatchObject({
    status: 422,
    body: { errors: [{ path: `/symptoms/${symptoms.length}/reach/0` }] },
  });
  expect((await get()).revision).toBe(next);
  const first = await request.get(
    `${server.url}/api/v1/sheets/sedgeway-furrow-25?revision=${sheet.revision}`,
  );
  expect((await first.json()).title).toBe(sheet.title);
});

test("a sheet that would hurt somebody: told as it comes in, drawn where it happens, and worked by nobody", async ({
  page,
}) => {
  const sheet = await (await page.request.get(`${server.url}/api/v1/sheets/brae-quaywall-4`)).json();
  const harmful = {
    ...sheet,
    revision: sheet.revision + 1,
    tools: sheet.tools.map((tool: { class?: string }) =>
      tool.class === "torque-wrench" ? { ...tool, least_Nm: 50 } : tool,
    ),
  };
  await page.goto(`${server.url}/loft/import`);
  await page.locator("input[type=file]").setInputFiles({
    name: "harmful.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify(harmful)),
  });
  await expect(page.getByText(/^Not proven: \d+ harms? found$/)).toBeVisible();
  await expect(page.getByText("Until it is put right nobody can start a job by it.")).toBeVisible();
  await expect(page.getByRole("list", { name: "Harms" }).locator("svg").first()).toBeVisible();
  await page.getByRole("button", { name: "Bring it in" }).click();
  const broughtIn = page
    .locator("section")
    .filter({ has: page.getByRole("heading", { name: "Brought in", exact: true }) });
  const undo = broughtIn.getByRole("button", { name: "Undo all of it" });
  await expect(undo).toBeVisible();
  const other = await page.context().newPage();
  await other.goto(`${server.url}/valves/NQ-H05/start`);
  await expect(other.getByRole("button", { name: "Not proven: nobody works by it" })).toBeDisabled();
  const asked = await page.request.post(`${server.url}/api/v1/jobs`, {
    data: {
      valve: "NQ-H05",
      reason: { kind: "due", says: "Due" },
      reach: ["disc"],
      policy: "on-condition",
    },
  });
  expect(asked.status()).toBe(422);
  expect((await asked.json()).errors[0]).toMatchObject({
    path: "/sheet",
    message: expect.stringMatching(/^Not proven/),
  });
  await undo.click();
  await other.reload();
  await expect(other.getByRole("button", { name: /^Start the job/ })).toBeEnabled();
});

test("a sheet for a model of one's own, from the build of its family and in words of the trade, with no figure of the template", async ({
  page,
  request,
}) => {
  await page.goto(`${server.url}/sheets`);
  await page.getByRole("link", { name: "A sheet of your own" }).click();
  await page.getByLabel("A word of its kind").fill("steam trap");
  await page.getByRole("link", { name: /^Steam trap/ }).click();
  await page.getByRole("textbox", { name: "Maker" }).fill("Tidewater Works");
  await page.getByRole("textbox", { name: "Model", exact: true }).fill("Slip 7");
  const make = page.getByRole("button", { name: "Make the sheet" });
  await make.click();
  // The first thing that lacks is brought into sight, however long the form is.
  await expect(page.getByText("Name the paper: without one a figure is nobody's.")).toBeInViewport();
  await expect(page.getByText("Say of one thing at least how often it is done")).toBeVisible();
  await expect(page.getByText("Read them, and set the mark")).toBeVisible();
  await page.getByRole("textbox", { name: "The paper they come from" }).fill("Tidewater leaflet 12, page 3");
  // Its hinge has no screws: they go from the drawing, and their thread is not asked.
  const thread = page.getByRole("textbox", { name: "Hinge screws: thread" });
  await expect(thread).toBeVisible();
  await expect(page.getByRole("checkbox", { name: "Strainer plug" })).toBeDisabled();
  await page.getByRole("checkbox", { name: "Hinge screws" }).uncheck();
  await expect(thread).toHaveCount(0);
  await page
    .getByRole("textbox", { name: /months/ })
    .first()
    .fill("6");
  await page.getByRole("textbox", { name: /^Cover bolts.*: pull to/ }).fill("40 ft lb");
  await page.getByRole("button", { name: "The empty ones are as in the template" }).click();
  await page.getByRole("textbox", { name: "Cover bolts: thread" }).fill("M14");
  await page.getByRole("checkbox", { name: /I have read each/ }).check();
  await expect(page.getByText("Everything is said.")).toBeVisible();
  // What was told is kept on the device until it is stored.
  await page.reload();
  await page.getByRole("button", { name: "Go on with it" }).click();
  await expect(page.getByText("Everything is said.")).toBeVisible();
  await make.click();
  await page.waitForURL(/\/sheets\/tidewater-works-slip-7$/);
  await expect(
    page.getByText("Tam Arkle vouches for its figures: Tidewater leaflet 12, page 3"),
  ).toBeVisible();
  const document = await (await request.get(`${server.url}/api/v1/sheets/tidewater-works-slip-7`)).json();
  const part = (id: string) => document.parts.find((each: { id: string }) => each.id === id);
  expect(part("hinge-screws")).toBeUndefined();
  expect(part("bolts").fastener.thread).toBe("M14");
  // 40 ft·lbf are 54.2 N·m.
  expect(part("bolts").fit.end.torque_Nm).toBeCloseTo(54.23, 2);
  expect(part("bolts").fit.end.source).toBe("Tidewater leaflet 12, page 3");
  expect(document).toMatchObject({ demonstration: false, kits: [] });
  await page.getByRole("link", { name: "Edit" }).click();
  await expect(page.getByRole("heading", { name: "The steps that come out" })).toBeVisible();
});
