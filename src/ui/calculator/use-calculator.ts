"use client";

import { useCallback, useEffect, useMemo, useState } from "react";
import {
  type Answer,
  type Calculator,
  type CalculatorInput,
  calculate,
  counts,
  readTyped,
  type SentInput,
  withUnit,
} from "@/core/calculators";
import type { TakenWith } from "@/core/formats";
import { type DecimalMark, fromSI, marked, type Notation, unit } from "@/core/quantity";
import { type Figure, readFigure, turned } from "../kit/figure";
import { useHistory, useUndoKeys } from "../use-history";

/** What stands in the form: texts as typed, and the unit of each field that is not the usual one. */
export interface Filled {
  readonly texts: Readonly<Record<string, string>>;
  readonly units: Readonly<Record<string, string>>;
  /** With what instruments handed over; what was typed over is an own figure. */
  readonly taken?: Readonly<Record<string, TakenWith>>;
}

const EMPTY: Filled = { texts: {}, units: {} };

const keep = (id: string) => `loftbell.bench.${id}`;

function lastValues(id: string): Filled | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(keep(id)) ?? "null") as Filled | null;
    return kept?.texts && kept.units ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** Four digits: what a gauge or a rule can show. */
const bare = (value: number, mark: DecimalMark): string => marked(String(Number(value.toPrecision(4))), mark);

export interface CalculatorForm {
  readonly filled: Filled;
  /** Fields that count as the choices stand. */
  readonly fields: readonly CalculatorInput[];
  readonly answer: Answer | undefined;
  readonly errors: Readonly<Record<string, string>>;
  /**
   * What a field shows, in which unit; what it counts as, which for an emptied field is the usual figure; and whether
   * that is the usual figure and not one of whoever fills it in.
   */
  readonly shown: (input: CalculatorInput) => {
    readonly text: string;
    readonly unit: string;
    readonly counts: string;
    readonly usual: boolean;
  };
  readonly type: (name: string, text: string) => void;
  /** A reading that an instrument handed over. */
  readonly take: (name: string, taken: TakenWith) => void;
  /** What of all that counts was handed over. */
  readonly handedOver: Readonly<Record<string, TakenWith>>;
  readonly turnUnit: (input: CalculatorInput, to: string) => void;
  readonly fill: (texts: Readonly<Record<string, string>>) => void;
  readonly undo: () => void;
  readonly canUndo: boolean;
  /** The option that stands. */
  readonly choice: (name: string) => string;
  /** SI value of a measured field that counts, as it stands; nothing when it is empty or wrong. */
  readonly si: (name: string) => number | undefined;
  /** Every field that was filled, as a text that names its unit: for a link, an example, the log of a job. */
  readonly typed: Readonly<Record<string, string>>;
}

/**
 * The form of a calculator: it answers as one types, keeps what was typed last on this device, and undoes.
 *
 * @param start texts to begin with, from a link or a step; then the last values of this device are left alone
 */
export function useCalculator(
  calculator: Calculator,
  { system, mark }: Notation,
  start: Readonly<Record<string, string>> | undefined,
): CalculatorForm {
  const history = useHistory<Filled>(start === undefined ? EMPTY : { ...EMPTY, texts: start });
  const { now: filled, change, slide, undo, redo } = history;
  useUndoKeys(undo, redo);
  const [clock, setClock] = useState<Date>();

  useEffect(() => {
    setClock(new Date());
    const kept = start === undefined ? lastValues(calculator.id) : undefined;
    if (kept !== undefined) slide(() => kept);
  }, [calculator.id, slide, start]);

  useEffect(() => {
    if (start !== undefined || filled === EMPTY) return;
    localStorage.setItem(keep(calculator.id), JSON.stringify(filled));
  }, [calculator.id, filled, start]);

  const unitOf = useCallback(
    (input: CalculatorInput) =>
      input.kind === "measured" ? (filled.units[input.name] ?? input.units[system]) : "",
    [filled.units, system],
  );

  const usualText = useCallback(
    (input: CalculatorInput): string => {
      switch (input.kind) {
        case "choice":
          return input.usual ?? "";
        case "date":
          return input.usual === "now" && clock !== undefined
            ? wallClock(clock, input.withTime === true)
            : "";
        case "measured":
          return input.usual === undefined ? "" : bare(fromSI(input.usual, unit(unitOf(input))), mark);
        case "list":
          return "";
      }
    },
    [clock, mark, unitOf],
  );

  const fields = useMemo(
    () => calculator.inputs.filter((input) => counts(calculator, input, (name) => filled.texts[name])),
    [calculator, filled.texts],
  );

  const { answer, errors } = useMemo(() => {
    const sent: Record<string, SentInput> = {};
    const wrong: Record<string, string> = {};
    for (const input of fields) {
      const text = filled.texts[input.name] ?? (input.kind === "date" ? usualText(input) : undefined);
      // An emptied field is one that was not measured; a field that must be filled says so itself.
      if (text === undefined || (text.trim() === "" && mayBeEmpty(input))) continue;
      const read = readTyped(input, text, unitOf(input));
      if (read.ok) sent[input.name] = read.value;
      else wrong[input.name] = read.error;
    }
    const made = calculate(calculator, sent, { system, mark });
    if (!made.ok) for (const each of made.error) wrong[each.path.replace("/inputs/", "")] ??= each.message;
    return { answer: made.ok && Object.keys(wrong).length === 0 ? made.value : undefined, errors: wrong };
  }, [calculator, fields, filled.texts, mark, system, unitOf, usualText]);

  const choice = (name: string): string => {
    const input = calculator.inputs.find((each) => each.name === name);
    return input === undefined ? "" : (filled.texts[name] ?? usualText(input));
  };
  const si = (name: string): number | undefined => {
    const input = fields.find((each) => each.name === name);
    if (input?.kind !== "measured") return undefined;
    const text = filled.texts[name];
    if (text === undefined || text.trim() === "") return input.usual;
    const read = readFigure(byHand(text, unitOf(input)), input.dimension);
    return read.ok ? read.value.si : undefined;
  };

  const type = (name: string, text: string) => {
    // Letters typed into one field are one step of undo.
    change({ ...filled, texts: { ...filled.texts, [name]: text } }, name);
  };

  const typed = Object.fromEntries(
    fields.flatMap((input) => {
      // The minute a calculation was made in belongs to it.
      const text = (filled.texts[input.name] ?? (input.kind === "date" ? usualText(input) : "")).trim();
      return text === "" ? [] : [[input.name, withUnit(input, text, unitOf(input))]];
    }),
  );

  return {
    filled,
    fields,
    take: (name, taken) =>
      change({
        ...filled,
        texts: { ...filled.texts, [name]: taken.read },
        taken: { ...filled.taken, [name]: taken },
      }),
    handedOver: Object.fromEntries(
      Object.entries(filled.taken ?? {}).filter(([name, { read }]) => typed[name] === read),
    ),
    typed,
    answer,
    errors,
    shown: (input) => {
      const text = filled.texts[input.name] ?? usualText(input);
      const mine = (filled.texts[input.name] ?? "").trim() !== "";
      return { text, unit: unitOf(input), counts: mine ? text : usualText(input), usual: !mine };
    },
    choice,
    si,
    type,
    turnUnit: (input, to) => {
      if (input.kind !== "measured") return;
      const { texts, units } = filled;
      const text = texts[input.name];
      change({
        units: { ...units, [input.name]: to },
        texts:
          text === undefined
            ? texts
            : { ...texts, [input.name]: turned(byHand(text, unitOf(input)), input.dimension, to).text },
      });
    },
    fill: (texts) => {
      change({ ...EMPTY, texts });
    },
    undo,
    canUndo: history.canUndo,
  };
}

const mayBeEmpty = (input: CalculatorInput): boolean =>
  (input.kind === "measured" && (input.optional === true || input.usual !== undefined)) ||
  (input.kind === "date" && input.optional === true);

const byHand = (text: string, unitId: string): Figure => ({ text, unit: unitId, source: { kind: "hand" } });

/** The wall clock of this device, as a date field has it. */
function wallClock(at: Date, withTime: boolean): string {
  const local = new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString();
  return local.slice(0, withTime ? 16 : 10);
}
