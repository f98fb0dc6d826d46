import { sql } from "drizzle-orm";
import { clockAheadMinutes, isDemo, services } from "./services";

export type Health =
  | {
      readonly ok: true;
      readonly mode: "demo" | "own";
      readonly journal: string;
      readonly clockAheadMinutes: number;
    }
  | { readonly ok: false; readonly message: string };

/** Whether the database answers; the clock is told because waits are counted by it. */
export function health(): Health {
  try {
    const row = services().db.get<{ journal_mode: string }>(sql`pragma journal_mode`);
    return {
      ok: true,
      mode: isDemo() ? "demo" : "own",
      journal: row?.journal_mode ?? "",
      clockAheadMinutes: clockAheadMinutes(),
    };
  } catch (error) {
    return { ok: false, message: error instanceof Error ? error.message : String(error) };
  }
}
