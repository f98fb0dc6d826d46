import type { JobInputs, Sheet } from "../formats";
import {
  type Act,
  differences,
  type EndDifference,
  type Harm,
  type HeldByOthers,
  pass,
  perform,
  SEVERITY,
  siteOf,
  standOver,
  type Truth,
  World,
} from "../world";
import { heldAs, heldOn } from "./as-it-stands";
import type { Plan } from "./compile";
import { sheetOnLine } from "./sheet-on-line";
import type { Step } from "./step";
import { actsOf } from "./step-rules";
import { holdsWhileWatched, openedBy } from "./watched";

/** Something that goes wrong when a plan is done on the line and the valve as they are. */
export interface Found {
  readonly harm: Harm;
  /** The card it happens at, and the act of that card. */
  readonly step: Step;
  readonly act: Act;
  /** What was otherwise than anybody believed. */
  readonly truth: Truth;
}

export interface Proof {
  /** Acts that were tried in all, and truths. */
  readonly acts: number;
  readonly truths: number;
  /** Worst first; each kind at each card once. */
  readonly harms: readonly Found[];
  /** How the line and the valve stand at the end otherwise than service wants. */
  readonly differences: readonly EndDifference[];
}

const AS_BELIEVED: Truth = { kind: "none" };

/**
 * Proves a plan on the physical model: does every act of every card in turn, once as all believe things to be and once
 * for each hidden truth. A plan is good when it goes on without harm, or stops at one of its own gates without harm.
 *
 * @param truths those to try; every one that this plan can meet when left out
 */
export function prove(
  plan: Plan,
  inputs: JobInputs,
  {
    held = heldAs(inputs.held),
    truths = truthsOf(plan, inputs),
  }: { held?: HeldByOthers; truths?: readonly Truth[] } = {},
): Proof {
  const { sheet, valve, line } = inputs;
  const build = plan.build ?? valve.build;
  const site = siteOf({
    sheet: sheetOnLine(inputs),
    ...(build !== undefined && { build }),
    ...(line !== undefined && sheet.isolation.workUnderPressure === undefined && { line }),
    at: valve.node ?? valve.tag,
    held: line === undefined ? new Map() : heldOn(line, held),
  });
  const found: Found[] = [];
  let acts = 0;
  const stands: EndDifference[] = [];
  /** Does one card; false when the work ends at it. */
  const goesOn = (world: World, truth: Truth, step: Step): boolean => {
    for (const act of actsOf(step)) {
      acts++;
      for (const harm of perform(world, act)) found.push({ harm, step, act, truth });
    }
    pass(world, step.minutes);
    if (!world.halted) return true;
    const act = actsOf(step).at(-1);
    if (truth.kind === "none" && act !== undefined)
      found.push({ harm: { kind: "stops-for-nothing" }, step, act, truth });
    return false;
  };
  const stops = new Map(
    truths.flatMap((truth) => (truth.kind === "stopped-at" ? [[truth.step, truth]] : [])),
  );
  const again = provenAgainBefore(plan, inputs);
  /** Work that is taken up again from here, after a night. Where the night changed nothing, it goes on as without it. */
  const takenUp = (before: World, truth: Truth, index: number): void => {
    const world = before.copy();
    const changed = standOver(world);
    if (!again(index).every((step) => goesOn(world, truth, step)) || !changed) return;
    plan.steps.slice(index).every((step) => goesOn(world, truth, step));
  };
  const others = truths.filter(({ kind }) => kind !== "stopped-at");
  const asBelieved = others.some(({ kind }) => kind === "none");
  // A stop comes in the course of the work as all believe it to go.
  for (const truth of asBelieved || stops.size === 0 ? others : [AS_BELIEVED, ...others]) {
    const world = new World(site, truth);
    let tried = "";
    const atTheEnd = plan.steps.every((step, index) => {
      const stop = truth.kind === "none" ? stops.get(step.id) : undefined;
      // A night is for the line: where it stands as it did at the card before, it goes as it went from there.
      if (stop !== undefined && world.lineNow !== tried) {
        tried = world.lineNow;
        takenUp(world, stop, index);
      }
      return goesOn(world, truth, step);
    });
    if ((truth.kind === "none" && asBelieved) || (truth.kind === "found-at" && atTheEnd))
      stands.push(...differences(world));
  }
  return {
    acts,
    truths: truths.length,
    harms: worstFirst(found.filter(({ truth }) => asBelieved || truth !== AS_BELIEVED)),
    differences: eachOnce(stands),
  };
}

/** Cards that are done again when work is taken up before a card, by its place. */
function provenAgainBefore(
  { steps }: Plan,
  { sheet, rules = 1 }: JobInputs,
): (index: number) => readonly Step[] {
  const opens = steps.findIndex(({ id }) => openedBy(sheet, [id]));
  const watched = steps.flatMap((step, at) => (holdsWhileWatched(step.id) ? [{ step, at }] : []));
  return (index) =>
    rules < 4 || (opens !== -1 && opens < index)
      ? []
      : watched.flatMap(({ step, at }) => (at < index ? [step] : []));
}

const eachOnce = (stands: readonly EndDifference[]): EndDifference[] => [
  ...new Map(stands.map((each) => [JSON.stringify(each), each])).values(),
];

/** What an adversary may have hidden that this plan can meet. */
export function truthsOf(plan: Plan, { sheet, rules = 1 }: Pick<JobInputs, "sheet" | "rules">): Truth[] {
  const closures = plan.isolation?.ok === true ? plan.isolation.value.closures : [];
  return [
    { kind: "none" },
    ...closures
      .filter((each) => each.medium !== "electricity")
      .map((each): Truth => ({ kind: "passes", link: each.link })),
    { kind: "gauge-reads-low", bar: 0.2 },
    ...(sheet.isolation.workUnderPressure === undefined ? [{ kind: "caught" as const, bar: 1 }] : []),
    ...(rules < 4
      ? []
      : [
          ...stopsOf(plan, sheet),
          ...positionsOf(plan, sheet),
          ...plan.renewals.map(({ part }): Truth => ({ kind: "store-lacks", part })),
        ]),
  ];
}

/**
 * Where it matters that work was stopped: at every card from the first proof to the first joint that is opened, and at
 * the beginning of each later stage, where things stand otherwise.
 */
function stopsOf({ steps, isolation }: Plan, sheet: Sheet): Truth[] {
  if (isolation?.ok !== true || sheet.isolation.workUnderPressure !== undefined) return [];
  const first = steps.findIndex(({ id }) => holdsWhileWatched(id));
  if (first === -1) return [];
  const opens = steps.findIndex(({ id }) => openedBy(sheet, [id]));
  return steps.flatMap((step, index): Truth[] =>
    index > first && (index <= opens || step.phase !== steps[index - 1]?.phase)
      ? [{ kind: "stopped-at", step: step.id }]
      : [],
  );
}

/** The valve is worked on and can be moved: it may stand otherwise than its sheet begins with. */
const positionsOf = ({ removed }: Plan, { position }: Sheet): Truth[] =>
  removed.length === 0 || position === undefined
    ? []
    : position.names.flatMap(({ id }): Truth[] =>
        id === position.start ? [] : [{ kind: "found-at", position: id }],
      );

/** Each kind of harm at each card once, whatever truth showed it; the worst first. */
function worstFirst(found: readonly Found[]): Found[] {
  const seen = new Map<string, Found>();
  for (const each of found) {
    const key = `${each.step.id} ${JSON.stringify(each.harm)}`;
    if (!seen.has(key)) seen.set(key, each);
  }
  const rank = (each: Found) => SEVERITY.indexOf(each.harm.kind);
  return [...seen.values()].sort((a, b) => rank(a) - rank(b));
}
