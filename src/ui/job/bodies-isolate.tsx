"use client";

import { BAR, judgeStill, type StepKind } from "@/core/job";
import { preferredUnit } from "@/core/quantity";
import { standingWords, stepWords } from "@/words";
import { Asked, needed, useAsked } from "../kit/asked";
import { AskedFigure } from "../kit/asked-figure";
import { blankFigure, type FigureRead, readFigure, readWith } from "../kit/figure";
import { TextField } from "../kit/text-field";
import { useSettings } from "../settings";
import { useSpeaker } from "../use-speaker";
import { type BodyProps, StepForm } from "./step-form";

export function WriteDownBody({ step, log }: BodyProps<StepKind>) {
  const words = useSpeaker();
  const { ask = "" } = stepWords(words, step);
  const form = useAsked({ said: "" });
  return (
    <StepForm
      onDone={form.handleSubmit(({ said }) => {
        log.add({ kind: "step-done", step: step.id, entry: said.trim().slice(0, 400) });
      })}
    >
      <Asked form={form} name="said" refuse={needed(words.say.card.write.missing)}>
        {(field) => <TextField large measure label={ask} hint={words.say.card.write.hint} {...field} />}
      </Asked>
    </StepForm>
  );
}

/** The temperature of the section beside its pressure. */
const warmthOf = (read: FigureRead) => {
  const { with: taken } = readWith(read);
  return { kelvin: read.si, ...(taken !== undefined && { kelvin_with: taken }) };
};

export function GaugeBody({ step, log }: BodyProps<"gauge">) {
  const { system } = useSettings();
  const words = useSpeaker().say.card.gauge;
  const [bars, degrees] = [preferredUnit("gauge pressure", system), preferredUnit("temperature", system)];
  const form = useAsked({ reading: blankFigure(bars.id), warmth: blankFigure(degrees.id) });
  return (
    <StepForm
      onDone={form.handleSubmit(({ reading, warmth }) => {
        const read = readFigure(reading, "gauge pressure");
        const warm = readFigure(warmth, "temperature");
        if (!read.ok) return;
        const { si, typed } = read.value;
        const taken = log.add({
          kind: "reading-taken",
          step: step.id,
          what: "zero",
          dimension: "gauge pressure",
          si,
          typed,
          ...readWith(read.value),
          ...(step.temperature && warm.ok && warmthOf(warm.value)),
        });
        if (taken) form.reset();
      })}
    >
      <NotZero step={step} log={log} />
      <AskedFigure
        form={form}
        name="reading"
        large
        measure
        label={words.reading}
        hint={words.zeroHint(bars.label)}
        dimension="gauge pressure"
      />
      {step.temperature && (
        <AskedFigure
          form={form}
          name="warmth"
          large
          label={words.warmth}
          hint={words.warmthHint(degrees.label)}
          dimension="temperature"
        />
      )}
    </StepForm>
  );
}

/** One figure that has to be above another. */
export function GateBody({ step, log }: BodyProps<"gate">) {
  const words = useSpeaker().say.card.gauge;
  const bars = preferredUnit("gauge pressure", useSettings().system);
  const form = useAsked({ reading: blankFigure(bars.id) });
  return (
    <StepForm
      onDone={form.handleSubmit(({ reading }) => {
        const read = readFigure(reading, "gauge pressure");
        if (!read.ok) return;
        const { si, typed } = read.value;
        log.add({
          kind: "reading-taken",
          step: step.id,
          what: "vapour",
          dimension: "gauge pressure",
          si,
          typed,
          ...readWith(read.value),
        });
      })}
    >
      <AskedFigure
        form={form}
        name="reading"
        large
        measure
        label={words.reading}
        hint={words.gateHint(bars.label)}
        dimension="gauge pressure"
      />
    </StepForm>
  );
}

/** Not dead: what to do, and which closure may be named as passing. */
function NotZero({ step, log }: BodyProps<"gauge">) {
  const words = useSpeaker();
  const { gauge } = words.say.card;
  const { job } = log;
  const state = job.states.get(step.id);
  if (state?.kind !== "not-zero") return null;
  const verdict = judgeStill(job.progress.readings, step.zero_bar * BAR);
  const suspects = job.shut.filter((link) => !job.progress.passing.includes(link));
  const nameOf = (id: string) => job.inputs.line?.links.find((link) => link.id === id)?.name ?? "";
  return (
    <div role="alert" className="rounded border-l-[6px] border-stop bg-stop-bg px-4 py-3">
      <b>{gauge.notDead(state.typed)}</b> {gauge.whatToDo}
      {verdict !== undefined && verdict.kind !== "holds" && (
        <p className="mt-1">
          <b>{gauge.standing}</b> {standingWords(words, verdict)}
        </p>
      )}
      {suspects.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-2">
          {suspects.map((link) => (
            <button
              key={link}
              type="button"
              className="btn btn-stop bg-card"
              onClick={() => log.add({ kind: "closure-passes", link })}
            >
              {gauge.passes(`${link} ${nameOf(link)}`)}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
