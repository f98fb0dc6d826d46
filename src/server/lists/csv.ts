import { setImmediate } from "node:timers/promises";
import Papa from "papaparse";
import { datesToCell, ROW_SCHEMAS } from "@/core/formats";
import { stockAt } from "@/core/store";
import type { Services } from "../services";
import { type JobListAsk, listJobs, listValves, type ValveListAsk, type Window } from "./lists";

/** Rows written at a stretch; between two stretches others are served. */
const STRETCH = 500;

/** A cell that a spreadsheet would take for a formula is told to be words. */
const safe = (value: unknown): string => {
  const text = value === undefined || value === null ? "" : String(value);
  return /^[=+@\t\r]|^-(?!$|[\d.])/.test(text) ? `'${text}` : text;
};

export async function* pieces<Row>(
  columns: readonly string[],
  page: (window: Window) => readonly Row[],
  cells: (row: Row) => readonly unknown[],
): AsyncGenerator<string> {
  yield `${Papa.unparse([columns])}\r\n`;
  for (let from = 0; ; from += STRETCH) {
    const rows = page({ from, most: STRETCH });
    if (rows.length > 0) yield `${Papa.unparse(rows.map((row) => cells(row).map(safe)))}\r\n`;
    if (rows.length < STRETCH) return;
    await setImmediate();
  }
}

/** The register in the columns it is brought in by. */
export function valvesCsv(services: Services, ask: ValveListAsk): AsyncGenerator<string> {
  const columns = Object.keys(
    ROW_SCHEMAS.register.properties,
  ) as (keyof typeof ROW_SCHEMAS.register.properties)[];
  return pieces(
    columns,
    (window) => listValves(services, ask, window).rows,
    ({ valve }) =>
      columns.map((column) => {
        const value = valve[column];
        return typeof value === "object" ? datesToCell(value) : value;
      }),
  );
}

const instant = (at: number | null) => (at === null ? "" : new Date(at).toISOString());

export function jobsCsv(services: Services, ask: JobListAsk): AsyncGenerator<string> {
  return pieces(
    [
      "job",
      "valve",
      "place",
      "why",
      "sheet",
      "status",
      "from",
      "opened",
      "opened by",
      "closed",
      "step",
      "done",
      "steps",
    ],
    (window) => listJobs(services, ask, window).rows,
    (row) => [
      row.job,
      row.valve,
      row.place,
      row.says,
      row.sheetTitle,
      row.status,
      row.origin,
      instant(row.openedAt),
      row.openedBy,
      instant(row.closedAt),
      row.step,
      row.done,
      row.steps,
    ],
  );
}

/** What lies where, at a moment or now. */
export function stockCsv(services: Services, at: number | undefined): AsyncGenerator<string> {
  const { library, movements } = services;
  const rows = library.stores().flatMap((store) => {
    const places = new Map(store.places.map(({ id, name }) => [id, name]));
    const stock = at === undefined ? store.stock : stockAt(store, movements.since(store.id, at), at);
    return stock.map((row) => ({ store, row, place: places.get(row.place) ?? row.place }));
  });
  return pieces(
    ["store", "place", "kind", "id", "sheet", "name", "pieces", "least", "price", "currency", "worth"],
    ({ from, most }) => rows.slice(from, from + most),
    ({ store, place, row: { item, name, quantity, least, price } }) => [
      store.name,
      place,
      item.kind,
      item.id,
      item.sheet,
      name,
      quantity,
      least,
      price,
      store.currency,
      (quantity * price).toFixed(2),
    ],
  );
}

export function movementsCsv({ movements }: Services): AsyncGenerator<string> {
  const all = movements.all();
  return pieces(
    [
      "at",
      "by",
      "store",
      "kind",
      "item",
      "id",
      "sheet",
      "name",
      "place",
      "to",
      "pieces",
      "change",
      "price",
      "until",
      "job",
      "order",
      "short",
      "why",
    ],
    ({ from, most }) => all.slice(from, from + most),
    (row) => [
      row.at,
      row.by,
      row.store,
      row.kind,
      row.item.kind,
      row.item.id,
      row.item.sheet,
      row.name,
      row.place,
      row.to,
      row.quantity,
      row.change,
      row.price,
      (row.batches ?? []).map(({ until, quantity }) => `${until} ${quantity}`).join("; "),
      row.job,
      row.order,
      row.short,
      row.why,
    ],
  );
}

/** The pieces as a file, made while it is fetched. */
export function csvAnswer(text: AsyncGenerator<string>, name: string): Response {
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { done, value } = await text.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value));
    },
    cancel: async () => {
      await text.return(undefined);
    },
  });
  return new Response(stream, {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": `attachment; filename="${name}"`,
    },
  });
}
