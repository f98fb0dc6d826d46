"use client";

import { Calculator as CalculatorIcon } from "lucide-react";
import { useState } from "react";
import { type Calculator, calculatorNamed, keptName, keptTitle, siOf, workAgain } from "@/core/calculators";
import { type BenchLink, benchLinks, type Step } from "@/core/job";
import { formatIn, unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import { saidOf } from "../calculator/answer-card";
import { CalculatorPanel } from "../calculator/calculator-panel";
import { keepable } from "../calculator/keep-with-valve";
import type { CalculatorForm } from "../calculator/use-calculator";
import { SelectField } from "../kit/select-field";
import { Modal } from "../modal";
import { Notice } from "../notice";
import { useSpeaker } from "../use-speaker";
import { DecidingSum } from "./deciding-sum";
import type { JobLog } from "./use-job-log";

/** What the bench book has for this step, opened with what the job knows; it works without a signal. */
export function StepBench({ log, step }: { log: JobLog; step: Step }) {
  const { sums } = useSpeaker().say.card;
  const [open, setOpen] = useState<BenchLink>();
  const links = benchLinks(log.job, step);
  if (links.length === 0) return null;
  const aside = links.filter(({ decides }) => decides !== true);
  const calculator = open === undefined ? undefined : calculatorNamed(open.calculator);
  return (
    <>
      {links
        .filter(({ decides }) => decides)
        .map((link) => (
          <DecidingSum
            key={link.calculator}
            link={link}
            job={log.job}
            step={step}
            onOpen={() => setOpen(link)}
          />
        ))}
      <div className="flex flex-wrap gap-2">
        {aside.map((link) => (
          <button key={link.calculator} type="button" className="btn btn-quiet" onClick={() => setOpen(link)}>
            <CalculatorIcon size={20} aria-hidden /> {calculatorNamed(link.calculator)?.title}
          </button>
        ))}
      </div>
      <ul aria-label={sums.keptHere}>
        {log.job.progress.kept
          .filter((kept) => kept.step === step.id)
          .map((kept) => (
            <li key={`${kept.at}${kept.output}`} className="flex items-baseline justify-between gap-3 py-1">
              <span>{sums.kept(keptTitle(keptName(kept.calculator, kept.output)) ?? kept.output)}</span>
              <b className="plate whitespace-nowrap text-lead">{kept.typed}</b>
            </li>
          ))}
      </ul>
      {open !== undefined && calculator !== undefined && (
        <Modal
          wide
          open
          onOpenChange={(now) => !now && setOpen(undefined)}
          title={calculator.title}
          says={calculator.says}
        >
          <CalculatorPanel calculator={calculator} start={open.start}>
            {(form) => (
              <KeepInJob
                log={log}
                step={step}
                link={open}
                calculator={calculator}
                form={form}
                onKept={() => setOpen(undefined)}
              />
            )}
          </CalculatorPanel>
        </Modal>
      )}
    </>
  );
}

/** One touch puts a figure into the job's log; a corrected measurement can answer the step itself. */
function KeepInJob({
  log,
  step,
  link,
  calculator,
  form,
  onKept,
}: {
  log: JobLog;
  step: Step;
  link: BenchLink;
  calculator: Calculator;
  form: CalculatorForm;
  onKept: () => void;
}) {
  const { sums } = useSpeaker().say.card;
  const choices = keepable(calculator, form);
  const [output, setOutput] = useState(link.measures ?? choices[0]?.name ?? "");
  const chosen = choices.find((each) => each.name === output) ?? choices[0];
  const figures = useFigures();
  const { answer } = form;
  if (chosen === undefined || answer === undefined) return null;
  const measured = link.measures !== undefined && step.kind === "check" && step.check.kind === "measure";
  const si = siOf(answer.outputs, chosen.name);
  const typed = formatIn(si, unit(answer.outputs[chosen.name]!.unit));
  const keep = () =>
    log.add(
      {
        kind: "result-kept",
        step: step.id,
        calculator: calculator.id,
        inputs: { ...form.typed },
        output: chosen.name,
        si,
        typed,
        ...(Object.keys(form.handedOver).length > 0 && { with: { ...form.handedOver } }),
      },
      { workAgain },
    );
  return (
    <div className="card flex flex-wrap items-end gap-2 p-3">
      <div className="min-w-[220px] flex-1">
        <SelectField
          label={sums.keepIn}
          value={chosen.name}
          options={choices.map((each) => ({
            id: each.name,
            name: `${each.label}: ${saidOf(each, answer.outputs, figures)}`,
          }))}
          onChange={setOutput}
        />
      </div>
      <button
        type="button"
        className={measured ? "btn btn-quiet" : "btn btn-go"}
        onClick={() => keep() && onKept()}
      >
        {sums.keep}
      </button>
      {measured && step.kind === "check" && (
        <button
          type="button"
          className="btn btn-go"
          onClick={() => {
            const value = siOf(answer.outputs, link.measures!);
            const said = formatIn(value, unit(answer.outputs[link.measures!]!.unit));
            if (
              keep() &&
              log.add({ kind: "check-measured", step: step.id, check: step.check.id, si: value, typed: said })
            )
              onKept();
          }}
        >
          {sums.use}
        </button>
      )}
      {log.refusal !== undefined && (
        <div className="basis-full">
          <Notice tone="stop" live>
            {log.refusal}
          </Notice>
        </div>
      )}
    </div>
  );
}
