import type { Movement, Order } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { type Edited, edit } from "../book/edit";
import type { Services } from "../services";
import { moveStock, type SentMove } from "./move";

const gone: Problem[] = [{ path: "", message: "There is no such order any more. Load the page again." }];

/** The next free number. */
const nextId = ({ things }: Services): string => {
  const numbers = things.all("order").map(({ id }) => Number(id.slice("O-".length)) || 0);
  return `O-${Math.max(1000, ...numbers) + 1}`;
};

/** Writes down what was ordered: it counts as coming until it has come. */
export function placeOrder(
  services: Services,
  order: Omit<Order, "id" | "at" | "by" | "closed">,
  by: string,
): Result<Edited & { readonly id: string }, Problem[]> {
  const id = nextId(services);
  const at = new Date(services.now()).toISOString().slice(0, "2026-01-01".length);
  const done = edit(services, { by, what: { kind: "added", thing: "order", ids: [id] } }, [
    { kind: "order", id, after: { ...order, id, at, by } },
  ]);
  return done.ok ? ok({ ...done.value, id }) : done;
}

/** What came of an order, booked in at the places it was ordered for. */
export function receiveOrder(
  services: Services,
  id: string,
  lines: readonly Pick<SentMove, "item" | "place" | "quantity" | "until" | "price" | "id">[],
  by: string,
): Result<readonly Movement[], Problem[]> {
  const order = services.things.one("order", id);
  if (order === undefined) return err(gone);
  const names = new Map(order.lines.map((line) => [JSON.stringify(line.item), line.name]));
  const name = (line: Pick<SentMove, "item">) => names.get(JSON.stringify(line.item));
  return moveStock(
    services,
    order.store,
    lines.map((line) => {
      const known = name(line);
      return { ...line, kind: "in" as const, order: id, ...(known !== undefined && { name: known }) };
    }),
    by,
  );
}

/** Nothing more of an order is coming; or it is, after all. */
export function closeOrder(
  services: Services,
  id: string,
  closed: boolean,
  by: string,
): Result<Edited, Problem[]> {
  const order = services.things.one("order", id);
  if (order === undefined) return err(gone);
  const { closed: _, ...open } = order;
  return edit(services, { by, what: { kind: "changed", thing: "order", ids: [id] } }, [
    { kind: "order", id, after: closed ? { ...open, closed: true } : open },
  ]);
}
