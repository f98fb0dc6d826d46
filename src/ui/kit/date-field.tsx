"use client";

import { CalendarDays } from "lucide-react";
import dynamic from "next/dynamic";
import { Popover } from "radix-ui";
import { useState } from "react";
import { Labelled, type Labels } from "./labelled";

const Calendar = dynamic(() => import("./calendar").then((made) => made.Calendar), {
  ssr: false,
  loading: () => <p className="p-4 text-soft">Opening …</p>,
});

/** The day that a text begins with, as "2026-11-28"; nothing while it is not whole. */
const dayOf = (text: string): string | undefined => /^\d{4}-\d{2}-\d{2}/.exec(text)?.[0];

/** A date, typed or chosen; with a time "2026-11-28T14:30", shown with a space. */
export function DateField({
  value,
  onChange,
  withTime = false,
  ...labels
}: Labels & { value: string; onChange: (to: string) => void; withTime?: boolean }) {
  const [open, setOpen] = useState(false);
  const choose = (day: string) => {
    onChange(withTime ? `${day}T${value.slice(11) || "12:00"}` : day);
    setOpen(false);
  };
  return (
    <Labelled {...labels}>
      {(wiring) => (
        <div className="flex gap-1">
          <input
            {...wiring}
            className="field min-w-0 flex-1"
            value={value.replace("T", " ")}
            placeholder={withTime ? "2026-11-28 14:30" : "2026-11-28"}
            autoComplete="off"
            onChange={(event) => onChange(event.target.value.trim().replace(/\s+/, "T"))}
          />
          <Popover.Root open={open} onOpenChange={setOpen}>
            <Popover.Trigger className="btn btn-quiet px-3" aria-label={`Choose ${labels.label}`}>
              <CalendarDays size={20} aria-hidden="true" />
            </Popover.Trigger>
            <Popover.Portal>
              <Popover.Content align="end" sideOffset={4} className="card z-50 p-3 shadow-2xl">
                <Calendar day={dayOf(value)} onDay={choose} />
              </Popover.Content>
            </Popover.Portal>
          </Popover.Root>
        </div>
      )}
    </Labelled>
  );
}
