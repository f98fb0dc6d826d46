import { Dexie } from "dexie";
import { IDBFactory, IDBKeyRange } from "fake-indexeddb";
import fc from "fast-check";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import type { JobEvent } from "@/core/formats";
import { askOrKeep, sendActs, tryAgain } from "./acts";
import { outboxOf } from "./entries";
import { heardLog, letGoOfJobs, tidy } from "./jobs";
import { sendEntries } from "./send-entries";
import { DeviceStore } from "./store";

let store: DeviceStore;
let disk: IDBFactory;
const opened = () => new DeviceStore("test", { indexedDB: disk, IDBKeyRange });
beforeEach(() => {
  disk = new IDBFactory();
  store = opened();
});
afterEach(() => store.close());

const note = (id: string): JobEvent => ({
  v: 1,
  id,
  at: "2027-03-01T09:00:00.000Z",
  by: "Tam Arkle",
  kind: "note-added",
  text: id,
});
const ids = (events: readonly JobEvent[]) => events.map((event) => event.id);

describe("the outbox", () => {
  it("gives back what was kept, in the order it was made, after a restart", async () => {
    for (const id of ["c", "a", "b"]) await outboxOf(store, "job").keep(note(id));
    store.close();
    store = opened();
    expect(ids(await outboxOf(store, "job").waiting())).toEqual(["c", "a", "b"]);
  });

  it("keeps jobs apart, also one whose name begins like another's", async () => {
    await outboxOf(store, "job-1").keep(note("a"));
    await outboxOf(store, "job-12").keep(note("b"));
    expect(ids(await outboxOf(store, "job-1").waiting())).toEqual(["a"]);
  });

  it("two pages on one job do not write over one another", async () => {
    const other = opened();
    await Promise.all([outboxOf(store, "job").keep(note("a")), outboxOf(other, "job").keep(note("b"))]);
    await outboxOf(store, "job").drop(["a"]);
    expect(ids(await outboxOf(other, "job").waiting())).toEqual(["b"]);
    other.close();
  });

  it("keeps an entry once, however often it is kept", async () => {
    for (let time = 0; time < 3; time++) await outboxOf(store, "job").keep(note("a"));
    expect(ids(await outboxOf(store, "job").waiting())).toEqual(["a"]);
  });

  it("puts aside what was not taken, with the reason, until it is let go", async () => {
    const box = outboxOf(store, "job");
    for (const id of ["a", "b", "c"]) await box.keep(note(id));
    await box.refuse({ event: note("b"), why: "Already done" });
    await box.refuse({ event: note("c"), why: "Already done" });
    expect(ids(await box.waiting())).toEqual(["a"]);
    expect(await box.refused()).toEqual([
      { event: note("b"), why: "Already done" },
      { event: note("c"), why: "Already done" },
    ]);
    await box.letGo(["b", "a"]);
    expect((await box.refused()).map((each) => each.event.id)).toEqual(["c"]);
    // What waits is not let go by a slip.
    expect(ids(await box.waiting())).toEqual(["a"]);
  });

  it("loses nothing, whatever is kept, dropped and refused", async () => {
    const action = fc.record({
      id: fc.integer({ min: 0, max: 9 }),
      how: fc.constantFrom("keep", "drop", "refuse"),
    });
    let round = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(action, { maxLength: 30 }), async (actions) => {
        const box = outboxOf(store, `job-${round++}`);
        const [waiting, refused] = [new Set<string>(), new Set<string>()];
        for (const [index, { id, how }] of actions.entries()) {
          const event = note(how === "keep" ? `${index}` : ([...waiting][id] ?? "none"));
          if (how === "keep") {
            await box.keep(event);
            waiting.add(event.id);
          } else if (how === "drop") {
            await box.drop([event.id]);
            waiting.delete(event.id);
          } else if (waiting.delete(event.id)) {
            await box.refuse({ event, why: "why" });
            refused.add(event.id);
          }
        }
        expect(ids(await box.waiting())).toEqual([...waiting]);
        expect((await box.refused()).map((each) => each.event.id)).toEqual([...refused]);
      }),
      { numRuns: 40 },
    );
  });
});

describe("what an older program kept", () => {
  /** A device's storage, as the browser had it up to 0.20. */
  class Shelf {
    readonly #kept = new Map<string, string>();
    get length() {
      return this.#kept.size;
    }
    key = (index: number) => [...this.#kept.keys()][index] ?? null;
    getItem = (key: string) => this.#kept.get(key) ?? null;
    setItem = (key: string, text: string) => void this.#kept.set(key, text);
    removeItem = (key: string) => void this.#kept.delete(key);
  }
  const shelf = new Shelf();
  const world = globalThis as { localStorage?: unknown };
  beforeEach(() => {
    world.localStorage = shelf;
  });
  afterEach(() => {
    delete world.localStorage;
  });

  it("is brought over in its order, what was refused with its reason, and only then taken away", async () => {
    const kept = (order: number, id: string, why?: string) =>
      JSON.stringify({ order, event: note(id), ...(why !== undefined && { why }) });
    shelf.setItem("loftbell.outbox.job/b", kept(2, "b"));
    shelf.setItem("loftbell.outbox.job/a", kept(1, "a"));
    shelf.setItem("loftbell.refused.job/c", kept(3, "c", "Already done"));
    shelf.setItem("loftbell.outbox.job/x", "{half");
    shelf.setItem("loftbell.clock", "90000");
    const box = outboxOf(store, "job");
    expect(ids(await box.waiting())).toEqual(["a", "b"]);
    expect(await box.refused()).toEqual([{ event: note("c"), why: "Already done" }]);
    expect(shelf.getItem("loftbell.outbox.job/a")).toBeNull();
    // What is no entry of ours is not touched.
    expect(shelf.getItem("loftbell.clock")).toBe("90000");
    expect(shelf.getItem("loftbell.outbox.job/x")).toBe("{half");
    // Killed in the middle of it: what lies in both is there once.
    store.close();
    shelf.setItem("loftbell.outbox.job/a", kept(1, "a"));
    store = opened();
    expect(ids(await outboxOf(store, "job").waiting())).toEqual(["a", "b"]);
  });

  it("photographs, too", async () => {
    const older = new Dexie("loftbell-photos", { indexedDB: disk, IDBKeyRange });
    older.version(1).stores({ waiting: "" });
    await older.table("waiting").add({ job: "job", photo: "p", blob: new Blob(["x"]) }, "job/p");
    older.close();
    expect((await store.photos.get(["job", "p"]))?.photo).toBe("p");
    expect((await disk.databases()).map(({ name }) => name)).toEqual(["test"]);
  });
});

describe("sending", () => {
  const answering = (status: number, body: unknown) =>
    (async () => Response.json(body, { status })) as typeof fetch;
  const waiting = ["a", "b", "c"].map(note);

  it("says which are stored", async () => {
    expect(await sendEntries("job", waiting, "refused", answering(200, { entries: 3, stored: [] }))).toEqual({
      kind: "stored",
      events: waiting,
      entries: 3,
    });
  });

  it.each([
    ["/events/1/step", "b"],
    ["/events/2", "c"],
    ["", "a"],
    ["/events/99", "a"],
  ])("knows which was refused: %s", async (path, id) => {
    const answer = answering(409, { errors: [{ path, message: "Already done" }] });
    expect(await sendEntries("job", waiting, "refused", answer)).toEqual({
      kind: "refused",
      event: note(id),
      why: "Already done",
    });
  });

  it("without an answer, or with a server that is ill, it waits", async () => {
    const none = (async () => Promise.reject(new TypeError("no network"))) as typeof fetch;
    expect(await sendEntries("job", waiting, "refused", none)).toEqual({ kind: "no-signal" });
    expect(await sendEntries("job", waiting, "refused", answering(503, {}))).toEqual({ kind: "no-signal" });
  });

  it.each([401, 403])("a session that has ended (%i) speaks against no entry", async (status) => {
    const answer = answering(status, { errors: [{ path: "/events/0/by", message: "Sign in first" }] });
    expect(await sendEntries("job", waiting, "refused", answer)).toEqual({
      kind: "nobody",
      why: "Sign in first",
    });
  });
});

describe("what else was asked without signal", () => {
  const reading = (at: number) => ({ id: `r-${at}`, says: "LD-T3: 60 °C", at });
  const asked = {
    params: { tag: "LD-T3" },
    body: { calculator: "drain-down", inputs: {}, output: "time" },
  } as const;

  it("waits in its order, is sent once, and is put aside with the reason when it is refused", async () => {
    const world = globalThis as { fetch: typeof fetch };
    const net = world.fetch;
    world.fetch = (async () => Promise.reject(new TypeError("no network"))) as typeof fetch;
    try {
      for (const at of [2, 1, 3])
        expect((await askOrKeep(store, "keepResult", asked, reading(at))).kind).toBe("waits");
    } finally {
      world.fetch = net;
    }
    const sent: number[] = [];
    const answers = [201, 422, 503];
    const post = (async (_: unknown, init?: RequestInit) => {
      sent.push(JSON.parse(String(init?.body)).calculator === "drain-down" ? 1 : 0);
      const status = answers[sent.length - 1]!;
      return Response.json({ errors: [{ path: "/at", message: "No such valve" }] }, { status });
    }) as typeof fetch;
    // The third is not heard: it stays.
    expect((await sendActs(store, post))?.kind).toBe("no-signal");
    expect((await store.acts.toArray()).map(({ id, state, why }) => [id, state, why])).toEqual([
      ["r-2", "refused", "No such valve"],
      ["r-3", "waiting", undefined],
    ]);
    await tryAgain(store);
    expect(await store.acts.where({ state: "waiting" }).count()).toBe(2);
  });

  it("what comes later waits behind what waits already", async () => {
    await store.acts.put({ ...reading(1), act: "keepResult", ...asked, state: "waiting" });
    expect((await askOrKeep(store, "keepResult", asked, reading(2))).kind).toBe("waits");
  });

  it("an ended session puts nothing aside", async () => {
    await store.acts.put({ ...reading(1), act: "keepResult", ...asked, state: "waiting" });
    const post = (async () =>
      Response.json({ errors: [{ path: "", message: "Sign in first" }] }, { status: 401 })) as typeof fetch;
    expect(await sendActs(store, post)).toEqual({ kind: "nobody", why: "Sign in first" });
    expect(await store.acts.where({ state: "waiting" }).count()).toBe(1);
  });
});

describe("jobs on the device", () => {
  const DAY = 86_400_000;
  const log = (id: string, heard: number, stored: readonly JobEvent[] = []) => ({
    id,
    tag: id,
    name: id,
    says: "Due",
    openedAt: "2027-03-01T09:00:00.000Z",
    stored,
    heard,
  });
  const signed = { ...note("end"), kind: "signed-off", statement: "x" } as unknown as JobEvent;

  it("do not pile up: closed ones go after a week, forgotten ones after two months, unsent ones never", async () => {
    const now = 100 * DAY;
    await store.logs.bulkPut([
      log("fresh", now - DAY, [signed]),
      log("closed", now - 8 * DAY, [signed]),
      log("open", now - 8 * DAY),
      log("forgotten", now - 61 * DAY),
      log("unsent", now - 90 * DAY, [signed]),
      log("begun", now - 90 * DAY),
    ]);
    await outboxOf(store, "unsent").keep(note("a"));
    await store.begun.put({ id: "begun", tag: "begun" });
    await tidy(store, now);
    expect(await store.logs.toCollection().primaryKeys()).toEqual(["begun", "fresh", "open", "unsent"]);
    await letGoOfJobs(store, () => true);
    expect(await store.logs.toCollection().primaryKeys()).toEqual(["begun", "unsent"]);
  });

  it("an answer that is older than what is known takes nothing back", async () => {
    await store.logs.put(log("job", 1, [note("a"), note("b")]));
    await heardLog(store, "job", [note("a"), note("theirs")], 2);
    expect(ids((await store.logs.get("job"))!.stored)).toEqual(["a", "b"]);
    await heardLog(store, "job", [note("a"), note("theirs"), note("b")], 3);
    expect(ids((await store.logs.get("job"))!.stored)).toEqual(["a", "theirs", "b"]);
  });
});
