"use client";

import { useLiveQuery } from "dexie-react-hooks";
import { useState } from "react";
import { toast } from "sonner";
import { letGo } from "@/device/along";
import { deviceStore } from "@/device/store";
import { TakeAlong, useMegabytes } from "@/ui/along/take-along";
import { Empty } from "@/ui/notice";
import { Panel } from "@/ui/page";

/** What was taken along, page by page; each can be taken anew or let go. */
export function TakenAlong() {
  const megabytes = useMegabytes();
  const all = useLiveQuery(() => deviceStore().along.toArray(), []);
  // Until it can no longer be undone it lies here, and is only not shown.
  const [going, setGoing] = useState<ReadonlySet<string>>(new Set());
  const release = (id: string, title: string) => {
    setGoing((now) => new Set([...now, id]));
    const stays = () => setGoing((now) => new Set([...now].filter((each) => each !== id)));
    const gone = () => void letGo(deviceStore(), id).then(stays);
    toast(`${title} is let go.`, {
      action: { label: "Keep it", onClick: stays },
      onAutoClose: gone,
      onDismiss: gone,
    });
  };
  const shown = all?.filter(({ id }) => !going.has(id));
  return (
    <Panel title="Taken along">
      {shown?.length === 0 && <Empty>Nothing. With a signal, take along what you will need.</Empty>}
      <ul className="flex flex-col gap-3">
        {shown?.map(({ id, what, of, title, pages, bytes }) => (
          <li key={id} className="border-rule border-t pt-3 first:border-0 first:pt-0">
            <p className="flex flex-wrap items-baseline gap-x-3">
              <b>{title}</b>
              <span className="text-note text-soft">
                {pages.length} pages, {megabytes(bytes)}
              </span>
            </p>
            <details>
              <summary className="min-h-11 cursor-pointer content-center text-note underline underline-offset-4">
                What is in it
              </summary>
              <ul className="columns-2 text-note">
                {pages.map((page) => (
                  <li key={page}>
                    <a className="inline-block min-h-11 content-center break-all underline" href={page}>
                      {decodeURIComponent(page)}
                    </a>
                  </li>
                ))}
              </ul>
            </details>
            <div className="flex flex-wrap items-start gap-3">
              <TakeAlong what={what} of={of} label="Take it anew" />
              <button type="button" className="btn btn-quiet min-h-12" onClick={() => release(id, title)}>
                Let it go
              </button>
            </div>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
