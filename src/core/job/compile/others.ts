import type { JobInputs, Line } from "../../formats";
import { type IsolationFailure, type IsolationPlan, pumpedOut } from "../../isolation";
import { equipmentAt, type Network, network, reachable, standing, standsShut, usuallyFed } from "../../line";
import type { Result } from "../../result";
import { type HeldShut, heldOn, lineAsItStands } from "../as-it-stands";
import { type Step, step } from "../step";
import { singleStep } from "../step-id";
import type { HeldOff, NotYet } from "../steps/others";
import type { PlannedFrom } from "./planned-from";
import { remembered } from "./remember";

/** What other jobs hold that keeps this work from its end. */
export interface Others {
  /** Waited for before anything is shut: both jobs cannot be at work at once. */
  readonly shared: readonly HeldOff[];
  /** Waited for before anything is opened: they held it before this job shut anything, and it fills behind them. */
  readonly first: readonly HeldOff[];
  /** Waited for before it is tested: they came later, and it fills when they open. */
  readonly later: readonly HeldOff[];
  /** Who stays without by another job when this one is done: told by that one, and named when this one is signed. */
  readonly notYet: readonly NotYet[];
  /** All that is held on this line, whatever it is to this work. */
  readonly held: HeldShut;
}

const NOTHING: Others = { shared: [], first: [], later: [], notYet: [], held: new Map() };

/** Jobs that begin before the others have opened wait for them, and never they for it: nobody waits in a ring. */
export function othersOf(
  { line, valve, rules = 1 }: JobInputs,
  { held, heldAtFirst }: PlannedFrom,
  isolation: Result<IsolationPlan, IsolationFailure> | undefined,
  waitsFor: ReadonlySet<string>,
): Others {
  if (rules < 3 || line === undefined || isolation?.ok !== true || held.size === 0) return NOTHING;
  const here = heldOn(line, held);
  const { lost, pumpedOut: vessels } = isolation.value;
  const heldOff = (links: ReadonlySet<string>) =>
    [...here].flatMap(([link, { job, valve: tag }]): HeldOff[] =>
      links.has(link) ? [{ link, name: nameOf(line, link), job, valve: tag }] : [],
    );
  const shared = heldOff(new Set([...here].flatMap(([link, { job }]) => (waitsFor.has(job) ? [link] : []))));
  const stillHeld = new Map([...here].filter(([, { job }]) => !waitsFor.has(job)));
  const emptied = vessels.map((each) => each.node);
  // Its own place is what is tested here, with its power; whoever else is dry by another job is that job's to bring back.
  const at = valve.node ?? valve.tag;
  const relies = rules < 4 ? [at] : equipmentAt(line, at);
  const ask = JSON.stringify({ held: [...stillHeld], relies, emptied });
  const off = heldOff(new Set(keepingOut(line, ask)));
  const left = new Map([...stillHeld].filter(([link]) => off.every((each) => each.link !== link)));
  const net = network(standing(pumpedOut(lineAsItStands(line, left), emptied), new Map()));
  const before = ({ link, job }: HeldOff) => heldAtFirst.get(link)?.job === job;
  return {
    shared,
    first: off.filter(before),
    later: off.filter((each) => !before(each)),
    notYet: lost.flatMap(({ node, name }): NotYet[] => {
      const [by] = heldAround(net, [node], left);
      return by === undefined ? [] : [{ node, name, valve: left.get(by)!.valve }];
    }),
    held: stillHeld,
  };
}

const nameOf = ({ links, nodes }: Line, id: string): string =>
  links.find((each) => each.id === id)?.name ?? nodes.find((each) => each.id === id)?.name ?? id;

/** Held links and stems between what feeds the line and those who rely on this work, one behind the other. */
const keepingOut = remembered((line: Line, ask): readonly string[] => {
  const { held, relies, emptied } = JSON.parse(ask) as {
    held: [string, { job: string; valve: string; position?: string; open?: true }][];
    relies: readonly string[];
    emptied: readonly string[];
  };
  const built = network(standing(line, new Map()));
  const usual = usuallyFed(built);
  const served = relies.filter((id) => {
    const index = built.nodeIndex.get(id) ?? built.assetIndex.get(id);
    return index !== undefined && usual[index];
  });
  const left = new Map(held);
  const found: string[] = [];
  for (;;) {
    const stands = standing(pumpedOut(lineAsItStands(line, left), emptied), new Map());
    const near = heldAround(network(stands), served, left);
    if (near.length === 0) return found;
    found.push(...near);
    for (const id of near) left.delete(id);
  }
});

/** What is held at the edge of where those are who are not fed. */
function heldAround(net: Network, served: readonly string[], held: HeldShut): string[] {
  const fed = usuallyFed(net);
  const dry = served.flatMap((id) => {
    const index = net.nodeIndex.get(id) ?? net.assetIndex.get(id);
    return index === undefined || fed[index] ? [] : [index];
  });
  if (dry.length === 0) return [];
  const within = new Set(reachable(net, dry, (link) => !standsShut(net.links[link]!)));
  const links = net.links.flatMap((link, index) =>
    held.get(link.id) !== undefined &&
    held.get(link.id)?.open !== true &&
    (within.has(net.from[index]!) || within.has(net.to[index]!))
      ? [link.id]
      : [],
  );
  const stems = net.stems.flatMap((node) => {
    const { id } = net.nodes[node]!;
    return held.has(id) && within.has(node) ? [id] : [];
  });
  return [...links, ...stems];
}

const WAITS = {
  shared: { id: "others-shared", phase: "isolate" },
  first: { id: "others-first", phase: "restore" },
  later: { id: "others-later", phase: "restore" },
} as const;

export const waitForOthers = (when: keyof typeof WAITS, held: readonly HeldOff[]): Step[] =>
  held.length === 0
    ? []
    : [
        step(
          {
            id: singleStep(WAITS[when].id),
            phase: WAITS[when].phase,
            minutes: 0,
            ...(when === "later" && { dangers: [{ kind: "comes-when-they-open" }] }),
          },
          { kind: "others", when, held },
        ),
      ];
