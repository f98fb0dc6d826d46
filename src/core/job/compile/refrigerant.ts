import type { Closure } from "../../isolation";
import { CO2_LIQUID_ABOVE_BAR, MEDIA_RULES } from "../../line";
import { type Step, step } from "../step";
import { singleStep } from "../step-id";
import type { Context } from "./context";
import type { Placed } from "./placing";
import { placesOf } from "./prove";
import { betweenBarriers, flowAt } from "./stand";

/** One or more cards that keep together. */
export interface Item extends Placed {
  readonly steps: readonly Step[];
}

/** Ammonia that came in by a hose stands well above the air, bar gauge. */
const AMMONIA_ABOVE_BAR = 1;

/** How a refrigerant comes back: what waits for what. */
export interface RefrigerantReturn {
  readonly items: readonly Item[];
  /** What has to come before this stop is opened. */
  readonly before: (closure: Closure) => readonly string[];
  /** What has to come before a stem is turned back. */
  readonly beforeStems: readonly string[];
  /** By which a card may wait for vapour: the names of what has let it in. */
  readonly vapour: readonly string[];
}

/**
 * Air out, vapour in, read, and only then liquid. Inner barriers first, so that what lay between two of them is
 * evacuated, too; vapour comes from the stops that hold some, else from a cylinder by a hose.
 *
 * @returns nothing where the section holds no refrigerant
 */
export function refrigerantReturn(context: Context): RefrigerantReturn | undefined {
  const { isolation, sheet } = context;
  const { medium } = sheet.isolation;
  if (isolation?.ok !== true || !MEDIA_RULES[medium].refrigerant) return undefined;
  const { closures } = isolation.value;
  const place = placesOf(context).find((each) => each.node !== undefined);
  if (place === undefined) return undefined;
  const own = closures.filter((each) => MEDIA_RULES[each.medium].refrigerant && !each.standsShut);
  const inner = own.filter((each) => betweenBarriers(context, each));
  const lets = own.filter((each) => !inner.includes(each));
  const liquid = lets.filter((each) => flowAt(context, each) === "liquid");
  const vapour = lets.filter((each) => flowAt(context, each) !== "liquid");
  const above_bar = medium === "co2" ? CO2_LIQUID_ABOVE_BAR : AMMONIA_ABOVE_BAR;
  const at = { medium, where: place.where, ...(place.node !== undefined && { node: place.node }) };
  const danger = { kind: "medium-out" as const, medium };
  const head = { phase: "restore" as const, dangers: [danger] };
  const byHose = liquid.length > 0 && vapour.length === 0;
  const gated = liquid.length > 0 && (byHose || medium === "co2");
  const item = (key: string, after: readonly string[], made: Step): Item => ({
    key,
    after: new Set(after),
    steps: [made],
  });
  const evacuate = singleStep("evacuate");
  const charge = singleStep("charge");
  const gate = singleStep("gate");
  const vapourIn = byHose ? [charge] : vapour.map((each) => each.link);
  return {
    items: [
      item(
        evacuate,
        inner.map((each) => each.link),
        step({ ...head, id: evacuate, minutes: 20 }, { kind: "evacuate", ...at }),
      ),
      ...(byHose
        ? [
            item(
              charge,
              [evacuate],
              step({ ...head, id: charge, minutes: 10 }, { kind: "charge", ...at, above_bar }),
            ),
          ]
        : []),
      ...(gated
        ? [item(gate, vapourIn, step({ ...head, id: gate, minutes: 2 }, { kind: "gate", ...at, above_bar }))]
        : []),
    ],
    before: (closure) => {
      if (liquid.includes(closure)) return gated ? [gate] : [evacuate, ...vapourIn];
      return vapour.includes(closure) ? [evacuate] : [];
    },
    beforeStems: [evacuate],
    vapour: gated ? [gate] : vapourIn,
  };
}
