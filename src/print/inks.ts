import { readFileSync } from "node:fs";
import { join } from "node:path";

const SHEETS = ["globals.css", "inks.css"].map((name) => join(process.cwd(), "src", "app", name));

/** The inks of the screen by day, by name: read where the screen has them, so that both have the same. */
export const INKS: ReadonlyMap<string, string> = new Map(
  SHEETS.flatMap((path) => {
    const day = readFileSync(path, "utf8").split('\n[data-theme="dark"] {')[0]!;
    return [...day.matchAll(/--([\w-]+):\s*(#[0-9a-f]{3,8});/gi)].map(
      ([, name, ink]) => [name!, ink!] as const,
    );
  }),
);
