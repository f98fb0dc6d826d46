import type { JobEvent, JobInputs, Sheet, TakenWith } from "../formats";
import { type Dimension, parseQuantity, unitNamed, unitsOf } from "../quantity";
import type { EntryRefusal } from "./refusal";
import type { Step } from "./step";

/** How long ago an instrument may have shown what is entered now: longer, and it says nothing of now. */
const FRESH_MS = 5 * 60_000;
/** How far the time of a reading may lie ahead of its entry: both are dated by one clock. */
const AHEAD_MS = 5000;
/** Figures are shown with few digits, and turned from one unit into another. */
const ROUNDED = 1e-5;

/** An entry with each instrument that it names put through a change. @param change is told the field, too */
export function withInstruments(
  event: JobEvent,
  change: (taken: TakenWith, path: string) => TakenWith,
): JobEvent {
  switch (event.kind) {
    case "reading-taken":
      return {
        ...event,
        ...(event.with !== undefined && { with: change(event.with, "/with") }),
        ...(event.kelvin_with !== undefined && { kelvin_with: change(event.kelvin_with, "/kelvin_with") }),
      };
    case "step-done":
    case "check-measured":
    case "bolt-pulled":
      return event.with === undefined ? event : { ...event, with: change(event.with, "/with") };
    case "trace-kept":
      return { ...event, with: change(event.with, "/with") };
    case "result-kept": {
      if (event.with === undefined) return event;
      const all = Object.entries(event.with).map(([name, taken]) => [name, change(taken, `/with/${name}`)]);
      return { ...event, with: Object.fromEntries(all) };
    }
    default:
      return event;
  }
}

/** Every instrument that an entry names, each at its field. */
function instrumentsOf(event: JobEvent): { readonly path: string; readonly taken: TakenWith }[] {
  const all: { readonly path: string; readonly taken: TakenWith }[] = [];
  withInstruments(event, (taken, path) => {
    all.push({ path, taken });
    return taken;
  });
  return all;
}

/** Why what an instrument is said to have shown is not taken: too long ago, something else, or of a model on a real valve. */
export function refuseTaken({ sheet }: JobInputs, event: JobEvent): EntryRefusal | undefined {
  const entered = Date.parse(event.at);
  for (const { path, taken } of instrumentsOf(event)) {
    if (taken.by === "simulated" && sheet.demonstration !== true)
      return { path: `${path}/by`, kind: "simulated-proves-nothing" };
    const age = entered - Date.parse(taken.at);
    // A trace ends where its instrument was lost.
    if (age > FRESH_MS && event.kind !== "trace-kept")
      return { path: `${path}/at`, kind: "read-too-long-ago", minutes: Math.round(age / 60_000) };
    if (age < -AHEAD_MS) return { path: `${path}/at`, kind: "read-after-its-entry" };
  }
  return showedOtherwise(sheet, event);
}

/** The figure that counts is the one the instrument showed. */
function showedOtherwise(sheet: Sheet, event: JobEvent): EntryRefusal | undefined {
  if (event.kind === "reading-taken") {
    const { dimension, si, kelvin, with: taken, kelvin_with: warmth } = event;
    return (
      other("/si", taken, si, dimension) ??
      (kelvin === undefined ? undefined : other("/kelvin", warmth, kelvin, "temperature"))
    );
  }
  if (event.kind === "result-kept") {
    const wrong = Object.entries(event.with ?? {}).find(([name, { read }]) => event.inputs[name] !== read);
    return wrong && { path: `/inputs/${wrong[0]}`, kind: "it-showed-otherwise", read: wrong[1].read };
  }
  if (event.kind !== "check-measured") return undefined;
  const check = sheet.checks.find(({ id }) => id === event.check);
  return check?.kind === "measure"
    ? other("/si", event.with, event.si, check.dimension, check.unit)
    : undefined;
}

/** @param own the unit of a sheet that no table has: "% LEL" */
function other(
  path: string,
  taken: TakenWith | undefined,
  si: number,
  dimension: Dimension,
  own = "",
): EntryRefusal | undefined {
  if (taken === undefined) return undefined;
  const known = unitNamed(own, dimension);
  const text =
    known === undefined && taken.read.endsWith(own)
      ? taken.read.slice(0, taken.read.length - own.length)
      : taken.read;
  const showed = parseQuantity(text, dimension, known ?? unitsOf(dimension)[0]!);
  return showed.ok && Math.abs(showed.value.si - si) <= ROUNDED * Math.max(1, Math.abs(si))
    ? undefined
    : { path, kind: "it-showed-otherwise", read: taken.read };
}

type TraceEvent = Extract<JobEvent, { kind: "trace-kept" }>;

/** A trace belongs to a card on which something is watched, and its points follow one another in time. */
export function refuseTrace(step: Step, { points, from, at }: TraceEvent): EntryRefusal | undefined {
  if (!tracedAt(step)) return { path: "/step", kind: "nothing-to-trace" };
  const ordered = points.every(([s], index) => s! >= 0 && (index === 0 || s! > points[index - 1]![0]!));
  if (points[0]![0] !== 0 || !ordered) return { path: "/points", kind: "points-out-of-order" };
  return Date.parse(from) + points.at(-1)![0]! * 1000 > Date.parse(at) + AHEAD_MS
    ? { path: "/points", kind: "points-out-of-order" }
    : undefined;
}

/** Whether something is watched over a time on this card: a section that stands, a figure that is measured, bolts. */
export const tracedAt = (step: Step): boolean =>
  step.kind === "hold" || step.kind === "tighten" || (step.kind === "check" && step.check.kind === "measure");
