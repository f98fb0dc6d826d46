import type { JobInputs } from "../formats";
import { mediumOf } from "../line";
import {
  type Act,
  differences,
  type EndDifference,
  type Harm,
  type HeldByOthers,
  perform,
  SEVERITY,
  siteOf,
  type Truth,
  World,
} from "../world";
import { heldAs, heldOn } from "./as-it-stands";
import type { Plan } from "./compile";
import type { Step } from "./step";
import { actsOf } from "./step-rules";

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
  const site = siteOf({
    sheet: line === undefined ? sheet : onLine(inputs),
    ...(valve.build !== undefined && { build: valve.build }),
    ...(line !== undefined && sheet.isolation.workUnderPressure === undefined && { line }),
    at: valve.node ?? valve.tag,
    held: line === undefined ? new Map() : heldOn(line, held),
  });
  const found: Found[] = [];
  let acts = 0;
  let stands: readonly EndDifference[] = [];
  for (const truth of truths) {
    const world = new World(site, truth);
    for (const step of plan.steps) {
      for (const act of actsOf(step)) {
        acts++;
        for (const harm of perform(world, act)) found.push({ harm, step, act, truth });
      }
      world.pass(step.minutes);
      if (world.halted) {
        const act = actsOf(step).at(-1);
        if (truth.kind === "none" && act !== undefined)
          found.push({ harm: { kind: "stops-for-nothing" }, step, act, truth });
        break;
      }
    }
    if (truth.kind === "none") stands = differences(world);
  }
  return { acts, truths: truths.length, harms: worstFirst(found), differences: stands };
}

/** The same model stands on lines of different media. */
function onLine({ sheet, line, valve }: JobInputs): JobInputs["sheet"] {
  const node = line?.nodes.find((each) => each.id === (valve.node ?? valve.tag) || each.asset === valve.tag);
  return line === undefined || node === undefined
    ? sheet
    : { ...sheet, isolation: { ...sheet.isolation, medium: mediumOf(line, node) } };
}

/** What an adversary may have hidden that this plan can meet. */
export function truthsOf(plan: Plan, { sheet }: Pick<JobInputs, "sheet">): Truth[] {
  const closures = plan.isolation?.ok === true ? plan.isolation.value.closures : [];
  return [
    { kind: "none" },
    ...closures
      .filter((each) => each.medium !== "electricity")
      .map((each): Truth => ({ kind: "passes", link: each.link })),
    { kind: "gauge-reads-low", bar: 0.2 },
    ...(sheet.isolation.workUnderPressure === undefined ? [{ kind: "caught" as const, bar: 1 }] : []),
  ];
}

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
