import { crewsOn } from "@/core/due-work";
import type { Person, RoundsQuestion } from "@/core/formats";
import type { Services } from "../services";
import { dayAfter, daysFrom, mondayBefore, WEEKS } from "./days";
import { spotKey } from "./due-ringing";

/** The crews of this house with their shifts of the next quarter, as far as these people are there. */
export function crewsAsked({ things, now }: Services, people: readonly Person[]): RoundsQuestion["crews"] {
  const house = things.one("house", "house");
  if (house === undefined) return [];
  const places = new Map(things.all("place").map((place) => [place.name, place]));
  const until = dayAfter(mondayBefore(now()), 7 * WEEKS);
  return crewsOn(house, people, daysFrom(now(), until), ({ base }) => spotKey({ place: base ?? "" }, places));
}
