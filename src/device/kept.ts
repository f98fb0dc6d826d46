import type { Certificates, JobEvent, JobInputs, Meanwhile, TakenWith } from "@/core/formats";
import type { Trace } from "@/core/job";
import type { OpenJobBody } from "@/edge/contracts/jobs";

/** An entry of a job that was made on this device and is not on the server. */
export interface KeptEntry {
  /** The order in which entries were kept; given by the store. */
  readonly order: number;
  readonly job: string;
  readonly id: string;
  readonly event: JobEvent;
  /** Waits for the server, or was not taken by it. */
  readonly state: "waiting" | "refused";
  /** Why it was not taken. */
  readonly why?: string;
}

/** What a job on this device began with: enough to work it without the server. It is large, and never changes. */
export interface KeptJob {
  readonly id: string;
  readonly inputs: JobInputs;
  readonly crew: ReadonlyMap<string, Certificates>;
  /** Names of those signed in on this device; nothing where one need not sign in. */
  readonly signedIn?: ReadonlySet<string>;
  /** Begun without signal: what the server has still to be asked before it takes entries. */
  readonly opening?: OpenJobBody;
}

/** Where a job on this device stands, as the server was last heard of it. */
export interface KeptLog {
  readonly id: string;
  readonly tag: string;
  readonly name: string;
  readonly says: string;
  /** When it was opened: another time is another job, though it has the same id. */
  readonly openedAt: string;
  /** What the server had of its log. */
  readonly stored: readonly JobEvent[];
  /** When that was, ms. */
  readonly heard: number;
  /** What had become otherwise on the server when it was handed in. */
  readonly meanwhile?: readonly Meanwhile[];
}

/** A job that was begun on this device and is not on the server. */
export interface Begun {
  readonly id: string;
  readonly tag: string;
  /** Why the server does not open it. */
  readonly refused?: string;
}

/** A photograph on this device, until the server has it. */
export interface KeptPhoto {
  readonly job: string;
  readonly photo: string;
  readonly blob: Blob;
  /** Bytes of it that have arrived. */
  readonly sent?: number;
}

/** What instruments show while a card waits: it survives a page that is closed. */
export interface KeptRecording {
  /** Job, card and instrument. */
  readonly id: string;
  readonly job: string;
  readonly trace: Trace;
  /** The instrument, as at its newest reading. */
  readonly with: TakenWith;
}

/** Something that was taken along, so that it opens without signal. */
export interface Along {
  readonly id: string;
  readonly what: "day" | "valve" | "place" | "line" | "bench";
  /** Which valve, place or line. */
  readonly of: string;
  readonly title: string;
  /** Addresses of its pages. */
  readonly pages: readonly string[];
  /** What is found there, in words; not of what was taken along before 0.23. */
  readonly names?: Readonly<Record<string, string>>;
  readonly jobs: readonly string[];
  /** When its pages were fetched last, ms. */
  readonly at: number;
  readonly bytes: number;
}

/** Something that was asked without signal, and is asked again when there is one. */
export interface KeptAct {
  readonly id: string;
  readonly act: "keepResult" | "moveStock" | "keepCase" | "reportFault";
  readonly params: unknown;
  readonly body: unknown;
  /** What it is, for whoever looks at what waits. */
  readonly says: string;
  /** When it was asked, ms. */
  readonly at: number;
  readonly state: "waiting" | "refused";
  /** Why it was not taken. */
  readonly why?: string;
}
