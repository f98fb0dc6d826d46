import { columnsOf, datesToCell, type PlainListName, type RowFile } from "@/core/formats";
import { fromSI, preferredUnit } from "@/core/quantity";
import { editSays, speaker } from "@/words";
import type { Services } from "../services";
import { ordering } from "../store/stock-list";
import { pieces } from "./csv";

type Row = readonly unknown[];

/** A list that is taken out as it is, whole. */
interface PlainList {
  readonly says: string;
  readonly columns: readonly string[];
  readonly rows: (services: Services) => readonly Row[];
}

const cell = (value: unknown): unknown =>
  typeof value === "object" && value !== null && !Array.isArray(value)
    ? datesToCell(value as Readonly<Record<string, string | number>>)
    : value;

/** Rows in the columns they are brought in by. */
const asBroughtIn = (
  file: RowFile,
  says: string,
  all: (services: Services) => readonly object[],
): PlainList => ({
  says,
  columns: columnsOf(file),
  rows: (services) =>
    all(services).map((row) =>
      columnsOf(file).map((column) => cell((row as Readonly<Record<string, unknown>>)[column])),
    ),
});

const day = (at: number | null) => (at === null ? "" : new Date(at).toISOString());
/** Changes that a list tells of. */
const MOST_CHANGES = 10_000;

/** Every list that has no page of filters of its own, by its name. */
export const PLAIN_LISTS: Readonly<Record<PlainListName, PlainList>> = {
  "places.csv": asBroughtIn("places", "Places", ({ things }) => things.all("place")),
  "crew.csv": asBroughtIn("crew", "Crew", ({ library }) => library.people()),
  "instruments.csv": asBroughtIn("instruments", "Instruments", ({ things }) => things.all("instrument")),
  "readings.csv": asBroughtIn("readings", "Readings", ({ library }) =>
    library.valvesWithReadings().flatMap((tag) =>
      library.readings(tag).map(({ at, what, dimension, si, by }) => {
        const unit = preferredUnit(dimension as Parameters<typeof preferredUnit>[0], "metric");
        return {
          tag,
          at: new Date(at).toISOString(),
          what,
          dimension,
          value: fromSI(si, unit),
          unit: unit.id,
          by,
        };
      }),
    ),
  ),
  "lines.csv": {
    says: "Lines",
    columns: ["id", "name", "medium", "nodes", "links", "valves"],
    rows: ({ library }) =>
      library
        .lineSummaries()
        .map(({ id, name, medium, nodes, links, valves }) => [id, name, medium, nodes, links, valves]),
  },
  "sheets.csv": {
    says: "Sheets",
    columns: ["id", "revision", "title", "family", "maker", "parts", "kits", "valves", "demonstration"],
    rows: ({ library, register }) =>
      library
        .sheets()
        .map(({ id, revision, title, family, maker, parts, kits, demonstration }) => [
          id,
          revision,
          title,
          family,
          maker,
          parts.length,
          kits.length,
          register.ofSheet(id).length,
          demonstration === true ? "yes" : "no",
        ]),
  },
  "orders.csv": {
    says: "Orders",
    columns: [
      "order",
      "store",
      "supplier",
      "ordered",
      "by",
      "due",
      "item",
      "number",
      "for",
      "pieces",
      "came",
      "price",
      "open",
    ],
    rows: (services) =>
      ordering(services).flatMap(({ store, orders }) =>
        orders.flatMap(({ order, lines, open }) =>
          lines.map(({ line, came }) => [
            order.id,
            store.name,
            store.places.find(({ id }) => id === order.supplier)?.name ?? "",
            order.at,
            order.by,
            order.due,
            line.name,
            line.order,
            store.places.find(({ id }) => id === line.to)?.name ?? line.to,
            line.quantity,
            came,
            line.price,
            open ? "yes" : "no",
          ]),
        ),
      ),
  },
  "changes.csv": {
    says: "Book of changes",
    columns: ["at", "by", "what", "things", "undone", "undone by"],
    rows: ({ edits }) =>
      edits
        .recent(MOST_CHANGES)
        .map(({ at, by, what, changes, undoneAt, undoneBy }) => [
          day(at),
          by,
          editSays(speaker(), what),
          changes,
          day(undoneAt),
          undoneBy,
        ]),
  },
};

export function plainCsv(services: Services, name: PlainListName): AsyncGenerator<string> {
  const { columns, rows } = PLAIN_LISTS[name];
  const all = rows(services);
  return pieces(
    columns,
    ({ from, most }) => all.slice(from, from + most),
    (row) => row,
  );
}
