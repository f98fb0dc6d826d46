import { itemKey } from "@/core/formats";
import type { Services } from "../services";
import { itemHref } from "./item-href";
import { lockPointHref, readLockPoint } from "./lock-point-href";

export interface Labelled {
  readonly href: string;
  readonly name: string;
}

/** The end of the address on one of our own labels: `…/valves/NQ-H07`. */
const ADDRESS = /\/(valves|instruments|places)\/([^/?#]+)\/?$/;

/** What a label belongs to: our own, or what a maker printed on the box. Letters may be small or large. */
export function labelled({ library, register, things }: Services, reads: string): Labelled | undefined {
  const text = reads.trim();
  const own = ADDRESS.exec(text);
  const tag = own === null ? text : decodeURIComponent(own[2]!);
  const valve = register.anyValve(tag) ?? register.anyValve(tag.toUpperCase());
  if (valve !== undefined)
    return { href: `/valves/${encodeURIComponent(valve.tag)}`, name: `${valve.tag}, ${valve.name}` };
  const instrument = things.one("instrument", tag) ?? things.one("instrument", tag.toUpperCase());
  if (instrument !== undefined)
    return { href: `/instruments/${encodeURIComponent(instrument.id)}`, name: instrument.name };
  const point = readLockPoint(text);
  if (point !== undefined && library.line(point.line)?.links.some(({ id }) => id === point.link) === true)
    return { href: lockPointHref(point.line, point.link), name: point.link };
  const like = (value: string | undefined) => value?.toLowerCase() === text.toLowerCase();
  for (const store of library.stores()) {
    const { items = [], stock } = store;
    const address = stock.find(({ item }) => text.endsWith(itemHref(store.id, item)));
    const known = items.find(({ code }) => like(code)) ?? items.find(({ order }) => like(order));
    const item =
      address?.item ??
      known?.item ??
      stock.find((row) => like(row.item.id) || like(itemKey(row.item)))?.item ??
      stock.find(({ name }) => like(name))?.item;
    if (item !== undefined)
      return {
        href: itemHref(store.id, item),
        name: stock.find((row) => itemKey(row.item) === itemKey(item))?.name ?? item.id,
      };
  }
  return undefined;
}
