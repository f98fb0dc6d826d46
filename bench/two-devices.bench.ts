import { overCutLine, schedule } from "@/device/schedules.fixtures";
import { row } from "./table";

/** Two devices on one job, on lines that are cut, with killed tabs and a killed server: two hundred schedules by seed. */
const MANY = 200;
const begun = performance.now();
const wrong: string[] = [];
for (let seed = 1; seed <= MANY; seed++)
  for (const each of await schedule(seed, 60)) wrong.push(`seed ${seed}: ${each}`);
for (const each of wrong) console.log(each);
row({
  bench: "two devices",
  what: `${MANY} random schedules of two devices, cuts, kills of tab and server: what was lost, doubled or is not equal`,
  measured: `${wrong.length}; ${((performance.now() - begun) / 1000).toFixed(0)} s`,
  reach: "0",
});
if (wrong.length > 0) process.exitCode = 1;

const line = { entries: 1000, photos: 40, width: 640, height: 480, holds_s: 3, bytes_s: 60_000 };
const cut = await overCutLine(line);
row({
  bench: "two devices",
  what: `${line.entries} entries and ${line.photos} photographs (${(cut.bytes / 1e6).toFixed(1)} MB) over a line of ${line.bytes_s / 1000} kB/s that is cut every ${line.holds_s} s: lost or doubled; time on the line`,
  measured: `${cut.wrong.length}; ${(cut.seconds / 60).toFixed(1)} min`,
  reach: "0",
});
for (const each of cut.wrong) console.log(each);
if (cut.wrong.length > 0) process.exitCode = 1;
