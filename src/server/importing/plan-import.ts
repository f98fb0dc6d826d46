import type { Things } from "../book/kind";
import { kindOf } from "../book/kinds";
import { sheetKey } from "../book/kinds/documents";
import type { Services } from "../services";
import type { Incoming, ReadFile } from "./incoming";
import { planJob } from "./plan-job";
import { planReadings, planRegister } from "./plan-register";
import type { Planned, PlannedFile } from "./planned";
import { type RowOver, rowOver } from "./row-over";

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
            id: sheetKey(value),
            before,
            after: value,
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
          },
        ],
      };
    }
    case "register":
      return planRegister(services, incoming.value);
    case "readings":
      return planReadings(services, incoming.value);
    case "house":
      return planWhole(services, "house", `House: ${incoming.value.name}`, incoming.value);
    case "ground":
      return planWhole(services, "ground", `Map: ${incoming.value.features.length} shapes`, incoming.value);
    case "trouble": {
      const { family, title } = incoming.value;
      const before = kindOf("trouble").find(services, family);
      return {
        what: `What may be wrong: ${title}`,
        steps: [{ kind: "trouble", id: family, before, after: incoming.value }],
      };
    }
    case "crew":
      return planRows(services, "crew", "person", incoming.value);
    case "places":
      return planRows(services, "places", "place", incoming.value);
    case "instruments":
      return planRows(services, "instruments", "instrument", incoming.value);
    case "job":
      return planJob(services, incoming);
  }
}

/** A document of which there is one. */
function planWhole<K extends "house" | "ground">(
  services: Services,
  kind: K,
  what: string,
  after: Things[K],
): PlannedFile {
  return { what, steps: [{ kind, id: kind, before: kindOf(kind).find(services, kind), after }] };
}

const WHAT = { crew: "Crew", places: "Places", instruments: "Instruments" } as const;

/** Rows over what is there. */
function planRows<K extends "person" | "place" | "instrument">(
  services: Services,
  file: keyof typeof WHAT,
  kind: K,
  rows: readonly RowOver<Things[K]>[],
): PlannedFile {
  const { find } = kindOf(kind);
  return {
    what: `${WHAT[file]}: ${rows.length}`,
    steps: rows.map((row) => {
      const before = find(services, row.key);
      return { kind, id: row.key, before, after: rowOver<Things[K]>(file, before, row) };
    }),
  };
}
