import { accessWords, speaker } from "@/words";
import { pieces } from "../lists/csv";
import type { Services } from "../services";

const PAGE = 60;

export interface SpokenAccess {
  readonly seq: number;
  readonly at: number;
  readonly by: string;
  readonly says: string;
}

/** What happened to who may come in, the newest first; what was before a place in the log, to page further back. */
export const accessBefore = ({ access }: Services, before?: number, most = PAGE): SpokenAccess[] =>
  access
    .log(most, before)
    .map(({ seq, at, by, fact }) => ({ seq, at, by, says: accessWords(speaker(), fact) }));

export function accessCsv(services: Services): AsyncGenerator<string> {
  // Paged by the last one shown: what happens meanwhile shifts nothing.
  let last: number | undefined;
  return pieces(
    ["at", "by", "what"],
    ({ most }) => {
      const rows = accessBefore(services, last, most);
      last = rows.at(-1)?.seq ?? last;
      return rows;
    },
    ({ at, by, says }) => [new Date(at).toISOString(), by, says],
  );
}
