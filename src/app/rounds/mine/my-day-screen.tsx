"use client";

import { format, isSameDay } from "date-fns";
import Link from "next/link";
import type { MyDay } from "@/core/due-work";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { useSettings } from "@/ui/settings";
import { useFigures } from "@/ui/use-figures";
import { useNow } from "@/ui/when";
import { Changes } from "../plan-state";
import { AtIt, NextJob } from "./next-job";
import { RestOfDay } from "./rest-of-day";
import { type OwnDay, useMyDay } from "./use-my-day";

/** What is next, when to leave for it, and what to say when it turns out otherwise: the rest is planned again at once. */
export function MyDayScreen() {
  const { who } = useSettings();
  const own = useMyDay(who);
  const { state } = own;
  if (who === "")
    return (
      <Shell>
        <Notice tone="wait">Whose day? Say in the Loft who is holding this device.</Notice>
        <p>
          <Link href="/loft" className="btn btn-go min-h-12">
            Who is holding it
          </Link>
        </p>
      </Shell>
    );
  switch (state.kind) {
    case "looking":
      return (
        <Shell>
          <Notice tone="wait" live>
            Looking up your day: every job of it is compiled. A few seconds.
          </Notice>
        </Shell>
      );
    case "none":
      return (
        <Shell>
          {state.problems.map(({ message }) => (
            <Notice key={message} tone="stop" live>
              {message}
            </Notice>
          ))}
          <p className="flex flex-wrap gap-3">
            <Link href="/rounds" className="btn btn-quiet min-h-12">
              The week
            </Link>
            <Link href="/loft/house" className="btn btn-quiet min-h-12">
              The house
            </Link>
          </p>
        </Shell>
      );
    case "day":
      return <Day day={state.day} own={own} />;
  }
}

const Shell = ({ children }: { children: React.ReactNode }) => (
  <Page title="My day" says="What is next, when to leave, and what to say when it turns out otherwise.">
    {children}
  </Page>
);

function Day({ day, own }: { day: MyDay; own: OwnDay }) {
  const { fixed } = useFigures();
  const { sheet, begun, published, changed } = day;
  const [next] = sheet.stops;
  const now = useNow(60_000);
  const isToday = now !== null && isSameDay(sheet.from, now);
  return (
    <div className="mx-auto flex max-w-[1240px] flex-col gap-3 px-4 py-4 md:px-5">
      <header className="flex flex-wrap items-baseline gap-x-3">
        <h1 className="font-bold text-title">
          {isToday ? "Your day" : `Your ${format(sheet.from, "EEEE d MMM")}`}
        </h1>
        <p className="text-soft">
          {sheet.crew}. Back {format(sheet.back, "HH:mm")}
          {sheet.overMin >= 1 && (
            <strong className="text-stop">, {fixed(sheet.overMin, 0)} min after the shift</strong>
          )}
          .{!published && " Nobody was told yet: it may still change."}
        </p>
      </header>
      <div aria-busy={own.busy} className="grid grid-cols-1 items-start gap-3 lg:grid-cols-[1fr_420px]">
        <div className="flex flex-col gap-3">
          {own.problems.map(({ message }) => (
            <Notice key={message} tone="stop" live>
              {message}
            </Notice>
          ))}
          {begun
            .filter(({ open }) => open)
            .map((each) => (
              <AtIt key={each.task} begun={each} own={own} />
            ))}
          {next !== undefined && <NextJob day={day} stop={next} own={own} />}
          {own.moved !== undefined && (
            <div role="status" className="flex flex-col gap-2">
              {own.moved.length === 0 ? (
                <Notice tone="go">The rest of the day stays as it is.</Notice>
              ) : (
                <Changes title="What that moved" changes={own.moved} />
              )}
              {own.undo !== undefined && (
                <button
                  type="button"
                  className="btn btn-quiet min-h-12 self-start"
                  disabled={own.busy}
                  onClick={own.undo}
                >
                  Undo
                </button>
              )}
            </div>
          )}
        </div>
        <div className="flex flex-col gap-3">
          {own.moved === undefined && <Changes title="Other than you were told" changes={changed} />}
          <RestOfDay day={day} own={own} />
          <p className="flex flex-wrap gap-3">
            <Link
              href={`/rounds/day?${new URLSearchParams({ crew: sheet.crew, day: new Date(sheet.from).toISOString() })}`}
              className="btn btn-quiet min-h-12"
            >
              Way, and what to take along
            </Link>
            <Link href="/rounds" className="btn btn-quiet min-h-12">
              The week
            </Link>
          </p>
        </div>
      </div>
    </div>
  );
}
