"use client";

import { ChevronLeft, ChevronRight } from "lucide-react";
import type { IsolationPlan } from "@/core/isolation";
import { useSpeaker } from "@/ui/use-speaker";
import { actWords } from "@/words";
import { actAt } from "./walk-through";

/** Steps through shutting and restoring, drawn as it goes. */
export function Walk({
  plan,
  step,
  onStep,
}: {
  plan: IsolationPlan;
  step: number | undefined;
  onStep: (step: number | undefined) => void;
}) {
  const words = useSpeaker();
  const acts = plan.shutting.length + plan.restoring.length;
  const at = step ?? plan.shutting.length;
  const act = actAt(plan, at);
  const label =
    at === 0
      ? "As it stands today"
      : at <= plan.shutting.length
        ? `Shutting ${at} of ${plan.shutting.length}`
        : `Restoring ${at - plan.shutting.length} of ${plan.restoring.length}`;
  return (
    <div className="flex items-center gap-3 border-rule border-t px-4 py-2">
      <button
        type="button"
        className="btn btn-quiet px-3!"
        aria-label="One step back"
        disabled={at === 0}
        onClick={() => onStep(at - 1)}
      >
        <ChevronLeft aria-hidden />
      </button>
      <p className="min-w-0 flex-1 text-note leading-tight" aria-live="polite">
        <span className="caption block">{label}</span>
        {act !== undefined && <b>{actWords(words, act)}</b>}
      </p>
      <button
        type="button"
        className="btn btn-quiet px-3!"
        aria-label="One step on"
        disabled={at === acts}
        onClick={() => onStep(at + 1)}
      >
        <ChevronRight aria-hidden />
      </button>
    </div>
  );
}
