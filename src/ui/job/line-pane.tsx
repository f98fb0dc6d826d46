"use client";

import { useMemo } from "react";
import { keptShut, type Run } from "@/core/job";
import type { Setting } from "@/core/line";
import { useFigures } from "@/ui/use-figures";
import { kindsOf, LineDrawing } from "../draw/line-drawing";
import { PipeKey } from "../draw/pipe";
import { lineView } from "../line-view";
import { useSpeaker } from "../use-speaker";

/** How the line is set by what was ticked so far, and by what other jobs hold. */
function settingOf(job: Run): Setting {
  const turned = job.plan.isolation?.ok === true ? job.plan.isolation.value.turned : [];
  const { held } = job.progress;
  const stems = [...held].flatMap(([id, { position }]) =>
    position === undefined ? [] : [[id, position] as const],
  );
  return {
    shut: new Set([...keptShut(held).keys(), ...job.shut]),
    turned: new Map([
      ...stems,
      ...turned.flatMap((each) => (job.shut.includes(each.node) ? [[each.node, each.to.id] as const] : [])),
    ]),
  };
}

/** The line of a job as it is set now, with what is shut and what is live. */
export function LinePane({ job }: { job: Run }) {
  const { quantity } = useFigures();
  const words = useSpeaker().say.card.line;
  const { line, valve } = job.inputs;
  const plan = job.plan.isolation?.ok ? job.plan.isolation.value : undefined;
  const proven = job.states.get("prove:again")?.kind === "done";
  const view = useMemo(
    () =>
      line &&
      lineView(line, settingOf(job), plan, {
        target: valve.node ?? valve.tag,
        passing: job.progress.passing,
        proven,
      }),
    [line, valve, plan, job, proven],
  );
  if (view === undefined) return <p className="p-4 text-soft">{words.none}</p>;
  return (
    <>
      <h2 className="caption flex justify-between px-3.5 pt-3">
        <span>{line?.name}</span>
        <span>{plan === undefined ? "" : words.shut(job.shut.length)}</span>
      </h2>
      <div className="min-h-0 flex-1">
        <LineDrawing view={view} />
      </div>
      <div className="flex flex-wrap items-center justify-between gap-2 px-3.5 pb-2.5">
        <PipeKey kinds={kindsOf(view.line)} unknown={view.doubt} />
        {plan !== undefined && (
          <span className="plate text-note text-soft">
            {words.shutIn(quantity(plan.section.volume_L / 1000, "volume"))}
          </span>
        )}
      </div>
    </>
  );
}
