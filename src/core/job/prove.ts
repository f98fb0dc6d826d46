import type { JobInputs, Sheet } from "../formats";
import { type EndDifference, type HeldByOthers, SEVERITY, standOver, type Truth, World } from "../world";
import { heldAs } from "./as-it-stands";
import type { Plan } from "./compile";
import { siteOfPlan } from "./site-of-plan";
import type { Step } from "./step";
import { AS_BELIEVED, type Found, Trial } from "./trial";
import { holdsWhileWatched, openedBy } from "./watched";

export type { Found } from "./trial";

export interface Proof {
  /** Acts that were tried in all, and truths. */
  readonly acts: number;
  readonly truths: number;
  /** Worst first; each kind at each card once. */
  readonly harms: readonly Found[];
  /** How the line and the valve stand at the end otherwise than service wants. */
  readonly differences: readonly EndDifference[];
}

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
  const site = siteOfPlan(plan, inputs, held);
  const trial = new Trial(plan, site);
  const asBelieved = truths.some(({ kind }) => kind === "none");
  const counts = ({ truth }: { readonly truth: Truth }) => asBelieved || truth !== AS_BELIEVED;
  const stops = truths.filter((truth) => truth.kind === "stopped-at");
  const hidden = truths.filter(({ kind }) => kind !== "none" && kind !== "stopped-at");
  // Beside the course that all believe in a truth is tried from where it begins to matter to where it is spent.
  const branches = asBelieved || stops.length > 0 ? trial.asBelieved(asBelieved ? hidden : [], stops) : [];
  if (!asBelieved) for (const truth of hidden) trial.goOn(new World(site, truth), 0);
  const again = provenAgainBefore(plan, inputs);
  // Work that is taken up again after a night. Where the night changed nothing, it goes on as without it.
  for (const { from, world } of branches)
    if (world.truth.kind !== "stopped-at" || (standOver(world) && trial.doAgain(world, again(from))))
      trial.goOn(world, from, asBelieved);
  return {
    acts: trial.acts,
    truths: truths.length,
    harms: worstFirst(trial.found.filter(counts)),
    differences: eachOnce(trial.ends.filter(counts).map(({ difference }) => difference)),
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
