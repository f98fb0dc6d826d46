"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { err, ok, type Result } from "@/core/result";
import { askOrKeep } from "@/device/acts";
import { deviceStore } from "@/device/store";
import { type CallFailure, call } from "@/edge/client";
import { BRING_BACK_VALVES, REMOVE_VALVE, REPORT_FAULT, RETIRE_VALVES } from "@/edge/contracts/own";
import { Says } from "@/ui/kit/labelled";
import { TextField } from "@/ui/kit/text-field";
import { Modal } from "@/ui/modal";
import { newId } from "@/ui/new-id";
import { useChanged } from "@/ui/own/use-changed";
import { Panel } from "@/ui/page";

type Asking = "fault" | "retire" | "remove";

/** What can be done with a valve besides a job on it. */
export function ValveActions({
  tag,
  retired,
  symptom,
  symptoms,
}: {
  tag: string;
  retired: boolean;
  symptom: string | undefined;
  /** Complaints that its sheet knows. */
  symptoms: readonly string[];
}) {
  const router = useRouter();
  const changed = useChanged();
  const [asking, setAsking] = useState<Asking>();
  const [says, setSays] = useState("");
  const [refused, setRefused] = useState<string>();
  const [busy, setBusy] = useState(false);
  const path = `/valves/${encodeURIComponent(tag)}`;
  const ask = (what: Asking | undefined) => {
    setAsking(what);
    setSays("");
    setRefused(undefined);
  };
  const done = async (
    doing: Promise<Result<{ readonly edit?: string | undefined }, CallFailure>>,
    told: string,
    to?: string,
  ) => {
    setBusy(true);
    const did = await doing;
    setBusy(false);
    if (!did.ok) return setRefused(did.error.problems.map(({ message }) => message).join(" "));
    ask(undefined);
    changed(told, did.value.edit);
    if (to !== undefined) router.push(to);
    router.refresh();
  };
  const report = (what: string) => {
    if (what.trim() === "") return setRefused("Say what is wrong, in a few words.");
    const says = what.trim();
    const asked = { params: { tag }, body: { says } };
    const kept = { id: newId(), says: `${tag}: ${says}`, at: Date.now() };
    return done(
      askOrKeep(deviceStore(), "reportFault", asked, kept).then((reported) => {
        if (reported.kind === "refused") return err(reported.error);
        if (reported.kind === "waits") toast(`${kept.says}. On this device until there is a signal.`);
        return ok(reported.kind === "done" ? reported.value : {});
      }),
      `Reported: ${says}`,
    );
  };
  return (
    <Panel title="This valve">
      <div className="grid grid-cols-2 gap-2">
        <Link href={`${path}/edit`} className="btn btn-quiet">
          Change
        </Link>
        {retired ? (
          <button
            type="button"
            className="btn btn-quiet"
            disabled={busy}
            onClick={() =>
              void done(call(BRING_BACK_VALVES, { body: { tags: [tag] } }), `${tag} is in service again.`)
            }
          >
            Bring it back
          </button>
        ) : (
          <>
            <button type="button" className="btn btn-quiet" onClick={() => ask("fault")}>
              Report a fault
            </button>
            <Link
              href={`/loft/labels?${new URLSearchParams({ of: "valves", only: tag })}`}
              className="btn btn-quiet"
            >
              Label
            </Link>
            <Link href={`/valves/new?like=${encodeURIComponent(tag)}`} className="btn btn-quiet">
              One like it
            </Link>
            <button type="button" className="btn btn-quiet" onClick={() => ask("retire")}>
              Retire
            </button>
          </>
        )}
        <button type="button" className="btn btn-quiet" onClick={() => ask("remove")}>
          Take it out
        </button>
      </div>
      {asking === undefined && refused !== undefined && <Says error={refused} />}
      <Modal
        open={asking === "fault"}
        onOpenChange={(open) => !open && ask(undefined)}
        title={`What is wrong with ${tag}?`}
        says="It rings at once, and the next job begins with it."
      >
        <div className="grid gap-2 sm:grid-cols-2">
          {symptoms.map((each) => (
            <button
              key={each}
              type="button"
              disabled={busy}
              className="btn btn-quiet min-h-14"
              onClick={() => void report(each)}
            >
              {each}
            </button>
          ))}
        </div>
        <TextField
          label="In other words"
          long
          value={says}
          onChange={setSays}
          error={refused}
          maxLength={400}
        />
        <div className="flex flex-wrap justify-end gap-3">
          {symptom !== undefined && (
            <button
              type="button"
              className="btn btn-quiet"
              disabled={busy}
              onClick={() =>
                void done(call(REPORT_FAULT, { params: { tag }, body: {} }), "The fault is cleared.")
              }
            >
              It is not so any more
            </button>
          )}
          <button type="button" className="btn btn-go" disabled={busy} onClick={() => void report(says)}>
            Report it
          </button>
        </div>
      </Modal>
      <Modal
        open={asking === "retire"}
        onOpenChange={(open) => !open && ask(undefined)}
        title={`Retire ${tag}?`}
        says="It rings no more and stands in no list but that of the retired. Its jobs, readings and papers stay; it can be brought back."
      >
        <TextField
          label="Why"
          value={says}
          onChange={setSays}
          error={refused}
          maxLength={400}
          placeholder="e.g. taken out, a new one stands in its place"
        />
        <div className="flex justify-end gap-3">
          <button type="button" className="btn btn-quiet" onClick={() => ask(undefined)}>
            Leave it
          </button>
          <button
            type="button"
            className="btn btn-stop"
            disabled={busy}
            onClick={() =>
              says.trim() === ""
                ? setRefused("Say why: whoever looks for it later wants to know.")
                : void done(
                    call(RETIRE_VALVES, { body: { tags: [tag], why: says.trim() } }),
                    `${tag} is retired.`,
                  )
            }
          >
            Retire it
          </button>
        </div>
      </Modal>
      <Modal
        open={asking === "remove"}
        onOpenChange={(open) => !open && ask(undefined)}
        title={`Take ${tag} out of the register?`}
        says="Only where it was put in by mistake: with a job or a reading on it, it is retired instead."
      >
        <Says error={refused} />
        <div className="flex justify-end gap-3">
          <button type="button" className="btn btn-quiet" onClick={() => ask(undefined)}>
            Leave it
          </button>
          <button
            type="button"
            className="btn btn-stop"
            disabled={busy}
            onClick={() =>
              void done(call(REMOVE_VALVE, { params: { tag } }), `${tag} is out of the register.`, "/valves")
            }
          >
            Take it out
          </button>
        </div>
      </Modal>
    </Panel>
  );
}
