import type { Sheet, Valve } from "@/core/formats";
import { dues } from "@/core/rounds";
import { AT_ONCE, type FromSheet, NEVER } from "@/data";
import { dueWhat, dueWhy, speaker } from "@/words";
import { findablePlace, findableValve } from "../find/findable";
import type { Services } from "../services";
import { measuredNow } from "./courses";

/** What a valve's row keeps of its sheet: the family it is listed under, and when it rings next. */
export function fromSheet(services: Services, valve: Valve, sheet: Sheet | undefined): FromSheet {
  const next = sheet && dues(valve, sheet, AT_ONCE, measuredNow(services, valve, sheet))[0];
  return {
    family: sheet?.family ?? "",
    due:
      next === undefined
        ? { at: NEVER, what: "", why: "" }
        : { at: next.at, what: dueWhat(speaker(), next), why: dueWhy(speaker(), next) },
  };
}

/** Stores a valve with all that lists and find show of it. */
export function keepValve(
  services: Services,
  valve: Valve,
  sheet = services.library.sheet(valve.sheet),
): void {
  const { register, find } = services;
  const before = register.anyValve(valve.tag);
  register.save(valve, fromSheet(services, valve, sheet));
  if (
    before === undefined ||
    before.name !== valve.name ||
    before.place !== valve.place ||
    before.serial !== valve.serial ||
    before.retired !== valve.retired
  )
    find.put("valve", valve.tag, findableValve(valve));
  if (before?.place !== valve.place) keepPlace(services, valve.place);
  if (before !== undefined && before.place !== valve.place) keepPlace(services, before.place);
}

/** A valve whose readings have changed rings by them. */
export function ringAnew(services: Services, tag: string): void {
  const valve = services.register.valve(tag);
  if (valve !== undefined)
    services.register.save(valve, fromSheet(services, valve, services.library.sheet(valve.sheet)));
}

export function removeValve(services: Services, tag: string): void {
  const { register, find } = services;
  const place = register.anyValve(tag)?.place;
  register.remove(tag);
  find.remove("valve", tag);
  if (place !== undefined) keepPlace(services, place);
}

/** A place can be found as long as a valve stands there, or somebody has described it. */
function keepPlace({ register, find, things }: Services, place: string): void {
  if (!register.standsAnythingAt(place) && things.one("place", place) === undefined)
    find.remove("place", place);
  else if (!find.has("place", place)) find.put("place", place, findablePlace(place));
}
