"use client";

import { useState } from "react";
import type { Run } from "@/core/job";
import { Axis } from "../draw/axis";
import type { AxisPart } from "../draw/axis-part";
import { PartCard } from "../part-card";
import { useSpeaker } from "../use-speaker";

/** The valve apart along its axis, as far as the job has come; a part that is tapped is read about. */
export function AxisPane({ job }: { job: Run }) {
  const { card } = useSpeaker().say;
  const { sheet } = job.inputs;
  const [chosen, setChosen] = useState<string>();
  const read = sheet.parts.find((part) => part.id === chosen);
  const orders = new Map(job.tray.items.map((item) => [item.part, item.order]));
  const places = new Map(job.tray.items.map((item) => [item.part, item.place]));
  const renew = new Set(job.plan.renewals.map((each) => each.part));
  const parts: AxisPart[] = sheet.parts.map((part) => ({
    part,
    place: part.stays ? "stays" : (places.get(part.id) ?? "in"),
    renew: renew.has(part.id) && places.has(part.id),
    ...(orders.has(part.id) && { order: orders.get(part.id)! }),
  }));
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
