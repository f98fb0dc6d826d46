import { useSyncExternalStore } from "react";
import type { Instrument, InstrumentKind } from "@/core/formats";
import type { Broken, Connected, Recording } from "@/core/instruments";
import type { Run } from "@/core/job";

/** An instrument that is connected to this page, with what can be done to it. */
export interface Plugged extends Connected {
  readonly id: string;
  /** How a simulated instrument is broken; nothing where it is a real one. */
  readonly broken?: Broken;
  readonly unplugged?: boolean;
  readonly handles: Handles;
}

export interface Handles {
  /** Lets go of it for good. */
  readonly letGo: () => void;
  /** Takes up the connection again. */
  readonly again: () => void;
  readonly unplug?: () => void;
  readonly breakIt?: (broken: Broken) => void;
}

/** What is connected, what the register says of instruments, and the job they are held at: one for all of a page. */
let plugged: readonly Plugged[] = [];
let register: readonly Instrument[] | undefined;
let lookedAt: Run | undefined;
let traces: (step: string) => readonly Recording[] = () => [];
const NO_INSTRUMENTS: readonly Instrument[] = [];
const listeners = new Set<() => void>();
const tell = () => {
  for (const each of listeners) each();
};

export const instruments = {
  all: () => plugged,
  register: (): readonly Instrument[] => register ?? NO_INSTRUMENTS,

  put: (one: Plugged) => {
    const known = plugged.some(({ id }) => id === one.id);
    plugged = known ? plugged.map((each) => (each.id === one.id ? one : each)) : [...plugged, one];
    tell();
  },
  drop: (id: string) => {
    plugged = plugged.filter((each) => each.id !== id);
    tell();
  },
  know: (all: readonly Instrument[]) => {
    register = all;
    tell();
  },
  /** The job that simulated instruments look at, until another is opened: who looks at another screen still waits at this valve. */
  lookAt: (job: Run) => {
    lookedAt = job;
  },
  lookedAt: () => lookedAt,
  /** What was recorded at a card so far, as it is kept with the job. */
  tracesOf: (step: string): readonly Recording[] => traces(step),
  recordedBy: (by: typeof traces) => {
    traces = by;
  },
  subscribe,
};

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const NONE: readonly Plugged[] = [];
/** What is connected, at every reading. */
export const usePlugged = (): readonly Plugged[] =>
  useSyncExternalStore(subscribe, instruments.all, () => NONE);

/** What the register says of instruments; nothing before it was asked. */
export const useRegister = (): readonly Instrument[] | undefined =>
  useSyncExternalStore(
    subscribe,
    () => register,
    () => undefined,
  );

/** Whether one of a kind is connected. */
export const useHasKind = (kind: InstrumentKind): boolean =>
  useSyncExternalStore(
    subscribe,
    () => plugged.some(({ heard }) => heard.hello?.kind === kind),
    () => false,
  );

/** How many are connected: what shows no reading is not drawn anew by each. */
export const useHowMany = (): number =>
  useSyncExternalStore(
    subscribe,
    () => plugged.length,
    () => 0,
  );
