import type { Part, Task } from "../../formats";
import { cleansOtherwise, oilable, otherWay, shockable } from "../../schools";
import { type Step, type StepOf, step } from "../step";
import { stepAbout } from "../step-id";
import { linesOf, type TickLine } from "../steps/lines";
import type { OtherWayFacts } from "../steps/other-way";
import { type Context, toolsOf } from "./context";

/** Usual practice, min: to set oil on one fastener and let it creep, to shock one, to brush or to wipe what lies open. */
const OIL_MIN = 0.25;
const CREEP_MIN = 10;
const SHOCK_MIN = 0.5;
const CLEAN_MIN = { water: 8, dry: 5 } as const;

/** A task of the sheet as this job does it: as it is written, another way, or not at all. */
export type Instead =
  | { readonly kind: "as-written" }
  | { readonly kind: "left-out" }
  | { readonly kind: "instead"; readonly steps: readonly Step[] };

const AS_WRITTEN: Instead = { kind: "as-written" };

/** What takes the place of a task where the job is worked another way. */
export function insteadOf(context: Context, task: Task, phase: Step["phase"]): Instead {
  const { schools } = context.inputs;
  const freeing = otherWay(schools, "freeing");
  if (task.way === "shock" && freeing?.way === "oil")
    return { kind: "instead", steps: oiled(context, freeing.why, task) };
  const cleaning = otherWay(schools, "cleaning");
  if (cleaning === undefined || !cleansOtherwise(task, cleaning.way, cleaning.usual)) return AS_WRITTEN;
  const { way, why } = cleaning;
  // To rinse is needed after acid alone.
  if (way === "acid" || (task.way === "acid" && task.with === undefined)) return { kind: "left-out" };
  return {
    kind: "instead",
    steps: [
      step(
        {
          id: stepAbout("task", task.id),
          phase,
          minutes: CLEAN_MIN[way],
          ...(task.part !== undefined && { part: task.part }),
        },
        { kind: "other-way", way, task: task.id, why, ...linesOf(task.list) },
      ),
    ],
  };
}

/** Fasteners that are shocked before a spanner goes on, where the sheet shocks none and the job does. */
export function shockedFirst(context: Context): Step[] {
  const freeing = otherWay(context.inputs.schools, "freeing");
  if (freeing?.way !== "shock") return [];
  const parts = shockable(context);
  if (parts.length === 0) return [];
  const pieces = parts.reduce((sum, { quantity }) => sum + quantity, 0);
  return [
    step(
      {
        id: stepAbout("other-way", "freeing"),
        phase: "strip",
        minutes: pieces * SHOCK_MIN,
        tools: toolsOf(context, hammersOf(context)),
      },
      { kind: "other-way", way: "shock", why: freeing.why, ...byPart(parts) },
    ),
  ];
}

/** What a shock takes. */
export const hammersOf = ({ sheet }: Pick<Context, "sheet">): string[] =>
  sheet.tools.flatMap((tool) => (tool.class === "hammer" ? [tool.id] : []));

/** Tools that another way brings along. */
export const toolsBesides = (context: Context): string[] =>
  otherWay(context.inputs.schools, "freeing")?.way === "shock" ? hammersOf(context) : [];

function oiled(context: Context, why: string, task: Task): Step[] {
  const parts = oilable(context);
  const pieces = parts.reduce((sum, { quantity }) => sum + quantity, 0);
  const oil: StepOf<"other-way"> = step<OtherWayFacts>(
    { id: stepAbout("task", task.id), phase: "strip", minutes: 1 + pieces * OIL_MIN },
    { kind: "other-way", way: "oil", task: task.id, why, ...byPart(parts) },
  );
  return [
    oil,
    step(
      { id: stepAbout("soak", task.id), phase: "strip", minutes: CREEP_MIN, mayOverride: true },
      { kind: "soak", why },
    ),
  ];
}

/** Each set of fasteners is a line: by its part, which stays the same when more comes off. */
const byPart = (parts: readonly Part[]): { lines: readonly TickLine[] } => ({
  lines: parts.map(({ id, name, quantity }) => ({ id, name, pieces: quantity })),
});
