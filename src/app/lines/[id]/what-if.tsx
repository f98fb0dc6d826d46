"use client";

import { Panel } from "@/ui/page";
import type { LineAsked } from "./use-line-screen";

const STATE_WORDS = {
  live: "still live.",
  dead: "dead.",
  "shut-in": "shut in.",
  unknown: "not known: only a valve that passes or a check valve holds.",
} as const;

/** What is tried by hand would do: who loses service, and how the place to be opened stands. */
export function WhatIf({ asked }: { asked: LineAsked }) {
  const { trial, view, target, nodeName, endTrial } = asked;
  if (trial === undefined) return null;
  return (
    <Panel title="What if" note={`${trial.shut.size + (trial.turned?.size ?? 0)} changed`}>
      <p aria-live="polite">
        {view.lost.size === 0
          ? "Nobody loses service: another way still feeds them."
          : `Without service: ${[...view.lost].map(nodeName).join(", ")}.`}
      </p>
      {target !== "" && (
        <p className="mt-1">
          {nodeName(target)}: {STATE_WORDS[stateOfTarget(asked)]}
        </p>
      )}
      <button type="button" className="btn btn-quiet mt-3 w-full" onClick={endTrial}>
        Back to the plan
      </button>
    </Panel>
  );
}

function stateOfTarget({ view, target, line }: LineAsked) {
  const link = view.line.links.find((each) => each.id === target);
  const place = line.nodes.find((node) => node.id === target || node.asset === target);
  return view.stateOf(link?.from ?? place?.id ?? target);
}
