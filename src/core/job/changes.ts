import type { Missing } from "../store";
import type { Run } from "./run";
import type { Step } from "./step";
import type { NamedRenewal } from "./steps/kit";

/** What a finding did to the plan. Parts by name, links by id. */
export interface PlanChange {
  readonly minutes: number;
  readonly added: readonly Step[];
  readonly dropped: readonly Step[];
  readonly renewed: readonly NamedRenewal[];
  /** Parts that come off besides. */
  readonly deeper: readonly string[];
  /** What the new renewals need and where it is; nothing where nothing more is renewed. */
  readonly kit?: {
    readonly missing: readonly Omit<Missing, "part">[];
    readonly picks: readonly { readonly name: string; readonly place: string }[];
    readonly leftovers: number;
  };
  /** Links to shut besides. */
  readonly shut: readonly string[];
  readonly noIsolationLeft: boolean;
}

/** Compares the plan before and after an event; nothing when the steps are the same. */
export function planChange(before: Run, after: Run): PlanChange | undefined {
  const had = new Set(before.plan.steps.map((step) => step.id));
  const has = new Set(after.plan.steps.map((step) => step.id));
  const added = after.plan.steps.filter((step) => !had.has(step.id));
  const dropped = before.plan.steps.filter((step) => !has.has(step.id));
  const renewedBefore = new Set(before.plan.renewals.map((each) => each.part));
  const renewed = after.plan.renewals.filter((each) => !renewedBefore.has(each.part));
  // That a note is asked again is no news.
  const news = [...added, ...dropped].filter(({ kind }) => kind !== "confirm");
  if (news.length === 0 && renewed.length === 0) return undefined;
  const name = (id: string) => after.inputs.sheet.parts.find((part) => part.id === id)?.name ?? id;
  const { kits } = after.plan;
  return {
    minutes: after.plan.minutes - before.plan.minutes,
    added,
    dropped,
    renewed: renewed.map((each) => ({ ...each, name: name(each.part) })),
    deeper: after.plan.removed.filter((part) => !before.plan.removed.includes(part)).map(name),
    ...(renewed.length > 0 && {
      kit: {
        missing: kits.missing.map(({ part: _, ...each }) => each),
        picks: kits.picks.map((pick) => ({ name: pick.name, place: pick.place })),
        leftovers: kits.leftovers.reduce((sum, each) => sum + each.quantity, 0),
      },
    }),
    shut: closures(after).filter((link) => !closures(before).includes(link)),
    noIsolationLeft: after.plan.isolation?.ok === false && before.plan.isolation?.ok === true,
  };
}

const closures = ({ plan: { isolation } }: Run): readonly string[] =>
  isolation?.ok === true ? isolation.value.closures.map((each) => each.link) : [];
