"use client";

import clsx from "clsx";
import { useEffect, useState } from "react";
import { unit } from "@/core/quantity";
import { limitWords, unitOfCheck } from "../limit-words";
import { useSettings } from "../settings";
import { PhotoStrip } from "./photo-strip";
import { type BodyProps, Choices, Field, StepForm, useReading } from "./step-form";

export function CaptureBody({ step, log }: BodyProps<"capture">) {
  const [chosen, setChosen] = useState<string>();
  const [missing, setMissing] = useState(false);
  return (
    <StepForm
      onDone={() =>
        chosen === undefined ? setMissing(true) : log.add({ kind: "step-done", step: step.id, entry: chosen })
      }
    >
      <Choices
        label="What do you see?"
        options={step.choices.map((each) => ({ id: each, label: each }))}
        chosen={chosen}
        onChoose={setChosen}
      />
      <PhotoStrip log={log} step={step.id} take />
      {missing && chosen === undefined && (
        <p role="alert" className="text-stop">
          Choose one: nobody remembers it at the rebuild.
        </p>
      )}
    </StepForm>
  );
}

export function CheckBody({
  step,
  log,
  onChosen,
}: BodyProps<"check"> & { onChosen: (means: string | undefined) => void }) {
  const { check } = step;
  const [answer, setAnswer] = useState<string>();
  const [missing, setMissing] = useState(false);
  const { system } = useSettings();
  const shown = check.kind === "measure" ? unitOfCheck(check, system) : unit("");
  const reading = useReading(check.kind === "measure" ? check.dimension : "number", shown.id);
  const options =
    check.kind === "choice"
      ? check.options
      : check.kind === "trick"
        ? [
            { id: "go", ...check.go },
            { id: "no-go", ...check.noGo },
          ]
        : [];
  const means = options.find((option) => option.id === answer)?.means;
  useEffect(() => onChosen(means), [means, onChosen]);
  if (check.kind !== "measure")
    return (
      <StepForm
        onDone={() =>
          answer === undefined
            ? setMissing(true)
            : log.add({ kind: "check-answered", step: step.id, check: check.id, answer })
        }
      >
        <Choices label={check.ask} options={options} chosen={answer} onChoose={setAnswer} />
        {missing && answer === undefined && (
          <p role="alert" className="text-stop">
            Choose what you found.
          </p>
        )}
      </StepForm>
    );
  return (
    <StepForm
      onDone={() => {
        const read = reading.read();
        if (
          read !== undefined &&
          log.add({ kind: "check-measured", step: step.id, check: check.id, ...read })
        )
          reading.setText("");
      }}
    >
      <Field
        label={check.ask}
        hint={`Allowed: ${limitWords(check, system)}. In ${shown.label || "plain numbers"} unless you type a unit.`}
        value={reading.text}
        onChange={reading.setText}
        error={reading.error}
        measure
      />
    </StepForm>
  );
}

export function CollectBody({ step, log }: BodyProps<"collect">) {
  return (
    <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>
      <ul className="card dashed px-4 py-1">
        {step.lines.map((line) => (
          <li key={line.name + line.note} className="grid gap-x-4 py-2 sm:grid-cols-[1fr_1.2fr]">
            <b>{line.name}</b>
            <span
              className={clsx(
                "text-note",
                line.note.startsWith("MISSING") ? "font-semibold text-stop" : "text-soft",
              )}
            >
              {line.note}
            </span>
          </li>
        ))}
        {step.lines.length === 0 && <li className="py-2 text-soft">Nothing to bring.</li>}
      </ul>
    </StepForm>
  );
}
