import { jobHere, jobPage } from "./pages";
import type { DeviceStore } from "./store";

/** Something that lies on this device and can be opened without signal. */
export interface HereFound {
  readonly kind: "valve" | "line" | "sheet" | "place" | "bench" | "job";
  readonly name: string;
  readonly says: string;
  readonly href: string;
}

const KINDS: Readonly<Record<string, HereFound["kind"]>> = {
  valves: "valve",
  lines: "line",
  sheets: "sheet",
  places: "place",
  bench: "bench",
};
/** As many as one looks through with a thumb. */
const MOST = 20;

/**
 * What lies here and has all the words in it: valves, lines, sheets, places and sums that were taken along, and jobs.
 * What begins with what was typed comes first.
 */
export async function findHere(store: DeviceStore, typed: string): Promise<readonly HereFound[]> {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const [along, logs] = await Promise.all([store.along.toArray(), store.logs.toArray()]);
  const all = new Map<string, HereFound>();
  for (const { id, tag, name, says } of logs)
    all.set(jobPage(id), { kind: "job", name: tag, says: `${name}, ${says}`, href: jobHere(id) });
  for (const { title, pages, names = {} } of along)
    for (const href of pages) {
      const [, kind, id, ...deeper] = href.split("/");
      if (kind === undefined || id === undefined || deeper.length > 0 || KINDS[kind] === undefined) continue;
      const name = decodeURIComponent(id);
      all.set(href, { kind: KINDS[kind], name, says: names[href] ?? title, href });
    }
  const begins = ({ name }: HereFound) => name.toLowerCase().startsWith(words[0]!);
  return [...all.values()]
    .filter(({ name, says }) => words.every((word) => `${name} ${says}`.toLowerCase().includes(word)))
    .sort((a, b) => Number(begins(b)) - Number(begins(a)) || a.name.localeCompare(b.name))
    .slice(0, MOST);
}
