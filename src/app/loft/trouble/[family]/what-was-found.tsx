import type { Trouble } from "@/core/formats";
import { Empty } from "@/ui/notice";
import { Panel } from "@/ui/page";

/** A case that turned out to be something. */
export interface Found {
  readonly found: string;
  readonly complaint: string;
  readonly place: string;
}

/** How often each cause was it, by complaint and by place: what moves the odds, and nothing else does. */
export function WhatWasFound({ knowledge, found }: { knowledge: Trouble; found: readonly Found[] }) {
  if (found.length === 0)
    return (
      <Panel title="What was found">
        <Empty>
          Nothing yet. What a signed job or a cure finds stands here, and moves the odds of the next; undone,
          it counts no more.
        </Empty>
      </Panel>
    );
  return (
    <>
      {knowledge.complaints.map(({ id, says }) => {
        const of = found.filter(({ complaint }) => complaint === id);
        return of.length === 0 ? null : (
          <Panel key={id} title={says} note={`${of.length} found`} className="mb-3">
            <ul className="dashed">
              {[...countedBy(of, ({ found: cause }) => cause)].map(([cause, count]) => (
                <li key={cause} className="flex justify-between gap-3 py-1.5">
                  <span>
                    {knowledge.causes.find((each) => each.id === cause)?.name ?? cause}
                    <small className="block text-note text-soft">
                      {[
                        ...countedBy(
                          of.filter((each) => each.found === cause),
                          ({ place }) => place,
                        ),
                      ]
                        .map(([place, often]) => `${place}: ${often}`)
                        .join("; ")}
                    </small>
                  </span>
                  <b className="plate">
                    {count} of {of.length}
                  </b>
                </li>
              ))}
            </ul>
          </Panel>
        );
      })}
    </>
  );
}

/** The most frequent first. */
function countedBy(of: readonly Found[], key: (each: Found) => string): [string, number][] {
  const counts = new Map<string, number>();
  for (const each of of) counts.set(key(each), (counts.get(key(each)) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1]);
}
