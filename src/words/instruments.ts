import type { TakenWith } from "@/core/formats";
import { type Doubt, type LineFault, type NoReading, ranOut } from "@/core/instruments";
import { gapsOf, type Trace, type TraceVerdict } from "@/core/job";
import { formatDuration, marked } from "@/core/quantity";
import { standingWords } from "./isolation";
import { quantity, type Speaker } from "./speaker";

/** A figure as an instrument shows it: its own digits, the reader's mark. */
export const shownFigure = ({ mark }: Speaker, value: number, unit: string): string =>
  `${marked(String(value), mark)} ${unit}`;

/** Why nothing can be taken from an instrument, and what to do. */
export function noReadingWords(words: Speaker, why: NoReading, wide: (si: number) => string): string {
  const said = words.say.instruments.why;
  switch (why.kind) {
    case "not-introduced":
      return said.notIntroduced;
    case "gone":
      return said.gone(why.since_s, why.why);
    case "garbage":
      return said.garbage(faultWords(words, why.fault));
    case "frozen":
      return said.frozen(why.since_s);
    case "stale":
      return said.stale(why.since_s);
    case "nothing-yet":
      return said.nothingYet;
    case "out-of-range":
      return said.outOfRange(wide(why.low), wide(why.high));
    case "out-of-use":
      return said.outOfUse(why.since);
  }
}

function faultWords({ say }: Speaker, fault: LineFault): string {
  const said = say.instruments.fault;
  switch (fault.kind) {
    case "too-long":
      return said.tooLong(fault.letters);
    case "no-json":
      return said.noJson;
    case "no-such-word":
      return said.noSuchWord(fault.word);
    case "wrong-field":
      return said.wrongField(fault.path);
    case "newer-protocol":
      return said.newerProtocol(fault.version);
    case "no-such-measure":
      return said.noSuchMeasure(fault.what);
    case "no-such-unit":
      return said.noSuchUnit(fault.unit, fault.what);
  }
}

/** What has to be known of a reading that can be taken. */
export function doubtWords({ say }: Speaker, doubt: Doubt): string {
  const said = say.instruments.doubt;
  switch (doubt.kind) {
    case "calibration-over":
      return said.calibrationOver(doubt.until);
    case "never-calibrated":
      return said.neverCalibrated;
    case "not-registered":
      return said.notRegistered;
    case "battery-low":
      return said.batteryLow(doubt.percent);
    case "simulated":
      return said.simulated;
    case "differs":
      return said.differs(doubt.from, doubt.shows);
  }
}

/** With what something was read, and whether that was to be trusted then. */
export function takenWithWords(
  { say }: Speaker,
  { name, serial, by, at, registered, until }: TakenWith,
): string {
  const said = say.instruments.record;
  const over = until !== undefined && ranOut(until, Date.parse(at));
  return say.common.commas([
    said.with(name, serial),
    ...(by === "simulated" ? [said.simulated] : []),
    ...(registered === undefined ? [said.unknown] : []),
    ...(until === undefined ? [] : [over ? said.over(until) : said.calibrated(until)]),
  ]);
}

/** A figure of a trace in the reader's unit. */
export const traceFigure = (words: Speaker, { dimension }: Pick<Trace, "dimension">, si: number): string =>
  quantity(words, si, dimension);

/** What a trace says, by the sum of its card. */
export function traceVerdictWords(words: Speaker, trace: Trace, verdict: TraceVerdict): string {
  const said = words.say.instruments.trace;
  switch (verdict.kind) {
    case "standing":
      return standingWords(words, verdict.says);
    case "over-time": {
      const figure = (si: number) => traceFigure(words, trace, si);
      const steps = trace.dimension === "temperature" ? "temperature difference" : trace.dimension;
      const rise = trace.dimension === "gauge pressure" ? "pressure difference" : steps;
      return said.overTime(
        figure(verdict.first),
        figure(verdict.last),
        quantity(words, verdict.perHour, rise),
      );
    }
    case "pull":
      return said.pull[verdict.says](quantity(words, verdict.peak_Nm, "torque"));
  }
}

/** What nobody heard of it; nothing where it was heard throughout. */
export function gapWords({ say }: Speaker, trace: Trace): string {
  const gaps = gapsOf(trace);
  const whole = gaps.reduce((sum, { from_s, to_s }) => sum + to_s - from_s, 0);
  return gaps.length === 0 ? "" : say.instruments.trace.gap(gaps.length, formatDuration(whole));
}

/** A trace in one line: how long, from its lowest to its highest. */
export function traceEntry(words: Speaker, trace: Trace): string {
  const values = trace.points.map(([, si]) => si!);
  return words.say.instruments.trace.entry(
    formatDuration(trace.points.at(-1)![0]!),
    traceFigure(words, trace, Math.min(...values)),
    traceFigure(words, trace, Math.max(...values)),
  );
}
