"use client";

import { useLiveQuery } from "dexie-react-hooks";
import { jobHere } from "@/device/pages";
import { deviceStore } from "@/device/store";
import { Empty } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { Plate } from "@/ui/plate";

/** Jobs that can be gone on with here, whatever the signal. */
export function JobsHere() {
  const jobs = useLiveQuery(() => deviceStore().logs.toArray(), []);
  return (
    <Panel title="Jobs here">
      {jobs?.length === 0 && (
        <Empty>None. A job you open is here from then on; one you start without signal is here, too.</Empty>
      )}
      <ul>
        {jobs?.map(({ id, tag, name, says }) => (
          <li key={id}>
            <a href={jobHere(id)} className="flex min-h-12 items-center gap-3 py-1">
              <Plate id={tag} />
              <span className="min-w-0">
                <span className="block break-words underline underline-offset-4">{name}</span>
                <span className="block text-note text-soft">{says}</span>
              </span>
            </a>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
