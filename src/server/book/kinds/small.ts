import type { TSchema } from "@sinclair/typebox";
import type { Crew, Person, SmallKind } from "@/core/formats";
import {
  CaseSchema,
  GroundSchema,
  HouseSchema,
  InstrumentSchema,
  MappingSchema,
  OrderSchema,
  PaperSchema,
  type Place,
  PlaceSchema,
  RoundsWeekSchema,
  TroubleSchema,
} from "@/core/formats";
import type { Problem } from "@/core/result";
import { checkTrouble } from "@/core/trouble";
import type { SmallThings } from "@/data";
import { findableInstrument, findablePlace } from "../../find/findable";
import type { Services } from "../../services";
import type { Kind } from "../kind";

/** What there is little of lies in one table, each by its id. */
const small = <K extends SmallKind>(
  kind: K,
  schema: TSchema,
  idOf: (thing: SmallThings[K]) => string,
  more: Partial<Kind<SmallThings[K]>> = {},
): Kind<SmallThings[K]> => ({
  find: ({ things }, id) => things.one(kind, id),
  keep: ({ things }, thing) => things.save(kind, idOf(thing), thing),
  remove: ({ things }, id) => things.remove(kind, id),
  shape: schema,
  ...more,
});

/** A place within itself, by however many others, is nowhere. */
function inCircle({ things }: Services, place: Place): boolean {
  const seen = new Set<string>();
  for (let at: Place | undefined = place; at?.within !== undefined; at = things.one("place", at.within)) {
    if (seen.has(at.name)) return true;
    seen.add(at.name);
  }
  return false;
}

function placeFaults(services: Services, place: Place): Problem[] {
  const faults: Problem[] = [];
  const alike = services.things
    .all("place")
    .find(({ name }) => name !== place.name && name.toLowerCase() === place.name.toLowerCase());
  if (alike !== undefined)
    faults.push({
      path: "/name",
      message: `There is a place "${alike.name}" already. Add what tells the two apart.`,
    });
  if (place.within !== undefined && services.things.one("place", place.within) === undefined)
    faults.push({
      path: "/within",
      message: `There is no place "${place.within}". Add it first, or leave this empty.`,
    });
  else if (inCircle(services, place))
    faults.push({ path: "/within", message: "Then it would lie within itself. Choose a larger place." });
  if ((place.lat === undefined) !== (place.lon === undefined))
    faults.push({
      path: place.lat === undefined ? "/lat" : "/lon",
      message: "A place on the map needs both: degrees north and degrees east.",
    });
  for (const [day, span] of Object.entries((place.hours ?? {}) as Record<string, string>)) {
    const [from, to] = span.split("-");
    if (from! >= to!)
      faults.push({
        path: `/hours/${day}`,
        message: `"${span}" ends before it begins. Write the earlier hour first.`,
      });
  }
  return faults;
}

export const PLACE = small("place", PlaceSchema, ({ name }) => name, {
  keep({ things, find }, place) {
    things.save("place", place.name, place);
    find.put("place", place.name, findablePlace(place.name));
  },
  remove({ things, find, register }, name) {
    things.remove("place", name);
    if (!register.standsAnythingAt(name)) find.remove("place", name);
  },
  faults: placeFaults,
  hanging: ({ register, things }, name) => [
    ...(register.standsAnythingAt(name) ? ["valves that stand there"] : []),
    ...things.all("place").flatMap((each) => (each.within === name ? [each.name] : [])),
  ],
});

export const INSTRUMENT = small("instrument", InstrumentSchema, ({ id }) => id, {
  keep({ things, find }, instrument) {
    things.save("instrument", instrument.id, instrument);
    find.put("instrument", instrument.id, findableInstrument(instrument));
  },
  remove({ things, find }, id) {
    things.remove("instrument", id);
    find.remove("instrument", id);
  },
});

/** Crews go by their names, and nobody goes out with two of them. */
function crewFaults(crews: readonly Crew[], people: readonly Person[]): Problem[] {
  return crews.flatMap(({ id, name, people: members }, index): Problem[] => [
    ...(crews.findIndex((each) => each.id === id || each.name === name) < index
      ? [{ path: `/crews/${index}/name`, message: `Two crews are called "${name}". Give each its own name.` }]
      : []),
    ...members.flatMap((member, at): Problem[] => {
      const path = `/crews/${index}/people/${at}`;
      if (people.length > 0 && !people.some((person) => person.id === member))
        return [{ path, message: `Nobody of the crew goes by "${member}". Take it out of "${name}".` }];
      const other = crews.slice(0, index).find((each) => each.people.includes(member));
      return other === undefined
        ? []
        : [{ path, message: `"${member}" goes out with "${other.name}" already. Nobody is in two crews.` }];
    }),
  ]);
}

export const HOUSE = small("house", HouseSchema, ({ id }) => id, {
  faults: ({ library }, { shifts = [], crews = [] }) => [
    ...shifts.flatMap(({ id, from, to }, index) => [
      ...(shifts.findIndex((each) => each.id === id) < index
        ? [
            {
              path: `/shifts/${index}/id`,
              message: `Two shifts are called "${id}". Each has an id of its own.`,
            },
          ]
        : []),
      ...(from === to
        ? [{ path: `/shifts/${index}/to`, message: "It ends when it begins. Write when it ends." }]
        : []),
    ]),
    ...crewFaults(crews, library.people()),
  ],
  hanging: ({ library }, _, { shifts = [] }) =>
    library.people().flatMap((person) => (shifts.some(({ id }) => id === person.shift) ? [person.name] : [])),
});

/** A week of rounds: whoever moves one piece of it moves others with it. */
export const ROUNDS = small("rounds", RoundsWeekSchema, ({ id }) => id, { whole: true });

export const PAPER = small("paper", PaperSchema, ({ id }) => id);

export const GROUND = small("ground", GroundSchema, ({ id }) => id, { whole: true });

export const MAPPING = small("mapping", MappingSchema, ({ id }) => id);

export const ORDER = small("order", OrderSchema, ({ id }) => id, {
  faults({ library }, order) {
    const store = library.stores().find(({ id }) => id === order.store);
    const places = store?.places.map(({ id }) => id) ?? [];
    return [
      ...(store === undefined
        ? [{ path: "/store", message: `There is no store "${order.store}" any more.` }]
        : []),
      ...order.lines.flatMap(({ to }, index) =>
        store === undefined || places.includes(to)
          ? []
          : [{ path: `/lines/${index}/to`, message: `"${to}" is no place of ${store.name} any more.` }],
      ),
    ];
  },
  hanging: ({ movements }, id) =>
    movements.ofOrders().some(({ order }) => order === id) ? ["what came of it"] : [],
});

/** What may be wrong with valves of one family, in one's own words: in place of what ships. */
export const TROUBLE = small("trouble", TroubleSchema, ({ family }) => family, {
  faults: ({ library }, trouble) =>
    checkTrouble(
      trouble,
      library.sheets().filter(({ family }) => family === trouble.family),
    ),
  whole: true,
});

export const CASE = small("case", CaseSchema, ({ id }) => id, {
  faults: ({ register }, { valve }) =>
    register.anyValve(valve) === undefined
      ? [{ path: "/valve", message: `No valve "${valve}" is in the register.` }]
      : [],
});
