import { type Portion, type UsedUp, usedUp } from "../store";
import { needsOf } from "./compile/context";
import type { Run } from "./run";

/** What a job counts on, so that no other one does: nothing once it is closed. */
export function countedOn({ plan, status }: Run): Portion[] {
  return status.kind === "signed-off" || status.kind === "not-begun"
    ? []
    : plan.kits.picks.map(({ item, name, from, pieces }) => ({ item, name, from, pieces }));
}

/** Renewals whose new part went in, or is in. */
export const fittedNew = ({ plan, tray }: Pick<Run, "plan" | "tray">) =>
  tray.items.flatMap((item) => {
    const renewal = plan.renewals.find((each) => each.part === item.part);
    return renewal === undefined || item.place === "on-tray" ? [] : [{ renewal, name: item.name }];
  });

/** What a job took out of the store, by what was really fitted. */
export const storeUse = (job: Run): UsedUp =>
  usedUp(
    job.inputs.sheet,
    job.plan.kits.picks,
    fittedNew(job).flatMap(({ renewal }) => needsOf(job.inputs.sheet, renewal)),
  );
