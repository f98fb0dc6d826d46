"use client";

import { useState } from "react";
import type { Run } from "@/core/job";
import { Axis } from "../draw/axis";
import { PartCard } from "../part-card";
import { useSpeaker } from "../use-speaker";
import { axisParts } from "./axis-parts";

/** The valve apart along its axis, as far as the job has come; a part that is tapped is read about. */
export function AxisPane({ job }: { job: Run }) {
  const { card } = useSpeaker().say;
  const { sheet } = job.inputs;
  const [chosen, setChosen] = useState<string>();
  const read = sheet.parts.find((part) => part.id === chosen);
  const parts = axisParts(job);
  const current = job.current;
  const lit = current?.part ?? (current?.kind === "check" ? current.check.part : undefined);
  return (
    <>
      <h2 className="caption flex justify-between px-3.5 pt-3">
        <span>{card.axis}</span>
        <span>{job.inputs.valve.generation}</span>
      </h2>
      <div className="min-h-0 flex-1">
        <Axis
          parts={parts}
          {...(lit !== undefined && { lit })}
          {...(chosen !== undefined && { chosen })}
          onChoose={(part) => setChosen((now) => (now === part ? undefined : part))}
        />
      </div>
      {read !== undefined && <PartCard part={read} sheet={sheet} onClose={() => setChosen(undefined)} />}
    </>
  );
}
