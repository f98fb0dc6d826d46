"use client";

import { format, isValid, parse } from "date-fns";
import { DayPicker } from "react-day-picker";

const ISO_DAY = "yyyy-MM-dd";

/** A month to choose a day from, with days as large as a gloved finger. */
export function Calendar({ day, onDay }: { day: string | undefined; onDay: (day: string) => void }) {
  const read = day === undefined ? undefined : parse(day, ISO_DAY, new Date());
  const chosen = read !== undefined && isValid(read) ? read : undefined;
  return (
    <DayPicker
      mode="single"
      autoFocus
      weekStartsOn={1}
      showOutsideDays
      captionLayout="dropdown"
      selected={chosen}
      {...(chosen !== undefined && { defaultMonth: chosen })}
      onSelect={(to) => to !== undefined && onDay(format(to, ISO_DAY))}
      classNames={{
        months: "relative",
        month_caption: "mb-2 flex h-11 items-center gap-2 pr-24",
        dropdowns: "flex gap-1.5",
        dropdown_root: "relative",
        dropdown: "field min-h-12! px-2! py-1!",
        caption_label: "sr-only",
        nav: "absolute top-0 right-0 flex",
        button_previous: "grid size-12 place-items-center rounded fill-ink",
        button_next: "grid size-12 place-items-center rounded fill-ink",
        weekday: "caption size-12 font-normal",
        day: "p-0 text-center",
        day_button: "plate size-12 rounded text-body hover:bg-sunk",
        today: "font-bold underline underline-offset-4",
        selected: "rounded bg-ink text-paper [&_button]:hover:bg-ink",
        outside: "text-soft",
      }}
    />
  );
}
