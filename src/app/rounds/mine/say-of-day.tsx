"use client";

import { addDays, format, setHours, startOfDay } from "date-fns";
import { useState } from "react";
import { timeNow } from "@/edge/clock";
import { Modal } from "@/ui/modal";
import type { OwnDay } from "./use-my-day";

const LONGER = [15, 30, 60, 90, 120, 180] as const;

/** It takes longer than planned: by how much is one tap. */
export function RunsOver({ task, own }: { task: string; own: OwnDay }) {
  const [open, setOpen] = useState(false);
  const say = (min: number) => {
    setOpen(false);
    void own.say({ kind: "runs-over", task, min });
  };
  return (
    <>
      <button
        type="button"
        className="btn btn-quiet min-h-14"
        disabled={own.busy}
        onClick={() => setOpen(true)}
      >
        Runs over
      </button>
      <Modal
        open={open}
        onOpenChange={setOpen}
        title={`${task} runs over by`}
        says="The rest of the day is planned again at once; what that moves is told, and can be undone."
      >
        <div className="grid grid-cols-2 gap-3">
          {LONGER.map((min) => (
            <button
              key={min}
              type="button"
              className="btn btn-quiet min-h-14 text-lead"
              onClick={() => say(min)}
            >
              {min < 60
                ? `${min} min`
                : min % 60 === 0
                  ? `${min / 60} h`
                  : `${Math.floor(min / 60)} h ${min % 60} min`}
            </button>
          ))}
        </div>
      </Modal>
    </>
  );
}

/** When one can get in again. */
function tries(now: number): readonly { readonly label: string; readonly at: number }[] {
  const hour = 3_600_000;
  const tomorrow = startOfDay(addDays(now, 1));
  const monday = startOfDay(addDays(now, 8 - (new Date(now).getDay() || 7)));
  return [
    { label: `In an hour, ${format(now + hour, "HH:mm")}`, at: now + hour },
    { label: `In two hours, ${format(now + 2 * hour, "HH:mm")}`, at: now + 2 * hour },
    { label: `Tomorrow, ${format(tomorrow, "EEE d MMM")}`, at: tomorrow.getTime() },
    { label: "Tomorrow after noon", at: setHours(tomorrow, 12).getTime() },
    { label: `Next week, ${format(monday, "EEE d MMM")}`, at: monday.getTime() },
  ];
}

/** Nobody opens, the gate is locked: when to try again is one tap. */
export function NoWayIn({ task, own }: { task: string; own: OwnDay }) {
  const [open, setOpen] = useState(false);
  const [why, setWhy] = useState("");
  const say = (at: number) => {
    setOpen(false);
    const because = why.trim();
    void own.say({
      kind: "no-way-in",
      task,
      until: new Date(at).toISOString(),
      ...(because !== "" && { why: because }),
    });
  };
  return (
    <>
      <button
        type="button"
        className="btn btn-quiet min-h-14"
        disabled={own.busy}
        onClick={() => setOpen(true)}
      >
        Cannot get in
      </button>
      <Modal
        open={open}
        onOpenChange={setOpen}
        title="No way in. When again?"
        says={`${task} is planned when one can get in, and the rest of the day at once. Do not climb, force or enter alone what is locked.`}
      >
        <div className="flex flex-col gap-3">
          {open &&
            tries(timeNow()).map(({ label, at }) => (
              <button
                key={label}
                type="button"
                className="btn btn-quiet min-h-14 text-lead"
                onClick={() => say(at)}
              >
                {label}
              </button>
            ))}
        </div>
        <label className="block">
          <span className="mb-1 block leading-tight">Why, if you like: before you choose</span>
          <input
            className="field w-full"
            maxLength={200}
            value={why}
            onChange={(event) => setWhy(event.target.value)}
          />
        </label>
      </Modal>
    </>
  );
}
