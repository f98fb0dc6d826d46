"use client";

import ical, { ICalAlarmType } from "ical-generator";
import { AlarmClock } from "lucide-react";
import type { BellToSet } from "@/core/calculators";

/** A calendar file that rings on the phone, with or without a signal. */
export function SetBell({ title, bell }: { title: string; bell: BellToSet }) {
  const set = () => {
    const start = bell.kind === "in" ? new Date(Date.now() + bell.seconds * 1000) : onThisClock(bell.wall);
    const calendar = ical({ name: "Loft Bell" });
    const event = calendar.createEvent({ start, summary: title, description: bell.look });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: bell.look });
    const href = URL.createObjectURL(new Blob([calendar.toString()], { type: "text/calendar" }));
    const link = Object.assign(document.createElement("a"), { href, download: "bell.ics" });
    link.click();
    URL.revokeObjectURL(href);
  };
  return (
    <button type="button" className="btn btn-quiet" onClick={set}>
      <AlarmClock size={20} aria-hidden /> Set a bell
    </button>
  );
}

/** The wall clock of the calculation is the one of the place where the device is. */
function onThisClock(wall: number): Date {
  const utc = new Date(wall * 1000);
  return new Date(
    utc.getUTCFullYear(),
    utc.getUTCMonth(),
    utc.getUTCDate(),
    utc.getUTCHours(),
    utc.getUTCMinutes(),
  );
}
