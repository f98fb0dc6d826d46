import type { RoundsWeek } from "@/core/formats";
import { pieces } from "../lists/csv";
import type { Services } from "../services";

/** A week of the plan as it is kept, a row for each stretch of work in the order that each crew does them. */
export function roundsCsv({ things, register }: Services, week: string): AsyncGenerator<string> {
  const row: RoundsWeek | undefined = things.one("rounds", week);
  const lines = (row?.shifts ?? []).flatMap(({ crew, visits }) =>
    visits.map((visit) => ({ crew, ...visit })),
  );
  return pieces(
    ["crew", "from", "to", "valve", "name", "place", "stretch", "put by hand"],
    ({ from, most }) => lines.slice(from, from + most),
    ({ crew, from, to, task, stretch }) => {
      const valve = register.anyValve(task);
      const fixed = row?.fixed.includes(task) === true;
      return [crew, from, to, task, valve?.name, valve?.place, stretch, fixed ? "yes" : ""];
    },
  );
}
