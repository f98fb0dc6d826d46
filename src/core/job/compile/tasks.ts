import type { Task } from "../../formats";
import { awayFrom } from "../away-from";
import { type Step, type StepOf, step } from "../step";
import type { StepHead } from "../step-head";
import { stepAbout } from "../step-id";
import { linesOf } from "../steps/lines";
import type { Doing } from "../steps/strip";
import { isFollowedUp } from "./checks";
import { type Context, forbidden, said, stands, toolsOf } from "./context";
import { insteadOf } from "./other-way";
import { withPutBack } from "./sheet-card";
import { carried } from "./stand";

const PHASE = { "before-strip": "strip", "when-open": "inspect", "before-restore": "rebuild" } as const;

/** Work on the valve that takes nothing off: greasing, soaking, running a cycle. */
export function tasks(
  context: Context,
  when: Task["when"],
  {
    which = () => true,
    before = () => [],
  }: {
    readonly which?: (task: Task) => boolean;
    /** What is looked at once more just before it. */
    readonly before?: (task: Task) => readonly Step[];
  } = {},
): Step[] {
  const off = new Set(context.removed);
  return (context.sheet.tasks ?? [])
    .filter(
      (task) =>
        task.when === when &&
        which(task) &&
        (task.needsOff ?? []).every((part) => off.has(part)) &&
        isFollowedUp(context, task),
    )
    .flatMap((task) => [...before(task), ...taskSteps(context, task)]);
}

export function taskSteps(context: Context, task: Task): Step[] {
  const { sheet } = context;
  const phase = PHASE[task.when];
  const instead = insteadOf(context, task, phase);
  if (instead.kind === "left-out") return [];
  if (instead.kind === "instead") return [...instead.steps];
  const away = awayFrom(context.inputs) !== undefined;
  const work = step(
    {
      id: stepAbout("task", task.id),
      phase,
      minutes: task.minutes,
      tools: toolsOf(context, task.tools),
      forbidden: forbidden(task.forbidden),
      dangers: said(task.cautions),
      ...(task.part !== undefined && { part: task.part }),
      ...stands(sheet, task.position?.before, task.position?.after),
    },
    {
      kind: "task",
      task: task.id,
      do: task.do,
      why: task.why,
      ...(context.rules >= 3 && task.position !== undefined && { leaves: task.position.after }),
      ...linesOf(task.list),
      ...(context.rules >= 4 && task.count !== undefined && { count: countOf(context, task.count) }),
      ...(context.rules >= 6 && task.swing !== undefined && !away && { swing: swingOf(context, task.swing) }),
      ...carried(context, task),
    },
  );
  return [
    ...(task.underPressure === undefined || away
      ? []
      : [askTwice(work, { kind: "said", says: task.do }, task.underPressure)]),
    ...withPutBack(work),
    ...(task.wait_min === undefined
      ? []
      : [
          step(
            { id: stepAbout("soak", task.id), phase, minutes: task.wait_min, mayOverride: true },
            {
              kind: "soak",
              why: task.why,
              ...(task.most_min !== undefined && { most_min: task.most_min }),
            },
          ),
        ]),
  ];
}

function countOf({ progress }: Context, { what, most, asMany }: NonNullable<Task["count"]>) {
  const there = asMany === undefined ? undefined : progress.done.get(stepAbout("task", asMany))?.entry;
  return { what, most, ...(there !== undefined && { before: Number(there) }) };
}

/** As long as the sheet allows; less where the gas of its line lasts less, by what was worked out in this job. */
function swingOf({ progress }: Context, { most_s }: NonNullable<Task["swing"]>) {
  const lasts = progress.kept.findLast(
    ({ calculator, output }) => calculator === "ride-through" && output === "seconds",
  );
  return lasts === undefined || lasts.si >= most_s
    ? { most_s, workedOut: false }
    : { most_s: Math.max(0.1, Math.floor(lasts.si * 10) / 10), workedOut: true };
}

/** The question before a step that is done with pressure behind it. */
export const askTwice = (before: StepHead, next: Doing, allowed: string): StepOf<"ask-twice"> =>
  step(
    {
      id: stepAbout("ask-twice", before.id),
      phase: before.phase,
      minutes: 0.5,
      dangers: before.dangers,
      ...(before.part !== undefined && { part: before.part }),
    },
    { kind: "ask-twice", allowed, before: before.id, next },
  );
