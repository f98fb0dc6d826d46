import { heldBy } from "./browser";
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

  // From the week to a day of a crew: where to, when, with what, whom to tell.
  await main
    .getByRole("link", { name: /^back \d\d:\d\d/ })
    .first()
    .click();
  await expect(
    page.getByRole("heading", { level: 1, name: /(Isla and Tam|Jory, Bryn and Mara)$/ }),
  ).toBeVisible(PLANNED);
  await expect(main.getByRole("application", { name: /^The way of / })).toBeVisible();
  await expect(
    main.getByRole("region", { name: "The hours of the day" }).getByRole("link").first(),
  ).toBeVisible();
  const kit = main.getByRole("checkbox").first();
  await kit.check();
  await expect(kit).toBeChecked();
  await expect(main).toContainText("Tell before");

  // What is ticked stays ticked; the day goes out as PDF with its isolation sheets, and for any map.
  await page.reload();
  await expect(main.getByRole("checkbox").first()).toBeChecked(PLANNED);
  const addressOf = async (name: string) =>
    server.url + (await main.getByRole("link", { name }).getAttribute("href"))!;
  const paper = await page.request.get(await addressOf("All of it, as PDF"));
  expect(paper.headers()["content-type"]).toBe("application/pdf");
  expect((await paper.body()).length).toBeGreaterThan(10_000);
  const map = await page.request.get(await addressOf("GeoJSON"));
  expect(((await map.json()) as { features: unknown[] }).features.length).toBeGreaterThan(2);
});

test("what is shut off once says what that saves, and its jobs begin for each other", async ({ page }) => {
  await page.goto(`${server.url}/rounds`);
  const main = page.getByRole("main");
  await expect(page.getByRole("heading", { name: /^Week \d+$/ })).toBeVisible(PLANNED);
  const { joint } = (await (await page.request.get(`${server.url}/api/v1/rounds/house`)).json()) as {
    joint: { tags: string[] }[];
  };
  const [first, second] = joint.find(({ tags }) => tags.includes("OS-V1"))!.tags;
  const block = main.getByRole("button", { name: new RegExp(`^${first}, .*day `) });
  for (let week = 0; week < 13 && (await block.count()) === 0; week++)
    await page.getByRole("button", { name: "The week after" }).click();
  await block.focus();
  await page.keyboard.press("Enter");
  const card = main.getByRole("region", { name: `${first}: why so` });
  await expect(card).toContainText("Shut off once");
  await expect(card).toContainText(/Saves \d+ min of the crew/);

  await page.goto(`${server.url}/valves/${first}/start?with=${second}`);
  await expect(main).toContainText(`Shut off once with ${second}`);
  await expect(main).toContainText(/^Proven|Proven: /);
});

test("leave comes out of a calendar, once, and is told where it is no leave", async ({ page }) => {
  await page.goto(`${server.url}/crew/isla`);
  const panel = page.getByRole("main").locator("section").filter({ hasText: "Leave from a calendar" });
  const year = new Date().getFullYear() + 1;
  const leave = (text: string) => ({
    name: "leave.ics",
    mimeType: "text/calendar",
    buffer: Buffer.from(text),
  });
  const file = panel.locator("input[type=file]");
  await file.setInputFiles(leave("no calendar"));
  await expect(panel).toContainText("This is no calendar file.");
  const calendar = [
    "BEGIN:VCALENDAR",
    "VERSION:2.0",
    "BEGIN:VEVENT",
    "UID:1@sallow-holm",
    "SUMMARY:Leave",
    `DTSTART;VALUE=DATE:${year}0701`,
    `DTEND;VALUE=DATE:${year}0709`,
    "END:VEVENT",
    "BEGIN:VEVENT",
    "UID:2@sallow-holm",
    "SUMMARY:Dentist",
    `DTSTART:${year}0710T080000`,
    `DTEND:${year}0710T090000`,
    "END:VEVENT",
    "END:VCALENDAR",
  ].join("\r\n");
  await file.setInputFiles(leave(calendar));
  await expect(panel).toContainText(`1 Jul ${year} to 8 Jul ${year}`);
  await expect(panel).toContainText("Not taken: Dentist, only part of a day.");
  await file.setInputFiles(leave(calendar));
  await expect(panel).toContainText("Nothing in it that was not known.");
});

test("dragged into a clash it says why not; dragged where it can be it is kept, published, and left there by planning again", async ({
  page,
}) => {
  await page.goto(`${server.url}/rounds`);
  const main = page.getByRole("main");
  await expect(page.getByRole("heading", { name: /^Week \d+$/ })).toBeVisible(PLANNED);
  await page.getByRole("button", { name: "The week after" }).click();
  const placed = main.getByRole("button", { name: /, (Mon|Tues|Wednes|Thurs|Fri)day \d\d:\d\d to / });
  const block = placed.first();
  const tag = (await block.getAttribute("aria-label"))!.split(",")[0]!;

  // By mouse: what no crew may do, over the first crew's Monday.
  const loose = main.getByRole("button", { name: "BD-PN1, in no shift" });
  const [from, to] = [(await loose.boundingBox())!, (await block.boundingBox())!];
  await page.mouse.move(from.x + 10, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x - 30, from.y + 10, { steps: 4 });
  await page.mouse.move(to.x + 40, to.y + 10, { steps: 8 });
  const never = main.getByRole("region", { name: "If you drop BD-PN1 here" });
  await expect(never).toContainText("It cannot be there.");
  await expect(never).toContainText("Nobody of this crew may: electricity");
  await page.mouse.up();
  await expect(loose).toBeVisible();
  await expect(
    main.getByRole("status").filter({ hasText: "A proposal: nothing is kept yet." }),
  ).toBeVisible();

  // By keyboard, two days on.
  await block.focus();
  await page.keyboard.press("Space");
  const dropped = main.getByRole("region", { name: `If you drop ${tag} here` });
  await expect(dropped).toContainText("It is there now: Monday");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await expect(dropped).toContainText("If you drop it on Wednesday");
  await page.keyboard.press("Space");
  const there = main.getByRole("button", { name: new RegExp(`^${tag}, .*Wednesday .*put by hand$`) });
  await expect(there).toBeVisible();

  const state = main.getByRole("status").filter({ hasText: /ublished/ });
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  await expect(state).toContainText("nothing moved since");
  // By a tap in its card: where it is cheapest otherwise.
  await there.focus();
  await page.keyboard.press("Enter");
  const card = main.getByRole("region", { name: `${tag}: why so` });
  await card.getByRole("listitem").getByRole("button").first().click();
  await expect(state).toContainText(/[1-9]\d* moved since/);
  await expect(main).toContainText("Other than it was published");
  await main.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(state).toContainText("nothing moved since");
  await expect(there).toBeVisible();

  await page.getByRole("button", { name: "Plan again" }).click();
  await expect(page.getByText(/^Planned again: /).first()).toBeVisible(PLANNED);
  await expect(there).toBeVisible();
  await expect(state).toContainText("nothing moved since");
});

test("a day on the phone: it runs over, nobody opens; the rest is planned again at once, told and undone", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${server.url}/rounds/mine`);
  const main = page.getByRole("main");
  const next = main.getByRole("region", { name: "What is next" });
  await expect(next).toBeVisible(PLANNED);
  await expect(next).toContainText(/Leave|Begin/);
  const when = /\d\d:\d\d to \d\d:\d\d/;
  const planned = (await next.textContent())!.match(when)![0];
  const tag = (await next.getByRole("link", { name: /^(Start|Go on with) / }).textContent())!.replace(
    /^(Start|Go on with) /,
    "",
  );

  await next.getByRole("button", { name: "Runs over" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "15 min" }).click();
  await expect(next).not.toContainText(planned);
  await main.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(next).toContainText(planned);

  await next.getByRole("button", { name: "Cannot get in" }).click();
  const again = page.getByRole("dialog");
  await again.getByLabel(/^Why, if you like/).fill("The gate is locked");
  await again.getByRole("button", { name: /^Next week/ }).click();
  const moved = main.getByRole("status").filter({ hasText: "What that moved" });
  await expect(moved).toContainText(tag);
  await expect(moved).toContainText("No way in, says Tam Arkle: The gate is locked");
  await expect(next.getByRole("link", { name: `Start ${tag}` })).toHaveCount(0);

  // Nobody of a crew has no day, and is told what to do.
  await page.context().addCookies(heldBy("Odd Kerrigan").cookies);
  await page.goto(`${server.url}/rounds/mine`);
  await expect(main.getByRole("alert")).toContainText("Odd Kerrigan goes out with nobody yet", PLANNED);
});

test("what if one is ill, a kit comes late, a pipe bursts: beside the plan, and nothing of it is kept", async ({
  page,
}) => {
  await page.goto(`${server.url}/rounds`);
  await expect(page.getByRole("heading", { name: /^Week \d+$/ })).toBeVisible(PLANNED);
  const main = page.getByRole("main");
  const state = main.getByRole("status").filter({ hasText: /ublished|proposal/ });
  const before = await state.textContent();
  const form = main.getByRole("form", { name: "What if" });
  const see = form.getByRole("button", { name: "See what that does" });
  await form.getByLabel("Who").selectOption("Tam Arkle");
  await form.getByLabel("For").selectOption("20 days");
  await see.click();
  await expect(main).toContainText(/\d+ would move/);
  await expect(main).toContainText("It needs 2 people, this crew has 1.");
  await expect(main).toContainText("Nothing of this is kept.");

  await form.getByLabel("This happens").selectOption("A kit comes late");
  await expect(main.getByText(/would move/)).toHaveCount(0);
  await form.getByLabel("It comes on").fill("2199-12-31");
  await see.click();
  await expect(main).toContainText(/would move|Nothing has to move/);

  await form.getByLabel("This happens").selectOption("A pipe bursts");
  await form.getByLabel("Where").selectOption("Lido");
  await see.click();
  // Whoever is out; at night nobody is.
  await expect(main).toContainText(/can best be spared|No crew is out and free now/);
  expect(await state.textContent()).toBe(before);
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
