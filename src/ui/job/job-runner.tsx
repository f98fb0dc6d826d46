"use client";

import clsx from "clsx";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useState } from "react";
import type { JobEvent, JobInputs } from "@/core/formats";
import { isClosed, notBegun, type Phase, type Run } from "@/core/job";
import { Axis, type AxisPart } from "../draw/axis";
import { typing } from "../keys";
import { Notice } from "../notice";
import { PartCard } from "../part-card";
import { Plate } from "../plate";
import { useSettings } from "../settings";
import { WhoPicker } from "../who-picker";
import { fetchLater, LinePane, NoteModal, StopModal } from "./later";
import { PhaseBar } from "./phase-bar";
import { RefusedEntries } from "./refused-entries";
import { StepCard } from "./step-card";
import { STEP_FORM } from "./step-form";
import { Tray } from "./tray";
import { useClockFault } from "./use-clock-fault";
import { type Saving, useJobLog } from "./use-job-log";

type View = "step" | "axis" | "tray" | "line";

/** Phases in which the line is what one looks at, not the valve. */
const AT_THE_LINE: ReadonlySet<Phase> = new Set(["isolate", "prove", "restore"]);

/** A job, one step at a time: what to do now, the valve or the line drawn beside it, the tray. */
export function JobRunner({ inputs, stored }: { inputs: JobInputs; stored: readonly JobEvent[] }) {
  const router = useRouter();
  const { who, system } = useSettings();
  const log = useJobLog(inputs, stored, who, system);
  const clock = useClockFault();
  const { job, saving } = log;
  const [view, setView] = useState<View>("step");
  const [modal, setModal] = useState<"note" | "stop">();
  const phase = job.current?.phase ?? "sign-off";
  const atLine = AT_THE_LINE.has(phase) && inputs.line !== undefined;
  const signedOff = isClosed(job);
  const nothingRefused = log.refused.length === 0;

  useEffect(() => {
    if (signedOff && saving.kind === "saved" && nothingRefused) router.push(`/jobs/${inputs.id}/record`);
  }, [signedOff, saving, nothingRefused, router, inputs.id]);

  useEffect(fetchLater, []);

  const onKey = useCallback(
    (event: KeyboardEvent) => {
      if (typing(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      const actions: Record<string, () => void> = {
        backspace: log.undo,
        m: () => document.querySelector<HTMLInputElement>("[data-measure]")?.focus(),
        n: () => setModal("note"),
        s: () => setModal("stop"),
        t: () => setView((now) => (now === "tray" ? "step" : "tray")),
        l: () => setView((now) => (now === "line" ? "step" : "line")),
        enter: () => (document.getElementById(STEP_FORM) as HTMLFormElement | null)?.requestSubmit(),
      };
      // Enter on a focused button presses that button, nothing else.
      if (
        event.key === "Enter" &&
        (event.target as HTMLElement | null)?.closest("button, a, [role=button]") !== null
      )
        return;
      const action = actions[event.key.toLowerCase()];
      if (action === undefined) return;
      event.preventDefault();
      action();
    },
    [log.undo],
  );
  useEffect(() => {
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [onKey]);

  const left = view === "line" || (atLine && view !== "tray" && view !== "axis") ? "line" : "axis";
  return (
    <div className="flex h-[calc(100dvh-56px)] flex-col md:h-[calc(100dvh-56px)]">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pt-2 md:px-5 md:pt-3">
        <div className="hidden md:block">
          <Plate id={inputs.valve.tag} size="lg" href={`/valves/${inputs.valve.tag}`} />
        </div>
        <div className="hidden min-w-0 max-w-[190px] md:block">
          <b className="line-clamp-1">{inputs.reason.says}</b>
          <span className="line-clamp-1 text-note text-soft">
            {inputs.sheet.title}, {inputs.valve.place}
          </span>
        </div>
        <PhaseBar job={job} />
        <SavingSign saving={saving} />
      </header>
      <div
        className={clsx(
          "grid min-h-0 flex-1 gap-4 px-4 pt-2 pb-3 md:px-5 md:pb-4",
          left === "line" ? "lg:grid-cols-[minmax(0,1fr)_450px]" : "lg:grid-cols-[284px_minmax(0,1fr)_268px]",
        )}
      >
        <section
          className={clsx(
            "card min-h-0 overflow-hidden",
            view === "axis" || view === "line" ? "flex" : "hidden lg:flex",
            "flex-col",
          )}
        >
          {left === "line" ? <LinePane job={job} /> : <AxisPane job={job} />}
        </section>
        <section
          aria-label="The step"
          className={clsx("min-h-0", view === "step" ? "flex" : "hidden lg:flex", "flex-col")}
        >
          <RefusedEntries log={log} />
          {clock !== undefined && (
            <div className="mb-3">
              <Notice tone="wait">{clock}</Notice>
            </div>
          )}
          {saving.kind === "not-stored" && (
            <div className="mb-3">
              <Notice tone="stop" live>
                <b>The server does not store.</b> {saving.why} What you enter is kept on this device.
              </Notice>
            </div>
          )}
          {who === "" && !signedOff ? (
            <section aria-label="Who is holding this device?" className="card flex flex-col gap-3 p-5">
              <h1 className="font-bold text-title leading-tight">Who is holding this device?</h1>
              <p className="text-soft">Every entry stands in the record with a name. Nobody is presumed.</p>
              <WhoPicker />
            </section>
          ) : (
            <StepCard log={log} onNote={() => setModal("note")} onStop={() => setModal("stop")} />
          )}
        </section>
        <section
          className={clsx(
            "card min-h-0 overflow-hidden",
            view === "tray" ? "block" : left === "line" ? "hidden" : "hidden lg:block",
          )}
        >
          <Tray tray={job.tray} sheet={inputs.sheet} />
        </section>
      </div>
      <nav
        aria-label="Views of the job"
        className="plate grid grid-cols-4 border-rule border-t-[1.5px] bg-card text-center text-body lg:hidden"
      >
        {(
          [
            ["step", "Step"],
            ["axis", "Axis"],
            ["tray", `Tray ${job.tray.off - job.tray.back || ""}`],
            ["line", "Line"],
          ] as const
        ).map(([id, name]) => (
          <button
            key={id}
            type="button"
            aria-pressed={view === id}
            onClick={() => setView(id)}
            className={clsx(
              "min-h-13 py-3",
              view === id ? "text-ink shadow-[inset_0_3px_0_var(--brass-line)]" : "text-soft",
            )}
          >
            {name}
          </button>
        ))}
      </nav>
      <NoteModal
        open={modal === "note"}
        onClose={() => setModal(undefined)}
        onNote={(text) => log.add({ kind: "note-added", text, ...(job.current && { step: job.current.id }) })}
      />
      <StopModal
        open={modal === "stop"}
        onClose={() => setModal(undefined)}
        job={job}
        onStop={(reason) => log.add({ kind: "stopped", reason })}
        {...(notBegun(job) && {
          onGiveUp: (reason: string) => log.add({ kind: "given-up", reason }),
        })}
      />
    </div>
  );
}

const SAVING: Record<Saving["kind"], string> = {
  saved: "saved",
  sending: "saving …",
  "waiting-for-signal": "kept on this device, waiting for signal",
  "not-stored": "kept on this device, the server does not store",
};

function SavingSign({ saving }: { saving: Saving }) {
  return (
    <span
      role="status"
      className={clsx(
        "plate ml-auto text-note",
        saving.kind === "waiting-for-signal" || saving.kind === "not-stored" ? "text-wait" : "text-go-text",
      )}
    >
      {SAVING[saving.kind]}
    </span>
  );
}

function AxisPane({ job }: { job: Run }) {
  const { sheet } = job.inputs;
  const [chosen, setChosen] = useState<string>();
  const read = sheet.parts.find((part) => part.id === chosen);
  const orders = new Map(job.tray.items.map((item) => [item.part, item.order]));
  const places = new Map(job.tray.items.map((item) => [item.part, item.place]));
  const renew = new Set(job.plan.renewals.map((each) => each.part));
  const parts: AxisPart[] = sheet.parts.map((part) => ({
    part,
    place: part.stays ? "stays" : (places.get(part.id) ?? "in"),
    renew: renew.has(part.id) && places.has(part.id),
    ...(orders.has(part.id) && { order: orders.get(part.id)! }),
  }));
  const current = job.current;
  const lit = current?.part ?? (current?.kind === "check" ? current.check.part : undefined);
  return (
    <>
      <h2 className="caption flex justify-between px-3.5 pt-3">
        <span>The axis</span>
        <span>{job.inputs.valve.generation}</span>
      </h2>
      <div className="min-h-0 flex-1">
        <Axis
          parts={parts}
          {...(lit !== undefined && { lit })}
          {...(chosen !== undefined && { chosen })}
          onChoose={(part) => setChosen((now) => (now === part ? undefined : part))}
        />
      </div>
      {read !== undefined && <PartCard part={read} sheet={sheet} onClose={() => setChosen(undefined)} />}
    </>
  );
}
