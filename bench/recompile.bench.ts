import { readFileSync } from "node:fs";
import type { JobDocument } from "@/core/formats";
import { run } from "@/core/job";
import { row } from "./table";

/** A whole replay and recompile after every entry of a finished job: what the card does at each tap. */
const { inputs, events } = JSON.parse(readFileSync("demo/jobs/h08-done.json", "utf8")) as JobDocument;
const log = events.map((each) => each.event);
const lap = () =>
  log.map((_, length) => {
    const start = performance.now();
    run(inputs, log.slice(0, length));
    return performance.now() - start;
  });
lap();
const times = lap().sort((a, b) => a - b);
row({
  bench: "recompile",
  what: `after each of ${log.length} entries, median and worst`,
  measured: `${times[Math.floor(times.length / 2)]!.toFixed(2)} and ${times.at(-1)!.toFixed(2)} ms`,
  reach: "20 ms",
});
console.log(
  `recompile over ${log.length} entries: median ${times[Math.floor(times.length / 2)]!.toFixed(2)} ms, worst ${times.at(-1)!.toFixed(2)} ms (bound 20 ms)`,
);
