"use client";

import Link from "next/link";
import type { IsolationFailure } from "@/core/isolation";
import { Notice } from "@/ui/notice";
import { useSpeaker } from "@/ui/use-speaker";
import { isolationMessage } from "@/words";
import { CarePanel, OthersPanel, OutagePanel, ProvePanel, ShuttingPanel } from "./plan-panels";
import type { Target } from "./target-picker";
import type { LineAsked } from "./use-line-screen";

/** What to shut to open the place, how it is proven, who goes without: or why there is no way. */
export function PlanColumn({ asked, registered }: { asked: LineAsked; registered: readonly Target[] }) {
  const { line, target, told, tell, planned, made, plan, step, nodeName } = asked;
  const known = registered.find((each) => each.id === target);
  return (
    <>
      {planned.kind === "waiting" && <p role="status">Working out what to shut …</p>}
      {made !== undefined && !made.plan.ok && (
        <Refusal
          failure={made.plan.error}
          onPumpOut={(node) => tell({ pumpedOut: [...told.pumpedOut, node] })}
        />
      )}
      {plan !== undefined && (
        <>
          <ShuttingPanel plan={plan} at={step} />
          <ProvePanel plan={plan} nodeName={nodeName} />
          <OutagePanel plan={plan} />
          <CarePanel plan={plan} />
          <OthersPanel
            others={made?.others ?? []}
            kept={told.keep.length > 0}
            onKeep={(node) => tell({ keep: node === undefined ? [] : [node] })}
          />
          {known !== undefined && (
            <Link href={`/valves/${known.id}/start`} className="btn btn-go min-h-14 shrink-0">
              Take {known.id} into a job
            </Link>
          )}
          <Link href={sheetAddress(line.id, target, told)} className="btn btn-quiet shrink-0">
            Isolation sheet to print
          </Link>
        </>
      )}
    </>
  );
}

/** The sheet to print, of the same question. */
const sheetAddress = (line: string, target: string, told: LineAsked["told"]): string =>
  `/lines/${line}/isolation?${new URLSearchParams([
    ["open", target],
    ...Object.entries(told).flatMap(([key, ids]) => (ids as readonly string[]).map((id) => [key, id])),
  ])}`;

function Refusal({ failure, onPumpOut }: { failure: IsolationFailure; onPumpOut: (node: string) => void }) {
  const words = useSpeaker();
  const vessels =
    failure.kind === "unprotected"
      ? failure.vessels
      : failure.kind === "no-isolation" && failure.pumpOut !== undefined
        ? [failure.pumpOut]
        : [];
  return (
    <Notice tone="stop" live>
      {isolationMessage(words, failure)}
      {vessels.map((vessel) => (
        <button
          key={vessel.id}
          type="button"
          className="btn btn-quiet mt-2 w-full bg-card"
          onClick={() => onPumpOut(vessel.id)}
        >
          Plan it with {vessel.name} pumped out
        </button>
      ))}
    </Notice>
  );
}
