import { useSyncExternalStore } from "react";
import {
  asKept,
  channelOf,
  faultOf,
  type Recording,
  reads,
  recordOn,
  registeredAs,
  takenWith,
} from "@/core/instruments";
import { type Run, type Step, type Trace, tracedAt } from "@/core/job";
import { deviceStore } from "@/device/store";
import { timeNow } from "@/edge/clock";
import { instruments, type Plugged } from "./connected";

/** What is watched: one card of one job, from a moment on. */
interface Watched {
  readonly job: string;
  readonly step: string;
  readonly dimension: Trace["dimension"];
  readonly unit?: string;
  /** ms */
  readonly since: number;
}

let watched: Watched | undefined;
/** By the serial of the instrument. */
let recordings: ReadonlyMap<string, Recording> = new Map();
const listeners = new Set<() => void>();
const stand = (made: ReadonlyMap<string, Recording>) => {
  recordings = made;
  for (const each of listeners) each();
};

/** What is recorded at a card, where anything is. */
export function watchedAt(step: Step): Pick<Watched, "dimension" | "unit"> | undefined {
  if (!tracedAt(step)) return undefined;
  if (step.kind === "check" && step.check.kind === "measure")
    return {
      dimension: step.check.dimension,
      ...(step.check.dimension === "number" && { unit: step.check.unit }),
    };
  return { dimension: step.kind === "tighten" ? "torque" : "gauge pressure" };
}

const keyOf = ({ job, step }: Watched, serial: string): string => `${job}|${step}|${serial}`;

/** Begins to record what a card watches; what was recorded at it before the page was loaded is gone on with. */
export function watch(job: Run, step: Step, since: number): void {
  const what = watchedAt(step);
  if (what === undefined) return;
  const next = { ...what, job: job.inputs.id, step: step.id, since };
  if (watched?.job === next.job && watched.step === next.step && watched.since === since) return;
  watched = next;
  stand(new Map());
  void deviceStore()
    .recordings.where({ job: next.job })
    .toArray()
    .then((kept) => {
      const ours = kept.filter(({ id, trace }) => id.startsWith(keyOf(next, "")) && trace.from >= since);
      if (watched !== next || ours.length === 0) return;
      stand(
        new Map([
          ...ours.map((each) => [each.with.serial, joined(each, recordings.get(each.with.serial))] as const),
        ]),
      );
    });
}

/** What lay on the disk, and what was heard while it was read. */
const joined = (before: Recording, since: Recording | undefined): Recording => {
  if (since === undefined) return before;
  const later = (since.trace.from - before.trace.from) / 1000;
  return {
    ...since,
    trace: {
      ...before.trace,
      points: [...before.trace.points, ...since.trace.points.map(([s, ...rest]) => [s! + later, ...rest])],
    },
  };
};

/** s between two times that a recording is written to the disk. */
const WRITES_S = 5;
let written = 0;

function heard(): void {
  const now = timeNow();
  const { dimension, unit, since } = watched ?? {};
  if (watched === undefined || dimension === undefined || since === undefined) return;
  const wanted = { dimension, unit };
  let made: Map<string, Recording> | undefined;
  for (const one of instruments.all()) {
    const { hello, readings } = one.heard;
    const reading = readings.get(channelOf(wanted));
    if (hello === undefined || reading === undefined || !reads(one, wanted)) continue;
    if (faultOf(one.heard, now) !== undefined || one.unplugged === true) continue;
    const before = recordings.get(hello.serial);
    const after = recordOn(before, reading, {
      dimension,
      every_s: hello.every_s,
      taken: takenWith(one.by, hello, reading, registeredAs(instruments.register(), hello.serial)),
      since,
      kelvin: dimension === "gauge pressure" ? warmth(now) : undefined,
    });
    if (after !== undefined && after !== before)
      made = (made ?? new Map(recordings)).set(hello.serial, after);
  }
  if (made === undefined) return;
  stand(made);
  if (now - written < WRITES_S * 1000 || dimension === "torque") return;
  written = now;
  const rows = [...made].map(([serial, each]) => ({
    id: keyOf(watched!, serial),
    job: watched!.job,
    trace: asKept(each),
    with: each.with,
  }));
  void deviceStore().recordings.bulkPut(rows);
}

/** Temperature of the section, where a thermometer is connected. */
function warmth(now: number): number | undefined {
  const fit = (one: Plugged) => faultOf(one.heard, now) === undefined && one.unplugged !== true;
  return instruments
    .all()
    .filter(fit)
    .map(({ heard: { readings } }) => readings.get("temperature")?.si)
    .find((si) => si !== undefined);
}

instruments.subscribe(heard);
instruments.recordedBy((step) =>
  watched?.step !== step
    ? []
    : [...recordings.values()]
        .filter(({ trace }) => trace.points.length > 1)
        .map((each) => ({ ...each, trace: asKept(each) })),
);

const NONE: ReadonlyMap<string, Recording> = new Map();
/** What is recorded now. */
export const useRecordings = (): ReadonlyMap<string, Recording> =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => recordings,
    () => NONE,
  );
