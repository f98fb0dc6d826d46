import QRCode from "qrcode";
import { heldBy } from "./browser";
import { TestServer } from "./server";
import { expect, type Page, test } from "./test";

/** The store: set up, counted in the hand, ordered, booked in, found by a label. */

/** What is offered right after a change: the newest lies before the others. */
const undo = (page: Page) =>
  page.locator('[data-sonner-toast][data-front="true"]').getByRole("button", { name: "Undo" });
const press = (page: Page, name: string) => page.getByRole("button", { name, exact: true }).click();

test.describe("of the island", () => {
  test.use({ storageState: heldBy("Isla Venn") });
  const server = new TestServer("demo");
  test.beforeAll(() => server.start());
  test.afterAll(() => server.end());

  test("a stock count on the phone leads to the order list, and what came is booked in", async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`${server.url}/store`);
    await page.getByRole("link", { name: "Count a place" }).click();
    await page.getByRole("link", { name: /^Van 1/ }).click();
    await page.getByLabel("Find in this place").fill("stem ring");
    const stem = page.getByLabel("Stem ring: pieces that lie here");
    await stem.fill("4");
    await expect(page.getByText("books say 5")).toBeVisible();
    await page.getByLabel("Find in this place").fill("bf g-10");
    await page.getByRole("button", { name: "Gasket set G-10: one less" }).click();
    await page.getByRole("button", { name: "Gasket set G-10: one less" }).click();
    await page.getByLabel("Find in this place").fill("");
    // What was counted is on the device: a dead battery loses none of it.
    page.on("dialog", (dialog) => void dialog.accept());
    await page.reload();
    await press(page, "Go on with it");
    await expect(page.getByText(/2 of \d+ counted, 2 otherwise/)).toBeVisible();
    await press(page, "Hand it in");
    await page.waitForURL(/store\/order$/);
    const mainland = page.getByRole("region", { name: "Mainland supplier" });
    await expect(mainland.getByRole("listitem").filter({ hasText: "Gasket set G-10" })).toContainText(
      "2 shall be",
    );
    await mainland.getByLabel("Gasket set G-10, pieces for Van 1").fill("3");
    await mainland.getByRole("button", { name: "It is ordered" }).click();
    const coming = page.getByRole("region", { name: "Order O-1002" });
    await expect(coming).toContainText("0 of 3 came");
    await expect(page.getByRole("region", { name: "Mainland supplier" })).toBeHidden();
    await coming.getByRole("button", { name: "Something came" }).click();
    const line = coming.getByRole("listitem").filter({ hasText: "Gasket set G-10" });
    await line.getByLabel("Came now").fill("2");
    await line.getByLabel("Price of one").fill("15,5");
    await coming.getByRole("button", { name: "Book it in" }).click();
    await expect(coming).toContainText("2 of 3 came");
    await undo(page).click();
    await expect(coming).toContainText("0 of 3 came");
    await page.goto(`${server.url}/store/ledger`);
    await expect(page.getByRole("listitem").filter({ hasText: "Taken back" }).first()).toContainText(
      "O-1002",
    );
  });

  test("a label opens its item: out of a picture, or typed; one of nothing says so", async ({ page }) => {
    await page.goto(`${server.url}/store`);
    await press(page, "Scan");
    const dialog = page.getByRole("dialog");
    await dialog.getByLabel("Or type what stands on it").fill("no such thing");
    await press(page, "Open");
    await expect(dialog).toContainText("Nothing here bears the label");
    await dialog.getByLabel(/Take a picture of it/).setInputFiles({
      name: "label.png",
      mimeType: "image/png",
      buffer: await QRCode.toBuffer(`${server.url}/valves/NQ-H07`, { width: 300 }),
    });
    await page.waitForURL(/valves\/NQ-H07$/);
    await page.goto(`${server.url}/store`);
    await press(page, "Scan");
    await dialog.getByLabel("Or type what stands on it").fill("4006310000314");
    await page.keyboard.press("Enter");
    await page.waitForURL(/store\/item/);
    await expect(page.getByRole("heading", { level: 1 })).toHaveText("Outlet disc kit K-31");
  });

  test("nothing lies below zero, and what was booked is taken back", async ({ page }) => {
    await page.goto(`${server.url}/store/item?store=works-store&kind=kit&id=BF-K31&sheet=brae-quaywall-4`);
    await page.getByLabel("Given out").check();
    await page.getByLabel("Place", { exact: true }).selectOption("van-1");
    await page.getByRole("button", { name: "Pieces: one more" }).click();
    await press(page, "Book out");
    await expect(page.getByRole("alert").filter({ hasText: "Only 1 piece" })).toBeVisible();
    await page.getByRole("button", { name: "Pieces: one less" }).click();
    await press(page, "Book out");
    const lies = page.getByRole("main").getByRole("listitem").filter({ hasText: "Van 1 at least" });
    await expect(lies).toContainText("0 pcs");
    await undo(page).click();
    await expect(lies).toContainText("1 pc");
  });
});

test.describe("from an empty folder", () => {
  test.use({ storageState: heldBy("Ina Lund") });
  const server = new TestServer("own");
  test.beforeAll(() => server.start());
  test.afterAll(() => server.end());

  test("a store is set up, a supply added, and what came booked in", async ({ page }) => {
    await page.goto(`${server.url}/store`);
    await page.getByRole("link", { name: "Set up the store" }).click();
    await page.getByLabel("Name", { exact: true }).first().fill("Works store");
    await press(page, "Set it up");
    await expect(
      page
        .getByRole("main")
        .getByText(/currency/i)
        .first(),
    ).toBeVisible();
    await page.getByLabel("Currency").fill("SHP");
    await press(page, "Set it up");
    await page.waitForURL(/\/store$/);
    await page.getByRole("link", { name: "Add an item" }).first().click();
    await page.getByLabel("Kind").selectOption("supply");
    await page.getByLabel("Name", { exact: true }).fill("PTFE tape");
    await page.getByLabel("Price").fill("dear");
    await press(page, "Add this item");
    await expect(page.getByText("Write the price of one as a number").last()).toBeVisible();
    await page.getByLabel("Price").fill("2,40");
    await page.getByLabel("At least").fill("3");
    await press(page, "Add this item");
    await page.waitForURL(/store\/item\?/);
    await press(page, "Book in");
    await expect(page.getByRole("main")).toContainText("1 pc, 1 free");
    await page.goto(`${server.url}/store/order`);
    await expect(page.getByRole("region", { name: "No supplier is known" })).toContainText("PTFE tape");
  });
});
