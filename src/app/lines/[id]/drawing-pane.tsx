"use client";

import { useMemo } from "react";
import { kindsOf, LineDrawing } from "@/ui/draw/line-drawing";
import { PipeKey } from "@/ui/draw/pipe";
import { type Target, TargetPicker } from "./target-picker";
import { ToldChips } from "./told";
import type { LineAsked } from "./use-line-screen";
import { Walk } from "./walk";

/** More links than this are not edited by hand, and take a moment to plan. */
export const MOST_EDITED = 600;

/** The line, drawn as it stands: tap a valve to ask about it, a place to open it. */
export function DrawingPane({ asked, registered }: { asked: LineAsked; registered: readonly Target[] }) {
  const { line, view, setChosen, choose, told, tell, nodeName, made, plan, trial, step, setStep } = asked;
  const interactive = useMemo(
    () => ({ ...view, onValve: setChosen, onNode: choose }),
    [view, setChosen, choose],
  );
  const kinds = useMemo(() => kindsOf(view.line), [view.line]);
  return (
    <section className="card relative flex min-h-[520px] flex-col overflow-hidden">
      <header className="flex flex-col gap-x-4 gap-y-2 px-4 pt-3 sm:flex-row sm:items-end">
        <div className="min-w-0 flex-1">
          <h1 className="font-bold text-head leading-tight">{line.name}</h1>
          <p className="text-note text-soft" aria-live="polite">
            {summary(asked)}
          </p>
        </div>
        <TargetPicker line={line} registered={registered} value={asked.target} onChange={choose} />
      </header>
      <ToldChips told={told} nodeName={nodeName} onChange={tell} />
      <div className="min-h-[400px] flex-1">
        <LineDrawing view={interactive} />
      </div>
      {plan !== undefined && trial === undefined && <Walk plan={plan} step={step} onStep={setStep} />}
      <footer className="flex flex-wrap items-center justify-between gap-2 px-4 pb-3">
        <PipeKey kinds={kinds} unknown={view.doubt} />
        <span className="text-note text-soft">
          {made !== undefined && line.links.length > MOST_EDITED
            ? `Planned in ${Math.max(1, Math.round(made.took))} ms.`
            : "Tap a valve to ask about it, a place to open it."}
        </span>
      </footer>
    </section>
  );
}

/** One line of what is shown. */
function summary({ trial, planned, plan, target, nodeName }: LineAsked): string {
  if (trial !== undefined) return "What if";
  if (planned.kind === "waiting") return "Working it out …";
  if (plan !== undefined) {
    const drain = plan.section.drain === undefined ? "" : `, drain at ${nodeName(plan.section.drain.node)}`;
    return `To open ${nodeName(target)}: ${plan.shutting.length} to do${drain}`;
  }
  return target === "" ? "Choose what is to be opened" : "";
}
