"use client";

import { useRouter } from "next/navigation";
import { useState, useTransition } from "react";
import { toast } from "sonner";
import { call } from "@/edge/client";
import { RESET_DEMO } from "@/edge/contracts/here";
import { Modal } from "@/ui/modal";

export function ResetDemo() {
  const router = useRouter();
  const [asking, setAsking] = useState(false);
  const [waiting, start] = useTransition();
  return (
    <section className="card p-4">
      <h2 className="caption mb-2">The demo</h2>
      <p className="mb-3">Sallow Holm is made up. Put it back to its beginning whenever you like.</p>
      <button type="button" className="btn btn-quiet" onClick={() => setAsking(true)} disabled={waiting}>
        {waiting ? "Loading …" : "Begin the demo anew"}
      </button>
      <Modal
        open={asking}
        onOpenChange={setAsking}
        title="Begin the demo anew?"
        says="Jobs you did in the demo are taken away. Your own data lies elsewhere and is not touched. Open jobs can be taken as files first."
      >
        <button
          type="button"
          className="btn btn-stop"
          onClick={() => {
            setAsking(false);
            start(async () => {
              const done = await call(RESET_DEMO, { body: {} });
              toast(done.ok ? "The demo begins anew." : done.error.problems[0]?.message);
              router.refresh();
            });
          }}
        >
          Begin anew
        </button>
        <button type="button" className="btn btn-quiet" onClick={() => setAsking(false)}>
          Leave it
        </button>
      </Modal>
    </section>
  );
}
