import { IDBFactory, IDBKeyRange } from "fake-indexeddb";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { instrumentRegister } from "./instruments";
import { DeviceStore } from "./store";

const GAUGE = { id: "IN-01", name: "Test gauge", kind: "gauge", serial: "QG-1" };
let store: DeviceStore;
beforeEach(() => {
  store = new DeviceStore("test", { indexedDB: new IDBFactory(), IDBKeyRange });
});
afterEach(() => {
  store.close();
  vi.unstubAllGlobals();
});
const answers = (made: () => Promise<Response>) => vi.stubGlobal("fetch", vi.fn(made));

it("the register of instruments is heard, and without signal it is what was heard last", async () => {
  answers(async () => Response.json({ instruments: [GAUGE] }));
  expect(await instrumentRegister(store)).toEqual([GAUGE]);
  answers(async () => {
    throw new TypeError("no signal");
  });
  expect(await instrumentRegister(store)).toEqual([GAUGE]);
});

it("what was taken out of it is forgotten", async () => {
  answers(async () => Response.json({ instruments: [GAUGE, { ...GAUGE, id: "IN-02", serial: "QG-2" }] }));
  await instrumentRegister(store);
  answers(async () => Response.json({ instruments: [] }));
  await instrumentRegister(store);
  expect(await store.instruments.count()).toBe(0);
});
