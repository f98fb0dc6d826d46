import { releaseOf } from "../../build";
import { MEDIA_RULES } from "../../line";
import { type Step, step } from "../step";
import { provingStep, singleStep, stepAbout } from "../step-id";
import type { ProvePlace } from "../steps/gauge";
import type { Context } from "./context";
import { comesOut, powerOff } from "./isolate";

/**
 * What closures leave behind is let out; then the proof that it is dead, for each part that hangs together.
 *
 * @param powerIsProven it was, for a look that came before
 */
export function prove(context: Context, powerIsProven = false): Step[] {
  if (context.sheet.isolation.workUnderPressure !== undefined) return [];
  return [
    ...storedEnergy(context),
    // Let out first, then all that is proven; jobs of before keep their order.
    ...(context.asBefore
      ? [...electricallyDead(context), ...letOut(context)]
      : [...letOut(context), ...powerOff(context), ...(powerIsProven ? [] : electricallyDead(context))]),
    ...placesOf(context).flatMap((place, index) => proof(context, place, index === 0)),
  ];
}

/** A place at which zero is proven. */
export interface Place {
  readonly where: ProvePlace;
  readonly node?: string;
  /** What has to be shut while the section stands, and is opened again afterwards. */
  readonly points: readonly { readonly node: string; readonly name: string }[];
}

/** The places that the line computes; without a line, or where it has none, the one that the sheet names at the valve. */
export function placesOf({ sheet, isolation, inputs, asBefore }: Context): Place[] {
  const { zeroAt, fitGauge } = sheet.isolation;
  const atValve: ProvePlace = { kind: "said", at: zeroAt, fit: fitGauge };
  if (isolation?.ok !== true || asBefore) return [{ where: atValve, points: [] }];
  const { prove, section } = isolation.value;
  const node = (id: string) => inputs.line?.nodes.find((each) => each.id === id);
  const valve = node(inputs.valve.node ?? inputs.valve.tag)?.id;
  // Bleeds between two barriers stay open: what creeps past the first comes out there.
  const letOut = [section.drain?.node, section.drain === undefined ? undefined : section.vent?.node];
  const points = letOut.flatMap((id) => (id === undefined ? [] : [{ node: id, name: node(id)?.name ?? id }]));
  const gauges = prove.filter((each) => each.how !== "tester");
  return gauges.map(({ how, node: read, name = "" }): Place => {
    if (how !== "gauge" && how !== "vent" && how !== "drain")
      return { where: atValve, ...(valve !== undefined && { node: valve }), points };
    const where: ProvePlace = read === valve ? atValve : { kind: "point", how, name };
    return { where, ...(read !== undefined && { node: read }), points };
  });
}

/** Read, shut in, waited, read again. */
function proof({ sheet, inputs }: Context, { where, node, points }: Place, first: boolean): Step[] {
  const { zero_bar, hold_min, medium } = sheet.isolation;
  const at = first ? undefined : node;
  const read = {
    kind: "gauge" as const,
    zero_bar,
    temperature: MEDIA_RULES[medium].standsWithTemperature,
    where,
    ...(node !== undefined && { node }),
    onLine: inputs.line !== undefined,
  };
  return [
    step(
      {
        id: provingStep("gauge", at),
        phase: "prove",
        minutes: 3,
        dangers: [{ kind: "gauge-may-be-blocked" }],
      },
      { ...read, again: false, openAfter: [] },
    ),
    step(
      { id: provingStep("hold", at), phase: "prove", minutes: hold_min },
      { kind: "hold", where, shutFirst: points },
    ),
    step(
      { id: provingStep("again", at), phase: "prove", minutes: 1 },
      { ...read, again: true, openAfter: points },
    ),
  ];
}

/** Where only the power is shut nothing is let out. */
export const isLetOut = (context: Context): boolean => context.rules < 4 || !onlyPower(context);

/** Pressure that is left is let out on the gentlest rung the valve has; where none may be used, nothing is opened. */
function letOut(context: Context): Step[] {
  const { sheet } = context;
  if (!isLetOut(context)) return [];
  const release = releaseOf(sheet);
  // On the last rung, the cover, nothing is done here: the strip cracks it with bolts left in.
  if (release === undefined || (release.kind === "rung" && release.rung.rung === "cover")) return [];
  if (release.kind === "barred")
    return [
      step(
        { id: singleStep("no-release"), phase: "isolate", minutes: 0 },
        { kind: "blocked", why: { kind: "no-release", medium: release.medium } },
      ),
    ];
  return [
    step(
      {
        id: singleStep("release"),
        phase: "isolate",
        minutes: 3,
        dangers: [comesOut(context)],
      },
      {
        kind: "release",
        do: release.rung.do,
        ...(release.rung.withPower === true && { withPower: true }),
        ...runsOut(context),
      },
    ),
  ];
}

/** Less than this is caught with a rag, L. */
const WORTH_A_PUMP_L = 2;

/** What lies higher in a section without a drain runs out where it is opened. */
function runsOut({ isolation, sheet }: Context): { runs_L?: number } {
  const runs_L = isolation?.ok === true ? isolation.value.section.atOpening_L : undefined;
  return runs_L === undefined || runs_L < WORTH_A_PUMP_L || sheet.isolation.medium !== "water"
    ? {}
    : { runs_L };
}

/** What closures do not take away: springs, heat, charge. Let out before zero is proven. */
function storedEnergy({ isolation, rules }: Context): Step[] {
  const stored =
    isolation?.ok === true
      ? isolation.value.stored.filter((each) => each.kind !== "head" && each.kind !== "cold")
      : [];
  if (stored.length === 0) return [];
  const waits = stored.flatMap((each) =>
    "says" in each && each.wait_min !== undefined && each.wait_min > 0
      ? [{ says: each.says, wait_min: each.wait_min }]
      : [],
  );
  const wait = Math.max(0, ...waits.map((each) => each.wait_min));
  return [
    ...(rules < 4 || wait === 0
      ? []
      : [
          step(
            { id: singleStep("discharge"), phase: "isolate", minutes: wait },
            { kind: "discharge", of: waits },
          ),
        ]),
    step(
      {
        id: singleStep("stored"),
        phase: "isolate",
        minutes: rules < 4 ? Math.max(2, ...stored.map((each) => each.wait_min ?? 0)) : 2,
        dangers: stored.map((energy) => ({ kind: "stored", energy })),
      },
      { kind: "stored" },
    ),
  ];
}

export function electricallyDead({ isolation, asBefore }: Context): Step[] {
  const found = isolation?.ok === true ? isolation.value.prove.filter((each) => each.how === "tester") : [];
  return found.slice(0, asBefore ? 1 : undefined).flatMap(({ node, name = "" }) =>
    node === undefined
      ? []
      : [
          step(
            {
              id: stepAbout("dead", node),
              phase: "prove",
              minutes: 3,
              dangers: [{ kind: "medium-out", medium: "electricity" }],
            },
            { kind: "dead", node, name },
          ),
        ],
  );
}

const onlyPower = ({ isolation }: Context): boolean =>
  isolation?.ok === true && isolation.value.prove.every(({ how }) => how === "tester");
