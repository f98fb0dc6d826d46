"use client";

import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useState } from "react";
import { jobHere } from "@/device/pages";
import { deviceStore } from "@/device/store";
import { clockAhead } from "@/edge/clock";
import { Day } from "../when";

/** A page that the server drew longer ago than this was not fetched now. */
const FRESH_MS = 3 * 60_000;

/** Says of a page that was taken along how old it is: what others did since does not stand on it. */
export function AsItStood({ drawn }: { drawn: number }) {
  const [old, setOld] = useState(false);
  useEffect(() => {
    if (navigator.serviceWorker?.controller == null) return;
    setOld(Date.now() - clockAhead() - drawn > FRESH_MS);
  }, [drawn]);
  if (!old) return null;
  return (
    <p
      role="status"
      className="no-print border-wait border-b-[3px] bg-wait-bg px-4 py-1.5 text-note text-ink md:px-5"
    >
      Without signal: as it stood <Day at={drawn} time />. What others did since is not here.
    </p>
  );
}

/** Jobs that were begun on this device and are not on the server: no page that was taken along knows of them. */
export function BegunHere() {
  const begun = useLiveQuery(() => deviceStore().begun.toArray(), []);
  if (begun === undefined || begun.length === 0) return null;
  return (
    <p className="no-print flex flex-wrap items-center gap-x-4 border-wait border-b-[3px] bg-wait-bg px-4 text-note text-ink md:px-5">
      Begun on this device:
      {begun.map(({ id, tag }) => (
        <a
          key={id}
          href={jobHere(id)}
          className="plate min-h-12 content-center text-body underline underline-offset-4"
        >
          {tag}
        </a>
      ))}
    </p>
  );
}
