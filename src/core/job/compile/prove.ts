import { releaseOf } from "../../build";
import { MEDIA_RULES } from "../../line";
import { type Step, step } from "../step";
import { singleStep, stepAbout } from "../step-id";
import type { Context } from "./context";

/** What closures leave behind is let out; then the proof that it is dead. */
export function prove(context: Context): Step[] {
  const { sheet, inputs } = context;
  const { zeroAt, fitGauge, zero_bar, hold_min, medium, workUnderPressure } = sheet.isolation;
  if (workUnderPressure !== undefined) return [];
  const read = {
    kind: "gauge" as const,
    zero_bar,
    temperature: MEDIA_RULES[medium].standsWithTemperature,
    where: zeroAt,
    fit: fitGauge,
    onLine: inputs.line !== undefined,
  };
  return [
    ...storedEnergy(context),
    ...electricallyDead(context),
    ...letOut(context),
    step(
      {
        id: singleStep("gauge"),
        phase: "prove",
        minutes: 3,
        dangers: [{ kind: "gauge-may-be-blocked" }],
      },
      { ...read, again: false },
    ),
    step({ id: singleStep("hold"), phase: "prove", minutes: hold_min }, { kind: "hold", where: zeroAt }),
    step({ id: singleStep("gauge-again"), phase: "prove", minutes: 1 }, { ...read, again: true }),
  ];
}

/** Pressure that is left is let out on the gentlest rung the valve has; where none may be used, nothing is opened. */
function letOut({ sheet }: Context): Step[] {
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
        dangers: [{ kind: "medium-out", medium: sheet.isolation.medium }],
      },
      { kind: "release", do: release.rung.do },
    ),
  ];
}

/** What closures do not take away: springs, heat, charge. Let out before zero is proven. */
function storedEnergy({ isolation }: Context): Step[] {
  const stored =
    isolation?.ok === true
      ? isolation.value.stored.filter((each) => each.kind !== "head" && each.kind !== "cold")
      : [];
  if (stored.length === 0) return [];
  return [
    step(
      {
        id: singleStep("stored"),
        phase: "isolate",
        minutes: Math.max(2, ...stored.map((each) => each.wait_min ?? 0)),
        dangers: stored.map((energy) => ({ kind: "stored", energy })),
      },
      { kind: "stored" },
    ),
  ];
}

function electricallyDead({ isolation }: Context): Step[] {
  const point =
    isolation?.ok === true ? isolation.value.prove.find((each) => each.how === "tester") : undefined;
  if (point?.node === undefined) return [];
  return [
    step(
      {
        id: stepAbout("dead", point.node),
        phase: "prove",
        minutes: 3,
        dangers: [{ kind: "medium-out", medium: "electricity" }],
      },
      { kind: "dead", node: point.node, name: point.name ?? point.node },
    ),
  ];
}
