import { setImmediate } from "node:timers/promises";
import Papa from "papaparse";
import { datesToCell, ROW_SCHEMAS } from "@/core/formats";
import type { Services } from "../services";
import { type JobListAsk, listJobs, listValves, type ValveListAsk, type Window } from "./lists";

/** Rows written at a stretch; between two stretches others are served. */
const STRETCH = 500;

/** A cell that a spreadsheet would take for a formula is told to be words. */
const safe = (value: unknown): string => {
  const text = value === undefined || value === null ? "" : String(value);
  return /^[=+@\t\r]|^-(?!$|[\d.])/.test(text) ? `'${text}` : text;
};

async function* pieces<Row>(
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
