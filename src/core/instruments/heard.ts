import type { Dimension } from "../quantity";
import type { Result } from "../result";
import type { Introduced, LineFault, Said } from "./read-line";

/** What is read: a kind of measure; a plain number is told apart by its unit, ppm from % LEL. */
export interface Wanted {
  readonly dimension: Dimension;
  /** Of a number. */
  readonly unit?: string | undefined;
}
export const channelOf = ({ dimension, unit = "" }: Wanted): string =>
  dimension === "number" ? `number ${unit}` : dimension;

/** A reading as it was heard. */
export interface HeardReading {
  readonly n: number;
  /** SI; nothing where it showed no figure. */
  readonly si: number | undefined;
  readonly value: number | undefined;
  readonly unit: string;
  /** When it was heard, ms. */
  readonly at: number;
}

/** What was heard of one instrument so far. */
export interface Heard {
  readonly hello?: Introduced;
  /** %, as it said last. */
  readonly battery?: number;
  /** By what is read. */
  readonly readings: ReadonlyMap<string, HeardReading>;
  /** The highest of each pull, of one that says them: what it shows between two pulls is no figure. */
  readonly peaks: ReadonlyMap<string, HeardReading>;
  /** The same line over and over: since when, ms, and how often. */
  readonly repeats?: { readonly since: number; readonly times: number };
  /** The newest line that was none, and since how many in a row. */
  readonly garbage?: { readonly fault: LineFault; readonly at: number; readonly times: number };
  /** When the connection was lost, or it said that it goes, ms. */
  readonly gone?: { readonly at: number; readonly why?: string };
  /** When a line of it was understood last, ms. */
  readonly at?: number;
}

export const NOTHING_HEARD: Heard = { readings: new Map(), peaks: new Map() };

/** What is known after one more line. @param at ms */
export function hear(heard: Heard, line: Result<Said, LineFault>, at: number): Heard {
  if (!line.ok) {
    const times = (heard.garbage?.times ?? 0) + 1;
    return { ...heard, garbage: { fault: line.error, at, times } };
  }
  const { garbage: _, gone: __, ...before } = heard;
  const said = line.value;
  switch (said.say) {
    case "hello": {
      // Another one at the same plug: nothing of the one before is its own.
      const { repeats: ___, ...rest } = before;
      const same = before.hello?.serial === said.serial;
      return {
        ...rest,
        hello: said,
        at,
        readings: same ? before.readings : new Map(),
        peaks: same ? before.peaks : new Map(),
      };
    }
    case "battery":
      return { ...before, battery: said.percent, at };
    case "gone":
      return { ...before, gone: { at, ...(said.why !== undefined && { why: said.why }) } };
    case "reading": {
      const { n, si, value, unit, peak } = said;
      const channel = channelOf(said);
      if (before.readings.get(channel)?.n === n) {
        const times = (before.repeats?.times ?? 0) + 1;
        return { ...before, repeats: { since: before.repeats?.since ?? at, times } };
      }
      const { repeats: ___, ...rest } = before;
      const reading = { n, si, value, unit, at };
      return {
        ...rest,
        at,
        readings: new Map(before.readings).set(channel, reading),
        peaks: peak ? new Map(before.peaks).set(channel, reading) : before.peaks,
      };
    }
  }
}

/** The connection is lost. */
export const lost = (heard: Heard, at: number): Heard => ({ ...heard, gone: { at } });
