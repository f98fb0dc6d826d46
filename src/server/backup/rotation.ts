import type { Backup } from "@/core/formats";

/** What is kept: the newest of each of so many days, weeks, months, and so many of those made before something. */
const DAYS = 14;
const WEEKS = 8;
const MONTHS = 24;
const NEWEST = 5;
const DAY_MS = 86_400_000;

type Made = Pick<Backup, "id" | "made" | "why">;

/**
 * Backups that may go. The newest stay whatever they are for; those made by hand stay until somebody takes them away.
 * Of the others the newest of each day, week and month stays for a while.
 */
export function outlived(backups: readonly Made[]): string[] {
  const newestFirst = [...backups].sort((a, b) => (a.made < b.made ? 1 : -1));
  const kept = new Set(newestFirst.slice(0, NEWEST).map(({ id }) => id));
  for (const { id, why } of newestFirst) if (why === "by-hand") kept.add(id);
  const spans = [
    [DAYS, (at: number) => Math.floor(at / DAY_MS)],
    [WEEKS, (at: number) => Math.floor(at / (7 * DAY_MS))],
    [MONTHS, (at: number) => new Date(at).getUTCFullYear() * 12 + new Date(at).getUTCMonth()],
  ] as const;
  for (const [most, spanOf] of spans) {
    const seen = new Set<number>();
    for (const { id, made } of newestFirst) {
      const span = spanOf(Date.parse(made));
      if (seen.has(span) || seen.size >= most) continue;
      seen.add(span);
      kept.add(id);
    }
  }
  return newestFirst.flatMap(({ id }) => (kept.has(id) ? [] : [id]));
}
