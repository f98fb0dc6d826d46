import {
  type Certificates,
  type Competence,
  holdsAt,
  type JobInputs,
  type Medium,
  type Sheet,
} from "../formats";
import type { Phase } from "./phases";
import type { Progress } from "./progress";
import type { Step } from "./step";

/** What a medium asks of whoever works on it. Water and air ask for nothing that is proven by a paper. */
const OF_MEDIUM: Readonly<Record<Medium, readonly Competence[]>> = {
  water: [],
  steam: ["steam"],
  condensate: ["steam"],
  gas: ["gas"],
  air: [],
  ammonia: ["refrigerant"],
  co2: ["refrigerant"],
  oil: [],
  electricity: ["electricity"],
};

/** What whoever works on a valve of this sheet has to be competent for. */
export const asksOfSheet = ({ asks, isolation, traits }: Sheet): readonly Competence[] =>
  asks ?? [...OF_MEDIUM[isolation.medium], ...(traits?.includes("fire-actuator") ? ["fire" as const] : [])];

/** Nothing is done to the valve or the line yet. */
const BEFOREHAND: ReadonlySet<Phase> = new Set(["triage", "prepare"]);

/** Who locks power off and proves it dead has to be competent for that, and for that alone: it is done at the switch. */
const isElectrical = (step: Step): boolean =>
  step.kind === "dead" ||
  (step.kind === "shut" && step.by.kind === "closure" && step.by.medium === "electricity");

/** What a step asks of whoever does it. */
export function asksAt({ sheet, people }: JobInputs, step: Step): readonly Competence[] {
  // A second pair of eyes takes no paper: whoever answers for it has one.
  if (people === undefined || BEFOREHAND.has(step.phase) || step.kind === "second-signature") return [];
  return isElectrical(step) ? ["electricity"] : asksOfSheet(sheet);
}

/** What the whole job asks, at any of its steps: said before one goes there. */
export const asksOfJob = (inputs: JobInputs, steps: readonly Step[]): readonly Competence[] => [
  ...new Set(steps.flatMap((step) => asksAt(inputs, step))),
];

/** What somebody lacks of what is asked, at a moment: of one's own papers. @param at ms */
export const lacking = (
  asked: readonly Competence[],
  may: Certificates | undefined,
  at: number,
): readonly Competence[] =>
  asked.filter((what) => {
    const paper = may?.[what];
    return paper === undefined || !holdsAt(paper.until, at);
  });

/** What somebody on a job lacks, who may have it under the eye of others. @param at ms */
export function lackingOn(
  { people }: Pick<Progress, "people">,
  who: string,
  asked: readonly Competence[],
  at: number,
): readonly Competence[] {
  const on = people.get(who);
  const papers = on === undefined ? [] : [on.may, ...on.under.map((name) => people.get(name)?.may)];
  return asked.filter((what) => papers.every((may) => lacking([what], may, at).length > 0));
}

/** By what zero is proven: what is only opened, drained or waited for is nobody's word. */
const PROOFS: ReadonlySet<Step["kind"]> = new Set(["gauge", "dead", "crack"]);
export const isProof = ({ kind }: Pick<Step, "kind">): boolean => PROOFS.has(kind);

/** Who shut something off. */
export const whoShut = ({ shut }: Pick<Progress, "shut">): ReadonlySet<string> =>
  new Set([...shut.values()].map(({ by }) => by));
