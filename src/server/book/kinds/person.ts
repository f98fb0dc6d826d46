import { type Person, PersonSchema } from "@/core/formats";
import { keepPerson, removePerson } from "../../register/keep-documents";
import type { Kind } from "../kind";

const plain = (name: string) => name.trim().replaceAll(/\s+/g, " ").toLowerCase();

export const PERSON: Kind<Person> = {
  shape: PersonSchema,
  find: ({ library }, id) => library.people().find((each) => each.id === id),
  keep: keepPerson,
  remove: removePerson,
  faults({ library, things, now }, person) {
    const same = library
      .people()
      .find((each) => each.id !== person.id && plain(each.name) === plain(person.name));
    const shifts = things.one("house", "house")?.shifts ?? [];
    return [
      ...(same === undefined
        ? []
        : [
            {
              path: "/name",
              message: `"${person.name}" is in the crew already. Add what tells the two apart: entries are signed by name.`,
            },
          ]),
      ...(person.shift === undefined || shifts.some(({ id }) => id === person.shift)
        ? []
        : [
            {
              path: "/shift",
              message: `The house has no shift "${person.shift}": ${shifts.map(({ id }) => id).join(", ") || "add one first"}.`,
            },
          ]),
      ...(person.left === undefined || Date.parse(person.left) <= now()
        ? []
        : [{ path: "/left", message: "That day has not come yet. Write it down when it has." }]),
      ...Object.entries(person.away ?? {}).flatMap(([from, to]) =>
        to < from ? [{ path: `/away/${from}`, message: "The last day lies before the first." }] : [],
      ),
    ];
  },
  hanging: ({ jobs }, _, { name }) =>
    jobs.hasEntriesBy(name) ? ["entries that are signed with this name"] : [],
};
