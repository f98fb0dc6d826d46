import { demoWith, done } from "./begun";
import { TestServer } from "./server";
import { Technician } from "./technician";
import { expect, type Page, test } from "./test";

/** Whole jobs, from the bell to the record, by the buttons a technician has; one server each, killed on the way. */
async function start(page: Page, server: TestServer, tag: string): Promise<Technician> {
  await page.clock.install();
  await page.goto(server.url);
  await page
    .getByRole("main")
    .getByRole("link", { name: new RegExp(`^${tag}`) })
    .first()
    .click();
  await expect(page.getByRole("heading", { name: "Id plate" })).toBeVisible();
  await page.getByRole("link", { name: "Start a job" }).click();
  await page.getByRole("button", { name: /Start the job/ }).click();
  await page.waitForURL(/\/jobs\/[^/]+$/);
  return new Technician(page, server);
}

/** The power fails; the server comes back with its clock past the wait, and so does the browser. */
async function powerCut(page: Page, server: TestServer, minutes: number): Promise<void> {
  await server.kill();
  await server.start(server.clockAhead + minutes);
  await page.clock.fastForward(minutes * 60_000);
  await page.reload();
}

const saved = (page: Page) => expect(page.getByText("saved", { exact: true })).toBeVisible();

test("a wet-barrel hydrant: weeping outlet, failed disc, stopped and taken up again", async ({ page }) => {
  // The job that holds the dock steps shut would be waited for: it is done.
  const server = new TestServer("demo", false, demoWith(done("NQ-H02")));
  try {
    await server.start();
    const tech = await start(page, server, "NQ-H07");
    await tech.until(/^Shut V-12/);

    // A lock number is asked for at the field, and nothing is stored without it.
    await tech.press();
    await expect(tech.card.getByText("Write the number of the lock")).toBeVisible();
    await tech.until(/^Prove zero/);
    await tech.fill("3 mm");
    await expect(tech.card.getByRole("alert")).toContainText("unit of length");
    await tech.fill("0.4 bar");
    await expect(tech.card.getByRole("alert")).toContainText("Not dead");
    await tech.fill("900 bar");
    await expect(tech.card.getByText("above 400 bar")).toBeVisible();
    // What was refused is not told any more once it is typed over.
    await tech.card.getByRole("textbox").first().fill("0.4 bar");
    await expect(tech.card.getByText("above 400 bar")).toHaveCount(0);

    // One closure is named as passing: the plan finds another and says so.
    await tech.card.getByRole("button", { name: "V-19 Ferry gate passes" }).click();
    await expect(tech.card.getByText("The plan has changed.")).toBeVisible();
    await expect(tech.headline).toHaveText(/V-22/);
    await tech.until(/^Shut .*and wait/);
    await tech.press();
    await expect(tech.wide).toBeDisabled();
    await saved(page);
    await powerCut(page, server, 11);
    await expect(tech.wide).toHaveText(/Wait is over/);
    await tech.until(/^Look at the face of the outlet disc/);
    await expect(page.getByText("11 off · 11 held")).toBeVisible();
    await tech.choose("Catches");
    await expect(tech.card.getByText("The plan has changed.")).toBeVisible();
    await expect(tech.card).toContainText("Outlet disc kit K-31");

    // Stop work: it rings on Today, and goes on where it stood, across another power cut.
    const stood = await tech.title();
    await tech.card.getByRole("button", { name: "Stop work" }).click();
    await page.getByRole("button", { name: "Too dark" }).click();
    await page.getByRole("button", { name: "Stop work here" }).click();
    await expect(tech.headline).toHaveText("Work is stopped here.");
    await saved(page);
    await powerCut(page, server, 2);
    await page.getByRole("link", { name: "Today", exact: true }).last().click();
    await expect(page.getByRole("main")).toContainText("Stopped: Too dark");
    await page
      .getByRole("main")
      .getByRole("link", { name: /Take it up again/ })
      .filter({ hasText: "H07" })
      .click();
    await tech.press();
    await expect(tech.headline).toHaveText(stood);

    // Undo takes the newest entry back.
    await tech.press();
    await expect(tech.headline).not.toHaveText(stood);
    await tech.card.getByRole("button", { name: "Undo the newest entry" }).click();
    await expect(tech.headline).toHaveText(stood);

    await tech.until(/^Press the new friction ring/);
    await expect(tech.card).toContainText("Stays dry");
    await tech.until(/^Screw it in until it touches/);
    await expect(tech.card).toContainText("1/4 turn back");
    await tech.until(/^Gland bolts, pass 1/);
    await expect(tech.headline).toHaveText(/5\.4 N·m/);
    await tech.until(/^Account for the tray/);
    await expect(tech.card).toContainText("White shim ring");
    await tech.until(/^Sign off/);
    await tech.sign();
    await page.waitForURL(/record$/);
    const record = page.getByRole("main");
    await expect(record).toContainText("The log is whole.");
    await expect(record).toContainText("New: Outlet disc");
    await expect(record).toContainText("Kept and refitted: Nozzle screw, Collars");
    await expect(record).toContainText("Found V-19 to pass");
    await expect(record).not.toContainText("still shut");

    // The valve and Today follow.
    await record.getByRole("link", { name: "NQ-H07" }).click();
    await expect(page.getByRole("main")).not.toContainText("Reported:");
    await page.getByRole("link", { name: "Today", exact: true }).last().click();
    await expect(page.getByRole("main")).not.toContainText("Stopped: Too dark");
  } finally {
    await server.end();
  }
});

test("a dry-barrel hydrant: cut main seat, kept bearings, high torque, drain-down", async ({ page }) => {
  const begun = { tag: "NQ-H10", until: ({ id }: { id: string }) => id === "check:seat-face" };
  const server = new TestServer("demo", false, demoWith(done("NQ-H02"), begun));
  try {
    await server.start();
    await page.clock.install();
    await page.goto(`${server.url}/jobs`);
    await page
      .getByRole("main")
      .getByRole("link", { name: /NQ-H10/ })
      .first()
      .click();
    await page.waitForURL(/\/jobs\/[^/]+$/);
    const tech = new Technician(page, server);
    await tech.until(/^Look at the seat's face/);
    await tech.choose("Cut, hard or swollen");
    await expect(tech.card).toContainText("Main seat kit S-5");
    await tech.until(/^Tighten the lower nut/);
    await expect(tech.card).toContainText("270 N·m");
    await tech.until(/^Run the bonnet bolts in/);
    await expect(tech.card).toContainText("leave it loose for now");
    await tech.until(/^Bonnet bolts, pass 1/);
    await expect(tech.headline).toHaveText(/19\.8 N·m/);
    await tech.until(/^Shut the hydrant, take one cap off/);
    await tech.fill("14 min");
    await expect(tech.card.getByRole("alert")).toContainText("drain is blocked");
    await tech.card.getByRole("button", { name: "Put it right, then look again" }).click();
    await tech.fill("6 min");
    await tech.until(/^Sign off/);
    await tech.sign();
    await page.waitForURL(/record$/);
    await expect(page.getByRole("main")).toContainText(
      "Kept and refitted: Thrust bearing, upper, Thrust bearing, lower",
    );
    await expect(page.getByRole("main")).toContainText("14 min");
    await expect(page.getByRole("main")).not.toContainText("still shut");
  } finally {
    await server.end();
  }
});

test("no signal: entries are kept on the device and sent when it comes back", async ({ page, context }) => {
  const server = new TestServer("demo");
  try {
    await server.start();
    const tech = await start(page, server, "NQ-H07");
    await tech.until(/^Put on/);
    await saved(page);
    await context.setOffline(true);
    await tech.press();
    await expect(page.getByText("kept on this device, waiting for signal")).toBeVisible();
    // The kit is ticked line by line, without signal, too.
    await tech.until(/^Lay out the tools/);
    await context.setOffline(false);
    await page.clock.runFor(7000);
    await saved(page);
    const job = page.url().split("/").at(-1);
    const log = await (await fetch(`${server.url}/api/v1/jobs/${job}`)).json();
    const steps: string[] = log.events.map((each: { event: { step: string } }) => each.event.step);
    expect([...new Set(steps)].slice(-2)).toEqual(["prepare:protect", "prepare:kit"]);
    expect(steps.filter((step) => step === "prepare:kit").length).toBeGreaterThan(2);
  } finally {
    await server.end();
  }
});

test("two devices on one valve: both locks hang, both entries stand, and it is told what counts", async ({
  page,
  context,
  browser,
}) => {
  const server = new TestServer("demo");
  try {
    await server.start();
    const tech = await start(page, server, "NQ-H07");
    await tech.until(/^Shut V-12/);
    await saved(page);
    await context.setOffline(true);
    await tech.fill("77");
    await expect(tech.headline).toHaveText(/^Shut V-15/);
    await tech.fill("78");
    await expect(page.getByText("kept on this device, waiting for signal")).toBeVisible();

    // The mate has signal, and shuts the first valve with a lock of their own.
    const mate = new Technician(await (await browser.newContext()).newPage());
    await mate.page.goto(page.url());
    await mate.fill("5");
    await saved(mate.page);

    await context.setOffline(false);
    await page.clock.runFor(7000);
    const told = page.getByRole("status").filter({ hasText: "Two devices worked on this." });
    await expect(told.getByRole("listitem")).toHaveText([/Shut V-12 .* 77 done on both/]);
    // The second valve is shut with its lock.
    await expect(tech.headline).toHaveText(/^Shut V-19/);
    await saved(page);
    await told.getByRole("button", { name: "Seen" }).click();
    await expect(told).toHaveCount(0);
    await page.reload();
    await expect(tech.headline).toHaveText(/^Shut V-19/);
    await expect(told).toHaveCount(0);
    const log = await (await fetch(`${server.url}/api/v1/jobs/${page.url().split("/").at(-1)}`)).json();
    expect(log.events.slice(-3).map((each: { event: { by: string } }) => each.event)).toMatchObject([
      { step: "shut:V-12", entry: "5" },
      { step: "shut:V-12", entry: "77", elsewhere: { settled: "same" } },
      { step: "shut:V-15", entry: "78" },
    ]);
    // Whoever looks at what stays isolated sees both locks.
    await page.goto(server.url);
    await expect(page.getByText("5, 77").first()).toBeVisible();
  } finally {
    await server.end();
  }
});

test("what the server does not take is put aside, shown, let go and thought again", async ({
  page,
  context,
  browser,
}) => {
  const server = new TestServer("demo");
  try {
    await server.start();
    await start(page, server, "NQ-H05");
    await saved(page);
    await context.setOffline(true);
    await page.getByRole("button", { name: "Note", exact: true }).click();
    await page.getByRole("dialog").getByRole("textbox").fill("The lid is cracked");
    await page.getByRole("dialog").getByRole("button", { name: "Keep the note" }).click();
    await expect(page.getByText("kept on this device, waiting for signal")).toBeVisible();

    // The mate finds it started by mistake, and gives it up.
    const mate = await (await browser.newContext()).newPage();
    await mate.goto(page.url());
    await mate.getByRole("button", { name: "Stop work" }).click();
    await mate.getByRole("button", { name: "It was started by mistake" }).click();
    await mate.getByRole("button", { name: "The wrong valve" }).click();
    await mate.getByRole("button", { name: "Close it as not begun" }).click();
    await mate.waitForURL(/record$/);

    await context.setOffline(false);
    await page.clock.runFor(7000);
    const told = page.getByRole("alert").filter({ hasText: "Not stored:" });
    await expect(told.getByRole("listitem")).toHaveCount(1);
    await expect(told).toContainText("The lid is cracked");
    await told.getByRole("button", { name: "Let it go" }).click();
    await expect(told).toHaveCount(0);
    await page.getByRole("button", { name: "Undo", exact: true }).click();
    await expect(page.locator("[data-sync='1 put aside']").filter({ visible: true })).toBeVisible();
    await page.goto(`${server.url}/along`);
    await expect(page.getByText("1 entry put aside")).toBeVisible();
  } finally {
    await server.end();
  }
});
