"use client";

import { useEffect, useState } from "react";
import { KEYS, typing } from "./keys";
import { Modal } from "./modal";

/** All keys on one card, by `?`. */
export function KeyMap() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === "?" && !typing(event)) setOpen(true);
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, []);
  return (
    <Modal open={open} onOpenChange={setOpen} title="Keys" says="In a job; every one has a button, too.">
      <dl className="dashed">
        {KEYS.map(([key, says]) => (
          <div key={key} className="flex items-center gap-4 py-2">
            <dt className="w-28">
              <span className="key text-[16px]!">{key}</span>
            </dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
