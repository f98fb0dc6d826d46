import type { JobInputs, Part, Trait } from "../../formats";
import { sheetNow } from "../../formats";
import type { Run } from "../run";
import type { Step } from "../step";

/** A calculation that helps at a step, opened with what the job knows already. */
export interface BenchLink {
  readonly calculator: string;
  /** Inputs to begin with, as typed. */
  readonly start: Readonly<Record<string, string>>;
  /** The answer that can stand as the step's own measurement. */
  readonly measures?: string;
  /** Its answer decides here: it stands open on the card. */
  readonly decides?: true;
}

export type Links = readonly BenchLink[];
export type Rule = (job: Run, step: Step) => Links;

export const figure = (value: number): string => String(Number(value.toPrecision(6)));
export const open = (calculator: string, start: BenchLink["start"] = {}): BenchLink => ({
  calculator,
  start,
});

/** What the valve is to the world around it. */
export const is = ({ sheet }: JobInputs, trait: Trait): boolean =>
  sheetNow(sheet).traits?.includes(trait) === true;

export const partOf = ({ inputs }: Run, step: Step): Part | undefined =>
  inputs.sheet.parts.find((part) => part.id === step.part);
