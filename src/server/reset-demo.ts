import { sql } from "drizzle-orm";
import { ok } from "@/core/result";
import { loadDemo, loadTownMain } from "./importing/load-demo";
import { store } from "./proof/ledger";
import { forget, isDemo, type Services } from "./services";

/** Children before their parents: a foreign key must never point at nothing. */
const TABLES = [
  "photo_pieces",
  "photos",
  "job_events",
  "job_summaries",
  "jobs",
  "edit_changes",
  "edits",
  "things",
  "blobs",
  "readings",
  "valves",
  "retired_valves",
  "people",
  "sheets",
  "line_revisions",
  "lines",
  "stores",
  "movements",
  "documents",
  "heads",
  "find_words",
  "findables",
];

/** Empties the demo's tables and loads the scenario again, in one transaction. The chain of anchors goes on. */
export function resetDemo(all: Services): void {
  if (!isDemo()) throw new Error("only the demo can be reset");
  store(all, () => {
    for (const table of TABLES) all.db.run(sql.raw(`delete from ${table}`));
    forget(all);
    loadDemo(all);
    loadTownMain(all);
    return ok(undefined);
  });
}
