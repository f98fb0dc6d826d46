import clsx from "clsx";
import type { Metadata } from "next";
import Link from "next/link";
import { asked, type SearchParams } from "@/app/list-query";
import { UnreadableList } from "@/app/unreadable-list";
import { readAs, VALVE_STATES, type ValveState } from "@/core/formats";
import { grouped } from "@/core/quantity";
import { VALVE_LIST_QUERY } from "@/edge/contracts/register";
import { AT_ONCE_MS, listValves, NEVER_MS, PAGE, valveCounts } from "@/server/lists/lists";
import { watched } from "@/server/proof/watch";
import { services } from "@/server/services";
import { familyName } from "@/ui/family-name";
import { listAddress } from "@/ui/list/list-address";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { valveChoices } from "./choices";
import { ValveList } from "./valve-list";

export const metadata: Metadata = { title: "Valves" };

const STATES: Readonly<Record<ValveState, string>> = {
  late: "Late",
  due: "Due in 14 days",
  "at-work": "At work",
  reported: "Reported",
  quiet: "Quiet",
  retired: "Retired",
};
const TONE: Partial<Record<ValveState, string>> = { late: "text-stop", reported: "text-wait" };

export default async function ValvesPage({ searchParams }: { searchParams: SearchParams }) {
  const all = services();
  const count = all.register.count();
  if (count + all.register.retired().length === 0)
    return (
      <Page
        title="Valves"
        action={
          <Link href="/valves/new" className="btn btn-go">
            Register a valve
          </Link>
        }
      >
        <Empty>No valve is registered yet. Register the first here, or bring in a list in the Loft.</Empty>
      </Page>
    );
  const read = readAs(VALVE_LIST_QUERY, asked(await searchParams));
  if (!read.ok) return <UnreadableList title="Valves" path="/valves" problems={read.error} />;
  const query = read.value;
  const { rows, total } = listValves(all, query);
  const doubted = new Set(
    watched(all).doubts.flatMap(({ subject, id }) => (subject === "readings" ? [id] : [])),
  );
  const titles = new Map(all.library.sheets().map(({ id, title }) => [id, title]));
  const counts = valveCounts(all);
  const now = all.now();
  return (
    <Page
      title="Valves"
      says={`${grouped(count)} in the register.`}
      action={
        <Link href="/valves/new" className="btn btn-go">
          Register a valve
        </Link>
      }
    >
      <ul className="no-print grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-6">
        {VALVE_STATES.map((state) => (
          <li key={state}>
            <Link
              href={listAddress("/valves", query, { state: query.state === state ? undefined : state })}
              aria-current={query.state === state ? "true" : undefined}
              className={clsx(
                "card flex min-h-14 flex-wrap items-baseline justify-between gap-x-2 px-3 py-2",
                query.state === state && "border-ink! bg-sunk!",
              )}
            >
              <span>{STATES[state]}</span>
              <span className={clsx("plate text-title", counts[state] > 0 && TONE[state])}>
                {grouped(counts[state])}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <ValveList
        ask={{ ...query, sort: query.sort ?? "place", page: query.page ?? 1 }}
        rows={rows.map(({ tag, name, place, sheet, family, symptom, dueAt, job }) => ({
          tag,
          name,
          place,
          sheet: titles.get(sheet) ?? sheet,
          family,
          symptom,
          due: dueAt === NEVER_MS ? null : dueAt === AT_ONCE_MS ? now : dueAt,
          job,
          doubt: doubted.has(tag),
        }))}
        total={total}
        choices={valveChoices(all)}
        pageSize={PAGE}
        filters={[
          {
            name: "place",
            label: "Place",
            options: facet(all.register.facet("place", now), (value) => value),
          },
          {
            name: "sheet",
            label: "Sheet",
            options: facet(all.register.facet("sheet", now), (value) => titles.get(value) ?? value),
          },
          { name: "family", label: "Family", options: facet(all.register.facet("family", now), familyName) },
        ]}
      />
    </Page>
  );
}

/** A longer choice is no choice: the most frequent are offered, the search finds the rest. */
const MOST_OFFERED = 60;

function facet(
  values: readonly { readonly value: string; readonly count: number }[],
  label: (value: string) => string,
): (readonly [string, string])[] {
  return values
    .filter(({ value }) => value !== "")
    .toSorted((a, b) => b.count - a.count)
    .slice(0, MOST_OFFERED)
    .map(({ value, count }) => [value, `${label(value)} (${grouped(count)})`] as const)
    .toSorted((a, b) => a[1].localeCompare(b[1]));
}
