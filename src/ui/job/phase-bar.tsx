import clsx from "clsx";
import { PHASES, type Phase, type Run } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import type { Speaker } from "@/words";
import { useSpeaker } from "../use-speaker";

/** Where the step in hand stands in its phase. */
export function placeInPhase(job: Run): { at: number; of: number; phase: Phase } {
  const phase = job.current?.phase ?? PHASES.at(-1)!;
  const steps = job.plan.steps.filter((step) => step.phase === phase);
  const at = steps.findIndex((step) => step.id === job.current?.id) + 1;
  return { at: Math.max(1, at), of: steps.length, phase };
}

export const phaseLine = ({ say }: Speaker, job: Run): string => {
  const { at, of, phase } = placeInPhase(job);
  return say.card.placeInPhase(say.common.phases[phase], at, of);
};
export const timeLeft = ({ say }: Speaker, job: Run): string =>
  say.card.left(formatDuration(job.minutesLeft * 60));

/** The phases as a row of chevrons: behind, in hand, ahead. On a phone a slim bar of blocks. */
export function PhaseBar({ job }: { job: Run }) {
  const words = useSpeaker();
  const here = placeInPhase(job);
  const phases = PHASES.filter((phase) => job.plan.steps.some((step) => step.phase === phase));
  const done = (phase: Phase) =>
    job.plan.steps
      .filter((step) => step.phase === phase)
      .every((step) => job.states.get(step.id)?.kind === "done");
  return (
    <div className="min-w-0 flex-1">
      <ol className="plate hidden h-[34px] gap-px text-fine tracking-normal xl:flex">
        {phases.map((phase) => {
          const on = phase === here.phase;
          return (
            <li
              key={phase}
              aria-current={on ? "step" : undefined}
              className={clsx(
                "grid place-items-center whitespace-nowrap pr-2.5 pl-3",
                on
                  ? "flex-auto bg-ink text-paper"
                  : done(phase)
                    ? "flex-auto bg-go text-go-ink"
                    : "flex-auto bg-sunk text-soft",
              )}
              style={{
                clipPath: "polygon(0 0,calc(100% - 8px) 0,100% 50%,calc(100% - 8px) 100%,0 100%,8px 50%)",
              }}
            >
              {on ? phaseLine(words, job) : words.say.common.phases[phase]}
            </li>
          );
        })}
      </ol>
      <div className="xl:hidden">
        <div className="-mx-4 -mt-2 flex h-[7px] gap-0.5 bg-sunk md:mx-0 md:mt-0" aria-hidden="true">
          {phases.map((phase) => (
            <i
              key={phase}
              className={clsx("flex-1", phase === here.phase ? "bg-ink" : done(phase) ? "bg-go" : "bg-sunk")}
            />
          ))}
        </div>
        <p className="caption mt-1 flex justify-between">
          <span>
            <b className="text-ink md:hidden">{job.inputs.valve.tag} · </b>
            {phaseLine(words, job)}
          </span>
          <span>{timeLeft(words, job)}</span>
        </p>
      </div>
    </div>
  );
}
