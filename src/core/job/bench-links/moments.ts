import type { Part } from "../../formats";
import { relief } from "./relief";
import { rideThroughStart } from "./ride-through";
import { figure, is, open, type Rule } from "./rule";

const DAY_MS = 86_400_000;

/** Before anything is shut: who is harmed by the medium, by the outage, by the season. */
export const beforehand: Rule = ({ inputs }, step) => {
  if (step.kind !== "kit" && step.kind !== "tools") return [];
  const { medium } = inputs.sheet.isolation;
  if (medium === "ammonia" || medium === "co2")
    return [
      open("exposure", { gas: medium }),
      ...(step.kind === "kit" &&
      inputs.sheet.checks.some((each) => each.kind === "measure" && each.what === "set-pressure")
        ? [{ ...open("relief-check", relief(inputs)), decides: true as const }]
        : []),
    ];
  if (medium === "gas") return [open("season-gate"), open("leak-grade")];
  const [hydrant, actuator] = [is(inputs, "hydrant"), is(inputs, "fire-actuator")];
  return hydrant || actuator ? [open("impairment-clock", { what: hydrant ? "hydrant" : "system" })] : [];
};

/** Electricity is measured with a fit meter; mains are shut and filled slowly; CO2 comes back as vapour. */
export const shuttingAndOpening: Rule = ({ inputs, plan }, step) => {
  const { isolation } = inputs.sheet;
  if (step.kind === "shut") {
    if (step.by.kind === "closure" && step.by.medium === "electricity") return [open("meter-fitness")];
    return isolation.medium === "water" && (step.turns ?? 0) > 5 ? [open("hammer")] : [];
  }
  if (step.kind === "ask-twice" || step.kind === "live")
    return is(inputs, "meter-cock")
      ? [open("ride-through", rideThroughStart(inputs)), open("dial-test")]
      : [];
  if (step.kind !== "open") return [];
  if (isolation.medium === "co2") return [open("co2-charge")];
  const first = plan.steps.find((each) => each.kind === "open");
  return isolation.medium === "water" && first?.id === step.id ? [open("fill-and-vent"), open("hammer")] : [];
};

/** How long a part lives goes by what it is; the others are judged by eye alone. */
const LIFE_CLASS: Partial<Record<Part["shape"]["kind"], string>> = {
  seat: "seat",
  ball: "seat",
  disc: "seat",
  spring: "spring",
  coil: "motor",
  board: "electronics",
};

/** A looked-at part: renew it now that it is in the hand, or put it back. */
export const economics: Rule = ({ inputs }, step) => {
  if (step.kind !== "check" || step.phase !== "inspect" || step.check.part === undefined) return [];
  const part = inputs.sheet.parts.find((each) => each.id === step.part || each.id === step.check.part);
  const since = inputs.valve.serviced ?? inputs.valve.installed;
  if (part === undefined || part.oneUse !== undefined) return [];
  const kind = part.soft ? "elastomer" : LIFE_CLASS[part.shape.kind];
  if (kind === undefined) return [];
  const age = since === undefined ? undefined : (Date.parse(inputs.openedAt) - Date.parse(since)) / DAY_MS;
  return [
    open("renew-or-reuse", {
      part: kind,
      ...(age !== undefined && age > 0 && { age: `${figure(age)} d` }),
    }),
  ];
};

/** When the valve is due again, from the shortest interval of its sheet. */
export const afterwards: Rule = ({ inputs }, step) => {
  if (step.kind !== "sign-off") return [];
  const months = Math.min(...inputs.sheet.intervals.map((each) => each.every_months));
  return [open("interval", { last: inputs.openedAt.slice(0, 10), months: figure(months) })];
};
