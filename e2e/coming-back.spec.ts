import { type Begun, demoWith } from "./begun";
import { TestServer } from "./server";
import { Technician } from "./technician";
import { type BrowserContext, expect, type Page, test } from "./test";

/** Contexts whose clock is a set one: it is the same for all their pages. */
const clocked = new WeakSet<BrowserContext>();

/** Opens the job on this valve from Today, as whoever comes back to it. */
async function goOn(page: Page, server: TestServer, tag: string): Promise<Technician> {
  if (!clocked.has(page.context())) await page.clock.install({ time: Date.now() });
  clocked.add(page.context());
  await page.goto(`${server.url}/jobs`);
  await page
    .getByRole("main")
    .getByRole("link", { name: new RegExp(tag) })
    .first()
    .click();
  await page.waitForURL(/\/jobs\/[^/]+$/);
  return new Technician(page, server);
}

const titles = async (
  tech: Technician,
  answers: Readonly<Record<string, string>> = {},
): Promise<string[]> => {
  const seen: string[] = [];
  await tech.until(/^Sign off/, answers, (title) => seen.push(title));
  return seen;
};

/** Places of these among the titles, by their beginnings. */
const places = (seen: readonly string[], ...starts: readonly RegExp[]) =>
  starts.map((start) => seen.findIndex((title) => start.test(title)));

const inOrder = (numbers: readonly number[]) => {
  expect(numbers.every((each) => each >= 0)).toBe(true);
  expect(numbers).toEqual([...numbers].sort((a, b) => a - b));
};

async function withJobs(jobs: readonly Begun[], work: (server: TestServer) => Promise<void>): Promise<void> {
  const server = new TestServer("demo", false, demoWith(...jobs));
  try {
    await server.start();
    await work(server);
  } finally {
    await server.end();
  }
}

const restored = (step: { phase: string }) => step.phase === "restore";

test("a CO2 stop valve: air out, vapour in, liquid behind a gate that nobody skips", async ({ page }) => {
  await withJobs([{ tag: "GC-SV2", until: ({ id }) => id === "restore:evacuate" }], async (server) => {
    const tech = await goOn(page, server, "GC-SV2");
    await expect(tech.headline).toContainText("Draw the air out");
    await tech.until(/may liquid come/);
    await tech.fill("4 bar");
    await expect(tech.card.getByRole("alert")).toContainText("more vapour");
    await expect(tech.headline).toContainText("may liquid come");
    await expect(tech.card.getByText("Skip, with a reason")).toHaveCount(0);
    await tech.fill("8 bar");
    await expect(tech.headline).toContainText("Read the gauge at this valve and the plant's");
    const seen = await titles(tech);
    expect(seen.findIndex((title) => /Receiver outlet/.test(title))).toBeGreaterThan(0);
    await tech.sign();
    await expect(page.getByText(/Signed off|Back in service/).first()).toBeVisible();
  });
});

test("a mixer: its outlet stays shut until hot, cold and fail-safe are proven at the drain", async ({
  page,
}) => {
  await withJobs([{ tag: "LD-M1", until: restored }], async (server) => {
    const tech = await goOn(page, server, "LD-M1");
    await tech.until(/^Run the mixed water/);
    await expect(tech.card.getByText("open Drain 1 for this")).toBeVisible();
    await tech.fill("46 °C");
    await expect(tech.card.getByText(/Too hot/).first()).toBeVisible();
    await tech.card.getByRole("button", { name: "Put it right, then look again" }).click();
    const seen = await titles(tech, { "Run the mixed water": "41 °C" });
    inOrder(
      places(
        seen,
        /^Run the mixed water/,
        /^Put it back: shut Drain 1/,
        /cold shut off/,
        /Mixed outlet/,
        /^Tell those/,
      ),
    );
  });
});

test("a pre-action set: air, priming, trip test, and the main gate last", async ({ page }) => {
  await withJobs([{ tag: "FS-PN1", until: restored }], async (server) => {
    const tech = await goOn(page, server, "FS-PN1");
    const seen = await titles(tech, { "Let the air fall": "0.7 bar" });
    inOrder(
      places(
        seen,
        /Actuator air cock/,
        /Priming cock/,
        /Release key switch/,
        /where it trips/,
        /^Reset the system/,
        /Main control gate and open/,
        /^Tell those/,
      ),
    );
  });
});

test("two jobs on one main: who is without by both is told of both, and neither signs against the other", async ({
  page,
  context,
}) => {
  const jobs = [
    { tag: "NQ-H07", until: (step: { phase: string }) => step.phase === "rebuild" },
    { tag: "NQ-H06", until: (step: { kind: string }) => step.kind === "others" },
  ];
  await withJobs(jobs, async (server) => {
    const second = await goOn(page, server, "NQ-H06");
    await expect(second.headline).toContainText("Wait for the job on NQ-H07");
    await expect(second.wide).toBeDisabled();
    await expect(second.card.getByRole("link", { name: "Job on NQ-H07" }).first()).toBeVisible();

    const other = await context.newPage();
    const first = await goOn(other, server, "NQ-H07");
    // What the second holds, too, stays shut when the first takes its lock off.
    await first.until(/^Take your lock off V-12/);
    await expect(first.headline).toContainText("Leave it shut");
    const told = await titles(first);
    expect(told.find((title) => title.startsWith("Tell those"))).not.toContain("NQ-H06");
    await expect(first.card.getByText("NQ-H06 stays without, by the job on NQ-H06")).toBeVisible();
    await first.sign();
    await expect(other.getByText(/Signed off|Back in service/).first()).toBeVisible();

    // The second's card has gone on by itself: it opens what both held, tests and tells.
    await expect(second.headline).not.toContainText("Wait for", { timeout: 30_000 });
    const seen = await titles(second);
    expect(seen.some((title) => /V-12.*open it slowly/.test(title))).toBe(true);
    expect(seen.find((title) => title.startsWith("Tell those"))).toContain("NQ-H06");
    await second.sign();
    await expect(page.getByText(/Signed off|Back in service/).first()).toBeVisible();
  });
});
