"use client";

import type { HouseRounds } from "@/core/due-work";
import { Panel } from "@/ui/page";

const LINK = "inline-block min-h-11 content-center underline underline-offset-4";

/** What goes out: each crew's published rounds as a calendar to subscribe to, and the week as a list. */
export function TakeOut({
  rounds,
  week,
  feedKey,
}: {
  rounds: HouseRounds;
  /** Its Monday. */
  week: string;
  /** What a calendar shows where one signs in. */
  feedKey: string | undefined;
}) {
  const calendarOf = (crew: string) =>
    `/api/v1/rounds/published.ics?${new URLSearchParams({ crew, ...(feedKey !== undefined && { key: feedKey }) })}`;
  return (
    <Panel title="Take out">
      <p className="text-note text-soft">
        What is published, for any calendar, with an alarm half an hour before. Subscribe to the address: what
        is published anew moves there, too.
      </p>
      <ul>
        {rounds.crews.map(({ id }) => (
          <li key={id}>
            <a className={LINK} href={calendarOf(id)} download>
              Calendar of {id}
            </a>
          </li>
        ))}
        {rounds.kept && (
          <li>
            <a className={LINK} href={`/api/v1/rounds/week.csv?week=${week}`} download>
              This week as CSV
            </a>
          </li>
        )}
      </ul>
      {feedKey !== undefined && (
        <p className="text-note text-soft">
          The key in the address is yours. With another password it is no longer good.
        </p>
      )}
    </Panel>
  );
}
