"use client";

import clsx from "clsx";
import { useRouter } from "next/navigation";
import { memo, useEffect, useRef, useState } from "react";
import type { JobEvent, JobInputs } from "@/core/formats";
import { isClosed, jobBells, notBegun, type Phase } from "@/core/job";
import { recordHere, recordPage } from "@/device/pages";
import { bellWords } from "@/words";
import { Meanwhile as MeanwhileThere } from "../along/meanwhile";
import { tellBells } from "../bell/bells-of-pages";
import { useAwake } from "../bell/use-awake";
import { instruments } from "../instruments/connected";
import { InstrumentsSwitch } from "../instruments/instruments-switch";
import { Notice } from "../notice";
import { NotForYou } from "../people/not-for-you";
import { Plate } from "../plate";
import { useSettings } from "../settings";
import { useSpeaker } from "../use-speaker";
import { WhoPicker } from "../who-picker";
import { useAfterPaint } from "./after-paint";
import { AloudBar, AloudSwitch, useAloud } from "./aloud";
import { AlwaysThere } from "./always-there";
import { AxisPane } from "./axis-pane";
import { BesideEntries } from "./beside-entries";
import type { Crew } from "./crew";
import { fetchLater, LinePane, NoteModal, StopModal } from "./later";
import { PhaseBar } from "./phase-bar";
import { RefusedEntries } from "./refused-entries";
import { SavingSign } from "./saving-sign";
import { AnotherProves, askedOf, BeforeTheTrip, SignOn } from "./sign-on";
import { StepCard } from "./step-card";
import { Tray } from "./tray";
import { useClockFault } from "./use-clock-fault";
import { useJobKeys } from "./use-job-keys";
import { useJobLog } from "./use-job-log";
import { useSwipe } from "./use-swipe";
import { next, type View, Views } from "./views";

/** Phases in which the line is what one looks at, not the valve. */
const AT_THE_LINE: ReadonlySet<Phase> = new Set(["isolate", "prove", "restore"]);

const AxisDrawn = memo(AxisPane);
const LineDrawn = memo(LinePane);
const TrayDrawn = memo(Tray);
const Phases = memo(PhaseBar);
const Tag = memo(Plate);
const Connected = memo(InstrumentsSwitch);

/** A job, one step at a time: what to do now, the valve or the line drawn beside it, the tray. */
export function JobRunner({
  inputs,
  stored,
  crew,
  signedIn,
}: {
  inputs: JobInputs;
  stored: readonly JobEvent[];
  crew: Crew;
  /** Names of those signed in on this device; nothing where one need not sign in. */
  signedIn?: ReadonlySet<string>;
}) {
  const router = useRouter();
  const { who } = useSettings();
  const words = useSpeaker();
  const { card } = words.say;
  const log = useJobLog(inputs, stored, who, words, crew);
  const clock = useClockFault(words);
  const { job, saving, onDisk, closedThere } = log;
  const [view, setView] = useState<View>("step");
  const [modal, setModal] = useState<"note" | "stop">();
  // The card answers the tap; the drawings beside it follow in the next moment.
  const drawn = useAfterPaint(job);
  const phase = drawn.current?.phase ?? "sign-off";
  const atLine = AT_THE_LINE.has(phase) && inputs.line !== undefined;
  const signedOff = isClosed(job);
  const asked = signedOff ? undefined : askedOf(job, who);
  const nothingRefused = log.refused.length === 0;
  const leaving = useRef(false);

  useEffect(() => {
    if (!signedOff || !onDisk || !nothingRefused || leaving.current || saving.kind === "sending") return;
    // Somebody else closed it: whether the server takes what waits here is told here.
    if (closedThere && saving.kind !== "saved") return;
    // Once: what is under way is broken off by asking for it again.
    leaving.current = true;
    // Without signal the record is made here, of the same entries.
    if (saving.kind === "saved") router.push(recordPage(inputs.id));
    else location.assign(recordHere(inputs.id));
  }, [signedOff, onDisk, closedThere, saving, nothingRefused, router, inputs.id]);

  useEffect(fetchLater, []);
  // What simulated instruments look at is the valve as the cards have left it.
  useEffect(() => instruments.lookAt(job), [job]);
  useAwake(!signedOff);
  // What it rings is known here first.
  useEffect(
    () =>
      tellBells(
        inputs.id,
        jobBells(drawn).map((bell) => bellWords(words, bell)),
      ),
    [inputs.id, drawn, words],
  );

  const turn = useSwipe((by) => setView((now) => next(now, by)));
  const aloud = useAloud(job);
  useJobKeys({
    read: aloud.turn,
    undo: log.undo,
    note: () => setModal("note"),
    stop: () => setModal("stop"),
    turnTo: (other) => setView((now) => (now === other ? "step" : other)),
  });
  const left = view === "line" || (atLine && view !== "tray" && view !== "axis") ? "line" : "axis";
  const always = <AlwaysThere log={log} onNote={() => setModal("note")} onStop={() => setModal("stop")} />;
  return (
    <div className="flex h-full flex-col">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pt-2 md:px-5 md:pt-3">
        <div className="hidden md:block">
          <Tag id={inputs.valve.tag} size="lg" href={`/valves/${inputs.valve.tag}`} />
        </div>
        <div className="hidden min-w-0 max-w-[190px] md:block">
          <b className="line-clamp-1">{inputs.reason.says}</b>
          <span className="line-clamp-1 text-note text-soft">
            {inputs.sheet.title}, {inputs.valve.place}
          </span>
        </div>
        <Phases job={drawn} />
        <SavingSign saving={saving} />
        <Connected />
        <AloudSwitch aloud={aloud} />
      </header>
      <div
        {...turn}
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
          {left === "line" ? <LineDrawn job={drawn} /> : <AxisDrawn job={drawn} />}
        </section>
        <section
          aria-label={card.theStep}
          className={clsx("min-h-0", view === "step" ? "flex" : "hidden lg:flex", "flex-col")}
        >
          <NotForYou asks="technician" />
          <MeanwhileThere all={log.meanwhile} />
          <BesideEntries log={log} />
          <RefusedEntries log={log} />
          {clock !== undefined && (
            <div className="mb-3">
              <Notice tone="wait">{clock}</Notice>
            </div>
          )}
          {saving.kind === "not-stored" && (
            <div className="mb-3">
              <Notice tone="stop" live>
                <b>{card.notStored.title}</b> {saving.why} {card.notStored.kept}
              </Notice>
            </div>
          )}
          {job.log.length === 0 && (
            <div className="mb-3">
              <BeforeTheTrip inputs={inputs} plan={job.plan} crew={crew} />
            </div>
          )}
          {who === "" && !signedOff ? (
            <section aria-label={card.who.ask} className="card flex flex-col gap-3 p-5">
              <h1 className="font-bold text-title leading-tight">{card.who.ask}</h1>
              <p className="text-soft">{card.who.why}</p>
              <WhoPicker />
            </section>
          ) : asked === "another-proves" ? (
            <AnotherProves who={who}>{always}</AnotherProves>
          ) : asked !== undefined ? (
            <SignOn log={log} who={who} asked={asked} crew={crew} signedIn={signedIn}>
              {always}
            </SignOn>
          ) : (
            <>
              <AloudBar aloud={aloud} />
              <StepCard log={log} onNote={() => setModal("note")} onStop={() => setModal("stop")} />
            </>
          )}
        </section>
        <section
          className={clsx(
            "card min-h-0 overflow-hidden",
            view === "tray" ? "block" : left === "line" ? "hidden" : "hidden lg:block",
          )}
        >
          <TrayDrawn tray={drawn.tray} sheet={inputs.sheet} />
        </section>
      </div>
      <Views view={view} onView={setView} onTray={job.tray.off - job.tray.back} />
      {modal === "note" && (
        <NoteModal
          open
          onClose={() => setModal(undefined)}
          onNote={(text) =>
            log.add({ kind: "note-added", text, ...(job.current && { step: job.current.id }) })
          }
        />
      )}
      {modal === "stop" && (
        <StopModal
          open
          onClose={() => setModal(undefined)}
          job={job}
          onStop={(reason) => log.add({ kind: "stopped", reason })}
          {...(notBegun(job) && {
            onGiveUp: (reason: string) => log.add({ kind: "given-up", reason }),
          })}
        />
      )}
    </div>
  );
}
