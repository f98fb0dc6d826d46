import type { ThingKind } from "@/core/formats";
import type { Wanted } from "../book/kind";
import type { Services } from "../services";

/** Whatever names a thing by the name it had, with the name it has now. */
export function followers(
  { register, things, library }: Services,
  kind: ThingKind,
  from: string,
  to: string,
): Wanted[] {
  const papers =
    kind === "place" || kind === "valve"
      ? things
          .papersOf(kind, from)
          .map((paper): Wanted => ({ kind: "paper", id: paper.id, after: { ...paper, owner: to } }))
      : [];
  if (kind !== "place") return papers;
  const valves = [...register.at(from), ...register.retired().filter(({ place }) => place === from)];
  return [
    ...papers,
    ...valves.map((valve): Wanted => ({ kind: "valve", id: valve.tag, after: { ...valve, place: to } })),
    ...things
      .all("place")
      .filter(({ within }) => within === from)
      .map((place): Wanted => ({ kind: "place", id: place.name, after: { ...place, within: to } })),
    ...library
      .people()
      .filter(({ base }) => base === from)
      .map((person): Wanted => ({ kind: "person", id: person.id, after: { ...person, base: to } })),
  ];
}
