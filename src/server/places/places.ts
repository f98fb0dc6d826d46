import type { Ground, Place } from "@/core/formats";
import { placeOf, type Spot, spotOf } from "@/core/places";
import type { Services } from "../services";

/** A place with what stands there: in it, and in its rooms that nobody described by themselves. */
export interface PlaceCount {
  readonly place: Place;
  readonly spot: Spot | undefined;
  readonly valves: number;
  readonly late: number;
}

export interface PlacesSeen {
  readonly places: readonly PlaceCount[];
  /** Places of the register that nobody has described. */
  readonly strange: readonly { readonly name: string; readonly valves: number }[];
  readonly ground: Ground | undefined;
}

/** The places, with how many valves stand at each and how many of them are late. */
export function placesSeen({ things, register, now }: Services): PlacesSeen {
  const all = new Map(things.all("place").map((place) => [place.name, place]));
  const valves = new Map<string, number>();
  const strange: { name: string; valves: number }[] = [];
  for (const { value, count } of register.facet("place", now())) {
    const at = placeOf(value, all);
    if (at === undefined) strange.push({ name: value, valves: count });
    else valves.set(at.name, (valves.get(at.name) ?? 0) + count);
  }
  const late = new Map<string, number>();
  for (const { value, count } of register.lateByPlace(now())) {
    const at = placeOf(value, all)?.name ?? "";
    late.set(at, (late.get(at) ?? 0) + count);
  }
  return {
    places: [...all.values()].map((place) => ({
      place,
      spot: spotOf(place, all),
      valves: valves.get(place.name) ?? 0,
      late: late.get(place.name) ?? 0,
    })),
    strange,
    ground: things.one("ground", "ground"),
  };
}
