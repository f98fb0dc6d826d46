"use client";

import clsx from "clsx";
import { type ReactNode, useMemo, useState } from "react";
import { type CalculatorInput, calculate, calculatorNamed, type SentInput } from "@/core/calculators";
import { formatIn, fromSI, parseQuantity, quantityMessage, sensibleDigits, unit } from "@/core/quantity";
import { BoltUpPicture, DrainPicture, type PictureProps } from "@/ui/calculator-pictures";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { useSettings } from "@/ui/settings";
import { LockedPicture, StandPicture } from "@/ui/shut-in-pictures";

const PICTURES: Readonly<Record<string, (props: PictureProps) => ReactNode>> = {
  "bolt-up": BoltUpPicture,
  "drain-down": DrainPicture,
  "stand-test": StandPicture,
  "locked-liquid": LockedPicture,
};
const TONE = { pass: "go", watch: "wait", fail: "stop", stop: "stop" } as const;

/** A form, its answer and its picture, all from the declaration; the answer follows as one types. */
export function CalculatorScreen({ id }: { id: string }) {
  const calculator = calculatorNamed(id)!;
  const { system } = useSettings();
  const usual = (input: CalculatorInput) =>
    input.kind === "choice"
      ? (input.usual ?? "")
      : input.usual === undefined
        ? ""
        : sensibleDigits(fromSI(input.usual, unit(input.units[system]))).replace(/\s/g, "");
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const { answer, errors } = useMemo(() => {
    const sent: Record<string, SentInput> = {};
    const wrong: Record<string, string> = {};
    for (const input of calculator.inputs) {
      const text = typed[input.name];
      if (text === undefined) continue;
      if (input.kind === "choice") {
        sent[input.name] = { value: text };
        continue;
      }
      const parsed = parseQuantity(text, input.dimension, unit(input.units[system]));
      if (parsed.ok)
        sent[input.name] = { value: fromSI(parsed.value.si, parsed.value.unit), unit: parsed.value.unit.id };
      else wrong[input.name] = quantityMessage(parsed.error);
    }
    const made = calculate(calculator, sent, system);
    if (!made.ok) for (const each of made.error) wrong[each.path.replace("/inputs/", "")] ??= each.message;
    return { answer: made.ok && Object.keys(wrong).length === 0 ? made.value : undefined, errors: wrong };
  }, [calculator, typed, system]);
  const Picture = PICTURES[id];
  return (
    <div className="mx-auto grid max-w-[1240px] gap-4 px-4 py-4 md:px-5 lg:grid-cols-[380px_1fr]">
      <header className="lg:col-span-2">
        <h1 className="font-bold text-[28px] leading-tight">{calculator.title}</h1>
        <p className="text-soft">{calculator.says}</p>
      </header>
      <form className="card flex flex-col gap-3 p-4" onSubmit={(event) => event.preventDefault()}>
        {calculator.inputs.map((input) => {
          const value = typed[input.name] ?? usual(input);
          const error = errors[input.name];
          const set = (text: string) => setTyped({ ...typed, [input.name]: text });
          return (
            <label key={input.name} htmlFor={`input-${input.name}`} className="block">
              <span className="flex justify-between gap-3 font-semibold">
                {input.label}
                {input.kind === "measured" && (
                  <span className="plate text-soft">{unit(input.units[system]).label}</span>
                )}
              </span>
              {input.kind === "choice" ? (
                <select
                  id={`input-${input.name}`}
                  className="field mt-1"
                  value={value}
                  onChange={(event) => set(event.target.value)}
                >
                  {input.options.map((option) => (
                    <option key={option.id} value={option.id}>
                      {option.label}
                    </option>
                  ))}
                </select>
              ) : (
                <input
                  id={`input-${input.name}`}
                  className="field mt-1"
                  value={value}
                  inputMode="text"
                  autoComplete="off"
                  aria-invalid={error !== undefined}
                  onChange={(event) => set(event.target.value)}
                />
              )}
              <span
                className={clsx("text-[14px]", error === undefined ? "text-soft" : "text-stop")}
                role={error === undefined ? undefined : "alert"}
              >
                {error ?? input.help}
              </span>
            </label>
          );
        })}
        <button type="button" className="btn btn-quiet" onClick={() => setTyped({})}>
          Start again
        </button>
      </form>
      <div className="flex min-w-0 flex-col gap-4">
        {answer === undefined ? (
          <Notice tone="wait">Mend the marked fields: then the answer stands here.</Notice>
        ) : (
          <>
            {answer.verdict !== undefined && (
              <Notice tone={TONE[answer.verdict]} live>
                <b className="capitalize">{answer.verdict}.</b> {answer.reasons.join(" ")}
              </Notice>
            )}
            <section className="card grid gap-x-6 px-4 py-2 sm:grid-cols-2" aria-label="Answer">
              {calculator.outputs.map((output) => (
                <div
                  key={output.name}
                  className="flex items-baseline justify-between gap-3 border-rule border-b-[1.5px] border-dashed py-2"
                >
                  <span>{output.label}</span>
                  <b className="plate whitespace-nowrap text-[24px]">
                    {formatIn(answer.outputs[output.name]!.si, unit(output.units[system]))}
                  </b>
                </div>
              ))}
            </section>
            {Picture !== undefined && (
              <section className="card p-3">
                <Picture
                  inputs={Object.fromEntries(
                    calculator.inputs.map((input) => [input.name, typed[input.name] ?? usual(input)]),
                  )}
                  answer={answer}
                  system={system}
                />
              </section>
            )}
            {answer.cautions.map((caution) => (
              <Notice key={caution} tone="wait">
                {caution}
              </Notice>
            ))}
          </>
        )}
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
