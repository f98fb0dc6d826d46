import { type DaySheet, daySheet } from "@/core/due-work";
import type { Ground } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { speaker } from "@/words";
import type { Services } from "../services";
import { planNow } from "./planned-rounds";
import { type HouseGround, readAsked } from "./rounds-now";

/** One crew's day, with the ground that its way is drawn on. */
export interface HouseDay {
  readonly sheet: DaySheet;
  readonly ground?: Ground;
}

/** @param day any moment of it, ms */
export function houseDay(
  services: Services,
  ground: HouseGround,
  { crew, day }: { readonly crew: string; readonly day: number },
): Result<HouseDay, Problem[]> {
  const { shifts } = planNow(services, ground);
  const midnight = (ms: number) => new Date(ms).setHours(0, 0, 0, 0);
  const shift = shifts.find(
    (each) =>
      each.crew === crew && midnight(Date.parse(each.from)) === midnight(day) && each.visits.length > 0,
  );
  if (shift === undefined)
    return err([{ path: "?crew", message: speaker().say.rounds.nothingThatDay(crew) }]);
  const map = services.things.one("ground", "ground");
  return ok({ sheet: daySheet(ground.asked, readAsked(ground.asked), shift), ...(map && { ground: map }) });
}
