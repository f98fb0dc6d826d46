"use client";

import { useState } from "react";
import { inQuiet } from "@/core/ringing";
import type { Settings } from "@/ui/settings";

const clock = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, "0")}:${String(minute % 60).padStart(2, "0")}`;

/** Nothing where no time of day is written. */
function minuteOf(text: string): number | undefined {
  const [, hours, minutes] = /^([01]\d|2[0-3]):([0-5]\d)/.exec(text) ?? [];
  return hours === undefined ? undefined : Number(hours) * 60 + Number(minutes);
}

const HOURS = Array.from({ length: 24 }, (_, hour) => hour);

/** When nothing rings that may wait: both ends, and the day drawn with them. */
export function QuietHours({
  settings: { quietFrom, quietTo },
  set,
}: {
  settings: Settings;
  set: (change: Partial<Settings>) => void;
}) {
  return (
    <fieldset>
      <legend className="font-semibold">Quiet hours for what may wait</legend>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <Clock label="From" minute={quietFrom} onSet={(minute) => set({ quietFrom: minute })} />
        <Clock label="To" minute={quietTo} onSet={(minute) => set({ quietTo: minute })} />
        <svg width={240} height={44} viewBox="0 0 240 44" aria-hidden="true" className="max-w-full">
          {HOURS.map((hour) => {
            const quiet = inQuiet({ from: quietFrom, to: quietTo }, hour * 60 + 30);
            return (
              <rect
                key={hour}
                x={hour * 10}
                y={quiet ? 14 : 4}
                width={8}
                height={quiet ? 6 : 16}
                fill={quiet ? "var(--rule)" : "var(--brass-line)"}
              />
            );
          })}
          {[0, 6, 12, 18].map((hour) => (
            <text key={hour} x={hour * 10} y={40} fontSize={15} fill="var(--soft)" className="plate">
              {hour}
            </text>
          ))}
        </svg>
      </div>
      <p className="mt-1 text-note text-soft">
        {quietFrom === quietTo ? "The same time twice: nothing is held back. " : ""}
        What the calendar rings, and answers that were promised, waits until they end. Waits of a job, fire
        protection that is out of service and stopped work ring at any hour.
      </p>
    </fieldset>
  );
}

function Clock({ label, minute, onSet }: { label: string; minute: number; onSet: (minute: number) => void }) {
  const [typed, setTyped] = useState(clock(minute));
  const wrong = minuteOf(typed) === undefined;
  return (
    <label className="flex flex-col text-note">
      {label}
      <input
        type="time"
        className="field w-44"
        value={typed}
        aria-invalid={wrong}
        onChange={(event) => {
          setTyped(event.target.value);
          const read = minuteOf(event.target.value);
          if (read !== undefined) onSet(read);
        }}
      />
      {wrong && <span className="text-stop">Write a time of day, as 19:00.</span>}
    </label>
  );
}
