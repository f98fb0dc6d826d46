import { beforeEach, describe, expect, it } from "vitest";
import type { Item, JobInputs, Store } from "@/core/formats";
import { Walk } from "@/core/job/job.fixtures";
import { cardOf, notAside } from "@/core/store";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import { labelled } from "../find/label";
import { importFiles } from "../importing/import-files";
import { appendEvents } from "../jobs/append-events";
import { openJob } from "../jobs/open-job";
import type { Services } from "../services";
import { freeStores, heldNow } from "./held";
import { moveStock, undoMovement } from "./move";
import { closeOrder, receiveOrder } from "./orders";
import { removeItem, saveItem, saveStoreHead } from "./own-store";
import { ordering, stockedItem, stockedItems } from "./stock-list";

const NOW = Date.parse("2027-03-01T09:00:00Z");
const tam = { id: "tam", name: "Tam Arkle" };
const disc: Item = { kind: "kit", id: "BF-K31", sheet: "brae-quaywall-4" };
const gland: Item = { kind: "part", id: "gland-gasket", sheet: "brae-quaywall-4" };

let clock = NOW;
let services: Services;
beforeEach(() => {
  clock = NOW;
  services = demoServices(() => clock);
});

const store = (): Store => services.library.stores()[0]!;
const pieces = (item: Item, place: string) =>
  store().stock.find((row) => row.place === place && row.item.id === item.id && row.item.sheet === item.sheet)
    ?.quantity;
const move = (...asked: Parameters<typeof moveStock>[2]) =>
  moveStock(services, "works-store", asked, "Tam Arkle");
const must = <T>(done: { ok: true; value: T } | { ok: false; error: unknown }): T => {
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
};
const told = (done: { ok: true } | { ok: false; error: readonly { path: string; message: string }[] }) =>
  done.ok ? ["taken"] : done.error.map(({ path, message }) => `${path} ${message}`);

/** A job on a hydrant whose outlet disc is renewed. */
function begin(valve = "NQ-H07"): JobInputs {
  return must(
    openJob(
      services,
      {
        valve,
        reason: { kind: "symptom", says: "Weeps when shut", symptom: "weeps" },
        reach: ["disc"],
        renew: ["disc"],
        policy: "what-was-disturbed",
      },
      tam,
    ),
  );
}
async function toEnd(inputs: JobInputs): Promise<Walk> {
  const walk = new Walk(inputs, {}, clock).toEnd();
  clock = walk.now;
  must(await appendEvents(services, inputs.id, walk.events));
  return walk;
}

describe("a job and the store", () => {
  it("counts on its kits while it is open: no other job is promised them", () => {
    const free = () =>
      freeStores(services)
        .flatMap(({ stock }) => stock)
        .filter(({ item }) => item.id === disc.id)
        .reduce((sum, row) => sum + notAside(row), 0);
    const before = free();
    const job = begin();
    const held = heldNow(services).filter((each) => each.job === job.id);
    expect(held.length).toBeGreaterThan(0);
    expect(heldNow(services, job.id)).not.toEqual(expect.arrayContaining(held));
    const ofDisc = held.filter(({ item }) => item.id === disc.id).reduce((sum, each) => sum + each.pieces, 0);
    expect(ofDisc).toBeGreaterThan(0);
    expect(free()).toBe(before - ofDisc);
  });

  it("signed, it has used up what was fitted and no more, and brings good parts back", async () => {
    const before = new Map(
      store().stock.map((row) => [`${row.place} ${row.item.kind} ${row.item.id}`, row.quantity]),
    );
    const inputs = begin();
    const walk = await toEnd(inputs);
    expect(walk.job.status.kind).toBe("signed-off");
    const entries = services.movements.ofJob(inputs.id);
    expect(entries.map(({ kind }) => kind)).toContain("used");
    expect(entries.every(({ by }) => by === "Tam Arkle")).toBe(true);
    expect(heldNow(services).some(({ job }) => job === inputs.id)).toBe(false);
    for (const { place, item, change, to } of entries) {
      expect(to).toBeUndefined();
      const was = before.get(`${place} ${item.kind} ${item.id}`) ?? 0;
      const all = entries
        .filter((each) => each.place === place && each.item.id === item.id && each.item.kind === item.kind)
        .reduce((sum, each) => sum + each.change, 0);
      expect(change).not.toBe(0);
      expect(
        store().stock.find(
          (row) => row.place === place && row.item.id === item.id && row.item.kind === item.kind,
        )?.quantity,
      ).toBe(was + all);
    }
  });

  it("is signed also where the books have too little, which is told until it is counted", async () => {
    const inputs = begin();
    const kits = heldNow(services).filter(({ job }) => job === inputs.id);
    for (const place of ["van-1", "loft"])
      for (const { item } of kits) must(move({ kind: "counted", item, place, quantity: 0 }));
    const walk = await toEnd(inputs);
    expect(walk.job.status.kind).toBe("signed-off");
    const short = services.movements.uncounted();
    expect(short.length).toBeGreaterThan(0);
    expect(short.every(({ job, quantity }) => job === inputs.id && quantity === 0)).toBe(true);
    clock += 1000;
    for (const { item, place } of short) must(move({ kind: "counted", item, place, quantity: 1 }));
    expect(services.movements.uncounted()).toEqual([]);
  });
});

describe("what is booked", () => {
  it("is booked all or none, and sent twice it is booked once", () => {
    const before = pieces(gland, "van-1")!;
    expect(
      told(
        move(
          { kind: "out", item: gland, place: "van-1", quantity: 1 },
          { kind: "out", item: gland, place: "van-1", quantity: 99 },
        ),
      ),
    ).toEqual([
      '/movements/1/quantity Only 3 pieces of "Gland gasket" are free at Van 1. Count it, or write fewer.',
    ]);
    expect(pieces(gland, "van-1")).toBe(before);
    const one = { id: "device-1", kind: "out" as const, item: gland, place: "van-1", quantity: 1 };
    must(move(one));
    must(move(one));
    expect(pieces(gland, "van-1")).toBe(before - 1);
  });

  it("is taken back by a contrary entry, once", () => {
    const [entry] = must(move({ kind: "moved", item: disc, place: "loft", to: "van-1", quantity: 1 }));
    const after = pieces(disc, "van-1")!;
    must(undoMovement(services, entry!.id, "Isla Venn"));
    expect(pieces(disc, "van-1")).toBe(after - 1);
    expect(told(undoMovement(services, entry!.id, "Isla Venn"))).toEqual([" This was taken back already."]);
    const { entries } = stockedItem(services, "works-store", disc)!;
    expect(entries.slice(0, 2)).toMatchObject([
      { kind: "undone", by: "Isla Venn", change: 1 },
      { kind: "moved", undone: true },
    ]);
  });

  it("tells the stock of any day", () => {
    const on = (day: number) =>
      stockedItems(services, store(), NOW - day * 86_400_000)
        .find(({ item }) => item.id === gland.id && item.sheet === gland.sheet)
        ?.rows.find(({ place }) => place === "van-1")?.quantity;
    expect([201, 199, 165, 150, 60, 0].map(on)).toEqual([0, 4, 1, 11, 7, 4]);
  });
});

describe("a store changed by hand", () => {
  it("keeps what was booked meanwhile, also when the change is taken back", () => {
    const card = cardOf(store(), gland)!;
    must(move({ kind: "out", item: gland, place: "van-1", quantity: 1 }));
    const saved = must(
      saveItem(services, "works-store", { was: card, row: { ...card, code: "900-1" } }, "Isla Venn"),
    );
    expect(pieces(gland, "van-1")).toBe(3);
    must(move({ kind: "out", item: gland, place: "van-1", quantity: 1 }));
    must(undoEdit(services, saved.edit!, "Isla Venn"));
    expect(pieces(gland, "van-1")).toBe(2);
    expect(cardOf(store(), gland)?.code).toBeUndefined();
  });

  it("says at the field what cannot be", () => {
    const card = cardOf(store(), gland)!;
    const put = (row: Partial<typeof card>) =>
      told(saveItem(services, "works-store", { was: card, row: { ...card, ...row } }, "Tam Arkle"))[0];
    expect(put({ supplier: "loft" })).toBe(
      '/row/supplier "loft" is no supplier of this store. Add it among the places, as a supplier.',
    );
    expect(put({ code: "4006310000314" })).toMatch(
      /^\/row\/code This label is that of "Outlet disc kit K-31"/,
    );
    expect(put({ replacedBy: gland })).toMatch(/^\/row\/replacedBy .*replaced by itself/);
    expect(put({ lies: [...card.lies, ...card.lies] })).toMatch(/^\/row\/lies\/1\/place This place/);
    expect(told(saveItem(services, "works-store", { row: card }, "Tam Arkle"))[0]).toMatch(/^\/row\/name/);
    expect(told(removeItem(services, "works-store", gland, "Tam Arkle"))[0]).toContain("4 at Van 1");
  });

  it("has its price changes in the ledger", () => {
    const card = cardOf(store(), gland)!;
    const dearer = { ...card, lies: card.lies.map((each) => ({ ...each, price: 9 })) };
    must(saveItem(services, "works-store", { was: card, row: dearer }, "Isla Venn"));
    expect(stockedItem(services, "works-store", gland)!.entries[0]).toMatchObject({
      kind: "priced",
      price: 9,
      before: 5.5,
      by: "Isla Venn",
    });
  });

  it("brought in anew counts what the file says, and undone it is as it was", () => {
    const before = store();
    const file = {
      ...before,
      stock: before.stock.map((row) =>
        row.item.id === gland.id && row.item.sheet === gland.sheet ? { ...row, quantity: 12 } : row,
      ),
    };
    const done = must(
      importFiles(services, [{ name: "store.json", text: JSON.stringify(file) }], "Isla Venn"),
    );
    expect(stockedItem(services, "works-store", gland)!.entries[0]).toMatchObject({
      kind: "counted",
      quantity: 12,
      change: 8,
      by: "Isla Venn",
    });
    must(undoEdit(services, done.id!, "Isla Venn"));
    expect(store()).toEqual(before);
  });

  it("cannot lose a place where something lies, nor count in another currency beside a second store", () => {
    const { stock: _, items: __, ...head } = store();
    const without = { ...head, places: head.places.filter(({ id }) => id !== "van-1") };
    expect(told(saveStoreHead(services, head.id, { was: head, row: without }, "Tam Arkle"))[0]).toContain(
      'lies at "van-1", which is no place of this store',
    );
    const second = {
      ...head,
      id: "yard",
      name: "Yard",
      currency: "XX",
      places: [{ ...head.places[0]!, id: "bin" }],
    };
    expect(told(saveStoreHead(services, "yard", { row: second }, "Tam Arkle"))[0]).toMatch(/^\/currency/);
    must(saveStoreHead(services, "yard", { row: { ...second, currency: head.currency } }, "Tam Arkle"));
    expect(services.library.stores().map(({ id }) => id)).toEqual(["works-store", "yard"]);
  });
});

describe("an order", () => {
  const one = () => ordering(services)[0]!;

  it("counts as coming until it has come; what came is in the ledger at its price", () => {
    const { order } = one().orders[0]!;
    const [line] = order.lines;
    expect(one().list.order.flatMap(({ lines }) => lines.map(({ name }) => name))).not.toContain(line!.name);
    const before = pieces(line!.item, "loft")!;
    const came = { id: "box-1", item: line!.item, place: "loft", quantity: 1, price: 120 };
    must(receiveOrder(services, order.id, [came], "Isla Venn"));
    must(receiveOrder(services, order.id, [came], "Isla Venn"));
    expect(pieces(line!.item, "loft")).toBe(before + 1);
    expect(one().orders[0]).toMatchObject({ open: false, lines: [{ came: 1 }] });
    expect(stockedItem(services, "works-store", line!.item)!.entries[0]).toMatchObject({
      kind: "in",
      price: 120,
      order: order.id,
    });
  });

  it("of which something came stays", () => {
    const { order } = one().orders[0]!;
    const placed = services.edits.ofThing("order", order.id, 1)[0]!;
    must(
      receiveOrder(
        services,
        order.id,
        [{ item: order.lines[0]!.item, place: "loft", quantity: 1 }],
        "Isla Venn",
      ),
    );
    expect(told(undoEdit(services, placed.id, "Isla Venn"))[0]).toContain("what came of it");
    expect(one().orders[0]!.order).toEqual(order);
  });

  it("of which nothing more comes leaves its lines to be ordered again", () => {
    const { order } = one().orders[0]!;
    const closed = must(closeOrder(services, order.id, true, "Isla Venn"));
    expect(one().list.order.flatMap(({ lines }) => lines.map(({ name }) => name))).toContain(
      order.lines[0]!.name,
    );
    must(undoEdit(services, closed.edit!, "Isla Venn"));
    expect(one().orders[0]).toMatchObject({ open: true });
  });
});

describe("a label", () => {
  it("leads to the kit, the valve, the instrument that bears it", () => {
    const to = (reads: string) => labelled(services, reads)?.href;
    expect(to("4006310000314")).toBe(
      "/store/item?store=works-store&kind=kit&id=BF-K31&sheet=brae-quaywall-4",
    );
    expect(to("bf-k31")).toBe(to("4006310000314"));
    expect(to(`http://loft.example${to("bf-k31")}`)).toBe(to("bf-k31"));
    expect(to("http://10.0.0.4:4180/valves/NQ-H07")).toBe("/valves/NQ-H07");
    expect(to("nq-h07")).toBe("/valves/NQ-H07");
    expect(to(services.things.all("instrument")[0]!.id)).toMatch(/^\/instruments\//);
    expect(to("nothing of ours")).toBeUndefined();
  });
});
