"use client";

import { useMemo, useState } from "react";
import { type Condition, candidatesOf, conditionOf, type DepthAsked, weighDepths } from "@/core/depth";
import type { JobInputs } from "@/core/formats";

type Asked = Pick<Condition, "leak" | "access">;

/**
 * The depths that the sheet has for the reason, each compiled and weighed.
 *
 * @param inputs the job as it stands, whatever it reaches
 * @param onChoose what the chosen depth reaches and renews
 */
export function useDepth(
  inputs: JobInputs,
  onChoose: (reach: readonly string[], renews: readonly string[]) => void,
) {
  const [asked, setAsked] = useState<Asked>({
    leak: inputs.reason.kind === "symptom" ? "seeps" : "none",
    access: "easy",
  });
  const [chosen, setChosen] = useState<string>();
  const [reason, setReason] = useState("");
  const candidates = useMemo(() => candidatesOf(inputs), [inputs]);
  const condition = conditionOf(inputs, asked);
  const weighing = weighDepths(inputs, candidates, condition);
  const valid = candidates.some(({ depth }) => depth.id === chosen) ? chosen : undefined;
  const kept: DepthAsked | undefined =
    valid === undefined || weighing === undefined
      ? undefined
      : { id: valid, ...asked, ...(reason.trim() !== "" && { reason: reason.trim() }) };
  return {
    candidates,
    /** Nothing where the store gives no rates. */
    weighing,
    chosen: valid,
    condition: asked,
    /** The next planned visit; nothing where none is. */
    until: condition.until,
    setCondition: setAsked,
    choose: (id: string) => {
      const depth = candidates.find((each) => each.depth.id === id)?.depth;
      if (depth === undefined) return;
      setChosen(id);
      onChoose(depth.reach, depth.renews);
    },
    /** Parts are chosen by hand, or for another reason: no depth any more. */
    letGo: () => setChosen(undefined),
    reason,
    setReason,
    currency: inputs.store?.currency ?? "",
    /** What is asked of the job; nothing where no depth was chosen. */
    kept,
  };
}

export type Deep = ReturnType<typeof useDepth>;
