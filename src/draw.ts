import { once } from "node:events";
import { request as ask, createServer } from "node:http";
import next from "next";
import { DRAWN, TOLD_HEADER } from "@/edge/drawers";
import { type Told, take } from "@/server/drawing/told";
import { readingServices } from "@/server/services";

/**
 * Draws pages for the process that serves, which starts it and hands them over: drawing takes long, and entries, bells and
 * find must not wait for it. It only reads; nobody else reaches the socket it listens on.
 */
const socket = process.argv[2] ?? "";
const services = readingServices();
const [told] = await once(process, "message");
take(services, told as Told);
const app = next({ dev: false });
const handle = app.getRequestHandler();
await app.prepare();

/** Drawn before anybody asks. */
const FIRST = ["/", "/valves", "/valves/none", "/jobs", "/jobs/none", "/lines/none", "/sheets"];
/** What is told is a few hundred bytes, and more only where much is in doubt. */
const TOLD_BYTES = 1 << 20;

const server = createServer({ maxHeaderSize: TOLD_BYTES }, (request, answer) => {
  const told = request.headers[TOLD_HEADER];
  if (typeof told === "string") take(services, JSON.parse(decodeURIComponent(told)) as Told);
  void handle(request, answer);
});
// The one that serves closes a line when it wants to; one that closes here may meet a page on its way.
server.keepAliveTimeout = 0;
server.listen(socket, async () => {
  // What a screen needs first is loaded with the first page of its kind: nobody has to wait for that.
  for (const path of FIRST) await draw(path);
  process.send?.(DRAWN);
});

const draw = (path: string) =>
  new Promise<void>((drawn) => {
    const asked = ask({ socketPath: socket, path }, (page) => page.resume().once("close", drawn));
    asked.once("error", () => drawn()).end();
  });
process.on("disconnect", () => process.exit(0));
for (const signal of ["SIGINT", "SIGTERM"] as const) process.on(signal, () => {});
