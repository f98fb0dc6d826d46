import type { FoundFeature } from "../build";
import type { HandedOver, JobEvent, JobInputs } from "../formats";
import { type HeldShut, heldAs } from "./as-it-stands";
import type { Done, GivenAnswer, KeptResult, KeptTrace, PutOff, SignedOn } from "./entered";
import { judgeStill } from "./standing-test";
import { readProving, readStepId } from "./step-id";
import type { TakenReading } from "./taken-reading";
import { holdsWhileWatched, openedBy } from "./watched";

/** Where a job stands: what its events, taken together, say. */
export interface Progress {
  readonly effective: readonly JobEvent[];
  readonly done: ReadonlyMap<string, Done>;
  readonly overridden: ReadonlyMap<string, Done & { readonly reason: string }>;
  /** Parts taken off and put in, in that order; links and stems shut and brought back: by their ids. */
  readonly stripped: ReadonlyMap<string, Done>;
  readonly fitted: ReadonlyMap<string, Done>;
  readonly shut: ReadonlyMap<string, Done>;
  readonly opened: ReadonlyMap<string, Done>;
  readonly readings: readonly TakenReading[];
  /** The proving readings that still count: a reading above zero starts the proof anew. */
  readonly proof: ReadonlyMap<string, TakenReading>;
  readonly answers: ReadonlyMap<string, GivenAnswer>;
  readonly waits: ReadonlyMap<
    string,
    { readonly from: number; readonly until: number; readonly event: string }
  >;
  readonly passing: readonly string[];
  /** What other jobs keep shut now; and what they kept when this one shut its first. */
  readonly held: HeldShut;
  readonly heldAtFirst: HeldShut;
  readonly bolts: ReadonlyMap<string, ReadonlySet<string>>;
  /** What the torque wrench read, N·m, by step and pull. */
  readonly pulls: ReadonlyMap<string, ReadonlyMap<string, number>>;
  /** Pieces of a stack counted out or in, by step. */
  readonly pieces: ReadonlyMap<string, number>;
  /** Lines of a list that were ticked, by step. */
  readonly ticked: ReadonlyMap<string, ReadonlySet<string>>;
  /** What was seen on the new part, by part: the newest comparison counts. */
  readonly compared: ReadonlyMap<string, readonly FoundFeature[]>;
  readonly photos: readonly { readonly step: string; readonly photo: string; readonly at: number }[];
  readonly judged: ReadonlyMap<
    string,
    { readonly disposition: "reuse" | "renew"; readonly reason: string; readonly by: string }
  >;
  /** Who signed on, with what the crew said of each then, and under whose eye. */
  readonly people: ReadonlyMap<string, SignedOn>;
  readonly notes: readonly {
    readonly at: number;
    readonly by: string;
    readonly text: string;
    readonly step?: string;
  }[];
  /** Bells that are silent for a while, by id. */
  readonly putOff: ReadonlyMap<string, PutOff>;
  /** What instruments showed over a time, oldest first. */
  readonly traces: readonly KeptTrace[];
  /** Results of the bench book that were kept, oldest first. */
  readonly kept: readonly KeptResult[];
  readonly stopped?: { readonly at: number; readonly by: string; readonly reason: string };
  readonly signedOff?: {
    readonly at: number;
    readonly by: string;
    readonly statement: string;
    readonly handedOver?: HandedOver;
  };
  readonly givenUp?: { readonly at: number; readonly by: string; readonly reason: string };
}

export const boltKey = (pass: number, bolt: number): string => `${pass}:${bolt}`;

/** Pa in a bar. */
export const BAR = 1e5;

/**
 * Events that still hold: an undo takes back its event, and an undo taken back gives it again. One that was made on
 * another device takes back only what was entered there.
 */
export function effectiveEvents(events: readonly JobEvent[]): JobEvent[] {
  const undone = new Set<string>();
  const there = new Set(events.flatMap(({ id, elsewhere }) => (elsewhere === undefined ? [] : [id])));
  for (const event of events.toReversed())
    if (event.kind === "undone" && !undone.has(event.id) && (!there.has(event.id) || there.has(event.event)))
      undone.add(event.event);
  return events.filter((event) => event.kind !== "undone" && !undone.has(event.id));
}

/** What an answer that a case brought along is called, where it is taken back. */
const foundId = (check: string) => `found:${check}`;

/** What the case brought along and nobody has taken back since: those checks are not asked. */
export function foundBefore(
  { trouble }: Pick<JobInputs, "trouble">,
  events: readonly JobEvent[],
): (NonNullable<JobInputs["trouble"]>["found"][number] & { readonly event: string })[] {
  const again = new Set(events.flatMap((event) => (event.kind === "undone" ? [event.event] : [])));
  return (trouble?.found ?? []).flatMap((each) =>
    again.has(foundId(each.check)) ? [] : [{ ...each, event: foundId(each.check) }],
  );
}

/** The newest entry that somebody made and can take back. */
export const newestOwn = ({ effective }: Pick<Progress, "effective">): JobEvent | undefined =>
  effective.findLast((event) => event.kind !== "others-hold" && event.elsewhere === undefined);

/** Two shut one valve, each with a lock of their own: both hang there, and both have to come off. */
function hangBoth(done: Map<string, Done>, event: JobEvent): void {
  if (event.kind !== "step-done" || readStepId(event.step)?.is !== "shut" || event.entry === undefined)
    return;
  const here = done.get(event.step);
  if (here?.entry === undefined || here.entry.split(", ").includes(event.entry)) return;
  done.set(event.step, { ...here, entry: `${here.entry}, ${event.entry}` });
}

/** Whether what another device entered changes where the job stands: the worse of two does, and a photograph or a trace is one more. */
const counts = ({ elsewhere, kind }: JobEvent): boolean =>
  elsewhere === undefined || elsewhere.settled === "worse" || kind === "photo-taken" || kind === "trace-kept";

/**
 * The state of a job as a pure function of what it began with and what happened: the screen, the record, the offline
 * copy and the tests all read it from here. Any prefix of a valid log is a valid log.
 */
export function replay(inputs: JobInputs, events: readonly JobEvent[]): Progress {
  const effective = effectiveEvents(events);
  const zero = inputs.sheet.isolation.zero_bar * BAR;
  const done = new Map<string, Done>();
  const overridden = new Map<string, Done & { reason: string }>();
  const readings: TakenReading[] = [];
  const proof = new Map<string, TakenReading>();
  const answers = new Map<string, GivenAnswer>();
  const waits = new Map<string, { from: number; until: number; event: string }>();
  const passing: string[] = [];
  let held = heldAs(inputs.held);
  let heldAtFirst: HeldShut | undefined;
  const bolts = new Map<string, Set<string>>();
  const pulls = new Map<string, Map<string, number>>();
  const pieces = new Map<string, number>();
  const ticked = new Map<string, Set<string>>();
  const compared = new Map<string, readonly FoundFeature[]>();
  const photos: { step: string; photo: string; at: number }[] = [];
  const judged = new Map<string, { disposition: "reuse" | "renew"; reason: string; by: string }>();
  const putOff = new Map<string, PutOff>();
  const notes: { at: number; by: string; text: string; step?: string }[] = [];
  const people = new Map<string, SignedOn>();
  const kept: KeptResult[] = [];
  const traces: KeptTrace[] = [];
  let stopped: Progress["stopped"];
  let signedOff: Progress["signedOff"];
  let givenUp: Progress["givenUp"];
  const startProofAnew = () => {
    proof.clear();
    for (const held of [...waits.keys(), ...done.keys()])
      if (readProving(held)?.part === "hold") {
        waits.delete(held);
        done.delete(held);
      }
  };

  for (const { check, answer, si, typed, at, by } of foundBefore(inputs, events)) {
    const given = { event: foundId(check), at: Date.parse(at), by };
    if (answer !== undefined) answers.set(check, { ...given, answer: { kind: "said", answer } });
    else if (si !== undefined && typed !== undefined)
      answers.set(check, { ...given, answer: { kind: "measured", si, typed } });
  }
  for (const event of effective) {
    const at = Date.parse(event.at);
    const { by, id } = event;
    if (event.elsewhere?.settled === "stops") {
      stopped = { at, by, reason: event.elsewhere.because ?? "" };
      // What was shut may have been opened: before anybody opens the valve zero is proven again.
      if (!openedBy(inputs.sheet, done.keys())) startProofAnew();
    }
    if (!counts(event)) {
      hangBoth(done, event);
      continue;
    }
    switch (event.kind) {
      case "step-done":
        if (readStepId(event.step)?.is === "shut") heldAtFirst ??= held;
        done.set(event.step, { event: id, at, by, ...(event.entry !== undefined && { entry: event.entry }) });
        break;
      case "step-overridden":
        overridden.set(event.step, { event: id, at, by, reason: event.reason });
        break;
      case "reading-taken": {
        const { step, what, dimension, si, typed, kelvin, with: taken } = event;
        const reading = {
          event: id,
          step,
          what,
          dimension,
          si,
          typed,
          at,
          by,
          ...(kelvin !== undefined && { kelvin }),
          ...(taken !== undefined && { with: taken }),
        };
        readings.push(reading);
        if (readProving(step) === undefined) break;
        // Cooling hides what is let in: a reading of zero is none when the colder section should show less.
        if (si > zero || (judgeStill(readings, zero)?.corrected ?? 0) > zero) startProofAnew();
        else proof.set(step, reading);
        break;
      }
      case "check-answered":
        answers.set(event.check, {
          event: id,
          at,
          by,
          answer: {
            kind: "said",
            answer: event.answer,
            ...(event.reason !== undefined && { reason: event.reason }),
          },
        });
        break;
      case "check-measured":
        answers.set(event.check, {
          event: id,
          at,
          by,
          answer: { kind: "measured", si: event.si, typed: event.typed },
        });
        break;
      case "piece-judged": {
        const before = answers.get(event.check)?.answer;
        const given = { ...(before?.kind === "pieces" && before.given), [event.piece]: event.answer };
        answers.set(event.check, { event: id, at, by, answer: { kind: "pieces", given } });
        break;
      }
      case "part-judged":
        judged.set(event.part, { disposition: event.disposition, reason: event.reason, by });
        break;
      case "bolt-pulled":
        bolts.set(event.step, (bolts.get(event.step) ?? new Set()).add(boltKey(event.pass, event.bolt)));
        if (event.reading_Nm !== undefined)
          pulls.set(
            event.step,
            (pulls.get(event.step) ?? new Map()).set(boltKey(event.pass, event.bolt), event.reading_Nm),
          );
        break;
      case "piece-set":
        pieces.set(event.step, event.piece);
        break;
      case "line-ticked":
        ticked.set(event.step, (ticked.get(event.step) ?? new Set()).add(event.line));
        break;
      case "part-compared":
        compared.set(event.part, event.found);
        break;
      case "photo-taken":
        photos.push({ step: event.step, photo: event.photo, at });
        break;
      case "still-pressure":
        startProofAnew();
        break;
      case "wait-started":
        waits.set(event.step, { from: at, until: at + event.minutes * 60_000, event: id });
        break;
      case "others-hold":
        held = heldAs(event.held);
        break;
      case "closure-passes":
        passing.push(event.link);
        startProofAnew();
        break;
      case "result-kept": {
        const { calculator, output, inputs: worked, si, typed, step } = event;
        kept.push({
          at,
          by,
          calculator,
          output,
          inputs: worked,
          si,
          typed,
          ...(step !== undefined && { step }),
        });
        break;
      }
      case "trace-kept": {
        const { step, dimension, with: taken, from, every_s, points } = event;
        traces.push({
          event: id,
          step,
          dimension,
          with: taken,
          from: Date.parse(from),
          every_s,
          points,
          by,
        });
        break;
      }
      case "signed-on":
        people.set(by, {
          event: id,
          at,
          by,
          may: event.may ?? {},
          under: [...(people.get(by)?.under ?? []), ...(event.under === undefined ? [] : [event.under])],
        });
        break;
      case "bell-put-off":
        putOff.set(event.bell, { until: at + event.minutes * 60_000, reason: event.reason, by });
        break;
      case "note-added":
        notes.push({ at, by, text: event.text, ...(event.step !== undefined && { step: event.step }) });
        break;
      case "stopped":
        stopped = { at, by, reason: event.reason };
        break;
      case "resumed":
        stopped = undefined;
        // Nobody watched the section meanwhile.
        if ((inputs.rules ?? 1) >= 4 && !openedBy(inputs.sheet, done.keys())) {
          startProofAnew();
          for (const id of done.keys()) if (holdsWhileWatched(id)) done.delete(id);
        }
        break;
      case "signed-off":
        signedOff = {
          at,
          by,
          statement: event.statement,
          ...(event.handedOver !== undefined && { handedOver: event.handedOver }),
        };
        break;
      case "given-up":
        givenUp = { at, by, reason: event.reason };
        break;
      case "undone":
        break;
    }
  }
  return {
    effective,
    done,
    overridden,
    stripped: about(done, "strip"),
    fitted: about(done, "fit"),
    shut: about(done, "shut"),
    opened: about(done, "open"),
    readings,
    proof,
    answers,
    waits,
    passing,
    held,
    heldAtFirst: heldAtFirst ?? held,
    bolts,
    pulls,
    pieces,
    ticked,
    compared,
    photos,
    judged,
    people,
    notes,
    putOff,
    traces,
    kept,
    ...(stopped !== undefined && { stopped }),
    ...(signedOff !== undefined && { signedOff }),
    ...(givenUp !== undefined && { givenUp }),
  };
}

/** What was done at steps of one sort, by what they were about, in the order of the log. */
const about = (done: ReadonlyMap<string, Done>, is: "strip" | "fit" | "shut" | "open"): Map<string, Done> =>
  new Map(
    [...done].flatMap(([id, each]) => {
      const ref = readStepId(id);
      return ref !== undefined && ref.is === is && "of" in ref ? [[ref.of, each] as const] : [];
    }),
  );
