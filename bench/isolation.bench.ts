import { planOn } from "@/core/isolation";
import { network, streetGrid } from "@/core/line";

/** Isolation of hydrants on generated street grids: time a plan, and its growth with the town. */
const HYDRANTS = 60;

console.log("isolation on street grids (one hydrant opened; the line laid out once)");
console.log("   nodes    links   median ms   p95 ms   worst ms   x per node of the row above   plans");
let before: { nodes: number; median: number } | undefined;
for (const size of [1_000, 5_000, 20_000]) {
  const line = streetGrid(size);
  const net = network(line);
  const hydrants = line.nodes.filter((node) => node.hydrant);
  const chosen = Array.from(
    { length: HYDRANTS },
    (_, index) => hydrants[Math.floor(((index + 0.5) * hydrants.length) / HYDRANTS)]!,
  );
  for (const hydrant of chosen.slice(0, 10)) planOn(line, { open: [hydrant.id] }, net);
  let plans = 0;
  const times = chosen
    .map((hydrant) => {
      const start = performance.now();
      const plan = planOn(line, { open: [hydrant.id] }, net);
      if (plan.ok) plans += 1;
      return performance.now() - start;
    })
    .sort((a, b) => a - b);
  const median = times[Math.floor(times.length / 2)]!;
  const growth =
    before === undefined ? "" : (median / before.median / (line.nodes.length / before.nodes)).toFixed(2);
  console.log(
    `${String(line.nodes.length).padStart(8)} ${String(line.links.length).padStart(8)} ${median.toFixed(2).padStart(11)} ${times[Math.floor(times.length * 0.95)]!.toFixed(2).padStart(8)} ${times.at(-1)!.toFixed(2).padStart(10)} ${growth.padStart(29)} ${String(plans).padStart(7)}/${HYDRANTS}`,
  );
  before = { nodes: line.nodes.length, median };
}
