"use client";

import { KEYS } from "./keys";
import { Modal } from "./modal";

/** All keys on one card, by `?`. */
export function KeyMap({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Modal open={open} onOpenChange={onOpenChange} title="Keys" says="In a job; every one has a button, too.">
      <dl className="dashed">
        {KEYS.map(([key, says]) => (
          <div key={key} className="flex items-center gap-4 py-2">
            <dt className="w-28">
              <span className="key text-body!">{key}</span>
            </dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
