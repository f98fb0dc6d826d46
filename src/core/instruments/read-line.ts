import { Value } from "@sinclair/typebox/value";
import { type InstrumentLine, LINE_VERSION, LINES_BY_WORD, MOST_OF_A_LINE } from "../formats";
import { DIMENSIONS, type Dimension, toSI, unitNamed } from "../quantity";
import { err, ok, type Result } from "../result";

/** Why a line is none: garbage is said, never guessed at. */
export type LineFault =
  | { readonly kind: "too-long"; readonly letters: number }
  | { readonly kind: "no-json" }
  | { readonly kind: "no-such-word"; readonly word: string }
  /** Where in it, as a JSON pointer. */
  | { readonly kind: "wrong-field"; readonly path: string }
  | { readonly kind: "newer-protocol"; readonly version: number }
  | { readonly kind: "no-such-measure"; readonly what: string }
  | { readonly kind: "no-such-unit"; readonly unit: string; readonly what: string };

/** What an instrument reads, in SI. */
export interface Range {
  readonly dimension: Dimension;
  /** As it says it, and as people write it. */
  readonly unit: string;
  readonly low: number;
  readonly high: number;
  /** In its own unit. */
  readonly step?: number;
}

/** A line that was understood, its figures in SI. */
export type Said =
  | {
      readonly say: "hello";
      readonly kind: Extract<InstrumentLine, { say: "hello" }>["kind"];
      readonly serial: string;
      readonly name: string;
      readonly reads: readonly Range[];
      readonly every_s: number;
    }
  | {
      readonly say: "reading";
      readonly n: number;
      readonly dimension: Dimension;
      /** SI; nothing where it shows no figure. */
      readonly si: number | undefined;
      /** In its own unit. */
      readonly value: number | undefined;
      readonly unit: string;
      readonly peak: boolean;
    }
  | { readonly say: "battery"; readonly percent: number }
  | { readonly say: "gone"; readonly why: string | undefined };
export type Introduced = Extract<Said, { say: "hello" }>;

/** Reads one line of the protocol. */
export function readLine(text: string): Result<Said, LineFault> {
  if (text.length > MOST_OF_A_LINE) return err({ kind: "too-long", letters: text.length });
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return err({ kind: "no-json" });
  }
  const word = typeof parsed === "object" && parsed !== null && "say" in parsed ? String(parsed.say) : "";
  if (!isWord(word)) return err({ kind: "no-such-word", word: word.slice(0, 40) });
  const wrong = Value.Errors(LINES_BY_WORD[word], parsed).First();
  if (wrong !== undefined) return err({ kind: "wrong-field", path: wrong.path });
  return understood(parsed as InstrumentLine);
}

const isWord = (word: string): word is InstrumentLine["say"] => Object.hasOwn(LINES_BY_WORD, word);

function understood(line: InstrumentLine): Result<Said, LineFault> {
  switch (line.say) {
    case "hello": {
      if (line.v > LINE_VERSION) return err({ kind: "newer-protocol", version: line.v });
      const reads: Range[] = [];
      for (const { what, unit, low, high, step } of line.reads) {
        const known = measure(what, unit);
        if (!known.ok) return known;
        const { dimension, si } = known.value;
        reads.push({ dimension, unit, low: si(low), high: si(high), ...(step !== undefined && { step }) });
      }
      const { say, kind, serial, name, every_s } = line;
      return ok({ say, kind, serial, name, every_s, reads });
    }
    case "reading": {
      const known = measure(line.what, line.unit);
      if (!known.ok) return known;
      const { dimension, si } = known.value;
      const value = line.value ?? undefined;
      return ok({
        say: "reading",
        n: line.n,
        dimension,
        si: value === undefined ? undefined : si(value),
        value,
        unit: line.unit,
        peak: line.peak === true,
      });
    }
    case "battery":
      return ok({ say: "battery", percent: line.percent });
    case "gone":
      return ok({ say: "gone", why: line.why });
  }
}

interface Measure {
  readonly dimension: Dimension;
  readonly si: (value: number) => number;
}

/** A number may have a unit that no table has: % LEL, °dH. It stays the figure that it is. */
function measure(what: string, name: string): Result<Measure, LineFault> {
  const dimension = DIMENSIONS.find((each) => each === what);
  if (dimension === undefined) return err({ kind: "no-such-measure", what });
  const unit = unitNamed(name, dimension);
  if (unit !== undefined) return ok({ dimension, si: (value) => toSI(value, unit) });
  return dimension === "number"
    ? ok({ dimension, si: (value) => value })
    : err({ kind: "no-such-unit", unit: name, what });
}
