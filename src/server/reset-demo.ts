import { sql } from "drizzle-orm";
import { loadDemo, loadTownMain } from "./importing/load-demo";
import { isDemo, services } from "./services";

const TABLES = ["job_events", "jobs", "readings", "valves", "people", "sheets", "lines", "stores"];

/** Empties the demo's tables and loads the scenario again, in one transaction. */
export function resetDemo(): void {
  if (!isDemo()) throw new Error("only the demo can be reset");
  const all = services();
  all.db.transaction(() => {
    for (const table of TABLES) all.db.run(sql.raw(`delete from ${table}`));
    loadDemo(all);
    loadTownMain(all);
  });
}
