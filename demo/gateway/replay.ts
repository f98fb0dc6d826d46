import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { type WebSocket, WebSocketServer } from "ws";

/**
 * A gateway that replays what an instrument said: ./loftbell replay FILE [--port 4190] [--speed 1] [--cut SECONDS]
 *
 * Each line of the file is {"at": seconds, "line": a line of the protocol}. Lines without a time are said when somebody
 * connects. Put a reader of your own instrument in the place of the file, and it is a gateway.
 */
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    port: { type: "string", default: "4190" },
    speed: { type: "string", default: "1" },
    /** s after which every connection is cut, as by a plug pulled out. */
    cut: { type: "string" },
  },
});
const [file] = positionals;
if (file === undefined) {
  console.error("Name a recorded trace: ./loftbell replay demo/gateway/standing-test.jsonl");
  process.exit(2);
}

interface Recorded {
  readonly at?: number;
  readonly line: unknown;
}
const recorded = readFileSync(file, "utf8")
  .split("\n")
  .filter((each) => each.trim() !== "")
  .map((each) => JSON.parse(each) as Recorded);
const speed = Number(values.speed);
const server = new WebSocketServer({ host: "127.0.0.1", port: Number(values.port) });

server.on("connection", (socket: WebSocket) => {
  const say = ({ line }: Recorded) => socket.send(`${JSON.stringify(line)}\n`);
  const first = recorded.filter(({ at }) => at === undefined);
  const timers = recorded
    .filter((each) => each.at !== undefined)
    .map((each) => setTimeout(() => say(each), (each.at! / speed) * 1000));
  if (values.cut !== undefined) timers.push(setTimeout(() => socket.terminate(), Number(values.cut) * 1000));
  for (const each of first) say(each);
  // Asked who it is, it says so again.
  socket.on("message", () => {
    for (const each of first) say(each);
  });
  socket.on("close", () => {
    for (const each of timers) clearTimeout(each);
  });
});
server.on("listening", () => {
  console.log(`Replays ${file} at ws://127.0.0.1:${(server.address() as { port: number }).port}`);
});
server.on("error", (fault) => {
  console.error(`Cannot listen: ${fault.message}. Name another port with --port.`);
  process.exit(1);
});
