import { itemKey, type LineLink } from "@/core/formats";
import { err, ok, type Result } from "@/core/result";
import { itemHref } from "../find/item-href";
import { lockPointHref } from "../find/lock-point-href";
import type { Services } from "../services";
import type { PrintedLabel } from "./print-task";

/** What is labelled. */
export type LabelsOf = "valves" | "lock-points" | "store-items";

export interface LabelsAsked {
  readonly of: LabelsOf;
  /** The place, the line, the store; none is all of them. */
  readonly in?: string;
  /** Tags, links, items; none is all that is there. */
  readonly only?: readonly string[];
}

/** More than these are not printed at once: a hundred sheets. */
const MOST_LABELS = 2400;

/** A label and the name by which it is chosen. */
export interface Label extends PrintedLabel {
  readonly id: string;
}

/** Labels in the order of a walk: by tag, as the line lists its points, as the store lists its items. */
export function labelsOf(
  all: Services,
  asked: LabelsAsked,
  origin: string,
  most = MOST_LABELS,
): Result<readonly Label[], "none" | "too-many"> {
  const wanted = new Set(asked.only);
  const labels = everyLabel(all, asked, origin).filter(({ id }) => wanted.size === 0 || wanted.has(id));
  if (labels.length === 0) return err("none");
  return labels.length > most ? err("too-many") : ok(labels);
}

function everyLabel(all: Services, { of, in: where }: LabelsAsked, origin: string): Label[] {
  switch (of) {
    case "valves": {
      const { register } = all;
      const valves = where === undefined ? register.valves() : register.atOrIn(where, MOST_LABELS + 1);
      return valves.map(({ tag, name, place }) => ({
        id: tag,
        plate: tag,
        name,
        place,
        opens: `${origin}/valves/${encodeURIComponent(tag)}`,
      }));
    }
    case "lock-points":
      return all.library
        .lineSummaries()
        .filter(({ id }) => where === undefined || id === where)
        .flatMap(({ id, name }) =>
          (all.library.line(id)?.links ?? []).filter(takesLock).map((link) => ({
            id: link.id,
            plate: link.id,
            name: link.name ?? "",
            place: [name, "where" in link ? link.where : undefined].filter(Boolean).join(", "),
            opens: origin + lockPointHref(id, link.id),
          })),
        );
    case "store-items":
      return all.library
        .stores()
        .filter(({ id }) => where === undefined || id === where)
        .flatMap((store) => {
          const items = new Map(store.stock.map((row) => [itemKey(row.item), row] as const));
          return [...items].map(([id, { item, name }]) => ({
            id,
            plate: item.id.toUpperCase(),
            name,
            place: store.name,
            opens: origin + itemHref(store.id, item),
          }));
        });
  }
}

/** A point that is found, shut and locked by somebody. */
const takesLock = (link: LineLink): boolean =>
  (link.kind === "valve" || link.kind === "control-valve") && link.lockable;
