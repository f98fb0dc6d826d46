"use client";

import type { ReactNode } from "react";
import { type Calculator, withUnit } from "@/core/calculators";
import { Notice } from "../notice";
import { Panel } from "../page";
import { useSettings } from "../settings";
import { AnswerCard, AnswerStrip, AnswerTables } from "./answer-card";
import { InputField } from "./input-field";
import { PICTURES } from "./pictures";
import { type CalculatorForm, useCalculator } from "./use-calculator";
import { useInView } from "./use-in-view";

/** A form, its answer and its picture, all from the declaration; the answer follows as one types. */
export function CalculatorPanel({
  calculator,
  start,
  children,
}: {
  calculator: Calculator;
  start?: Readonly<Record<string, string>>;
  /** What can be done with the answer. */
  children?: (form: CalculatorForm) => ReactNode;
}) {
  const { system, mark } = useSettings();
  const form = useCalculator(calculator, { system, mark }, start);
  const { answer, errors, fields } = form;
  const [answerRef, inView] = useInView();
  const Picture = PICTURES[calculator.id];
  const missing = fields.filter((input) => errors[input.name] !== undefined).map((input) => input.label);
  const figures = fields.filter((input) => input.kind === "measured" && form.shown(input).counts !== "");
  const usual = figures.filter((input) => form.shown(input).usual).length;
  return (
    <div className="grid grid-cols-1 gap-4 lg:grid-cols-[380px_1fr] print:block">
      <form
        className="card no-print flex flex-col gap-3 self-start p-4"
        onSubmit={(event) => event.preventDefault()}
      >
        {fields.map((input) => (
          <InputField key={input.name} input={input} form={form} />
        ))}
        <div className="mt-2 grid grid-cols-2 gap-2">
          <button type="button" className="btn btn-quiet" disabled={!form.canUndo} onClick={form.undo}>
            Undo
          </button>
          <button type="button" className="btn btn-quiet" onClick={() => form.fill({})}>
            Start again
          </button>
        </div>
        {answer !== undefined && !inView && <AnswerStrip calculator={calculator} answer={answer} />}
      </form>
      <dl className="mb-4 hidden grid-cols-2 gap-x-8 print:grid">
        {fields.map((input) => {
          const { counts: text, unit: shown } = form.shown(input);
          const said =
            input.kind === "choice"
              ? input.options.find((option) => option.id === text)?.label
              : text === ""
                ? ""
                : withUnit(input, text, shown);
          return (
            <div key={input.name} className="flex justify-between gap-3 border-rule border-b py-1">
              <dt>{input.label}</dt>
              <dd className="text-right font-semibold">{said || "–"}</dd>
            </div>
          );
        })}
      </dl>
      <div className="flex min-w-0 flex-col gap-4" id="answer">
        {answer === undefined ? (
          <Notice tone="wait">
            {missing.length === 0
              ? "Working it out."
              : `To be filled in or mended: ${missing.join(", ")}. Then the answer stands here.`}
          </Notice>
        ) : (
          <>
            {usual > 0 && (
              <p className="text-body text-soft">
                {usual === figures.length ? "All" : `${usual} of ${figures.length}`} figures here are usual
                ones, not yours, as their fields say: type what you measured.
              </p>
            )}
            <div ref={answerRef} className="flex flex-col gap-4">
              <AnswerCard calculator={calculator} answer={answer} />
            </div>
            {children?.(form)}
            {Picture !== undefined && (
              <section className="card p-3">
                <Picture form={form} answer={answer} system={system} />
              </section>
            )}
            <AnswerTables calculator={calculator} answer={answer} />
            {answer.cautions.map((caution) => (
              <Notice key={caution} tone="wait">
                {caution}
              </Notice>
            ))}
          </>
        )}
        <Panel title="Worked examples" note="a button fills one in" className="no-print">
          <ul className="dashed">
            {calculator.examples.map((example) => (
              <li
                key={example.source}
                className="flex flex-wrap items-center justify-between gap-3 py-2 text-body"
              >
                <span className="min-w-0 break-words">{example.source}</span>
                <button
                  type="button"
                  className="btn btn-quiet no-print shrink-0"
                  aria-label={`Fill in: ${example.source}`}
                  onClick={() => form.fill(example.inputs)}
                >
                  Fill in
                </button>
              </li>
            ))}
          </ul>
        </Panel>
        <Panel title="Sources">
          <ul className="list-disc pl-5">
            {calculator.sources.map((source) => (
              <li key={source}>{source}</li>
            ))}
          </ul>
        </Panel>
      </div>
    </div>
  );
}
