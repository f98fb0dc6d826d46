"use client";

import { Calculator as CalculatorIcon } from "lucide-react";
import { useMemo } from "react";
import {
  calculate,
  calculatorNamed,
  keptName,
  keptTitle,
  readTyped,
  type SentInput,
} from "@/core/calculators";
import type { BenchLink, Run, Step } from "@/core/job";
import { useFigures } from "@/ui/use-figures";
import { saidOf } from "../calculator/answer-card";
import { Notice } from "../notice";
import { useSettings } from "../settings";
import { useSpeaker } from "../use-speaker";

const TONE = { pass: "go", watch: "wait", fail: "stop", stop: "stop" } as const;
/** Figures shown before somebody opens the sum. */
const SHOWN = 3;

/**
 * A sum that decides at this card: answered from what sheet, line and job know, with the usual figures for the rest; a
 * touch opens it to put in what was measured. What it gave earlier in the job stands beside it.
 */
export function DecidingSum({
  link,
  job,
  step,
  onOpen,
}: {
  link: BenchLink;
  job: Run;
  step: Step;
  onOpen: () => void;
}) {
  const { system, mark } = useSettings();
  const figures = useFigures();
  const { sums } = useSpeaker().say.card;
  const calculator = calculatorNamed(link.calculator);
  const answer = useMemo(() => {
    if (calculator === undefined) return undefined;
    const sent: Record<string, SentInput> = {};
    for (const [name, text] of Object.entries(link.start)) {
      const input = calculator.inputs.find((each) => each.name === name);
      const read = input && readTyped(input, text);
      if (read?.ok) sent[name] = read.value;
    }
    const made = calculate(calculator, sent, { system, mark });
    return made.ok ? made.value : undefined;
  }, [calculator, link.start, mark, system]);
  if (calculator === undefined) return null;
  const earlier = job.progress.kept.filter(
    (kept) => kept.calculator === link.calculator && kept.step !== step.id,
  );
  const outputs = calculator.outputs.flatMap((output) => {
    const said = answer && saidOf(output, answer.outputs, figures);
    return said === undefined ? [] : [{ label: output.label, said }];
  });
  return (
    <section className="card flex flex-col gap-2 p-3" aria-label={calculator.title}>
      <button type="button" className="btn btn-quiet justify-start text-left" onClick={onOpen}>
        <CalculatorIcon size={20} aria-hidden /> {sums.putIn(calculator.title)}
      </button>
      {answer === undefined ? (
        <p className="text-note text-soft">{sums.notYet}</p>
      ) : (
        <>
          {answer.verdict !== undefined && (
            <Notice tone={TONE[answer.verdict]}>{answer.reasons.join(" ")}</Notice>
          )}
          <dl className="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
            {outputs.slice(0, SHOWN).map(({ label, said }) => (
              <div key={label} className="contents">
                <dt>{label}</dt>
                <dd className="plate text-right">{said}</dd>
              </div>
            ))}
          </dl>
          <p className="text-note text-soft">{sums.from}</p>
        </>
      )}
      {earlier.length > 0 && (
        <ul aria-label={sums.earlier}>
          {earlier.map((kept) => (
            <li key={`${kept.at}${kept.output}`} className="flex items-baseline justify-between gap-3">
              <span>{sums.before(keptTitle(keptName(kept.calculator, kept.output)) ?? kept.output)}</span>
              <b className="plate whitespace-nowrap">{kept.typed}</b>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
