import { heldBy } from "./browser";
import { soundForAll } from "./quick-axe";
import { TestServer } from "./server";
import { Technician } from "./technician";
import { expect, type Page, test } from "./test";

/** Whole jobs, from the start page to the record, as a technician of the family does them. */
const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

const startPage = async (page: Page, tag: string): Promise<void> => {
  await page.clock.install({ time: Date.now() + server.clockAhead * 60_000 });
  await page.goto(`${server.url}/valves/${tag}/start`);
};

async function begun(page: Page): Promise<Technician> {
  await page.getByRole("button", { name: /^Start the job/ }).click();
  await page.waitForURL(/\/jobs\/[^/]+$/);
  return new Technician(page, server);
}

test("an iron filter head, its controls: which one it is, settings photographed, each part judged, set again", async ({
  page,
}) => {
  await startPage(page, "LD-IF1");
  const which = page.getByRole("region", { name: "Which one is it" });
  await which.getByRole("button", { name: "A screw, in a groove of the rod" }).click();
  await expect(which.getByRole("button", { name: "Straight" })).toHaveAttribute("aria-pressed", "true");
  await page.getByRole("button", { name: "No air pocket" }).click();
  for (const part of ["Refill flow control", "Drain flow control", "Drive plate"])
    await page
      .getByRole("button", { name: new RegExp(`^${part}`) })
      .first()
      .click();
  // Usually all rubber of a stack goes; here only what is worn.
  await expect(page.getByText(/^Usual here: what was disturbed\./)).toBeVisible();
  await page.getByRole("radio", { name: /^On condition/ }).check();
  await soundForAll(page);
  const tech = await begun(page);

  await tech.until(/^No parts are needed so far/);
  await tech.press();
  await expect(tech.card.getByText(/Not ticked yet: /)).toBeVisible();
  await tech.until(/^Photograph the settings/);
  await tech.card.getByRole("button", { name: "Photographed, page by page" }).click();
  await tech.press();
  await expect(tech.card.getByText(/Take the photograph first/)).toBeVisible();

  const seen: string[] = [];
  const answers = {
    "Is there a switch": "No switch",
    "Which shape is the drain": "Straight",
    "Where does the brown meter plug": "Socket 2",
    "Which number stands on the refill control? Look now": "0.7",
    "Which number stands on the refill": "1.2",
    "Which number stands on the drain": "7",
    "Take the injector apart": "3",
    "Measure from the rim": "7 mm",
    "Measure how far the piston cap": "2 mm",
    "Measure the backwash": "26 L/min",
    "Measure the iron after": "0.1",
  };
  await tech.until(/^Sign off/, answers, (title) => seen.push(title));
  expect(seen.some((title) => /screw out of the piston rod/.test(title))).toBe(true);
  expect(seen.some((title) => /switch aside/.test(title))).toBe(false);
  expect(seen.some((title) => /stayed behind in the body/.test(title))).toBe(true);
  await tech.sign();
  await page.waitForURL(/record$/);
  await expect(page.getByText(/1\.2: found wrong, put right: 0\.7/)).toBeVisible();
  await expect(page.getByRole("heading", { name: "It stands now" })).toBeVisible();
  await expect(page.getByRole("img", { name: /^Photograph the settings/ })).toBeVisible();
  await page.getByRole("button", { name: /Everything, in order/ }).click();
  await expect(page.getByText(/, and \d+ more/).first()).toBeVisible();
});

test("an old radiator valve: how deep is weighed, stand-ins with their sizes, wiped, looked at the day after", async ({
  page,
}) => {
  await startPage(page, "HL-V2");
  await page.getByRole("button", { name: "Does not shut" }).click();
  const deep = page.getByRole("region", { name: "How deep" });
  await expect(deep.getByText("The least, all told")).toHaveCount(1);
  await expect(deep.getByText(/costs the least: .* all told, .* less than/)).toBeVisible();
  await deep.getByRole("button", { name: /What would change this/ }).click();
  await expect(deep.getByText(/^(above|below) .* in 100: /).first()).toBeVisible();
  await deep.getByRole("button", { name: "Hard to get at" }).click();
  await deep.getByRole("button", { name: /^A modern valve/ }).click();
  await page.getByRole("button", { name: /^Start the job/ }).click();
  await expect(page.getByText(/costs less, all told. Say why this one/)).toBeVisible();
  await deep.getByRole("button", { name: /^What is worn/ }).click();
  const why = deep.getByRole("textbox");
  if ((await why.count()) > 0) await why.fill("The house wants the old valve kept.");
  const tech = await begun(page);
  const answers = {
    "Read the radiator": "3.5",
    "Look at which number": "3",
    "How far does the pointer": "90",
  };
  await tech.until(/^Take the wheel screw out/, answers);
  await expect(tech.card.getByRole("region", { name: "Stands in for it" })).toContainText("4.8 mm");
  await soundForAll(page);
  await tech.until(/^Cut a new disc/, answers);
  await tech.press();
  await expect(tech.card.getByText(/Wipe it, and say so/)).toBeVisible();
  await tech.until(/^Sign off/, answers);
  await tech.sign();
  await page.waitForURL(/record$/);
  await expect(page.getByText(/^What is worn: .* all told/)).toBeVisible();
  await expect(page.getByText(/^Not a modern valve in its place: /)).toBeVisible();
  await page.goto(`${server.url}/valves/HL-V2`);
  await expect(page.getByText("Look at the new packing").first()).toBeVisible();
});

test.describe("where practitioners differ", () => {
  test.use({ storageState: heldBy("Isla Venn") });

  test("a trap freed by oil and not by a blow: what that costs, a reason is asked for, nothing is hit", async ({
    page,
  }) => {
    await startPage(page, "LD-T11");
    await page.getByRole("button", { name: "Due: open and look" }).click();
    await page.getByRole("radio", { name: /^On the bench/ }).check();
    const worked = page.getByRole("region", { name: "How it is worked" });
    await worked.getByRole("button", { name: /^What is stuck/ }).click();
    const shock = worked.getByRole("radio", { name: /^A shock on each head/ });
    await expect(shock).toBeChecked();
    const oil = worked.getByRole("radio", { name: /^Oil and patience.*min more/ });
    await oil.check();
    // A ring would let strong bolts bend its iron cover.
    await worked.getByRole("button", { name: /^Flange gasket/ }).click();
    await expect(worked.getByRole("radio", { name: /^Ring, inside the bolts Not here/ })).toBeDisabled();
    await soundForAll(page);
    await page.getByRole("button", { name: /^Start the job/ }).click();
    await expect(worked.getByText(/^Say why it is not done the usual way/)).toBeVisible();
    await worked.getByLabel("Why not the usual way?").fill("Its cover was welded once.");
    const tech = await begun(page);

    await tech.until(/^Let penetrating oil creep/);
    await expect(tech.card.getByText("Not the usual way: Its cover was welded once.")).toBeVisible();
    await tech.until(/^Take .*bolts/i);
    await expect(tech.card.getByText(/this job frees by oil and patience/).first()).toBeVisible();
    await tech.card.getByText("It will not move").click();
    await expect(tech.card.getByText(/Stop here: this job hits nothing/)).toBeVisible();
  });
});
