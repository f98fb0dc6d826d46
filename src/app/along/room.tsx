"use client";

import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useState } from "react";
import { deviceStore } from "@/device/store";
import { useMegabytes } from "@/ui/along/take-along";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";

interface Told {
  readonly used?: number;
  readonly room?: number;
  readonly persists?: boolean;
  /** Whether this browser serves pages without signal at all. */
  readonly serves: boolean;
}

/** How much room it takes, and whether the device may throw it away. */
export function Room() {
  const megabytes = useMegabytes();
  const [told, setTold] = useState<Told>();
  // It changes with what is taken along and let go.
  const along = useLiveQuery(() => deviceStore().along.count(), []);
  useEffect(() => {
    if (along === undefined) return;
    const look = async () => {
      const [estimate, persists] = await Promise.all([
        navigator.storage?.estimate?.(),
        navigator.storage?.persisted?.(),
      ]);
      setTold({
        ...(estimate?.usage !== undefined && { used: estimate.usage }),
        ...(estimate?.quota !== undefined && { room: estimate.quota }),
        ...(persists !== undefined && { persists }),
        serves: "serviceWorker" in navigator,
      });
    };
    void look();
  }, [along]);
  if (told === undefined) return null;
  const { used, room, persists, serves } = told;
  return (
    <Panel title="Room">
      {used !== undefined && room !== undefined && (
        <p>
          {megabytes(used)} used of {megabytes(room)}.
        </p>
      )}
      {persists === false && (
        <p className="mt-2">
          This browser may throw it away when the device runs short.{" "}
          <button
            type="button"
            className="btn btn-quiet"
            onClick={() =>
              void navigator.storage.persist().then((granted) => setTold({ ...told, persists: granted }))
            }
          >
            Ask it not to
          </button>{" "}
          <span className="text-soft">Installing Loft Bell (the browser's menu) helps.</span>
        </p>
      )}
      {persists === true && <p className="mt-2">The browser keeps it, however short the device runs.</p>}
      {!serves && (
        <Notice tone="wait">
          <b>Pages do not open without signal here:</b> this address is not encrypted, or the browser keeps
          nothing. What you enter is kept all the same. Ask whoever runs Loft Bell for its https address.
        </Notice>
      )}
    </Panel>
  );
}
