import { spawnSync } from "node:child_process";
import { createServer } from "node:http";
import { join } from "node:path";
import Database from "better-sqlite3";
import { makeTown } from "../bench/load/town";
import { mutations } from "./mutations";
import { filledBy, TestServer } from "./server";
import { Technician } from "./technician";
import { type APIRequestContext, expect, type Page, test } from "./test";

/** The ground floor in the running application: room, nothing forged, nobody from elsewhere, right clocks. */

const note = (id: string, more: object = {}) => ({
  v: 1,
  id,
  at: new Date().toISOString(),
  by: "Tam Arkle",
  kind: "note-added",
  text: "x",
  ...more,
});
const addEvents = (request: APIRequestContext, url: string, job: string, events: object[]) =>
  request.post(`${url}/api/v1/jobs/${job}/events`, { data: { events } });
const chooseFiles = (page: Page, ...files: { name: string; text: string }[]) =>
  page
    .locator("input[type=file]")
    .setInputFiles(
      files.map(({ name, text }) => ({ name, mimeType: "text/plain", buffer: Buffer.from(text) })),
    );

test("ten thousand valves: searched, narrowed, sorted, paged, found by a slip of the finger, and taken as a CSV", async ({
  page,
  request,
}) => {
  const server = new TestServer(
    "own",
    false,
    filledBy((services) => makeTown(services, 10_000, 4)),
  );
  try {
    await server.start();
    await page.goto(`${server.url}/valves`);
    const rows = page.locator("tbody tr");
    const status = page.getByRole("main").getByRole("status").first();
    await expect(status).toContainText(/10\s140 rows/);
    await expect(rows).toHaveCount(50);
    await page.getByRole("searchbox", { name: "Search" }).fill("hydrant north");
    await expect(page).toHaveURL(/find=hydrant/);
    await expect(status).not.toContainText(/10\s140/);
    for (const row of await rows.all()) await expect(row).toContainText(/hydrant.*north/i);
    await page.getByRole("link", { name: /^Late/ }).click();
    await expect(page).toHaveURL(/find=hydrant.*state=late|state=late.*find=hydrant/);
    await page.getByRole("link", { name: "Rings" }).click();
    await expect(page.getByRole("columnheader", { name: "Rings" })).toHaveAttribute("aria-sort", "ascending");
    // The address is the list: it can be sent, and the way back leads to it.
    const address = page.url();
    const first = await rows.first().locator("td").first().innerText();
    await page.getByRole("searchbox", { name: "Search" }).press("ArrowDown");
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/valves\/[^?]+$/);
    await page.goBack();
    await expect(page).toHaveURL(address);
    expect(await rows.first().locator("td").first().innerText()).toBe(first);
    const csv = await (
      await request.get(`${server.url}/api/v1/export/valves.csv?${new URL(address).searchParams}`)
    ).text();
    const total = Number((await status.innerText()).replaceAll(/\D/g, ""));
    expect(csv.trim().split("\r\n")).toHaveLength(total + 1);
    await page.goto(`${server.url}/valves?page=100`);
    await expect(rows).toHaveCount(50);
    await page.getByRole("link", { name: "Further" }).click();
    await expect(page).toHaveURL(/page=101/);

    // An exact tag wins however many begin like it; one slip is offered and not taken by itself.
    await page.keyboard.press("/");
    await page.keyboard.type("ne-000000");
    await page.keyboard.press("Enter");
    await page.waitForURL(/valves\/NE-000000$/);
    await page.keyboard.press("/");
    await page.keyboard.type("hydrnat");
    await expect(page.getByText("Close to it: choose one")).toBeVisible();
    await page.keyboard.press("Enter");
    await expect(page.getByRole("dialog", { name: "Find" })).toBeVisible();
  } finally {
    await server.end();
  }
});

test.describe("on the demo", () => {
  const server = new TestServer("demo");
  test.beforeAll(() => server.start());
  test.afterAll(() => server.end());

  test("the rope of an open screen follows within a second of an entry made anywhere", async ({
    page,
    browser,
  }) => {
    await page.goto(server.url);
    const rope = page.getByRole("complementary", { name: /The rope/ });
    await expect(rope.getByRole("link").first()).toBeVisible();
    await expect(rope).not.toContainText("NQ-H05 at work");
    const other = await (await browser.newContext()).newPage();
    await other.goto(`${server.url}/valves/NQ-H05/start`);
    await other.getByRole("button", { name: /Start the job/ }).click();
    await other.waitForURL(/\/jobs\/[^/]+$/);
    await expect(rope.locator("li", { hasText: "NQ-H05" }).filter({ hasText: "at work" })).toBeVisible({
      timeout: 1500,
    });
    await other.getByRole("button", { name: "Stop work" }).click();
    await other.getByRole("button", { name: "Too dark" }).click();
    await other.getByRole("button", { name: "Stop work here" }).click();
    const knot = rope.locator("li", { hasText: "NQ-H05" }).filter({ hasText: "stopped" });
    await expect(knot).toBeVisible({ timeout: 2000 });
    // And Today says the same, without a reload.
    await expect(page.getByRole("main")).toContainText("Stopped: Too dark", { timeout: 3000 });
    await other.context().close();
  });

  test("a job started by mistake is closed as not begun, and its valve can be started anew", async ({
    page,
  }) => {
    await page.goto(`${server.url}/valves/NQ-H06/start`);
    await page.getByRole("button", { name: /Start the job/ }).click();
    await page.waitForURL(/\/jobs\/[^/]+$/);
    await page.getByRole("button", { name: "Stop work" }).click();
    await page.getByRole("button", { name: "It was started by mistake" }).click();
    await page.getByRole("button", { name: "The wrong valve" }).click();
    await page.getByRole("button", { name: "Close it as not begun" }).click();
    await page.waitForURL(/record$/);
    await expect(page.getByRole("main")).toContainText("Closed as not begun by Tam Arkle");
    await page.goto(`${server.url}/valves/NQ-H06`);
    await expect(page.getByRole("link", { name: "Start a job" })).toBeVisible();
  });

  test("a page of somebody else's cannot write here: real Chromium, real foreign origin", async ({
    page,
    request,
  }) => {
    const evil = createServer((_, answer) =>
      answer.setHeader("content-type", "text/html").end("<h1>Free valves</h1>"),
    );
    await new Promise<void>((resolve) => evil.listen(0, "127.0.0.1", resolve));
    const { port } = evil.address() as { port: number };
    try {
      // Another port of this machine: same site, so cookies go along; another origin all the same.
      await page.goto(`http://localhost:${port}/`);
      const job = "demo-h09-wait";
      const before = (await (await request.get(`${server.url}/api/v1/jobs/${job}`)).json()).events.length;
      const tried = await page.evaluate(
        async ({ url, job, events }) => {
          const send = async (type: string, mode: RequestMode) =>
            fetch(`${url}/api/v1/jobs/${job}/events`, {
              method: "POST",
              mode,
              credentials: "include",
              headers: { "content-type": type },
              body: JSON.stringify({ events }),
            }).then(
              (answer) => answer.type,
              () => "blocked",
            );
          return [
            await send("text/plain", "no-cors"),
            await send("application/json", "cors"),
            await new Promise((resolve) => {
              const frame = document.createElement("iframe");
              frame.src = url;
              frame.onload = () => resolve(frame.contentDocument === null ? "closed" : "open");
              document.body.append(frame);
            }),
          ];
        },
        { url: server.url, job, events: [note("evil")] },
      );
      expect(tried).toEqual(["blocked", "blocked", "closed"]);
      const after = (await (await request.get(`${server.url}/api/v1/jobs/${job}`)).json()).events.length;
      expect(after).toBe(before);
      // What the browser could not read, a program can: it was refused, and for this.
      const refused = await request.post(`${server.url}/api/v1/jobs/${job}/events`, {
        headers: { origin: `http://localhost:${port}` },
        data: { events: [note("evil")] },
      });
      expect(refused.status()).toBe(403);
      const rebound = await request.get(`${server.url}/api/health`, { headers: { host: "evil.example" } });
      expect(rebound.status()).toBe(421);
    } finally {
      evil.close();
    }
  });

  test("a CSV of three columns: each field before and after, nothing else touched, undone as one", async ({
    page,
    request,
  }) => {
    await page.goto(`${server.url}/loft/import`);
    await chooseFiles(page, {
      name: "three.csv",
      text: "tag,name,symptom\nNQ-H07,Hydrant by the new slip,-\n",
    });
    const table = page.getByRole("table");
    await expect(table).toContainText("Hydrant on the slip");
    await expect(table).toContainText("Hydrant by the new slip");
    await expect(table).toContainText("Outlet weeps when shut");
    await page.getByRole("button", { name: "Bring it in" }).click();
    await expect(page.getByRole("heading", { name: "Brought in", exact: true })).toBeVisible();
    const list = async () =>
      (await (await request.get(`${server.url}/api/v1/export/valves.csv?find=NQ-H07`)).text()).split(
        "\r\n",
      )[1];
    expect(await list()).toBe(
      (await list())!
        .replace("Hydrant on the slip", "Hydrant by the new slip")
        .replace("Outlet weeps when shut", ""),
    );
    expect(await list()).toMatch(
      /^NQ-H07,Hydrant by the new slip,North quay,brae-quaywall-4,north-quay,NQ-H07,/,
    );
    await page.getByRole("button", { name: "Undo all of it" }).first().click();
    await expect(page.getByText("Everything is again as it was before.")).toBeVisible();
    expect(await list()).toMatch(/^NQ-H07,Hydrant on the slip,.*,Outlet weeps when shut,/);
  });

  test("a line that comes in is proven with the valves that stand on it, before anything is stored", async ({
    page,
    request,
  }) => {
    const line = await (await request.get(`${server.url}/api/v1/lines/lido-water`)).json();
    await page.goto(`${server.url}/loft/import`);
    await chooseFiles(page, {
      name: "lido-water.json",
      text: JSON.stringify({ ...line, name: "Hot and cold water of the lido" }),
    });
    await expect(
      page.getByText(/^Proven on the valves that stand on it: \d\d? plans, \d+ acts, no harm\.$/),
    ).toBeVisible();
    await expect(page.getByRole("button", { name: "Bring it in" })).toBeVisible();

    // Where nothing can be shut a plan proves nothing: it is not counted, and each valve is named with why.
    const stuck = line.links.map((link: { kind: string }) =>
      link.kind === "valve" ? { ...link, operable: false } : link,
    );
    await page.goto(`${server.url}/loft/import`);
    await chooseFiles(page, { name: "lido-water.json", text: JSON.stringify({ ...line, links: stuck }) });
    await expect(page.getByText("No job goes on by this:")).toBeVisible();
    await expect(page.getByText(/^LD-M1: /)).toBeVisible();
    await expect(page.getByText(/^None of its \d\d? plans goes on to its end/)).toBeVisible();
  });

  test("a forged log is told before it comes in, and closes nothing", async ({ page, request }) => {
    const forged = await (await request.get(`${server.url}/api/v1/jobs/demo-h08-done`)).json();
    // The strip is left out, and the log is sealed anew by the published rules.
    const { chainStart, seal } = await import("@/core/job");
    forged.inputs.id = "forged-1";
    let previous = chainStart(forged.inputs);
    forged.events = forged.events
      .filter(({ event }: { event: { step?: string } }) => !event.step?.startsWith("strip:"))
      .map(({ event, seal: old }: { event: never; seal: { serverAt: string } }, index: number) => {
        const made = seal(event, index + 1, old.serverAt, previous);
        previous = made.seal.hash;
        return made;
      });
    delete forged.proof;
    await page.goto(`${server.url}/loft/import`);
    await chooseFiles(page, { name: "forged.json", text: JSON.stringify(forged) });
    await expect(page.getByText("It is foreign:")).toContainText(/Entry \d+ could not have been made then/);
    await page.getByRole("button", { name: "Bring it in" }).click();
    await expect(page.getByRole("heading", { name: "Brought in", exact: true })).toBeVisible();
    await page.goto(`${server.url}/jobs?state=foreign`);
    await expect(page.locator("tbody tr")).toHaveCount(1);
    await page.locator("tbody tr").getByRole("link").first().click();
    await expect(page.getByRole("main").getByRole("alert")).toContainText("This log is foreign.");
    await expect(page.getByRole("main")).not.toContainText("The log is whole.");
  });

  test("a wrong clock is told before the work; the entry is put right, marked and taken", async ({
    page,
    request,
  }) => {
    await page.clock.install({ time: Date.now() + 12 * 60_000 });
    await page.goto(`${server.url}/valves/NQ-H03/start`);
    await page.getByRole("button", { name: /Start the job/ }).click();
    await page.waitForURL(/\/jobs\/[^/]+$/);
    await expect(page.getByText(/The clock of this device runs 12 min ahead of the server's/)).toBeVisible();
    const tech = new Technician(page);
    const title = await tech.title();
    await tech.card.locator("fieldset button").first().click();
    await tech.press();
    await expect(tech.headline).not.toHaveText(title);
    await expect(page.getByText("saved", { exact: true })).toBeVisible();
    const job = await (await request.get(page.url().replace("/jobs/", "/api/v1/jobs/"))).json();
    const { event, seal } = job.events.at(-1);
    expect(event.off_s).toBeGreaterThan(700);
    expect(Math.abs(Date.parse(event.at) - Date.parse(seal.serverAt))).toBeLessThan(20_000);
    await page.goto(`${page.url()}/record`);
    await page.getByRole("button", { name: /^Everything, in order/ }).click();
    await expect(page.getByText(/clock 12 min ahead, put right/).first()).toBeVisible();
  });

  test("mutated requests over all routes: no answer of ours is a 5xx, and what is refused changes nothing", async () => {
    const db = new Database(server.database, { readonly: true });
    const state = () =>
      JSON.stringify(
        ["jobs", "job_events", "valves", "people", "sheets", "lines", "stores", "readings", "anchors"].map(
          (table) =>
            db
              .prepare(`select count(*) as count, total(length(quote(t.rowid))) as sum from ${table} t`)
              .get(),
        ),
      );
    let refused = 0;
    for (const { method, path, headers, body } of mutations(350, 9)) {
      const before = state();
      const answer = await fetch(server.url + path, { method, headers, ...(body !== undefined && { body }) });
      const text = await answer.text();
      const sent = `${method} ${path} ${body?.slice(0, 300)} → ${answer.status} ${text.slice(0, 200)}`;
      expect(answer.status, sent).toBeLessThan(500);
      if (answer.status < 400) continue;
      refused += 1;
      expect(state(), sent).toBe(before);
      expect(text, sent).not.toMatch(/\bat .*\.(ts|js):\d+|must (NOT|be|match|have)/);
    }
    expect(refused).toBeGreaterThan(150);
    db.close();
  });
});

test("a log that was cut in the database is found on list, record, Today, health and by the command", async ({
  page,
  request,
}) => {
  const server = new TestServer("demo");
  server.drawers = 1;
  const verify = () =>
    spawnSync(process.execPath, ["dist/verify.mjs"], {
      env: { ...process.env, LOFTBELL_MODE: "demo", LOFTBELL_DATA: server.folder },
      encoding: "utf8",
    });
  try {
    await server.start();
    const file = await (await request.get(`${server.url}/api/v1/jobs/demo-h08-done`)).text();
    await server.kill();
    expect(verify()).toMatchObject({ status: 0, stdout: expect.stringContaining("as it was acknowledged") });
    const db = new Database(server.database);
    db.exec(
      "delete from job_events where job = 'demo-h08-done' and seq = (select max(seq) from job_events where job = 'demo-h08-done')",
    );
    db.close();
    const said = verify();
    expect(said.status).toBe(1);
    expect(said.stderr).toContain("demo-h08-done: 1 of 89 entries are missing");

    await server.start();
    const cut = /1 of 89 entries are missing: the log was cut/;
    await expect(async () =>
      expect((await (await request.get(`${server.url}/api/health`)).json()).doubts).toBe(1),
    ).toPass();
    await page.goto(server.url);
    await expect(page.getByRole("main").getByRole("alert")).toContainText(cut);
    await page.getByRole("link", { name: "See which" }).click();
    await expect(page.getByRole("main").getByRole("alert")).toContainText(cut);
    await page.goto(`${server.url}/jobs`);
    await expect(page.locator("tbody tr", { hasText: "NQ-H08" })).toContainText(cut);
    await page.goto(`${server.url}/jobs/demo-h08-done/record`);
    await expect(page.getByRole("main").getByRole("alert")).toContainText(cut);
    expect((await addEvents(request, server.url, "demo-h08-done", [note("n")])).status()).toBe(409);

    // The file that was taken before is whole: a stranger sees that with nothing but the file.
    const { writeFileSync } = await import("node:fs");
    const path = join(server.folder, "job.json");
    const stranger = (...more: string[]) =>
      spawnSync(process.execPath, ["dist/verify.mjs", path, ...more], { encoding: "utf8" });
    writeFileSync(path, file);
    const key = JSON.parse(file).proof.publicKey as string;
    expect(stranger("--key", key)).toMatchObject({
      status: 0,
      stdout: expect.stringContaining("Whole: 89 entries"),
    });
    expect(stranger("--key", "B".repeat(43)).status).toBe(1);
    writeFileSync(path, file.replace('"Tam Arkle"', '"Odd Kerrigan"'));
    expect(stranger().status).toBe(1);
  } finally {
    await server.end();
  }
});
