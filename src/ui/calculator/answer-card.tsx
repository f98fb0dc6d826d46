"use client";

import clsx from "clsx";
import type { Answer, AnswerRow, Calculator, CalculatorOutput } from "@/core/calculators";
import { unit } from "@/core/quantity";
import { type Figures, useFigures } from "@/ui/use-figures";
import { Notice } from "../notice";

const TONE = { pass: "go", watch: "wait", fail: "stop", stop: "stop" } as const;
const WORD = { pass: "Pass.", watch: "Watch.", fail: "Fail.", stop: "Stop." } as const;

/** An answer in words: a figure with its unit, or what it is called. */
export function saidOf(output: CalculatorOutput, row: AnswerRow, { inUnit }: Figures): string | undefined {
  const value = row[output.name];
  if (value === undefined) return undefined;
  return "si" in value ? inUnit(value.si, unit(value.unit)) : value.value;
}

const STRIP = {
  go: "border-go bg-go-bg",
  wait: "border-wait bg-wait-bg",
  stop: "border-stop bg-stop-bg",
  plain: "border-brass-line bg-brass-bg",
} as const;

/** The first figure and the verdict in one line, kept in sight while the answer itself is scrolled away. */
export function AnswerStrip({ calculator, answer }: { calculator: Calculator; answer: Answer }) {
  const figures = useFigures();
  const first = calculator.outputs.find((output) => saidOf(output, answer.outputs, figures) !== undefined);
  if (first === undefined) return null;
  const { verdict } = answer;
  return (
    <a
      href="#answer"
      className={clsx(
        "sticky bottom-2 z-10 flex min-h-12 items-center justify-between gap-3 rounded border-[1.5px] px-4 font-semibold text-ink shadow-[0_-10px_14px_var(--color-card)]",
        STRIP[verdict === undefined ? "plain" : TONE[verdict]],
      )}
    >
      <span className="truncate">
        {verdict !== undefined && `${WORD[verdict]} `}
        {first.label}
      </span>
      <b className="plate whitespace-nowrap text-head">{saidOf(first, answer.outputs, figures)}</b>
    </a>
  );
}

/** Verdict first, then the figures. */
export function AnswerCard({ calculator, answer }: { calculator: Calculator; answer: Answer }) {
  const figures = useFigures();
  return (
    <>
      {answer.verdict !== undefined ? (
        <Notice tone={TONE[answer.verdict]} live>
          <b>{WORD[answer.verdict]}</b> {answer.reasons.join(" ")}
        </Notice>
      ) : (
        <p className="text-body">{answer.reasons.join(" ")}</p>
      )}
      <section className="card grid gap-x-6 px-4 py-2 sm:grid-cols-2" aria-label="Answer">
        {calculator.outputs.map((output) => {
          const said = saidOf(output, answer.outputs, figures);
          if (said === undefined) return null;
          const long = said.length > 22;
          const words = said.length > 44;
          return (
            <div
              key={output.name}
              className={clsx(
                "border-rule border-b-[1.5px] border-dashed py-2",
                words ? "block" : "flex flex-wrap items-baseline justify-between gap-x-3",
                long && "sm:col-span-2",
              )}
            >
              <span>{output.label}</span>
              <b
                className={clsx(words ? "block" : long ? "text-right" : "plate whitespace-nowrap text-head")}
              >
                {said}
              </b>
            </div>
          );
        })}
      </section>
    </>
  );
}

/** Tables longer than this are points of a curve: they are drawn, and can be unfolded. */
const SHORT = 14;

export function AnswerTables({ calculator, answer }: { calculator: Calculator; answer: Answer }) {
  const figures = useFigures();
  return calculator.tables?.map((table) => {
    const rows = answer.tables[table.name] ?? [];
    if (rows.length === 0) return null;
    const columns = table.columns.filter((column) => rows.some((row) => row[column.name] !== undefined));
    return (
      <details key={table.name} open={rows.length <= SHORT} className="card px-4 py-2">
        <summary className="caption min-h-12 content-center">{table.title}</summary>
        <section className="overflow-x-auto pb-2" tabIndex={0} aria-label={table.title}>
          <table className="w-full text-body">
            <thead>
              <tr className="border-edge border-b-2 text-left">
                {columns.map((column) => (
                  <th key={column.name} className="py-1.5 pr-4 font-semibold last:pr-0">
                    {column.label}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row, index) => (
                <tr key={index} className="border-rule border-b last:border-0">
                  {columns.map((column) => (
                    <td key={column.name} className="py-1.5 pr-4 last:pr-0">
                      {saidOf(column, row, figures) ?? "–"}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      </details>
    );
  });
}
