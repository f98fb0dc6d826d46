"use client";

import clsx from "clsx";
import { Wrench } from "lucide-react";
import type { Step } from "@/core/job";
import { changeWords, drawnWords, standIns, stepDangers, toolName } from "@/words";
import { DrawnStep } from "../draw/drawn-step";
import { Notice } from "../notice";
import { useSpeaker } from "../use-speaker";
import type { JobLog } from "./use-job-log";

/** What a step is done with, and what to look out for while it is done, as plates. */
export function StepPlates({ step, cues }: { step: Step; cues: readonly string[] }) {
  const words = useSpeaker();
  if (cues.length + step.tools.length === 0 && step.stands === undefined && step.assembly === undefined)
    return null;
  const chip =
    "plate inline-flex items-center gap-1.5 rounded border-[1.5px] border-rule bg-card px-2.5 py-1 text-body tracking-[.02em]";
  return (
    <ul className="flex flex-wrap gap-2">
      {step.stands !== undefined && (
        <li className="plate inline-flex items-center gap-1.5 rounded border-[1.5px] border-cold bg-card px-2.5 py-1 text-body">
          {words.say.card.notes.stands(step.stands.before)}
          {step.stands.after !== step.stands.before && ` → ${step.stands.after}`}
        </li>
      )}
      {step.assembly !== undefined && (
        <li className="plate inline-flex items-center rounded border-[1.5px] border-brass-line bg-card px-2.5 py-1 text-body">
          {words.say.card.notes.assembly(step.assembly.name, step.assembly.piece, step.assembly.of)}
        </li>
      )}
      {step.tools.map((tool) => (
        <li key={tool.id} className={chip}>
          <Wrench size={15} aria-hidden="true" className="shrink-0" />
          <span>
            {toolName(words, tool)}
            {standIns(words, tool).map((instead) => (
              <small key={instead} className="block text-fine text-soft">
                {words.say.kits.standIns(instead)}
              </small>
            ))}
          </span>
        </li>
      ))}
      {cues.map((cue) => (
        <li key={cue} className={clsx(chip, "text-soft")}>
          {cue}
        </li>
      ))}
    </ul>
  );
}

/** Arrows, turns, levers and clock faces of a step. */
export function StepDrawings({ step }: { step: Step }) {
  const words = useSpeaker();
  if (step.drawn === undefined) return null;
  return (
    <div className="flex flex-wrap gap-2">
      {step.drawn.map((each) => (
        <DrawnStep key={each.kind} drawn={each} label={drawnWords(words, each)} />
      ))}
    </div>
  );
}

/** What can happen at this step and what to do, and the tools that would harm. */
export function StepDangers({ step }: { step: Step }) {
  const words = useSpeaker();
  const { cautions, barred } = stepDangers(words, step);
  return (
    <>
      {cautions.map((caution) => (
        <Notice key={caution.can} tone="stop">
          <b>{caution.can}</b> {caution.do}
        </Notice>
      ))}
      {barred.map((each) => (
        <Notice key={each.tool} tone="stop">
          <b>{words.say.card.notes.no(each.tool.toLowerCase())}</b> {each.why}.
        </Notice>
      ))}
    </>
  );
}

/** What the last entry did to the plan. */
export function PlanChange({ change }: { change: NonNullable<JobLog["change"]> }) {
  const words = useSpeaker();
  const minutes = Math.round(change.minutes);
  return (
    <Notice tone="wait" live>
      <b>{words.say.card.notes.changed}</b> {changeWords(words, change).join(" ")}{" "}
      {minutes !== 0 && <b className="whitespace-nowrap">{words.say.card.notes.minutes(minutes)}</b>}
    </Notice>
  );
}
