"use client";

import type { CalculatorInput } from "@/core/calculators";
import type { TakenWith } from "@/core/formats";
import { DateField } from "../kit/date-field";
import type { FigureSource } from "../kit/figure";
import { FigureField } from "../kit/figure-field";
import { SelectField } from "../kit/select-field";
import { TextField } from "../kit/text-field";
import type { CalculatorForm } from "./use-calculator";

/** One input of a calculator: what is typed into it, and what is wrong with it or what it means. */
export function InputField({ input, form }: { input: CalculatorInput; form: CalculatorForm }) {
  const { text, unit, counts, usual } = form.shown(input);
  const refused = form.errors[input.name];
  const labels = {
    label: input.label,
    hint: input.help,
    // What is still empty is not yet wrong: the help says what goes there.
    error: text === "" ? undefined : refused,
    mark: "optional" in input && input.optional ? "if known" : undefined,
  };
  const taken = form.handedOver[input.name];
  const set = (to: string) => form.type(input.name, to);
  switch (input.kind) {
    case "choice":
      return (
        <SelectField
          {...labels}
          value={text}
          options={input.options.map((option) => ({ id: option.id, name: option.label }))}
          onChange={set}
        />
      );
    case "date":
      return <DateField {...labels} value={text} onChange={set} withTime={input.withTime === true} />;
    case "list":
      return <TextField {...labels} value={text} onChange={set} />;
    case "measured":
      return (
        <FigureField
          {...labels}
          dimension={input.dimension}
          figure={{ text, unit, source: sourceOf(taken, usual && counts !== "") }}
          usual={counts}
          onFigure={({ text: to, source }) =>
            source.kind === "instrument" ? form.take(input.name, source.taken) : set(to)
          }
          onUnit={(to) => form.turnUnit(input, to)}
        />
      );
  }
}

function sourceOf(taken: TakenWith | undefined, usual: boolean): FigureSource {
  if (taken !== undefined) return { kind: "instrument", taken };
  return { kind: usual ? "usual" : "hand" };
}
