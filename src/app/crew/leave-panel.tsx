"use client";

import { CalendarPlus } from "lucide-react";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { call } from "@/edge/client";
import type { AnswerTo } from "@/edge/contract";
import { TAKE_LEAVE } from "@/edge/contracts/own";
import { Notice } from "@/ui/notice";
import { useChanged } from "@/ui/own/use-changed";
import { Panel } from "@/ui/page";
import { Day } from "@/ui/when";

type Taken = AnswerTo<typeof TAKE_LEAVE>;

const WHY: Readonly<Record<Taken["left"][number]["why"], string>> = {
  "part-of-a-day": "only part of a day",
  cancelled: "called off",
  behind: "is behind",
};

/** Leave out of any calendar: its whole days are days away. */
export function LeavePanel({ person, name }: { person: string; name: string }) {
  const router = useRouter();
  const changed = useChanged();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [taken, setTaken] = useState<Taken>();
  const [refused, setRefused] = useState<string>();
  const read = async (file: File) => {
    setBusy(true);
    const kept = await call(TAKE_LEAVE, { params: { id: person }, body: { text: await file.text() } });
    setBusy(false);
    setTaken(kept.ok ? kept.value : undefined);
    setRefused(kept.ok ? undefined : kept.error.problems.map(({ message }) => message).join(" "));
    if (input.current !== null) input.current.value = "";
    if (kept.ok && kept.value.changes > 0) changed(`${name} is away on more days.`, kept.value.edit);
    router.refresh();
  };
  return (
    <Panel title="Leave from a calendar">
      <p className="text-note text-soft">
        A file with nothing but leave in it (iCalendar, .ics). Its whole days become days away; what is known
        already stays.
      </p>
      <label className="btn btn-quiet mt-2 min-h-12 cursor-pointer focus-within:outline-2">
        <CalendarPlus size={20} aria-hidden="true" /> {busy ? "Reading …" : "Choose the file"}
        <input
          ref={input}
          type="file"
          accept=".ics,text/calendar"
          className="sr-only"
          disabled={busy}
          onChange={({ target: { files } }) => files?.[0] !== undefined && void read(files[0])}
        />
      </label>
      {refused !== undefined && (
        <Notice tone="stop" live>
          {refused}
        </Notice>
      )}
      {taken !== undefined && (
        <div role="status" className="mt-2">
          {taken.taken.length === 0 ? (
            <p>Nothing in it that was not known.</p>
          ) : (
            <ul>
              {taken.taken.map(({ from, to }) => (
                <li key={from}>
                  <Day at={Date.parse(`${from}T12:00`)} />
                  {to !== from && (
                    <>
                      {" to "}
                      <Day at={Date.parse(`${to}T12:00`)} />
                    </>
                  )}
                </li>
              ))}
            </ul>
          )}
          {taken.left.length > 0 && (
            <ul className="mt-1 text-note text-soft">
              {taken.left.map(({ says, why }, at) => (
                <li key={at}>
                  Not taken: {says || "an entry"}, {WHY[why]}.
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
    </Panel>
  );
}
