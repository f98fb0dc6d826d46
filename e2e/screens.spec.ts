import { CHROMIUM, heldBy, withLetters } from "./browser";
import { PAGES } from "./pages";
import { TestServer } from "./server";
import { chromium, expect, test } from "./test";

test.describe("on the demo", () => {
  const server = new TestServer("demo");
  test.beforeAll(() => server.start());
  test.afterAll(() => server.end());

  test("a calculation follows the typing, refuses at the field, and speaks US units when set", async ({
    page,
  }) => {
    await page.goto(`${server.url}/bench/bolt-up`);
    const answer = page.getByRole("region", { name: "Answer" });
    await expect(answer).toContainText("145 N·m");
    await page.getByRole("textbox", { name: "Thread diameter" }).fill('1/2"');
    await page.getByRole("textbox", { name: "Pitch" }).fill("lots");
    await expect(page.getByRole("alert").filter({ hasText: "is not a figure" })).toBeVisible();
    await expect(answer).toHaveCount(0);
    await page.getByRole("textbox", { name: "Pitch" }).fill("1/13 in");
    await expect(answer).toBeVisible();
    await page.goto(`${server.url}/loft`);
    await page.getByRole("button", { name: "US", exact: true }).click();
    await page.goto(`${server.url}/bench/bolt-up`);
    await expect(answer).toContainText("ft·lbf");
  });

  test("figures are written with the mark of whoever reads them, and read with either", async ({
    page,
    request,
  }) => {
    await page.goto(`${server.url}/bench/bolt-up`);
    const answer = page.getByRole("region", { name: "Answer" });
    await page.getByRole("textbox", { name: "Pitch" }).fill("1.75 mm");
    const first = await answer.innerText();
    expect(first).toMatch(/\d\.\d/);
    await page.goto(`${server.url}/loft`);
    await page.getByRole("button", { name: "0,4 bar" }).click();
    await page.goto(`${server.url}/bench/bolt-up`);
    await expect(answer).toHaveText(/\d,\d/);
    await expect(answer).not.toHaveText(/\d\.\d/);
    await page.getByRole("textbox", { name: "Pitch" }).fill("1,75 mm");
    expect((await answer.innerText()).replace(/(\d),(?=\d)/g, "$1.")).toBe(first);
    await page.goto(`${server.url}/store`);
    await expect(page.getByRole("main")).toContainText(/\d,\d\d /);
    // On paper, too.
    const pdf = (mark: string) =>
      request.get(`${server.url}/api/v1/lines/ferry-shed/isolation.pdf?open=FS-PN1&mark=${mark}`);
    const read = async (answered: Awaited<ReturnType<typeof pdf>>) => {
      const { extractText, getDocumentProxy } = await import("unpdf");
      const text = await extractText(await getDocumentProxy(new Uint8Array(await answered.body())), {
        mergePages: true,
      });
      return text.text;
    };
    const written = (mark: string) => new RegExp(`\\d${mark}\\d+ (bar|L|m|kg|mm|°C)`);
    expect(await read(await pdf("point"))).toMatch(written("\\."));
    expect(await read(await pdf("comma"))).toMatch(written(","));
    expect(await read(await pdf("comma"))).not.toMatch(written("\\."));
  });

  test("keys: find, go, and the key map", async ({ page }) => {
    await page.goto(server.url);
    await page.keyboard.press("?");
    await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible();
    await page.keyboard.press("Escape");
    await page.keyboard.press("/");
    await page.keyboard.type("NQ-H05");
    await page.keyboard.press("Enter");
    await page.waitForURL(/valves\/NQ-H05/);
  });

  test("the first stop of the keyboard leads past the tabs, and the rope comes after the page", async ({
    page,
  }) => {
    await page.goto(`${server.url}/store`);
    await page.keyboard.press("Tab");
    await expect(page.getByRole("link", { name: "To the page" })).toBeFocused();
    await page.keyboard.press("Enter");
    await expect(page.locator("#main")).toBeFocused();
    const after = await page.evaluate(
      () =>
        document.querySelector("#main")!.compareDocumentPosition(document.querySelector("aside")!) &
        Node.DOCUMENT_POSITION_FOLLOWING,
    );
    expect(after).not.toBe(0);
  });

  test("with letters twice as large nothing runs out of a phone, and the step keeps its room", async () => {
    const context = await chromium.launchPersistentContext(withLetters(32), {
      ...CHROMIUM,
      viewport: { width: 390, height: 844 },
      // What it keeps for later is nothing that is drawn.
      serviceWorkers: "block",
    });
    try {
      await context.addCookies(heldBy("Tam Arkle").cookies);
      const page = await context.newPage();
      // What is made for paper is as wide as paper.
      for (const path of PAGES.filter((each) => !/isolation|print/.test(each))) {
        await page.goto(server.url + path);
        const size = await page.evaluate(() => getComputedStyle(document.documentElement).fontSize);
        expect(size).toBe("32px");
        // As it stands once it is drawn: a picture that comes later has its room a moment after it.
        if (path === "/instruments") await expect(page.getByLabel("Address of the gateway")).toBeVisible();
        const wide = () => page.evaluate(() => document.documentElement.scrollWidth);
        await expect.soft.poll(wide, { message: path, timeout: 5000 }).toBeLessThanOrEqual(390);
      }
      await page.goto(`${server.url}/jobs/demo-h09-wait`);
      const card = page.getByRole("region", { name: "The step" });
      for (const name of [/wait/i, "Note", "Stop work"])
        await expect(card.getByRole("button", { name })).toBeInViewport({ ratio: 1 });
      // More than half of what is left between the bells and the views is the step's; its own may ring by now.
      const step = (await card.getByRole("heading", { level: 1 }).locator("..").boundingBox())!;
      const bar = page.getByRole("region", { name: "What rings now" });
      const above = (await bar.count()) > 0 ? bar : page.getByRole("banner").first();
      const [top, views] = [
        (await above.boundingBox())!,
        (await page.getByRole("navigation", { name: "Views" }).boundingBox())!,
      ];
      expect(step.height).toBeGreaterThan((views.y - top.y - top.height) / 2);
    } finally {
      await context.close();
    }
  });

  test("a job runs by keys alone", async ({ page }) => {
    await page.goto(`${server.url}/valves/NQ-H05/start`);
    await page.getByRole("button", { name: /Start the job/ }).click();
    await page.waitForURL(/\/jobs\/[^/]+$/);
    const card = page.getByRole("region", { name: "The step" });
    // All of the card, not its headline alone: at half a card no key does anything.
    const shows = async (title: RegExp) => {
      await expect(card.getByRole("heading", { level: 1 })).toHaveText(title);
      await expect(card.locator("[aria-busy=true]")).toHaveCount(0);
    };
    await shows(/^Look before/);
    await card.getByRole("button", { name: "Water past the valve" }).press("Space");
    // Enter on what is chosen goes on.
    await page.keyboard.press("Enter");
    await shows(/^Put on/);
    await page.keyboard.press("Enter");
    await shows(/^Take/);
    await page.keyboard.press("Backspace");
    await shows(/^Put on/);
    await card.locator("button[type=submit]").dblclick();
    await shows(/^Take/);
    await page.keyboard.press("n");
    await page.keyboard.type("Cap chain is broken");
    await page.getByRole("button", { name: "Keep the note" }).press("Enter");
    await page.keyboard.press("s");
    await expect(page.getByRole("dialog", { name: "Stop work" })).toBeVisible();
  });

  test("the demo begins anew, and jobs done in it are gone", async ({ page }) => {
    await page.goto(`${server.url}/valves/NQ-H03/start`);
    await page.getByRole("button", { name: /Start the job/ }).click();
    await page.waitForURL(/\/jobs\/[^/]+$/);
    await page.goto(`${server.url}/loft`);
    await page.getByRole("button", { name: "Begin the demo anew" }).click();
    await page.getByRole("button", { name: "Begin anew", exact: true }).click();
    // The whole scenario is loaded and signed again, beside another test: a busy host takes its time for that.
    await expect(page.getByText("The demo begins anew.")).toBeVisible({ timeout: 120_000 });
    await page.goto(`${server.url}/valves/NQ-H03`);
    await expect(page.getByRole("link", { name: "Start a job" })).toBeVisible();
  });
});

test("an empty start greets with what to do, and leads to a first job without a line", async ({ page }) => {
  const server = new TestServer("own");
  try {
    await server.start();
    await page.goto(server.url);
    await expect(page.getByRole("heading", { level: 1 })).toHaveText("Nothing rings yet.");
    await page.getByRole("link", { name: "Bring in a register" }).click();
    await page.locator("input[type=file]").setInputFiles({
      name: "register.csv",
      mimeType: "text/csv",
      buffer: Buffer.from("tag,name,place,sheet\nA-1,Valve,Yard,nowhere"),
    });
    await expect(page.getByRole("alert").filter({ hasText: "Nothing was changed" })).toContainText(
      'There is no sheet "nowhere"',
    );
    await page.goto(`${server.url}/valves/new`);
    await page.getByLabel("Part of its name, maker or kind").fill("bucket");
    await page.getByRole("link", { name: /Inverted-bucket steam trap/ }).click();
    const form = page.locator("form");
    await form.getByRole("button", { name: "Register this valve" }).click();
    await expect(form).toContainText("Missing: fill this in.");
    await form.getByLabel("Tag", { exact: true }).fill("H-1");
    await form.getByLabel("Which one it is").fill("By the gate");
    await form.getByPlaceholder("e.g. North yard").fill("North yard");
    await form.getByRole("button", { name: "Register this valve" }).click();
    await page.waitForURL(/valves\/H-1$/);
    await page.getByRole("link", { name: "Start a job" }).click();
    // What is due first is to listen and measure: nothing is shut for that.
    await expect(page.getByRole("main")).toContainText("Nothing: it is looked at as it stands.");
    await page.getByRole("button", { name: "Due: open and look" }).click();
    await expect(page.getByRole("main")).toContainText("No line is drawn for this valve");
    // Nobody is presumed: the first of the crew says who it is.
    await expect(page.getByRole("button", { name: "Choose who does it" })).toBeDisabled();
    const who = page.getByRole("region", { name: "Who" });
    await who.getByLabel("Name").fill("Ina Lund");
    await who.getByRole("button", { name: "Add to the crew" }).click();
    await expect(who).toContainText("Somebody else");
    await page.getByRole("button", { name: /Start the job/ }).click();
    await page.waitForURL(/\/jobs\/[^/]+$/);
    const job = await (await page.request.get(page.url().replace("/jobs/", "/api/v1/jobs/"))).json();
    expect(job.inputs.openedBy).toBe("Ina Lund");
  } finally {
    await server.end();
  }
});
