"use client";

import { format, isSameDay } from "date-fns";
import type { HouseRounds, Moved } from "@/core/due-work";
import type { RoundsChanged, RoundsSlot } from "@/core/formats";
import { Panel } from "@/ui/page";

const slot = ({ crew, from }: RoundsSlot) => `${format(Date.parse(from), "EEE d MMM HH:mm")}, ${crew}`;

/** Of where it was only what is another now. */
function before(was: RoundsSlot, is: RoundsSlot): string {
  if (was.crew !== is.crew) return slot(was);
  const [from, to] = [Date.parse(was.from), Date.parse(is.from)];
  return format(from, isSameDay(from, to) ? "HH:mm" : "EEE d MMM HH:mm");
}

/** From where to where, in one line. */
function changeSays({ was, is }: RoundsChanged): string {
  if (was === undefined) return is === undefined ? "" : `new: ${slot(is)}`;
  return is === undefined ? `no more: it was ${slot(was)}` : `${slot(is)}; it was ${before(was, is)}`;
}

/** Further ones are shown when they are asked for. */
const SHOWN = 4;

/** Pieces of work that are elsewhere than they were. */
export function Changes({
  title,
  changes,
}: {
  title: string;
  changes: readonly (RoundsChanged & Partial<Pick<Moved, "says">>)[];
}) {
  if (changes.length === 0) return null;
  const further = changes.slice(SHOWN);
  return (
    <Panel title={title}>
      <ul className="dashed">
        {changes.slice(0, SHOWN).map((change) => (
          <Change key={change.task} change={change} />
        ))}
      </ul>
      {further.length > 0 && (
        <details className="mt-1">
          <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
            {further.length} more
          </summary>
          <ul className="dashed">
            {further.map((change) => (
              <Change key={change.task} change={change} />
            ))}
          </ul>
        </details>
      )}
    </Panel>
  );
}

function Change({ change }: { change: RoundsChanged & Partial<Pick<Moved, "says">> }) {
  return (
    <li className="py-2">
      <span className="plate">{change.task}</span> {changeSays(change)}
      {change.says !== undefined && <p className="text-note text-soft leading-snug">{change.says}</p>}
    </li>
  );
}

/** Whether people know of a week, what of it moved since they do, and what came to it. */
export function publishedSays({ kept, weeks }: HouseRounds, at: number): string {
  const published = weeks[at]?.published;
  if (published === undefined)
    return kept ? "Not published: nobody was told yet." : "A proposal: nothing is kept yet.";
  const { since } = published;
  // What came to the week moved nothing that people were told of.
  const moved = since.filter(({ was }) => was !== undefined).length;
  const came = since.length - moved;
  const says = [
    moved === 0 ? "nothing moved since" : `${moved} moved since`,
    ...(came === 0 ? [] : [`${came} new`]),
  ].join(", ");
  return `Published ${format(Date.parse(published.at), "EEE d MMM HH:mm")} by ${published.by}; ${says}.`;
}
