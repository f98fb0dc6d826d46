import { randomBytes } from "node:crypto";
import { readFileSync, rmSync, writeFileSync } from "node:fs";
import { createServer, type IncomingMessage, type ServerResponse } from "node:http";
import { availableParallelism, networkInterfaces } from "node:os";
import { monitorEventLoopDelay } from "node:perf_hooks";
import compression from "compression";
import next from "next";
import { err } from "@/core/result";
import { type Draw, startDrawers } from "@/edge/drawers";
import {
  ALWAYS,
  contentPolicy,
  gatewaysOf,
  isLoopback,
  isOnThisMachine,
  ownHosts,
  refuseArriving,
} from "@/edge/guard";
import { atTheDoor, OURSELVES_HEADER, SERVICE_WORKER } from "@/edge/porter";
import { PROBLEM_TYPE, problemBody, type Refusal, refused } from "@/edge/problem";
import { Turnstile } from "@/edge/turnstile";
import { PERSON_HEADER } from "@/edge/who-is";
import { firstCode } from "@/server/access/first-keeper";
import { newestGood } from "@/server/backup/backups";
import { backUpBeforeUpdate, backUpDaily } from "@/server/backup/schedule";
import { tell } from "@/server/drawing/tell";
import { openStore } from "@/server/faults/open-store";
import { storageFault } from "@/server/faults/storage-fault";
import { health } from "@/server/health";
import { warmUp } from "@/server/heavy/pool";
import { programBeside } from "@/server/programs";
import { folders, isDemo, setClockAhead } from "@/server/services";
import { servingSign } from "@/server/serving";

/** Serves Loft Bell: opens the store, lets in what may come in, and hands it to the pages and routes. */
const host = process.env.HOST ?? "127.0.0.1";
const port = Number(process.env.PORT ?? 4180);
const developing = process.argv.includes("--dev");
const hosts = ownHosts(
  host,
  port,
  Object.values(networkInterfaces()).flatMap((each) => (each ?? []).map(({ address }) => address)),
  (process.env.LOFTBELL_HOSTS ?? "").split(","),
);

const gateways = gatewaysOf(process.env.LOFTBELL_GATEWAYS ?? "");

// Whoever started it for a drill sets its clock on without a new start.
process.on("message", (told: { readonly clockAheadMinutes?: unknown }) => {
  if (typeof told.clockAheadMinutes === "number") setClockAhead(told.clockAheadMinutes);
});

const unsaved = await backUpBeforeUpdate(folders(), Date.now());
const first = unsaved === undefined ? openStore() : err({ message: unsaved, restore: false });
const opened = first.ok
  ? first
  : err(`${first.error.message}${first.error.restore ? await offeredBackup() : ""}`);
if (!opened.ok) console.error(`\n${opened.error}\n`);

/** The way back, where there is one. */
async function offeredBackup(): Promise<string> {
  const good = await newestGood(folders());
  return good === undefined
    ? ""
    : ` The newest good backup is ${good.id}. Stop the server, then: ./loftbell restore ${good.id}`;
}
// Before anything asks for it: whoever listens beyond this machine, or is reached through another server, needs it.
if ([...hosts].some((name) => !isLoopback(name.replace(/:\d+$/, ""))))
  process.env.LOFTBELL_OPEN_TO_NETWORK = "yes";
if (!isLoopback(host))
  console.warn(
    `\nHOST is ${host}: others on this network reach Loft Bell, and one has to sign in. What goes over the network is not encrypted: put a server with TLS before it (docs/running.md).\n`,
  );

function refuse(answer: ServerResponse, refusal: Refusal): void {
  answer
    .writeHead(refusal.status, { "content-type": PROBLEM_TYPE })
    .end(JSON.stringify(problemBody(refusal)));
}

/** What every address answers while there is no store to work on. */
function outOfOrder(request: IncomingMessage, answer: ServerResponse, message: string): void {
  if (request.url?.startsWith("/api/") === true) {
    const refusal = {
      ...refused(503, "The server cannot store", message),
      more: { kind: "cannot-store", ok: false, message },
    };
    refuse(answer, refusal);
    return;
  }
  const text = message.replaceAll("&", "&amp;").replaceAll("<", "&lt;");
  answer
    .writeHead(503, {
      "content-type": "text/html; charset=utf-8",
      "content-security-policy": "default-src 'none'; style-src 'unsafe-inline'",
    })
    .end(
      `<!doctype html><html lang="en"><meta name="viewport" content="width=device-width"><title>Loft Bell cannot work</title><body style="margin:0;background:#F5F3EC;color:#17242D;font:20px/1.5 sans-serif"><main style="max-width:40rem;margin:12vh auto;padding:0 1.5rem;border-left:8px solid #B3261E"><h1>Loft Bell cannot work on this data.</h1><p>${text}</p><p>Nothing was changed. Entries made on the devices stay there until the server stores again.</p></main>`,
    );
}

/** Takes as long as it is worth; a browser on this machine gains nothing by it, and a stream has to be sent at once. */
const compressed = compression({
  level: 3,
  filter: (request, answer) =>
    !isOnThisMachine(request.socket.remoteAddress) &&
    !String(answer.getHeader("content-type") ?? "").startsWith("text/event-stream") &&
    compression.filter(request, answer),
});

/** Pages that one process draws at once; the routes, through which entries come, wait for none. */
const pages = new Turnstile<Draw>(2);
/** A page is drawn by then; what goes on is its way to the browser. */
const DRAWN_MS = 300;
/** Processes that draw pages beside this one; without any this one draws. */
const drawers = developing ? 0 : Number(process.env.DRAWERS ?? Math.min(2, availableParallelism()));

const app = next({ dev: developing, hostname: host, port });
const handle = app.getRequestHandler();
/** This process draws as long as no other one does. */
const here: Draw = (request, answer) => void handle(request, answer);
pages.open(here);
let endDrawers = () => {};
if (opened.ok) {
  const { value: services } = opened;
  endDrawers = startDrawers(drawers, programBeside("draw.ts"), {
    tell: () => tell(services),
    instead: here,
    opened: (draw) => {
      pages.open(draw);
      pages.close(here);
      if (pages.places < drawers) return;
      console.log(`Pages are drawn by ${drawers} processes beside this one.`);
      void warmUp();
    },
    closed: (draw) => {
      pages.close(draw);
      if (pages.places === 0) pages.open(here);
    },
  });
  await app.prepare();
}

/** By this the server knows itself where everybody else has to sign in. */
const OURSELVES = randomBytes(32).toString("base64url");

const server = createServer((request, answer) => {
  for (const [name, value] of Object.entries(ALWAYS)) answer.setHeader(name, value);
  const { method = "GET", url = "/", headers } = request;
  const refusal = refuseArriving({ method, url, headers }, hosts);
  if (refusal !== undefined) return refuse(answer, refusal);
  if (!opened.ok) return outOfOrder(request, answer, opened.error);
  if (!url.startsWith("/_next/static/")) {
    const policy = contentPolicy(randomBytes(16).toString("base64"), developing, gateways);
    // The framework reads the nonce from here and gives it to its scripts.
    headers["content-security-policy"] = policy;
    answer.setHeader("content-security-policy", policy);
  }
  void atTheDoor(request, opened.value, OURSELVES).then(
    (elsewhere) => {
      if (elsewhere === undefined)
        compressed(request as never, answer as never, () => serve(request, answer, method, url));
      else answer.writeHead(303, { location: elsewhere, "cache-control": "no-store" }).end();
    },
    (thrown: unknown) => {
      const message = storageFault(thrown)?.message;
      if (message === undefined) console.error(`${method} ${url}`, thrown);
      outOfOrder(request, answer, message ?? "Loft Bell failed here. The server's log says where.");
    },
  );
});

/** Packed by the build; while developing, pages come from the server alone. */
const serviceWorker = developing ? undefined : readFileSync(programBeside("service-worker.js"));

function serve(request: IncomingMessage, answer: ServerResponse, method: string, url: string): void {
  if (serviceWorker !== undefined && url === SERVICE_WORKER) {
    answer
      .writeHead(200, { "content-type": "text/javascript; charset=utf-8", "cache-control": "no-cache" })
      .end(serviceWorker);
    return;
  }
  const page = method === "GET" && !url.startsWith("/api/") && !url.startsWith("/_next/");
  if (!page) {
    void handle(request, answer);
    return;
  }
  pages.enter((draw, leave) => {
    if (answer.destroyed) return leave();
    answer.once("close", leave);
    // Whoever has a slow line takes long to fetch what was drawn at once.
    setTimeout(leave, DRAWN_MS).unref();
    draw(request, answer);
  });
}
server.on("upgrade", (request, socket, head) => void app.getUpgradeHandler()(request, socket, head));
server.on("error", (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === "EADDRINUSE"
      ? `Port ${port} is taken: another server runs there. End it, or choose another with PORT.`
      : error.message,
  );
  process.exit(1);
});

/** For the bench: how long the serving thread was held, told at the end. */
const held = process.env.LOFTBELL_WATCH_LOOP === "yes" ? monitorEventLoopDelay({ resolution: 5 }) : undefined;
held?.enable();
process.on("SIGUSR2", () => held?.reset());

const TRY_AGAIN_MS = 10_000;
const ANY_ADDRESS = ["0.0.0.0", "::"];
/** Who serves this folder: whoever wants to empty it has to ask first. */
const sign = servingSign();
server.listen(port, host, async () => {
  // No browser goes to "all addresses", and the guard knows no such host.
  const near = ANY_ADDRESS.includes(host) ? "127.0.0.1" : host;
  const url = `http://${near.includes(":") ? `[${near}]` : near}:${port}`;
  await firstEntry(url);
  console.log(`Loft Bell: ${url}`);
  if (!opened.ok) return;
  const code = firstCode(opened.value);
  if (code !== undefined)
    console.log(
      `\nNobody can sign in yet. The first keeper comes in at ${url}/sign-in by this code: ${code}\n`,
    );
  writeFileSync(sign, JSON.stringify({ pid: process.pid, url }));
  const { value: services } = opened;
  // After a fault it is looked whether storing works again, though nobody enters anything.
  setInterval(() => services.live.fault !== undefined && health(services), TRY_AGAIN_MS).unref();
  // The demo begins anew whenever one likes.
  if (!isDemo()) backUpDaily(opened.value, folders());
});

/** The first entry has its schemas compiled, which takes long: that is done before anybody makes one. This one is refused. */
async function firstEntry(url: string): Promise<void> {
  if (!opened.ok) return;
  const [person] = opened.value.library.crew();
  // Without a crew nobody makes one.
  if (person === undefined) return;
  const headers = {
    "content-type": "application/json",
    origin: url,
    [PERSON_HEADER]: encodeURIComponent(person.id),
    [OURSELVES_HEADER]: OURSELVES,
  };
  const sent = fetch(`${url}/api/v1/jobs/none/events`, { method: "POST", headers, body: `{"events":[{}]}` });
  await sent.catch(() => {});
}
for (const signal of ["SIGINT", "SIGTERM"] as const)
  process.on(signal, () => {
    rmSync(sign, { force: true });
    endDrawers();
    if (held !== undefined)
      console.log(
        `Held: p99 ${(held.percentile(99) / 1e6).toFixed(0)} ms, longest ${(held.max / 1e6).toFixed(0)} ms`,
      );
    process.exit(0);
  });
