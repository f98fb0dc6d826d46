import type { Line, Sheet, Store } from "@/core/formats";
import { bookEntries, checkStore, mergeStores, otherCurrency } from "@/core/store";
import { leftWithoutPlace } from "../../lines/left-without-place";
import { keepLine, keepSheet, keepStore, removeLine, removeSheet } from "../../register/keep-documents";
import type { Services } from "../../services";
import type { Kind } from "../kind";
import { alongLine } from "../tie";

const MOST_NAMED = 5;
const named = (tags: readonly string[]) =>
  tags.length > MOST_NAMED
    ? [`${tags.slice(0, MOST_NAMED).join(", ")} and ${tags.length - MOST_NAMED} more valves`]
    : tags;

export const LINE: Kind<Line> = {
  find: ({ library }, id) => library.line(id),
  keep: keepLine,
  remove: removeLine,
  faults: ({ register }, line) => leftWithoutPlace(register.onLine(line.id), line),
  hanging: ({ register }, id) =>
    named([
      ...register.onLine(id).map(({ tag }) => tag),
      ...register.retired().flatMap(({ tag, line }) => (line === id ? [tag] : [])),
    ]),
  along: alongLine,
  whole: true,
};

export const sheetKey = ({ id, revision }: Pick<Sheet, "id" | "revision">) => `${id}@${revision}`;

function revisionOf(key: string): { readonly id: string; readonly revision: number } {
  const at = key.lastIndexOf("@");
  return { id: key.slice(0, at), revision: Number(key.slice(at + 1)) };
}

/** One revision of a sheet. */
export const SHEET: Kind<Sheet> = {
  find: ({ library }, key) => {
    const { id, revision } = revisionOf(key);
    return library.sheet(id, revision);
  },
  keep: keepSheet,
  remove: (services, _, __, sheet) => removeSheet(services, sheet),
  hanging({ library, register }, key) {
    const { id } = revisionOf(key);
    // Another revision is left for them.
    if (library.sheet(id) !== undefined) return [];
    return named([
      ...register.ofSheet(id).map(({ tag }) => tag),
      ...register.retired().flatMap(({ tag, sheet }) => (sheet === id ? [tag] : [])),
    ]);
  },
  whole: true,
};

export const STORE: Kind<Store> = {
  find: ({ library }, id) => library.stores().find((each) => each.id === id),
  keep: keepStore,
  remove: ({ library }: Services, id) => library.removeStore(id),
  faults: ({ library }, store) => [...checkStore(store), ...otherCurrency(library.stores(), store)],
  hanging: ({ things }, id) =>
    things.all("order").flatMap((order) => (order.store === id ? [`order ${order.id}`] : [])),
  merge: mergeStores,
  noted({ movements, now, newId }, before, after, by) {
    const at = new Date(now()).toISOString();
    if (after !== undefined) movements.add(bookEntries(before, after, { at, by, newId }));
    else if (before !== undefined)
      movements.add(bookEntries(before, { ...before, stock: [] }, { at, by, newId }));
  },
};
