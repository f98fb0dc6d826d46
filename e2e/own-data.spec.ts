import { heldBy } from "./browser";
import { TestServer } from "./server";
import { expect, type Page, test } from "./test";

/** Own data on screen: from an empty folder, changed, matched, brought in, taken back. */

/** What is offered right after a change; the lists of changes have their own. */
const undo = (page: Page) => page.locator("[data-sonner-toast]").getByRole("button", { name: "Undo" });
const save = (page: Page, name: string) => page.getByRole("button", { name, exact: true }).click();

test.describe("from an empty folder", () => {
  // Whoever sets it up holds the device.
  test.use({ storageState: heldBy("Ina Lund") });
  const server = new TestServer("own");
  test.beforeAll(() => server.start());
  test.afterAll(() => server.end());

  test("the first hour: who, where, a line from a template, a valve on it, and a job that knows what to shut", async ({
    page,
  }) => {
    await page.goto(server.url);
    await page.getByRole("link", { name: /Who are you/ }).click();
    await page.getByLabel("Name", { exact: true }).fill("Ina Lund");
    await page.getByRole("group", { name: "Until when" }).getByLabel("Gas").fill("soon");
    await save(page, "Add to the crew");
    await expect(page.getByRole("alert").filter({ hasText: "gas=2027-05-01" })).toBeVisible();
    await page.getByRole("group", { name: "Until when" }).getByLabel("Gas").fill("open");
    await save(page, "Add to the crew");
    await page.waitForURL(/\/crew$/);
    await expect(page.getByRole("main")).toContainText("no end");

    await page.goto(server.url);
    await page.getByRole("link", { name: /A place/ }).click();
    await page.getByLabel("Name", { exact: true }).fill("North yard");
    await page.getByLabel("North", { exact: false }).first().fill("57.1");
    await save(page, "Add this place");
    await expect(page.getByRole("main").getByText("needs both")).toBeVisible();
    await page.getByLabel("East").fill("2,3");
    await page.getByLabel("The way in").fill("Key 7 at the gate");
    await save(page, "Add this place");
    await page.waitForURL(/places\/North%20yard$/);

    await page.goto(server.url);
    await page.getByRole("link", { name: /A line/ }).click();
    await page.getByLabel("What is it called?").fill("Yard main");
    const hydrants = page.locator("li", { hasText: "Hydrants on a street main" });
    await hydrants.getByLabel("How many hydrants").fill("2");
    await hydrants.getByRole("button", { name: "Begin with this" }).click();
    await save(page, "Save the line");
    await page.waitForURL(/lines\/yard-main$/);

    await page.getByRole("link", { name: "Register the valve at H2" }).click();
    await page.getByLabel("Part of its name, maker or kind").fill("wet-barrel hydrant, outlet");
    await page.getByRole("link", { name: /Wet-barrel hydrant, outlet valve/ }).click();
    await page.getByLabel("Tag", { exact: true }).fill("YH-2");
    await page.getByLabel("Which one it is").fill("Hydrant at the shed");
    await page.getByLabel("Place", { exact: true }).fill("North yard");
    await page.getByLabel("Build", { exact: true }).selectOption({ index: 1 });
    await save(page, "Register this valve");
    await page.waitForURL(/valves\/YH-2$/);
    await expect(page.getByRole("main")).toContainText("Yard main");
    await expect(page.getByRole("main")).toContainText("Key 7 at the gate");
    // It stands on the line from the line's side, too.
    await page.goto(`${server.url}/lines/yard-main`);
    await expect(page.getByRole("main")).toContainText("YH-2");
    await page.goto(`${server.url}/valves/YH-2/start`);
    await expect(page.getByRole("main")).toContainText("SV-2");
    // And the first hour goes on beside what rings already.
    await page.goto(server.url);
    await expect(page.getByRole("main")).toContainText("4 of 6");
  });

  test("a list of two thousand rows with columns of its own: matched, seen, brought in, undone, and known again", async ({
    page,
  }) => {
    const rows = Array.from(
      { length: 2000 },
      (_, at) => `K-${at};Trap ${at};Kitchens, row ${at % 40};Trap 20;${(at % 28) + 1}.03.201${at % 10};;x`,
    );
    const list = ["Asset No.;Description;Location;Model;Date installed;Serial No;Colour", ...rows].join("\n");
    const file = { name: "hall.csv", mimeType: "text/csv", buffer: Buffer.from(list) };
    await page.goto(`${server.url}/loft/import`);
    await page.locator("input[type=file]").setInputFiles(file);
    await expect(page.getByLabel("What Asset No. is")).toHaveValue("tag");
    await expect(page.getByLabel("What Colour is")).toHaveValue("");
    await page.getByLabel("Trap 20", { exact: true }).selectOption({ label: "Inverted-bucket steam trap" });
    await save(page, "Use these columns");
    await expect(page.getByText(/Register: 2000 valves, 2000 new/)).toBeVisible({ timeout: 30_000 });
    await save(page, "Bring it in");
    await expect(page.getByRole("button", { name: "Undo all of it" }).first()).toBeEnabled({
      timeout: 60_000,
    });
    await page.goto(`${server.url}/valves/K-1999`);
    await expect(page.getByRole("main")).toContainText("Kitchens, row 39");
    await expect(page.getByRole("main")).toContainText("12 Mar 2019");
    await page.goto(`${server.url}/loft/import`);
    await page.getByRole("button", { name: "Undo all of it" }).first().click();
    await expect(page.getByText("undone").first()).toBeVisible({ timeout: 60_000 });
    expect((await page.request.get(`${server.url}/valves/K-1999`)).status()).toBe(404);
    // The same columns are known the next time, with what was chosen for them.
    await page.locator("input[type=file]").setInputFiles(file);
    await expect(page.getByLabel("Trap 20", { exact: true })).toHaveValue("lantern-bucket-20");
  });

  test("rows pasted from a spreadsheet, a wrong date told at its row", async ({ page }) => {
    await page.goto(`${server.url}/loft/import`);
    await page.getByText("Or paste rows from a spreadsheet").click();
    await page
      .getByLabel("Rows, the first with the heads of the columns")
      .fill("tag\tname\tplace\tsheet\tinstalled\nP-1\tTrap\tCellar\tlantern-bucket-20\tlast spring");
    await save(page, "Look at them");
    await expect(page.getByRole("alert").filter({ hasText: "Nothing was changed" })).toContainText("row 2");
  });
});

test.describe("on the demo", () => {
  const server = new TestServer("demo");
  test.beforeAll(() => server.start());
  test.afterAll(() => server.end());

  test("a valve is changed, reported, retired, brought back, and each is undone where it was done", async ({
    page,
  }) => {
    await page.goto(`${server.url}/valves/NQ-H03`);
    await page.getByRole("link", { name: "Change", exact: true }).click();
    await page.getByLabel("Which one it is").fill("Hydrant at the sail store");
    await page.getByLabel("Inspect, flow a little, leak test (sheet: 12 months)").fill("6");
    await page.getByLabel("Why, and on whose word").fill("Salt spray: the harbour master");
    await save(page, "Save");
    await expect(page.getByRole("heading", { level: 1 })).toHaveText("Hydrant at the sail store");
    await expect(page.getByRole("main")).toContainText("Set by the site: the sheet says 12 months");
    await undo(page).click();
    await expect(page.getByRole("heading", { level: 1 })).toHaveText("Hydrant at the rope store");

    await page.getByRole("button", { name: "Report a fault" }).click();
    await page.getByRole("dialog").getByLabel("In other words").fill("Leans after the lorry");
    await save(page, "Report it");
    await expect(page.getByRole("main")).toContainText("Reported: Leans after the lorry");

    await page.getByRole("button", { name: "Retire" }).click();
    await save(page, "Retire it");
    await expect(page.getByRole("dialog")).toContainText("Say why");
    await page.getByRole("dialog").getByLabel("Why").fill("Run over by a lorry");
    await save(page, "Retire it");
    await expect(page.getByRole("main")).toContainText("Run over by a lorry");
    await expect(page.getByRole("link", { name: "Start a job" })).toHaveCount(0);
    await page.getByRole("button", { name: "Bring it back" }).click();
    await expect(page.getByRole("link", { name: "Start a job" })).toBeVisible();
    await page.goto(`${server.url}/loft/changes`);
    await expect(page.getByRole("main")).toContainText("Brought back into service: NQ-H03");
  });

  test("several valves at once: chosen, changed, undone; what cannot be is told and changes nothing", async ({
    page,
  }) => {
    await page.goto(`${server.url}/valves?place=North+quay`);
    await page.getByRole("button", { name: "Several" }).click();
    await page.getByLabel("Choose NQ-H05").check();
    await page.getByLabel("Choose NQ-H06").check();
    await page.getByRole("button", { name: "Change them" }).click();
    const dialog = page.getByRole("dialog");
    await dialog.getByLabel("What").selectOption("installed");
    await dialog.getByRole("textbox", { name: "Built in" }).fill("last spring");
    await save(page, "Change 2 valves");
    await expect(dialog.getByRole("alert")).toContainText("Nothing was changed");
    await dialog.getByLabel("What").selectOption("place");
    await dialog.getByLabel("Place", { exact: true }).fill("Herring dock");
    await save(page, "Change 2 valves");
    await expect(page.getByText("2 valves changed.")).toBeVisible();
    await page.goto(`${server.url}/places`);
    await expect(page.getByRole("main")).toContainText("Herring dock");
    await page.goto(`${server.url}/loft/changes`);
    await page.getByRole("button", { name: "Undo", exact: true }).first().click();
    await expect(page.getByText("undone").first()).toBeVisible();
    await page.goto(`${server.url}/valves/NQ-H05`);
    await expect(page.getByRole("main")).toContainText("North quay");
  });

  test("a line is split with its valves and joined again; a place on the map leads to what stands there", async ({
    page,
  }) => {
    await page.goto(`${server.url}/lines/ropewalk-gas`);
    await page.getByRole("button", { name: "Split" }).click();
    const dialog = page.getByRole("dialog");
    await dialog.getByLabel("Name of the new line").fill("Number 21");
    await dialog.getByLabel("Cut at").selectOption("p-K2-r21");
    await save(page, "Split");
    await page.waitForURL(/lines\/number-21$/);
    await page.goto(`${server.url}/valves/RW-G21`);
    await expect(page.getByRole("main")).toContainText("Number 21");
    await page.goto(`${server.url}/places`);
    await page.getByRole("link", { name: /Ropewalk terrace, 3 valves/ }).press("Enter");
    await page.waitForURL(/places\/Ropewalk%20terrace$/);
    await expect(page.getByRole("main")).toContainText("RW-G21");
    await page.getByRole("button", { name: "Take it away" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "Take it away" }).click();
    await expect(page.getByRole("dialog").getByRole("alert")).toContainText("It has to stay");
  });

  test("a photograph of the nameplate is kept with the valve, and can come back after it was taken away", async ({
    page,
  }) => {
    await page.goto(`${server.url}/valves/LD-T11`);
    const png = Buffer.from(
      "iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAIAAABLbSncAAAAEUlEQVR4nGM4YaOBFTEMLQkAdntLARs7+acAAAAASUVORK5CYII=",
      "base64",
    );
    await page
      .locator("input[type=file]")
      .setInputFiles({ name: "nameplate.png", mimeType: "image/png", buffer: png });
    await expect(page.getByRole("img", { name: "nameplate" })).toBeVisible();
    await page.getByRole("button", { name: "Take nameplate away" }).click();
    await expect(page.getByRole("img", { name: "nameplate" })).toHaveCount(0);
    await undo(page).click();
    await expect(page.getByRole("img", { name: "nameplate" })).toBeVisible();
  });
});
