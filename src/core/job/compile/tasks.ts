import type { Task } from "../../formats";
import { type Step, step } from "../step";
import { type Context, stands, toolsOf } from "./context";

const PHASE = { "before-strip": "strip", "when-open": "inspect", "before-restore": "rebuild" } as const;

/** Work on the valve that takes nothing off: greasing, soaking, running a cycle. */
export function tasks(context: Context, when: Task["when"]): Step[] {
  const off = new Set(context.removed);
  return (context.sheet.tasks ?? [])
    .filter((task) => task.when === when && (task.needsOff ?? []).every((part) => off.has(part)))
    .flatMap((task) => taskSteps(context, task));
}

function taskSteps(context: Context, task: Task): Step[] {
  const { sheet } = context;
  const phase = PHASE[task.when];
  const work = step(
    {
      id: `task:${task.id}`,
      phase,
      title: task.do,
      why: task.why,
      minutes: task.minutes,
      tools: toolsOf(context, task.tools),
      forbidden: task.forbidden ?? [],
      cautions: task.cautions ?? [],
      ...(task.part !== undefined && { part: task.part }),
      ...stands(sheet, task.position?.before, task.position?.after),
    },
    { kind: "do" },
  );
  return [
    ...(task.underPressure === undefined ? [] : [askTwice(work, task.underPressure)]),
    work,
    ...(task.wait_min === undefined
      ? []
      : [
          step(
            {
              id: `soak:${task.id}`,
              phase,
              title: `Wait ${task.wait_min} minutes.`,
              why: task.why,
              minutes: task.wait_min,
              mayOverride: true,
            },
            { kind: "wait", lookAt: "Look whether it is done." },
          ),
        ]),
  ];
}

/** The question before a step that is done with pressure behind it. */
export const askTwice = (about: Step, why: string): Step =>
  step(
    {
      id: `ask:${about.id}`,
      phase: about.phase,
      title: "There may be pressure behind the next step. Is it right, here and now?",
      why: `Next: ${about.title}`,
      minutes: 0.5,
      cautions: about.cautions,
      ...(about.part !== undefined && { part: about.part }),
    },
    { kind: "ask-twice", allowed: why },
  );
