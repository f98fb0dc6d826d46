import type { RoundsChanged, RoundsQuestion } from "../formats";
import type { CostOfYear, PlannedShift } from "../rounds";
import type { Bring } from "./bring";
import type { HowLong } from "./how-long";
import type { Apart } from "./joint";
import type { Begun } from "./reported";
import type { JointWork } from "./shut-once";

/** A valve that rings and cannot be planned: a job is at it already, or none can be compiled. */
export interface NotPlanned {
  readonly tag: string;
  readonly kind: "at-work" | "no-job";
}

/** A valve's work as a block of a week says it. */
export interface RoundsWork {
  readonly tag: string;
  readonly name: string;
  readonly place: string;
  readonly what: string;
  readonly why: string;
  /** ms. */
  readonly due: number;
  /** As its family takes here. */
  readonly minutes: number;
  readonly long: HowLong;
  readonly needs: readonly string[];
  readonly people: number;
  readonly lost: readonly string[];
  /** On which it is shut off. */
  readonly line?: string;
  /** What is opened, by its names on the line, where anything is shut for it. */
  readonly opens?: readonly string[];
  /** What it is never out with, and why. */
  readonly apart: readonly { readonly tag: string; readonly because: Apart["because"] }[];
  /** A job that somebody stopped, and that is gone on with. */
  readonly job?: string;
  /** Its way is not counted. */
  readonly nowhere?: true;
}

/** What a crew is at or has done of its kept plan. */
export interface BegunWork extends Begun {
  readonly name: string;
  readonly place: string;
  /** Key of where it stands among the places of the question. */
  readonly spot: string;
}

/** What is asked of the rounds of a house: all that rings, and who is there for it. */
export interface HouseAsked {
  /** ms. */
  readonly at: number;
  /** The weeks that are planned: by the date of their Monday, and when that begins, ms. */
  readonly weeks: readonly { readonly id: string; readonly from: number }[];
  readonly crews: readonly {
    readonly id: string;
    readonly people: readonly string[];
    readonly skills: readonly string[];
  }[];
  readonly question: RoundsQuestion;
  readonly works: Readonly<Record<string, RoundsWork>>;
  /** What is shut off once. */
  readonly joint: readonly JointWork[];
  /** What rings and is not planned, and why. */
  readonly not: readonly NotPlanned[];
  readonly begun: readonly BegunWork[];
  /** What each asks to bring along, and whom to tell. */
  readonly brings: Readonly<Record<string, Bring>>;
}

/** One that planning again put elsewhere, and why. */
export interface Moved extends RoundsChanged {
  readonly says: string;
}

/** A plan in figures that can be held beside those of another. */
export interface WhatIfFigures {
  readonly km: number;
  readonly overtime_min: number;
  /** Of all that is late, together. */
  readonly late_days: number;
  /** In no shift. */
  readonly left: number;
}

/** What a plan would be if something happened. */
export interface WhatIfAnswer {
  /** Who goes, where one is called somewhere. */
  readonly crew?: string;
  readonly moved: readonly Moved[];
  readonly before: WhatIfFigures;
  readonly after: WhatIfFigures;
}

/** What people were told of a week. */
export interface PublishedWeek {
  readonly at: string;
  readonly by: string;
  /** Against what they were told before. */
  readonly changed: readonly RoundsChanged[];
  /** What was moved since. */
  readonly since: readonly RoundsChanged[];
}

export interface HouseRounds extends Omit<HouseAsked, "weeks" | "brings"> {
  /** Whether it stands in the book; otherwise it is a proposal that nobody kept. */
  readonly kept: boolean;
  readonly weeks: readonly {
    readonly id: string;
    readonly from: number;
    readonly crews: readonly {
      readonly crew: string;
      readonly hours: number;
      readonly planned_h: number;
    }[];
    /** Put by hand. */
    readonly fixed: readonly string[];
    readonly published?: PublishedWeek;
  }[];
  readonly shifts: readonly PlannedShift[];
  /** Kits and parts that the work takes along. */
  readonly kits: readonly string[];
  readonly unplaced: readonly { readonly task: string; readonly says: readonly string[] }[];
  /** Of the weeks. */
  readonly cost: CostOfYear;
  readonly bound: number;
}
