import type { ChosenWay, JobInputs } from "../formats";
import { type Offer, schoolOffers } from "../schools";
import { compile } from "./compile";
import { contextOf } from "./compile/context";
import { replay } from "./progress";
import { timesOf } from "./times";

/** What practitioners differ on that arises in this job, as its sheet would do it. */
export function schoolsHere({ schools: _, ...inputs }: JobInputs): Offer[] {
  const made = contextOf(inputs, replay(inputs, []));
  return made.ok ? schoolOffers(made.value) : [];
}

/** What a job takes that is worked by these ways. */
export interface WayCost {
  readonly minutes: number;
  /** Without service, min; none where nobody goes without. */
  readonly outage_min: number;
  /** Kits and parts, in the currency of the store. */
  readonly price: number;
  /** Parts that nobody has free, by name. */
  readonly missing: readonly string[];
  /** What each joint is pulled to, N·m. */
  readonly torques: readonly { readonly part: string; readonly torque_Nm: number }[];
}

/** The job compiled by these ways: minutes, outage, parts, and how hard each joint is pulled. */
export function costOfWays(inputs: JobInputs, schools: readonly ChosenWay[]): WayCost | undefined {
  const worked = { ...inputs, schools: [...schools] };
  const plan = compile(worked, replay(worked, []));
  if (!plan.ok) return undefined;
  const { steps, minutes, kits } = plan.value;
  const { dead_min, cover_min, outage } = timesOf(plan.value);
  return {
    minutes,
    outage_min: outage ? dead_min + cover_min : 0,
    price: kits.price,
    missing: kits.missing.map(({ name }) => name),
    torques: steps.flatMap((step) => {
      if (step.kind === "tighten")
        return [{ part: step.name, torque_Nm: step.passes.at(-1)?.torque_Nm ?? 0 }];
      const one = step.kind === "fit" || step.kind === "tighten-one" ? step.torque_Nm : undefined;
      const named = inputs.sheet.parts.find(({ id }) => id === step.part)?.name;
      return one === undefined || named === undefined ? [] : [{ part: named, torque_Nm: one }];
    }),
  };
}
