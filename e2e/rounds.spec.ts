import { TestServer } from "./server";
import { expect, type Page, test } from "./test";

/** Rounds: a quarter is planned, a piece of work says why it is where it is, and a crew put together makes room. */
const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());
// Every job of the quarter is compiled and its weeks are searched: on a busy host beside another test.
test.setTimeout(180_000);
const PLANNED = { timeout: 90_000 };

/** Saves the house and waits until that is done. */
async function saved(page: Page) {
  const answered = page.waitForResponse(
    (answer) => answer.request().method() === "PUT" && answer.url().includes("/house"),
  );
  await page.getByRole("button", { name: "Save", exact: true }).click();
  expect((await answered).ok()).toBe(true);
}

test("a quarter is planned, and each piece of work says why then and why they", async ({ page }) => {
  await page.goto(`${server.url}/rounds`);
  await expect(page.getByRole("heading", { name: /^Week \d+$/ })).toBeVisible(PLANNED);
  const weeks = page.getByRole("group", { name: "Week" }).getByRole("button");
  await expect(weeks).toHaveCount(13);
  // By keyboard: the second week, then its first piece of work.
  await weeks.nth(1).focus();
  await page.keyboard.press("Enter");
  await expect(weeks.nth(1)).toHaveAttribute("aria-pressed", "true");
  const main = page.getByRole("main");
  const block = main.getByRole("button", { name: /, (Mon|Tues|Wednes|Thurs|Fri)day \d\d:\d\d to / }).first();
  await block.focus();
  await page.keyboard.press("Enter");
  await expect(block).toHaveAttribute("aria-pressed", "true");
  const card = main.getByRole("region", { name: /: why so$/ });
  await expect(card).toContainText("Why then");
  await expect(card).toContainText("Why they");
  await expect(card).toContainText("Otherwise");
});

test("what no crew may do is told, and planned as soon as a crew is put together that may", async ({
  page,
}) => {
  await page.goto(`${server.url}/rounds`);
  const main = page.getByRole("main");
  await expect(main).toContainText("No crew has all that it needs: 2 people, electricity, fire.", PLANNED);
  await page.goto(`${server.url}/loft/house`);
  await page
    .getByRole("group", { name: "People of Jory, Bryn and Mara" })
    .getByRole("button", { name: "Bryn Collier" })
    .click();
  await page
    .getByRole("group", { name: "People of Isla and Tam" })
    .getByRole("button", { name: "Bryn Collier" })
    .click();
  await saved(page);
  await page.goto(`${server.url}/rounds`);
  await expect(page.getByRole("heading", { name: /^Week \d+$/ })).toBeVisible(PLANNED);
  await expect(main.getByText("2 people, electricity, fire", { exact: false })).toHaveCount(0);
});

test("where nobody goes out together it is said, with what to do", async ({ page }) => {
  await page.goto(`${server.url}/loft/house`);
  for (const name of ["Isla and Tam", "Jory, Bryn and Mara"])
    await page.getByRole("button", { name: `Take the crew ${name} away` }).click();
  await saved(page);
  await page.goto(`${server.url}/rounds`);
  const alert = page.getByRole("main").getByRole("alert");
  await expect(alert).toContainText("Put the crews together in the Loft", PLANNED);
  await expect(page.getByRole("link", { name: "The house" })).toBeVisible();
});
