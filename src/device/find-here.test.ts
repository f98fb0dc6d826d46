import { IDBFactory, IDBKeyRange } from "fake-indexeddb";
import { afterEach, beforeEach, expect, it } from "vitest";
import { findHere } from "./find-here";
import { DeviceStore } from "./store";

let store: DeviceStore;
beforeEach(async () => {
  store = new DeviceStore("test", { indexedDB: new IDBFactory(), IDBKeyRange });
  await store.along.put({
    id: "day",
    what: "day",
    of: "",
    title: "My day",
    pages: ["/", "/jobs", "/valves/NQ-H07", "/valves/NQ-H07/start", "/lines/north-quay", "/bench/bolt-up"],
    names: { "/valves/NQ-H07": "Hydrant on the slip, North quay", "/lines/north-quay": "North quay main" },
    jobs: [],
    at: 0,
    bytes: 0,
  });
  await store.logs.put({
    id: "job-1",
    tag: "GL-P1",
    name: "Electric pilot valve",
    says: "Does not shut",
    openedAt: "2026-06-01T09:00:00Z",
    stored: [],
    heard: 0,
  });
});
afterEach(() => store.close());
const found = async (typed: string) => (await findHere(store, typed)).map(({ href }) => href);

it("finds what was taken along by tag, name and place, and the jobs that lie here", async () => {
  expect(await found("nq-h07")).toEqual(["/valves/NQ-H07"]);
  expect(await found("slip")).toEqual(["/valves/NQ-H07"]);
  expect(await found("north")).toEqual(["/lines/north-quay", "/valves/NQ-H07"]);
  expect(await found("bolt")).toEqual(["/bench/bolt-up"]);
  expect(await found("pilot shut")).toEqual(["/along/job?id=job-1"]);
});

it("has nothing for what does not lie here, and nothing for nothing", async () => {
  expect(await found("lido")).toEqual([]);
  expect(await found("  ")).toEqual([]);
});
