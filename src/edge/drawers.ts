import { fork, type Serializable } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { Agent, request as ask, type IncomingMessage, type ServerResponse } from "node:http";
import { constants, setPriority, tmpdir } from "node:os";
import { join } from "node:path";
import { pipeline } from "node:stream";

/** Carries what the drawing process is told. Nobody else can set it: its socket is this process's own. */
export const TOLD_HEADER = "x-loftbell-told";
/** What a drawing process says when it can draw. */
export const DRAWN = "ready to draw";

/** Draws a page for a request. */
export type Draw = (request: IncomingMessage, answer: ServerResponse) => void;

/** One that ended is started again after this time: what ended it may be there still. */
const AGAIN_MS = 2000;

interface DrawerCalls {
  /** What has to be told with this page. */
  readonly tell: () => unknown;
  /** Draws a page that the drawing process did not begin with before it ended. */
  readonly instead: Draw;
  readonly opened: (draw: Draw) => void;
  readonly closed: (draw: Draw) => void;
}

/**
 * Starts processes that draw pages, and starts them again when they end; they end with this one.
 *
 * @returns ends them
 */
export function startDrawers(many: number, program: string, calls: DrawerCalls): () => void {
  const folder = mkdtempSync(join(tmpdir(), "loftbell-draw-"));
  const ends = Array.from({ length: many }, (_, number) =>
    keepDrawing(join(folder, `${number}.sock`), program, calls),
  );
  return () => {
    for (const end of ends) end();
    rmSync(folder, { recursive: true, force: true });
  };
}

function keepDrawing(socket: string, program: string, calls: DrawerCalls): () => void {
  let ended = false;
  let end: () => unknown = () => {};
  const start = () => {
    rmSync(socket, { force: true });
    const child = fork(program, [socket]);
    child.send(calls.tell() as Serializable);
    // Where cores are few, entries go before pages.
    if (child.pid !== undefined) setPriority(child.pid, constants.priority.PRIORITY_BELOW_NORMAL);
    const agent = new Agent({ keepAlive: true });
    const draw: Draw = (request, answer) => handOver(request, answer, { socket, agent, calls });
    child.on("message", (said) => {
      if (said === DRAWN) calls.opened(draw);
    });
    // What is wrong with it shows in its end.
    child.on("error", () => child.kill());
    child.once("exit", (code) => {
      calls.closed(draw);
      agent.destroy();
      if (ended) return;
      console.error(`A process that draws pages ended (${code ?? "killed"}); it is started again.`);
      setTimeout(() => !ended && start(), AGAIN_MS).unref();
    });
    end = () => child.connected && child.disconnect();
  };
  start();
  return () => {
    ended = true;
    end();
  };
}

interface Line {
  readonly socket: string;
  readonly agent: Agent;
  readonly calls: DrawerCalls;
}

function handOver(request: IncomingMessage, answer: ServerResponse, { socket, agent, calls }: Line): void {
  const { method, url, headers } = request;
  let told: string;
  try {
    told = encodeURIComponent(JSON.stringify(calls.tell()));
  } catch {
    // A database that cannot be read: the page says so.
    calls.instead(request, answer);
    return;
  }
  const asked = ask({
    socketPath: socket,
    agent,
    method,
    path: url,
    headers: { ...headers, [TOLD_HEADER]: told },
  });
  asked.once("response", (drawn) => {
    const { connection: _, "keep-alive": __, "transfer-encoding": ___, ...kept } = drawn.headers;
    answer.writeHead(drawn.statusCode ?? 500, kept);
    // A browser that has left needs no rest of its page; what breaks off here breaks off there.
    pipeline(drawn, answer, () => {});
  });
  asked.once("error", () => {
    if (answer.destroyed) return;
    if (answer.headersSent) answer.destroy();
    else calls.instead(request, answer);
  });
  answer.once("close", () => asked.destroy());
  asked.end();
}
