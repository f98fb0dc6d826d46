import type { JobInputs } from "../formats";
import type { Run } from "./run";

/** What a finding did to the plan, said to the person who made it. */
export interface PlanChange {
  readonly minutes: number;
  readonly added: readonly string[];
  readonly dropped: readonly string[];
  readonly says: readonly string[];
}

/** Compares the plan before and after an event; nothing when the steps are the same. */
export function planChange(before: Run, after: Run): PlanChange | undefined {
  const had = new Set(before.plan.steps.map((step) => step.id));
  const has = new Set(after.plan.steps.map((step) => step.id));
  const added = after.plan.steps.filter((step) => !had.has(step.id)).map((step) => step.title);
  const dropped = before.plan.steps.filter((step) => !has.has(step.id)).map((step) => step.title);
  const renewedBefore = new Set(before.plan.renewals.map((each) => each.part));
  const renewed = after.plan.renewals.filter((each) => !renewedBefore.has(each.part));
  if (added.length === 0 && dropped.length === 0 && renewed.length === 0) return undefined;
  return {
    minutes: after.plan.minutes - before.plan.minutes,
    added,
    dropped,
    says: sentences(before, after, renewed),
  };
}

function sentences(before: Run, after: Run, renewed: Run["plan"]["renewals"]): string[] {
  const says: string[] = [];
  const name = (id: string) => partName(after.inputs, id);
  const found = renewed.filter((each) => each.because !== "spoiled");
  const spoiled = renewed.filter((each) => each.because === "spoiled");
  if (found.length > 0)
    says.push(`Renew ${list(found.map((each) => name(each.part)))}: ${lowerFirst(found[0]!.why)}`);
  if (spoiled.length > 0)
    says.push(`The deeper strip spoils ${list(spoiled.map((each) => name(each.part)))}.`);
  const deeper = after.plan.removed.filter((part) => !before.plan.removed.includes(part));
  if (deeper.length > 0) says.push(`Take off ${list(deeper.map(name))}, too.`);
  if (renewed.length > 0) {
    const { kits } = after.plan;
    if (kits.missing.length > 0)
      says.push(
        `No stock has ${list(kits.missing.map(({ part }) => name(part)))}: get it before you go on, or stop work.`,
      );
    else if (kits.picks.length > 0)
      says.push(
        `${list(kits.picks.map((pick) => `${pick.name} (${pick.place})`))} ${kits.picks.length === 1 ? "has" : "have"} what is needed.`,
      );
    const left = kits.leftovers.reduce((sum, each) => sum + each.quantity, 0);
    if (left > 0) says.push(`${left} ${left === 1 ? "piece" : "pieces"} will be left over: that is right.`);
  }
  const closures = (run: Run) =>
    run.plan.isolation?.ok === true ? run.plan.isolation.value.closures.map((each) => each.link) : [];
  const newly = closures(after).filter((link) => !closures(before).includes(link));
  if (newly.length > 0) says.push(`Shut ${list(newly)} as well, then prove zero again.`);
  if (after.plan.isolation?.ok === false && before.plan.isolation?.ok === true)
    says.push("There is no safe isolation left. Stop work and make the section safe.");
  return says;
}

const partName = ({ sheet }: JobInputs, id: string) =>
  (sheet.parts.find((part) => part.id === id)?.name ?? id).toLowerCase();
const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
const list = (names: readonly string[]) =>
  names.length < 2 ? (names[0] ?? "") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
