import type { Instrument, TakenWith } from "../formats";
import { calibratedUntil } from "../rounds";
import { channelOf, type Heard, type HeardReading, type Wanted } from "./heard";
import type { LineFault } from "./read-line";

/** Why nothing can be taken from an instrument now. Times in s, figures in SI. */
export type NoReading =
  | { readonly kind: "not-introduced" }
  | { readonly kind: "gone"; readonly since_s: number; readonly why?: string }
  | { readonly kind: "garbage"; readonly fault: LineFault }
  /** The same line again and again: it hangs, and shows what was. */
  | { readonly kind: "frozen"; readonly since_s: number }
  | { readonly kind: "stale"; readonly since_s: number }
  | { readonly kind: "nothing-yet" }
  | { readonly kind: "out-of-range"; readonly low: number; readonly high: number; readonly unit: string }
  /** The register says that it is not used any more. */
  | { readonly kind: "out-of-use"; readonly since: string };

/** What has to be known of a reading that can be taken. */
export type Doubt =
  | { readonly kind: "calibration-over"; readonly until: string }
  | { readonly kind: "never-calibrated" }
  | { readonly kind: "not-registered" }
  | { readonly kind: "battery-low"; readonly percent: number }
  | { readonly kind: "simulated" }
  /** Another one, connected beside it, shows something else. */
  | { readonly kind: "differs"; readonly from: string; readonly shows: string };

/** What one instrument has for a field of one kind of measure. */
export type Offer =
  | { readonly kind: "none"; readonly name: string; readonly serial: string; readonly why: NoReading }
  | {
      readonly kind: "reading";
      readonly name: string;
      readonly serial: string;
      readonly si: number;
      /** In its own unit. */
      readonly value: number;
      readonly unit: string;
      readonly doubts: readonly Doubt[];
      readonly taken: TakenWith;
    };

/** An instrument that is connected. */
export interface Connected {
  readonly by: TakenWith["by"];
  /** What the connection is called where it has not said its name. */
  readonly name: string;
  readonly heard: Heard;
}

/** Silent for so many of its beats it is stale; never before a few seconds, for a radio that stumbles. */
const BEATS = 3;
const LEAST_SILENCE_MS = 4000;
/** Said so often, a line is said over and over. */
const REPEATED = 3;
/** So long the peak of a pull is the one that was just made, ms. */
const PEAK_MS = 30_000;
const LOW_BATTERY = 15;

/** How long it may be silent, ms. */
export const silenceOf = (every_s: number): number => Math.max(LEAST_SILENCE_MS, BEATS * every_s * 1000);

/** Whether an instrument has anything to do with this kind of measure. */
export const reads = ({ heard }: Connected, wanted: Wanted): boolean =>
  heard.hello?.reads.some((each) => channelOf(each) === channelOf(wanted)) === true;

/** What is wrong with an instrument as a whole. @param now ms */
export function faultOf({ hello, gone, garbage, repeats, at }: Heard, now: number): NoReading | undefined {
  if (gone !== undefined)
    return {
      kind: "gone",
      since_s: (now - gone.at) / 1000,
      ...(gone.why !== undefined && { why: gone.why }),
    };
  if (garbage !== undefined) return { kind: "garbage", fault: garbage.fault };
  if (hello === undefined || at === undefined) return { kind: "not-introduced" };
  if (repeats !== undefined && repeats.times >= REPEATED)
    return { kind: "frozen", since_s: (now - at) / 1000 };
  return now - at > silenceOf(hello.every_s) ? { kind: "stale", since_s: (now - at) / 1000 } : undefined;
}

/** The instrument of the register that it is, by its serial. */
export const registeredAs = (register: readonly Instrument[], serial: string): Instrument | undefined =>
  register.find((each) => each.serial !== undefined && each.serial === serial);

/** The day on which a calibration runs out: on it, it holds no more. */
export function runsOutOn(instrument: Instrument): string | undefined {
  const until = calibratedUntil(instrument);
  return until === undefined ? undefined : dayOf(until);
}

const dayOf = (at: number): string => new Date(at).toISOString().slice(0, 10);

/** Whether a calibration that runs out on a day holds no more, ms. */
export const ranOut = (until: string, now: number): boolean => dayOf(now) >= until;

/**
 * What an instrument has for a field: a figure that can be taken, with what has to be known of it, or why there is none.
 *
 * @param beside all that are connected, for what two of them say of one thing
 * @param now ms, by the clock that entries are dated by
 */
export function offerOf(
  one: Connected,
  wanted: Wanted,
  register: readonly Instrument[],
  beside: readonly Connected[],
  now: number,
): Offer {
  const { hello, battery, readings, peaks } = one.heard;
  const name = hello?.name ?? one.name;
  const serial = hello?.serial ?? "";
  const none = (why: NoReading): Offer => ({ kind: "none", name, serial, why });
  const fault = faultOf(one.heard, now);
  if (fault !== undefined) return none(fault);
  const channel = channelOf(wanted);
  const range = hello?.reads.find((each) => channelOf(each) === channel);
  const peak = peaks.get(channel);
  const reading = peak ?? readings.get(channel);
  if (hello === undefined || range === undefined || reading === undefined)
    return none({ kind: "nothing-yet" });
  const known = registeredAs(register, serial);
  if (known?.out !== undefined) return none({ kind: "out-of-use", since: known.out });
  const { si, value } = reading;
  if (si === undefined || value === undefined || si < range.low || si > range.high)
    return none({ kind: "out-of-range", low: range.low, high: range.high, unit: range.unit });
  if (now - reading.at > (peak === undefined ? silenceOf(hello.every_s) : PEAK_MS))
    return none({ kind: "stale", since_s: (now - reading.at) / 1000 });
  const until = known && runsOutOn(known);
  return {
    kind: "reading",
    name,
    serial,
    si,
    value,
    unit: reading.unit,
    doubts: [
      ...(one.by === "simulated" ? [{ kind: "simulated" as const }] : []),
      ...calibrationDoubts(known, until, now),
      ...(battery !== undefined && battery < LOW_BATTERY
        ? [{ kind: "battery-low" as const, percent: battery }]
        : []),
      ...(peak === undefined ? differences(one, reading, channel, beside, now) : []),
    ],
    taken: takenWith(one.by, hello, reading, known),
  };
}

/** With what a reading was taken, as it goes into the log. */
export function takenWith(
  by: Connected["by"],
  { kind, name, serial }: NonNullable<Heard["hello"]>,
  { value, unit, at }: HeardReading,
  known: Instrument | undefined,
): TakenWith {
  const until = known && runsOutOn(known);
  return {
    kind,
    name,
    serial,
    by,
    at: new Date(at).toISOString(),
    read: `${value ?? ""} ${unit}`.trim(),
    ...(known !== undefined && { registered: known.id }),
    ...(known?.calibrated !== undefined && { calibrated: known.calibrated }),
    ...(until !== undefined && { until }),
  };
}

function calibrationDoubts(known: Instrument | undefined, until: string | undefined, now: number): Doubt[] {
  if (known === undefined) return [{ kind: "not-registered" }];
  if (known.every_months === undefined) return [];
  if (until === undefined) return [{ kind: "never-calibrated" }];
  return ranOut(until, now) ? [{ kind: "calibration-over", until }] : [];
}

/** Part of its range by which each of two may be off and both be right: class 1.6 of EN 837-1. */
const CLASS = 0.016;

/** Which of those beside it, of the same kind of measure, shows something else. */
function differences(
  one: Connected,
  { si }: HeardReading,
  channel: string,
  beside: readonly Connected[],
  now: number,
): Doubt[] {
  const width = (each: Connected) => {
    const range = each.heard.hello?.reads.find((read) => channelOf(read) === channel);
    return range === undefined ? 0 : range.high - range.low;
  };
  return beside.flatMap((other): Doubt[] => {
    const shows = other.heard.readings.get(channel);
    if (
      other === one ||
      shows?.si === undefined ||
      si === undefined ||
      faultOf(other.heard, now) !== undefined
    )
      return [];
    const apart = Math.abs(shows.si - si);
    return apart > CLASS * (width(one) + width(other))
      ? [
          {
            kind: "differs",
            from: other.heard.hello?.name ?? other.name,
            shows: `${shows.value} ${shows.unit}`,
          },
        ]
      : [];
  });
}
