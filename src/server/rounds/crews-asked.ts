import { crewsOn } from "@/core/due-work";
import type { Person, RoundsQuestion } from "@/core/formats";
import type { Pace } from "@/core/rounds";
import type { Services } from "../services";
import { dayAfter, daysFrom, mondayBefore, WEEKS } from "./days";
import { placesByName, spotKey } from "./ringing-valve";

/** The crews of this house with their shifts of the next quarter, as far as these people are there, at their pace. */
export function crewsAsked(
  services: Services,
  people: readonly Person[],
  pace: Pace,
): RoundsQuestion["crews"] {
  const { things, now } = services;
  const house = things.one("house", "house");
  if (house === undefined) return [];
  const places = placesByName(services);
  const until = dayAfter(mondayBefore(now()), 7 * WEEKS);
  const crews = crewsOn(house, people, daysFrom(now(), until), ({ base }) =>
    spotKey({ place: base ?? "" }, places),
  );
  return crews.map((crew) => ({ ...crew, pace: pace.ofCrew(crew.id) }));
}
