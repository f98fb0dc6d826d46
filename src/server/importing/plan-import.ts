import { keepLine, keepPerson, keepSheet, keepStore } from "../register/keep-documents";
import type { Services } from "../services";
import type { Incoming, ReadFile } from "./incoming";
import { planJob } from "./plan-job";
import { planReadings, planRegister } from "./plan-register";
import type { Planned, PlannedFile } from "./planned";

/** What a file would store, one thing after the other. */
export function plan(services: Services, { file, incoming }: ReadFile): Planned {
  return { file, ...planOf(services, incoming) };
}

function planOf(services: Services, incoming: Incoming): PlannedFile {
  const { library } = services;
  switch (incoming.kind) {
    case "sheet": {
      const { value } = incoming;
      const before = library.sheet(value.id, value.revision);
      return {
        what: `Sheet: ${value.title}, revision ${value.revision}`,
        steps: [
          {
            kind: "sheet",
            id: `${value.id}@${value.revision}`,
            before,
            after: value,
            store: () => keepSheet(services, value),
          },
        ],
      };
    }
    case "line": {
      const { value } = incoming;
      return {
        what: `Line: ${value.name}`,
        steps: [
          {
            kind: "line",
            id: value.id,
            before: library.line(value.id),
            after: value,
            store: () => keepLine(services, value),
          },
        ],
      };
    }
    case "store": {
      const { value } = incoming;
      return {
        what: `Store: ${value.name}`,
        steps: [
          {
            kind: "store",
            id: value.id,
            before: library.stores().find((each) => each.id === value.id),
            after: value,
            store: () => keepStore(services, value),
          },
        ],
      };
    }
    case "register":
      return planRegister(services, incoming.value);
    case "readings":
      return planReadings(services, incoming.value);
    case "crew": {
      const known = new Map(library.people().map((person) => [person.id, person]));
      return {
        what: `Crew: ${incoming.value.length} people`,
        steps: incoming.value.map((person) => ({
          kind: "person",
          id: person.id,
          before: known.get(person.id),
          after: person,
          store: () => keepPerson(services, person),
        })),
      };
    }
    case "job":
      return planJob(services, incoming);
  }
}
