"use client";

import clsx from "clsx";
import { type ReactNode, useEffect, useState } from "react";
import type { Disposition } from "@/core/formats";
import { lookWait, type StepOf } from "@/core/job";
import { timeNow } from "@/edge/clock";
import {
  besideTheLines,
  kitLines,
  type ListLine,
  limitWords,
  standIns,
  toolName,
  unitOfCheck,
} from "@/words";
import { Asked, needed, useAsked } from "../kit/asked";
import { AskedFigure } from "../kit/asked-figure";
import { Choices } from "../kit/choices";
import { blankFigure, readFigure, readWith } from "../kit/figure";
import { useSettings } from "../settings";
import { useSpeaker } from "../use-speaker";
import { WaitClock } from "./bodies-wait";
import { startsFirst } from "./look-wait";
import { MarkForm } from "./mark-form";
import { PhotoStrip } from "./photo-strip";
import { pictured } from "./pictured";
import { PiecesForm } from "./pieces-form";
import { type BodyProps, StepForm } from "./step-form";
import { TickLines } from "./tick-lines";
import { Traced } from "./traced";
import type { JobLog } from "./use-job-log";

/** What is noted before it moves, with its photograph. */
export function MarkBody({ step, log }: BodyProps<"mark">) {
  const { look } = useSpeaker().say.card;
  return (
    <MarkForm
      {...step}
      label={look.seen}
      missing={look.seenMissing}
      photos={{ step: step.id, take: true, asked: step.photo === true }}
      log={log}
      onNoted={(entry, read) => log.add({ kind: "step-done", step: step.id, entry, ...read })}
    />
  );
}

type Check = StepOf<"check">["check"];
type Measure = Extract<Check, { kind: "measure" }>;
type Looked = Extract<Check, { kind: "choice" | "trick" }>;

export function CheckBody({
  step,
  log,
  onChosen,
}: BodyProps<"check"> & { onChosen: (means: Disposition | undefined) => void }) {
  const { card } = useSpeaker().say;
  const { check } = step;
  const wait = lookWait(step, log.job.progress);
  const [shownAt] = useState(timeNow);
  const startFirst = (means?: Disposition): boolean =>
    startsFirst(step, log.job.progress, means) &&
    log.add({ kind: "wait-started", step: step.id, minutes: step.wait_min ?? 0 });
  return (
    <>
      {step.served !== undefined && <p className="text-body text-soft">{card.look.served(step.served)}</p>}
      {step.wait_min !== undefined && (
        <WaitClock
          minutes={step.wait_min}
          until={wait.kind === "runs" ? wait.until : undefined}
          toStart={card.wait.start.look}
          afterwards=""
          small
        />
      )}
      {check.kind === "pieces" ? (
        <PiecesForm step={step} check={check} log={log} />
      ) : check.kind === "measure" ? (
        <MeasureForm step={step.id} check={check} log={log} startFirst={startFirst} />
      ) : (
        <LookForm step={step.id} check={check} log={log} onChosen={onChosen} startFirst={startFirst} />
      )}
      {check.kind === "measure" && (step.wait_min !== undefined || check.dimension === "gauge pressure") && (
        <Traced
          log={log}
          step={step}
          since={wait.kind === "runs" ? log.job.progress.waits.get(step.id)?.from : shownAt}
          until={wait.kind === "runs" ? wait.until : undefined}
          byHand
        />
      )}
      <PhotoStrip log={log} step={step.id} take />
    </>
  );
}

/** Starts the wait instead, where one has to come first. */
type StartFirst = (means?: Disposition) => boolean;

/** A check that is answered with one of a few words. */
function LookForm({
  step,
  check,
  log,
  onChosen,
  startFirst,
}: {
  step: string;
  check: Looked;
  log: JobLog;
  onChosen: (means: Disposition | undefined) => void;
  startFirst: StartFirst;
}) {
  const { look } = useSpeaker().say.card;
  const form = useAsked({ answer: "" });
  const options =
    check.kind === "choice"
      ? check.options
      : [
          { id: "go", ...check.go },
          { id: "no-go", ...check.noGo },
        ];
  const answer = form.watch("answer");
  const means = options.find((option) => option.id === answer)?.means;
  useEffect(() => onChosen(means), [means, onChosen]);
  const answered = form.handleSubmit((said) => {
    log.add({ kind: "check-answered", step, check: check.id, answer: said.answer });
  });
  return (
    <StepForm onDone={() => startFirst(means) || void answered()}>
      <Asked form={form} name="answer" refuse={needed(look.foundMissing)}>
        {(field) => (
          <Choices
            label={check.ask}
            options={options.map((option) => pictured(check.rubric, option))}
            {...field}
          />
        )}
      </Asked>
    </StepForm>
  );
}

/** A check that is answered with a figure. */
function MeasureForm({
  step,
  check,
  log,
  startFirst,
}: {
  step: string;
  check: Measure;
  log: JobLog;
  startFirst: StartFirst;
}) {
  const { system } = useSettings();
  const words = useSpeaker();
  const { look } = words.say.card;
  const shown = unitOfCheck(check, system);
  const form = useAsked({ reading: blankFigure(shown.id) });
  const measured = form.handleSubmit(({ reading }) => {
    const read = readFigure(reading, check.dimension);
    if (!read.ok) return;
    const { si, typed } = read.value;
    if (log.add({ kind: "check-measured", step, check: check.id, si, typed, ...readWith(read.value) }))
      form.reset();
  });
  return (
    <StepForm onDone={() => startFirst() || void measured()}>
      <AskedFigure
        form={form}
        name="reading"
        large
        measure
        label={check.ask}
        hint={look.allowed(limitWords(words, check), shown.label || look.plainNumbers)}
        dimension={check.dimension}
        counted={check.dimension === "number" ? check.unit : undefined}
      />
    </StepForm>
  );
}

export function KitBody({ step, log }: BodyProps<"kit">) {
  const words = useSpeaker();
  return (
    <Collect
      step={step.id}
      log={log}
      lines={step.lines === undefined ? kitLines(words, step) : besideTheLines(words, step)}
    >
      {step.lines !== undefined && <TickLines step={step} log={log} />}
    </Collect>
  );
}

export function ToolsBody({ step, log }: BodyProps<"tools">) {
  const words = useSpeaker();
  const lines = step.bring.map((tool) => {
    const instead = standIns(words, tool);
    return {
      name: toolName(words, tool),
      note: instead.length > 0 ? words.say.kits.standIns(instead.join("; ")) : "",
    };
  });
  return <Collect step={step.id} log={log} lines={lines} />;
}

function Collect({
  step,
  log,
  lines,
  children,
}: {
  step: string;
  log: JobLog;
  lines: readonly ListLine[];
  children?: ReactNode;
}) {
  const { look } = useSpeaker().say.card;
  return (
    <StepForm onDone={() => log.add({ kind: "step-done", step })}>
      {children}
      {(lines.length > 0 || children === undefined) && (
        <ul className="card dashed px-4 py-1">
          {lines.map((line) => (
            <li key={line.name + line.note} className="grid gap-x-4 py-2 sm:grid-cols-[1fr_1.2fr]">
              <b>{line.name}</b>
              <span className={clsx("text-note", line.missing ? "font-semibold text-stop" : "text-soft")}>
                {line.note}
              </span>
            </li>
          ))}
          {lines.length === 0 && <li className="py-2 text-soft">{look.nothingToBring}</li>}
        </ul>
      )}
    </StepForm>
  );
}
