import jsgraphs from "js-graph-algorithms";
import { planOn, prepareCuts } from "@/core/isolation";
import { type Network, network, streetGrid } from "@/core/line";
import { row } from "./table";

/**
 * Isolation of hydrants on generated street grids: a whole plan (cut, order, section, outages, locked liquid …), its
 * growth with the town, and beside it the bare minimum cut by a general-purpose graph library on the same weights.
 */
const HYDRANTS = 40;
/** The library takes seconds a cut; more questions tell nothing new. */
const ASKED_OF_LIBRARY = 3;
/** Larger towns than this are not put to the library: its search walks by recursion over the whole town. */
const LARGEST_FOR_LIBRARY = 20_000;
const UNLIMITED = 1e9;

/** The least cut between a hydrant and all energies by augmenting paths: valves weigh their minutes. */
function byLibrary(net: Network, hydrant: number): number {
  const sink = net.nodes.length;
  const graph = new jsgraphs.FlowNetwork(sink + 1);
  net.links.forEach((link, index) => {
    const fit = link.kind === "valve" && link.operable && link.passes !== true;
    const weight = fit ? link.access_min + (link.lockable ? 0 : 5) : UNLIMITED;
    graph.addEdge(new jsgraphs.FlowEdge(net.from[index]!, net.to[index]!, weight));
    graph.addEdge(new jsgraphs.FlowEdge(net.to[index]!, net.from[index]!, weight));
  });
  for (const energy of net.energies) graph.addEdge(new jsgraphs.FlowEdge(energy, sink, UNLIMITED));
  return new jsgraphs.FordFulkerson(graph, hydrant, sink).value;
}

const timed = (work: () => void): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};
const median = (times: readonly number[]) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)]!;

console.log(
  "isolation on street grids: one hydrant opened, the line laid out once; each figure the best of 3 runs",
);
console.log(
  "   nodes    links   median ms   worst ms   x per node of the row above   plans   library, cut only, ms   x",
);
let before: { nodes: number; median: number } | undefined;
for (const size of [1_000, 5_000, 20_000, 100_000]) {
  const line = streetGrid(size);
  const net = network(line);
  prepareCuts(net);
  const hydrants = line.nodes.filter((node) => node.hydrant);
  const chosen = Array.from(
    { length: HYDRANTS },
    (_, index) => hydrants[Math.floor(((index + 0.5) * hydrants.length) / HYDRANTS)]!,
  );
  let plans = 0;
  const ask = (id: string) => planOn(line, { open: [id] }, net);
  for (const hydrant of chosen.slice(0, 10)) ask(hydrant.id);
  const times = chosen.map((hydrant) => {
    if (ask(hydrant.id).ok) plans += 1;
    return Math.min(...[1, 2, 3].map(() => timed(() => ask(hydrant.id))));
  });
  const middle = median(times);
  const growth =
    before === undefined ? "" : (middle / before.median / (line.nodes.length / before.nodes)).toFixed(2);
  const library =
    size <= LARGEST_FOR_LIBRARY
      ? median(
          chosen
            .slice(0, ASKED_OF_LIBRARY)
            .map((hydrant) => timed(() => byLibrary(net, net.nodeIndex.get(hydrant.id)!))),
        )
      : undefined;
  console.log(
    `${String(line.nodes.length).padStart(8)} ${String(line.links.length).padStart(8)} ${middle.toFixed(2).padStart(11)} ${Math.max(
      ...times,
    )
      .toFixed(2)
      .padStart(
        10,
      )} ${growth.padStart(29)} ${`${plans}/${HYDRANTS}`.padStart(7)} ${(library?.toFixed(0) ?? "not asked").padStart(23)} ${library === undefined ? "" : (library / middle).toFixed(0).padStart(3)}`,
  );
  row({
    bench: "isolation",
    what: `a hydrant on ${line.nodes.length} nodes, median of ${HYDRANTS}`,
    measured: `${middle.toFixed(2)} ms`,
    ratio: [
      growth === "" ? [] : [`${growth} × per node of the row above`],
      library === undefined ? [] : [`a library's cut alone ${(library / middle).toFixed(0)} ×`],
    ]
      .flat()
      .join("; "),
  });
  before = { nodes: line.nodes.length, median: middle };
}
