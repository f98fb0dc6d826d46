import type { HowLong, Ringing } from "@/core/due-work";
import type { Place, Sheet, Valve } from "@/core/formats";
import { spotOf } from "@/core/places";
import type { Services } from "../services";

/** A valve that rings within a plan, with what a screen says of it. */
export interface RingingValve extends Ringing {
  readonly name: string;
  readonly place: string;
  readonly what: string;
  /** What rings first, in the words of the sheet. */
  readonly interval: string;
  readonly why: string;
  readonly long: HowLong;
  /** One that somebody stopped: it is gone on with. */
  readonly job?: string;
}

export const placesByName = ({ things }: Services): ReadonlyMap<string, Place> =>
  new Map(things.all("place").map((place) => [place.name, place]));

/** A complaint does not wait for the season of what rings beside it. */
export const mayBeDone = (
  place: Place | undefined,
  interval: Sheet["intervals"][number] | undefined,
): RingingValve["mayBeDone"] => ({
  noticeDays: place?.notice_days ?? 0,
  ...(place?.hours !== undefined && { hours: place.hours }),
  ...(interval?.season !== undefined && { season: interval.season }),
});

/** What is due on a day is in time until that day ends, by the clock on the wall of the server. */
export const endOfDay = (at: number): number => new Date(at).setHours(23, 59, 59, 999);

/** Where nobody knows the way: it counts as none. */
export const NOWHERE = "nowhere";

export const spotKey = (
  valve: Pick<Valve, "place" | "lat" | "lon">,
  places: ReadonlyMap<string, Place>,
): string => {
  const spot = spotOf(valve, places);
  return spot === undefined ? NOWHERE : `${spot.lat} ${spot.lon}`;
};
