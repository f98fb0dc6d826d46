import { extractText, getDocumentProxy } from "unpdf";
import { TestServer } from "./server";
import { expect, type Page, test } from "./test";

/** Papers: what is printed says what the screen says, and its code opens what it stands on. */
const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

/** Follows a link to a PDF. @returns its pages as text */
async function pagesOf(page: Page, name: string | RegExp): Promise<readonly string[]> {
  const href = await page.getByRole("link", { name }).first().getAttribute("href");
  const answer = await page.request.get(server.url + href);
  expect([answer.status(), answer.headers()["content-type"]]).toEqual([200, "application/pdf"]);
  const pdf = await getDocumentProxy(new Uint8Array(await answer.body()));
  return (await extractText(pdf, { mergePages: false })).text;
}

test("a record goes out whole, and as one page for the customer, on the paper of the printer", async ({
  page,
}) => {
  await page.goto(`${server.url}/jobs/demo-h08-done/record`);
  await page.getByRole("button", { name: "As PDF" }).click();
  const whole = await pagesOf(page, /The whole record/);
  expect(whole.at(-1)).toContain(`page ${whole.length} of ${whole.length}`);
  expect(whole.join()).toContain("The log is whole.");
  for (const said of ["What is shut", "The valve, as it was left", "Everything, in order"])
    expect(whole.join()).toContain(said);
  await page.getByRole("button", { name: "Letter", exact: true }).click();
  const customers = await pagesOf(page, /For the customer/);
  expect(customers).toHaveLength(1);
  expect(customers[0]).toContain("New: Outlet disc");
  expect(customers[0]).not.toContain("Overrides");
});

test("work that stopped is handed over with what is shut, and its isolation as a set", async ({ page }) => {
  await page.goto(`${server.url}/jobs/demo-h02-stopped`);
  await expect(page.getByRole("heading", { name: "Work is stopped here." })).toBeVisible();
  await page.getByRole("button", { name: "Hand it over" }).click();
  const note = (await pagesOf(page, /Hand-over note/)).join(" ");
  for (const said of [
    "V-11, lock 14",
    "V-22, lock 14",
    "only whoever set a lock takes it off",
    "Off the valve",
  ])
    expect(note).toContain(said);
  const set = (await pagesOf(page, /Isolation set/)).join(" ");
  for (const said of ["Shut, lock and tag", "Locks and tags", "Permits"]) expect(set).toContain(said);
});

test("labels: a place, a sheet half used up, and one that leads back when it is scanned", async ({
  page,
}) => {
  await page.goto(`${server.url}/valves/NQ-H07`);
  await page.getByRole("link", { name: "Label", exact: true }).click();
  await expect(page.getByRole("link", { name: "1 label" })).toBeVisible();
  await page.getByLabel("Place").selectOption("Lido");
  await page.getByLabel("Begin at label").selectOption("23");
  const link = page.getByRole("link", { name: /^\d+ labels$/ });
  await expect(link).toBeVisible();
  const first = (await page.getByRole("main").getByRole("listitem").first().innerText())
    .split("\n")[0]!
    .trim();
  await page.getByRole("checkbox").nth(1).uncheck();
  const pages = await pagesOf(page, /^\d+ labels$/);
  expect(pages[0]).toContain(first);
  await page.getByRole("button", { name: "Lock points" }).click();
  await page.getByLabel("Line", { exact: true }).selectOption("north-quay");
  await expect(page.getByRole("list", { name: "What gets a label" })).toContainText("V-12");
  const points = (await pagesOf(page, /^\d+ labels$/)).join(" ");
  expect(points).toContain("V-12");
  // What the code of a lock point says, as a scanner hands it over.
  await page.goto(`${server.url}/lines/north-quay?open=V-12`);
  await expect(page.getByRole("main")).toContainText("V-12");
});
