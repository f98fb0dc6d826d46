import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, rmSync, statSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { openDatabase } from "@/data";
import { listValves, PAGE } from "@/server/lists/lists";
import { installationIn } from "@/server/proof/installation";
import { type Services, servicesOn } from "@/server/services";
import { type Crowd, clients, HUNDRED, HURRY } from "./load/clients";
import { ask, askOften, firstScripts, percentile } from "./load/measure";
import { makeTown, tagOf } from "./load/town";
import { row } from "./table";

/**
 * Registers of 1,000, 10,000 and 100,000 valves with 300 open jobs, made by the importer and the use cases, then served:
 * what a page weighs and takes, find as one types, and twenty clients at once. SIZES, JOBS, SECONDS and
 * DRAWERS change it.
 */
const SIZES = (process.env.SIZES ?? "1000,10000,100000").split(",").map(Number);
const JOBS = Number(process.env.JOBS ?? 300);
const SECONDS = Number(process.env.SECONDS ?? 60);
const TIMES = 20;
const DRAWERS = Number(process.env.DRAWERS ?? 2);

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });

interface Served {
  readonly url: string;
  readonly process: ChildProcess;
  readonly said: () => string;
}

/** Served as the program serves. @param drawers processes that draw pages beside the one that serves */
async function serve(folder: string, drawers: number): Promise<Served> {
  const port = await freePort();
  const child = spawn(process.execPath, ["--max-semi-space-size=64", "dist/serve.mjs"], {
    env: {
      ...process.env,
      DRAWERS: String(drawers),
      NODE_ENV: "production",
      LOFTBELL_MODE: "own",
      LOFTBELL_DATA: folder,
      LOFTBELL_WATCH_LOOP: "yes",
      HOST: "127.0.0.1",
      PORT: String(port),
    },
    stdio: ["ignore", "pipe", "inherit"],
  });
  let said = "";
  child.stdout?.on("data", (piece) => {
    said += piece;
  });
  const url = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 600; tries++) {
    const up = await fetch(`${url}/api/health`).then(
      async (answer) => (await answer.json()).verified === true,
      () => false,
    );
    if (up && (drawers === 0 || said.includes("Pages are drawn by")))
      return { url, process: child, said: () => said };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error("the server does not come up");
}

/** Ends the server; it says the longest times its thread was held. */
async function end(served: Served): Promise<string> {
  const gone = new Promise((resolve) => served.process.once("exit", resolve));
  served.process.kill("SIGTERM");
  await gone;
  return served
    .said()
    .split("\n")
    .filter((line) => line.startsWith("Held"))
    .join(" ");
}

/** What the reading of a page of rows takes, without the drawing of it. */
function listsRead(services: Services, size: number): number[] {
  const deep = Math.max(1, Math.floor(size / PAGE / 2));
  const asks = [
    {},
    { state: "late", sort: "due" },
    { find: "hydrant north", sort: "name", down: "yes" },
    { page: deep },
    { sort: "due", page: deep },
    { state: "quiet", sort: "tag" },
    { state: "quiet", sort: "name", page: deep },
    { sort: "name", page: deep },
    { find: "hyd" },
    { find: "h", sort: "due", down: "yes" },
  ] as const;
  return asks.flatMap((ask) =>
    Array.from({ length: TIMES }, () => {
      const begun = performance.now();
      listValves(services, ask);
      return performance.now() - begun;
    }),
  );
}

async function crowd(
  served: Served,
  jobs: readonly string[],
  pages: readonly string[],
  how: string,
  who: Omit<Crowd, "seconds"> = HURRY,
) {
  // What was held before, while the pages were loaded for the first time, is not of the clients' doing.
  served.process.kill("SIGUSR2");
  const { writes, writeP95, reads, readP95, wrong } = await clients(served.url, jobs, pages, {
    ...who,
    seconds: SECONDS,
  });
  console.log(`  ${who.people} clients, ${SECONDS} s, ${how}:`);
  console.log(
    `    ${writes} writes p95 ${writeP95.toFixed(0)} ms, ${reads} pages p95 ${readP95.toFixed(0)} ms, ${wrong} wrong. ${await end(served)}`,
  );
  return { writeP95, readP95, wrong };
}

const cell = (text: string | number, width: number) => String(text).padStart(width);
const grown = new Map<string, number[]>();

for (const size of SIZES) {
  const folder = mkdtempSync(join(tmpdir(), "loftbell-load-"));
  try {
    const begun = performance.now();
    const services = servicesOn(
      openDatabase(join(folder, "loftbell.db")),
      Date.now,
      undefined,
      installationIn(folder),
    );
    const jobs = await makeTown(services, size, JOBS);
    const read = listsRead(services, size);
    services.db.$client.close();
    const mb = statSync(join(folder, "loftbell.db")).size / 1e6;
    console.log(
      `\n${size.toLocaleString("en")} valves, ${jobs.length} open jobs: made in ${((performance.now() - begun) / 1000).toFixed(1)} s, ${mb.toFixed(0)} MB on disk`,
    );
    console.log(
      `  a page of a list read, with its count: p95 ${percentile(read, 0.95).toFixed(1)} ms, worst ${Math.max(...read).toFixed(1)} ms`,
    );
    const of = `${size.toLocaleString("en")} valves`;
    row({
      bench: "load",
      what: `${of}: a page of a list, p95`,
      measured: `${percentile(read, 0.95).toFixed(1)} ms`,
    });
    const served = await serve(folder, DRAWERS);
    const tag = tagOf(7);
    const pages = [
      "/",
      "/valves",
      "/valves?state=late&sort=due",
      "/valves?find=hydrant+north&sort=name&down=yes",
      `/valves?page=${Math.max(1, Math.floor(size / 50 / 2))}`,
      `/valves/${tag}`,
      `/valves/${tag}/start`,
      "/jobs",
      "/jobs?state=at-work&sort=left",
      `/jobs/${jobs[0]}`,
      `/jobs/${jobs[0]}/record`,
      "/lines",
      "/lines/north-quay",
      "/sheets",
      "/store",
      "/loft",
      "/loft/import",
      "/bench",
      "/bench/bolt-up",
    ];
    console.log(`  ${"page".padEnd(48)} p95 ms      kB   first scripts kB`);
    for (const page of pages) {
      const { p95, bytes, html } = await askOften(served.url + page, TIMES);
      const scripts = await firstScripts(served.url, html);
      console.log(
        `  ${page.padEnd(48)}${cell(p95.toFixed(0), 7)} ${cell((bytes / 1000).toFixed(0), 7)} ${cell((scripts / 1000).toFixed(0), 12)}`,
      );
      grown.set(page.replace(jobs[0]!, "JOB"), [...(grown.get(page.replace(jobs[0]!, "JOB")) ?? []), p95]);
    }
    const typed = [
      tag,
      "hydrant",
      "weeps",
      "SN-12",
      "boiler room",
      "Salt Wharf",
      "disc",
      "rubber ring",
      "hydrnat",
      "K-31",
    ];
    const found: number[] = [];
    for (const words of typed)
      for (let letters = 1; letters <= words.length; letters++)
        found.push(
          (await ask(`${served.url}/api/v1/find?words=${encodeURIComponent(words.slice(0, letters))}`)).ms,
        );
    console.log(
      `  find as one types (${found.length} asked): p95 ${percentile(found, 0.95).toFixed(1)} ms, worst ${Math.max(...found).toFixed(1)} ms`,
    );
    row({
      bench: "load",
      what: `${of}: find as one types, p95`,
      measured: `${percentile(found, 0.95).toFixed(1)} ms`,
    });
    const often = pages.filter((page) => !page.includes("/start"));
    const beside = await crowd(served, jobs, often, `pages drawn by ${DRAWERS} processes beside`);
    // On the same machine in the same minutes, so that the two can be compared whatever its host leaves it.
    const alone = await serve(folder, 0);
    for (const page of often) await askOften(alone.url + page, 3);
    const within = await crowd(alone, jobs, often, "pages drawn by the process that serves");
    const again = await serve(folder, DRAWERS);
    for (const page of often) await askOften(again.url + page, 3);
    const hundred = await crowd(again, jobs, often, "each an act every five seconds", HUNDRED);
    row({
      bench: "load",
      what: `${of}: 100 people, an act each every five seconds, p95 of a write and of a page, ${hundred.wrong} wrong`,
      measured: `${hundred.writeP95.toFixed(0)} and ${hundred.readP95.toFixed(0)} ms`,
    });
    row({
      bench: "load",
      what: `${of}: 20 clients, p95 of a write and of a page, ${beside.wrong + within.wrong} wrong`,
      measured: `${beside.writeP95.toFixed(0)} and ${beside.readP95.toFixed(0)} ms`,
      ratio: `drawn by the server itself ${(within.writeP95 / beside.writeP95).toFixed(1)} and ${(within.readP95 / beside.readP95).toFixed(1)} ×`,
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
if (SIZES.length > 1) {
  console.log(`\nGrowth of p95 from ${SIZES[0]} to ${SIZES.at(-1)} valves`);
  for (const [page, times] of grown)
    console.log(`  ${page.padEnd(48)} × ${(times.at(-1)! / times[0]!).toFixed(1)}`);
}
