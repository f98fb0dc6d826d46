"use client";

import clsx from "clsx";
import type { CalculatorInput } from "@/core/calculators";
import { unit, unitsOf } from "@/core/quantity";
import type { CalculatorForm } from "./use-calculator";

/** One input: its label, its unit to turn, what is typed, and what is wrong with it or what it means. */
export function InputField({ input, form }: { input: CalculatorInput; form: CalculatorForm }) {
  const { text, unit: unitId, counts, usual } = form.shown(input);
  const error = form.errors[input.name];
  const id = `input-${input.name}`;
  const common = {
    id,
    "aria-describedby": `${id}-help ${id}-mark`,
    "aria-invalid": error !== undefined,
  } as const;
  const mark =
    input.kind === "measured" && usual && counts !== ""
      ? "usual figure"
      : "optional" in input && input.optional
        ? "if known"
        : undefined;
  const set = (to: string) => form.type(input.name, to);
  return (
    <div>
      <div className="mb-1 leading-tight">
        <label htmlFor={id} className="font-semibold">
          {input.label}
        </label>
        {mark !== undefined && (
          <span id={`${id}-mark`} className="ml-1.5 text-fine text-soft">
            {mark}
          </span>
        )}
      </div>
      {input.kind === "choice" ? (
        <select {...common} className="field" value={text} onChange={(event) => set(event.target.value)}>
          {input.options.map((option) => (
            <option key={option.id} value={option.id}>
              {option.label}
            </option>
          ))}
        </select>
      ) : input.kind === "date" ? (
        <input
          {...common}
          className="field"
          type={input.withTime ? "datetime-local" : "date"}
          value={text}
          onChange={(event) => set(event.target.value)}
        />
      ) : input.kind === "list" ? (
        <input
          {...common}
          className="field"
          value={text}
          inputMode="text"
          autoComplete="off"
          onChange={(event) => set(event.target.value)}
        />
      ) : (
        <div className="relative">
          <input
            {...common}
            className="field pr-28!"
            value={text}
            placeholder={counts}
            inputMode="text"
            autoComplete="off"
            onChange={(event) => set(event.target.value)}
          />
          <UnitSwitch input={input} at={unitId} form={form} />
        </div>
      )}
      <span
        id={`${id}-help`}
        className={clsx(
          "block text-fine leading-snug",
          error === undefined || text === "" ? "text-soft" : "text-stop",
        )}
        role={error === undefined || text === "" ? undefined : "alert"}
      >
        {error === undefined || text === "" ? input.help : error}
      </span>
    </div>
  );
}

function UnitSwitch({
  input,
  at,
  form,
}: {
  input: Extract<CalculatorInput, { kind: "measured" }>;
  at: string;
  form: CalculatorForm;
}) {
  const units = unitsOf(input.dimension);
  // A plain number and a share are not turned into one another.
  if (units.length < 2 || input.dimension === "number" || input.dimension === "temperature difference")
    return (
      <span className="plate pointer-events-none absolute top-1/2 right-4 -translate-y-1/2 text-soft">
        {unit(at).label}
      </span>
    );
  return (
    <select
      aria-label={`Unit of ${input.label}`}
      className="plate absolute top-0.5 right-1 h-[calc(100%-4px)] max-w-28 cursor-pointer rounded bg-transparent px-2 text-right text-soft"
      value={at}
      onChange={(event) => form.turnUnit(input, event.target.value)}
    >
      {units.map((each) => (
        <option key={each.id} value={each.id}>
          {each.label}
        </option>
      ))}
    </select>
  );
}
