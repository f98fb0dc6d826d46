import { readFileSync } from "node:fs";
import { refusalWords, type StepWords, speaker, stepWords } from "@/words";
import { workAgain } from "../calculators";
import type { Certificates, JobEvent, JobInputs, Line, Sheet, Store } from "../formats";
import { PLAN_RULES, readDocument } from "../formats";
import { toSI, unitNamed } from "../quantity";
import { accept } from "./accept";
import { asksAt, lacking, lackingOn } from "./competence";
import { BAR } from "./progress";
import type { Refusal } from "./refused";
import { type Run, run } from "./run";
import type { Step, StepOf } from "./step";
import { optionsOf } from "./steps/check";
import { WIPED } from "./steps/fit";
import { linesLeft } from "./steps/lines";
import { nextBolt } from "./steps/tighten";

/** Reads a demo document; a broken one is a bug in the demo. */
export function demoDocument<T>(path: string): T {
  const read = readDocument(
    JSON.parse(readFileSync(new URL(`../../../demo/${path}`, import.meta.url), "utf8")),
  );
  if (!read.ok) throw new Error(`${path}: ${JSON.stringify(read.error)}`);
  return read.value as T;
}

/** A sheet of the library that ships with Loft Bell. */
export const librarySheet = (id: string): Sheet => demoDocument<Sheet>(`../library/${id}.json`);

export const START = Date.parse("2026-06-01T09:00:00Z");

export function wetJob(more: Partial<JobInputs> = {}): JobInputs {
  return {
    id: "job-1",
    valve: {
      tag: "NQ-H07",
      name: "Hydrant on the slip",
      place: "North quay",
      sheet: "brae-quaywall-4",
      line: "north-quay",
      node: "NQ-H07",
      generation: "C",
      build: "bayonet",
    },
    sheet: librarySheet("brae-quaywall-4"),
    line: demoDocument<Line>("lines/north-quay.json"),
    store: demoDocument<Store>("stores/works-store.json"),
    reason: { kind: "symptom", says: "Upper outlet weeps when shut" },
    reach: ["disc"],
    policy: "on-condition",
    openedAt: new Date(START).toISOString(),
    openedBy: "Tam Arkle",
    rules: PLAN_RULES,
    ...more,
  };
}

export function dryJob(more: Partial<JobInputs> = {}): JobInputs {
  return {
    ...wetJob(),
    id: "job-2",
    valve: {
      tag: "NQ-H10",
      name: "Hydrant at the west wall",
      place: "North quay",
      sheet: "quillon-harbour-5",
      line: "north-quay",
      node: "NQ-H10",
      generation: "1",
      build: "opens-right",
    },
    sheet: librarySheet("quillon-harbour-5"),
    reach: ["main-seat"],
    reason: { kind: "symptom", says: "Water runs in the barrel when shut" },
    ...more,
  };
}

/** What a card says to a metric reader. */
export const says = (step: Step): StepWords => stepWords(speaker(), step);

/** Answers that differ from the good one, by check, or by what is noted. */
export type Answers = Readonly<Record<string, string>>;

/** What each of a small crew may do alone. */
const CREW: ReadonlyMap<string, Certificates> = new Map([
  ["Tam Arkle", { fire: { until: "open" } }],
  [
    "Isla Venn",
    {
      gas: { until: "2099-12-31", proof: "GC-4471" },
      refrigerant: { until: "open" },
      steam: { until: "open" },
    },
  ],
  ["Jory Pask", { gas: { until: "2020-01-01" } }],
  ["Bryn Collier", { electricity: { until: "open" } }],
  ["Odd Kerrigan", {}],
]);

/** Plays a technician who does every step well: the events of a job, one after the other, each accepted by the rules. */
export class Walk {
  readonly events: JobEvent[] = [];
  now: number;

  constructor(
    readonly inputs: JobInputs,
    readonly answers: Answers = {},
    start = START,
  ) {
    this.now = start;
  }

  #job: Run | undefined;

  get job(): Run {
    // A test may have put events in by hand.
    if (this.#job?.log.length === this.events.length) return this.#job;
    const made = run(this.inputs, [...this.events]);
    if (!made.ok) throw new Error(made.error.kind);
    this.#job = made.value;
    return made.value;
  }

  /** Adds an event of the technician's; a refusal is thrown, with its words. */
  add(event: Record<string, unknown>): this {
    const full = this.#dated(event);
    const taken = this.#offered(full);
    if (!taken.ok) throw new Error(`${taken.error.path} ${refusalWords(speaker(), taken.error, this.job)}`);
    this.events.push(full);
    this.#job = taken.value;
    return this;
  }

  /** Keeps a result of the bench book, worked out from what is typed; gives it in SI. */
  keep(sum: { calculator: string; inputs: Record<string, string>; output: string; step?: string }): number {
    const worked = workAgain(sum);
    if (!worked.ok) throw new Error(`${sum.calculator} gives no ${sum.output}`);
    const { si, said: typed } = worked.value;
    this.add({ kind: "result-kept", ...sum, si, typed });
    return si;
  }

  /** Why an event would not be taken; nothing is added. */
  refusal(event: Record<string, unknown>): Refusal | undefined {
    const taken = this.#offered(this.#dated(event));
    return taken.ok ? undefined : taken.error;
  }

  #dated = (event: Record<string, unknown>): JobEvent =>
    ({
      v: 1,
      id: `${this.inputs.id}-e${this.events.length + 1}`,
      at: new Date(this.now).toISOString(),
      by: "Tam Arkle",
      ...event,
    }) as JobEvent;

  #offered = (event: JobEvent) =>
    accept(this.job, event, { now: this.now, workAgain, mayOf: (name) => CREW.get(name) });

  /** Does whole steps until one matches, or the job is at its end. */
  until(matches: (step: Step) => boolean): this {
    for (let guard = 0; guard < 500; guard++) {
      const current = this.job.current;
      if (current === undefined || matches(current)) return this;
      this.doStep(current);
    }
    throw new Error("the walk does not end");
  }

  toEnd(): this {
    return this.until(() => false);
  }

  /** Whoever has what is lacking watches over it. */
  signOn(step: Step): void {
    const asked = asksAt(this.inputs, step);
    for (const what of lackingOn(this.job.progress, "Tam Arkle", asked, this.now)) {
      const [watch] = [...CREW].find(([, may]) => lacking([what], may, this.now).length === 0)!;
      if (!this.job.progress.people.has(watch))
        this.add({ kind: "signed-on", by: watch, may: CREW.get(watch) });
      if (watch !== "Tam Arkle") this.add({ kind: "signed-on", under: watch, may: CREW.get("Tam Arkle") });
    }
  }

  doStep(step: Step): void {
    this.signOn(step);
    const at = { step: step.id };
    this.now += Math.max(0.2, step.minutes) * 60_000;
    switch (step.kind) {
      case "gauge":
        this.add({
          kind: "reading-taken",
          ...at,
          what: "zero",
          dimension: "gauge pressure",
          si: 0,
          typed: "0 bar g",
        });
        return;
      case "second-signature":
        this.add({ kind: "step-done", ...at, by: "Isla Venn" });
        return;
      case "gate":
        this.add({
          kind: "reading-taken",
          ...at,
          what: "gate",
          dimension: "gauge pressure",
          si: step.above_bar * BAR,
          typed: `${step.above_bar} bar g`,
        });
        return;
      case "cure":
        this.now += step.minutes * 60_000;
        this.add({ kind: "step-done", ...at });
        return;
      case "hold":
      case "soak":
      case "discharge":
        this.add({ kind: "wait-started", ...at, minutes: step.minutes });
        this.now += step.minutes * 60_000;
        this.add({ kind: "step-done", ...at });
        return;
      case "check":
        if (step.wait_min !== undefined) {
          this.add({ kind: "wait-started", ...at, minutes: step.wait_min });
          this.now += step.wait_min * 60_000;
        }
        this.#check(step.check, at);
        return;
      case "tighten":
        for (
          let next = nextBolt(step, this.job.progress);
          next !== undefined;
          next = nextBolt(step, this.job.progress)
        )
          this.add({ kind: "bolt-pulled", ...at, pass: next.pass, bolt: next.bolt });
        return;
      case "strip":
      case "fit":
        // Undone entries may have left a stack half counted.
        for (
          let piece = 1 + (this.job.progress.pieces.get(step.id) ?? 0);
          piece <= step.pieces.length;
          piece++
        )
          this.add({ kind: "piece-set", ...at, piece });
        if (step.kind === "fit" && step.features.length > 0)
          this.add({
            kind: "part-compared",
            ...at,
            part: step.part!,
            found: step.features.map(({ name, value, nominal_mm }) =>
              nominal_mm === undefined ? { name, said: value } : { name, si: nominal_mm / 1000 },
            ),
          });
        if (step.kind === "fit" && step.wipe === true) this.add({ kind: "line-ticked", ...at, line: WIPED });
        this.add({ kind: "step-done", ...at, ...(step.count > 1 && { entry: `${step.count}` }) });
        return;
      case "kit":
      case "task":
      case "other-way":
      case "ready":
      case "tray":
        for (const line of linesLeft(step, this.job.progress))
          this.add({ kind: "line-ticked", ...at, line: line.id });
        this.add({ kind: "step-done", ...at, ...entry(step) });
        return;
      case "mark":
        if (step.photo === true)
          this.add({ kind: "photo-taken", ...at, photo: `photo-${step.mark}`, sha256: "0".repeat(64) });
        this.add({
          kind: "step-done",
          ...at,
          ...(this.answers[step.mark] === undefined ? entry(step) : { entry: this.answers[step.mark] }),
        });
        return;
      case "sign-off":
        this.add({ kind: "signed-off", statement: "Back in service" });
        return;
      case "blocked":
        throw new Error(says(step).reason);
      default:
        this.add({ kind: "step-done", ...at, ...entry(step) });
    }
  }

  #check(check: Extract<Step, { kind: "check" }>["check"], at: { step: string }): void {
    const given = this.answers[check.id];
    if (check.kind === "choice")
      this.add({
        kind: "check-answered",
        ...at,
        check: check.id,
        answer: given ?? check.options.find((each) => each.means === "reuse")!.id,
      });
    else if (check.kind === "pieces")
      for (const [index, piece] of (
        this.job.inputs.sheet.parts.find(({ id }) => id === check.part)?.pieces ?? []
      ).entries())
        this.add({
          kind: "piece-judged",
          ...at,
          check: check.id,
          piece: index + 1,
          answer: (optionsOf(check, piece).find((each) => each.id === given) ??
            optionsOf(check, piece).find((each) => each.means === "reuse"))!.id,
        });
    else if (check.kind === "trick")
      this.add({ kind: "check-answered", ...at, check: check.id, answer: given ?? "go" });
    else {
      const value =
        given === undefined ? ((check.low ?? 0) + (check.high ?? (check.low ?? 1) * 1.1)) / 2 : Number(given);
      const unit = unitNamed(check.unit, check.dimension);
      this.add({
        kind: "check-measured",
        ...at,
        check: check.id,
        si: unit === undefined ? value : toSI(value, unit),
        typed: `${value} ${check.unit}`,
      });
    }
  }
}

/** The first place that no other end was noted at. */
const freePlace = ({ choices, taken = [] }: StepOf<"mark">): string =>
  choices.find((choice) => taken.every(({ place }) => place !== choice))!;

function entry(step: Step): { entry?: string } {
  if (step.kind === "task" && step.count !== undefined) return { entry: `${step.count.before ?? 1}` };
  if (step.kind === "task" && step.swing !== undefined) return { entry: "2.5" };
  if (step.kind === "shut" || step.kind === "stop-pump") return { entry: "14" };
  if (says(step).ask !== undefined) return { entry: "Station officer, duty officer" };
  if (step.kind === "mark")
    return { entry: step.figure === undefined ? freePlace(step) : `${step.figure.low ?? 1}` };
  if (step.kind === "confirm") return { entry: step.right ?? step.noted };
  if (step.kind === "crack") return { entry: "dry" };
  if (step.kind === "ask-twice" || step.kind === "live") return { entry: "yes, twice" };
  if (step.kind === "tray") return { entry: `${step.leftovers}` };
  return {};
}

/** Every answer that a look can give: each button, or a reading on each side of its limits. */
export function everyAnswer(check: Sheet["checks"][number], { parts }: Sheet): JobEvent[][] {
  const head = {
    v: 1 as const,
    at: new Date(START).toISOString(),
    by: "Tam Arkle",
    step: `check:${check.id}`,
    check: check.id,
  };
  switch (check.kind) {
    case "choice":
      return check.options.map(({ id }) => [{ ...head, id, kind: "check-answered", answer: id }]);
    case "pieces":
      return check.options.map(({ id }) =>
        (parts.find((part) => part.id === check.part)?.pieces ?? []).map((piece, index) => {
          const can = optionsOf(check, piece);
          const answer = (can.find((option) => option.id === id) ?? can[0]!).id;
          return { ...head, id: `${id}-${index}`, kind: "piece-judged", piece: index + 1, answer };
        }),
      );
    case "trick":
      return ["go", "no-go"].map((id) => [{ ...head, id, kind: "check-answered", answer: id }]);
    case "measure": {
      const unit = unitNamed(check.unit, check.dimension);
      const { low, high } = check;
      const beyond = [low === undefined ? [] : [low * 0.5], high === undefined ? [] : [high * 1.5]].flat();
      return beyond.map((value) => [
        {
          ...head,
          id: `read-${value}`,
          kind: "check-measured",
          si: unit === undefined ? value : toSI(value, unit),
          typed: `${value} ${check.unit}`,
        },
      ]);
    }
  }
}
