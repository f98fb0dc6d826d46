import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { JobEvent } from "@/core/formats";
import { Outbox, sendEntries } from "./outbox";

/** A device's storage, as the browser has it. */
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
  it("gives back what was kept, in the order it was made, after a restart", () => {
    const shelf = new Shelf();
    for (const id of ["c", "a", "b"]) new Outbox("job", shelf).keep(note(id));
    expect(ids(new Outbox("job", shelf).waiting())).toEqual(["c", "a", "b"]);
  });

  it("keeps jobs apart, also one whose name begins like another's", () => {
    const shelf = new Shelf();
    new Outbox("job-1", shelf).keep(note("a"));
    new Outbox("job-12", shelf).keep(note("b"));
    expect(ids(new Outbox("job-1", shelf).waiting())).toEqual(["a"]);
  });

  it("two pages on one job do not write over one another", () => {
    const shelf = new Shelf();
    const [left, right] = [new Outbox("job", shelf), new Outbox("job", shelf)];
    left.keep(note("a"));
    right.keep(note("b"));
    left.drop(["a"]);
    expect(ids(right.waiting())).toEqual(["b"]);
  });

  it("puts aside what was not taken, with the reason, until it is let go", () => {
    const box = new Outbox("job", new Shelf());
    for (const id of ["a", "b", "c"]) box.keep(note(id));
    box.refuse({ event: note("b"), why: "Already done" });
    box.refuse({ event: note("c"), why: "Already done" });
    expect(ids(box.waiting())).toEqual(["a"]);
    expect(box.refused()).toEqual([
      { event: note("b"), why: "Already done" },
      { event: note("c"), why: "Already done" },
    ]);
    box.letGo(["b"]);
    expect(box.refused().map((each) => each.event.id)).toEqual(["c"]);
  });

  it("is not upset by a text that is no entry", () => {
    const shelf = new Shelf();
    shelf.setItem("loftbell.outbox.job/x", "{half");
    new Outbox("job", shelf).keep(note("a"));
    expect(ids(new Outbox("job", shelf).waiting())).toEqual(["a"]);
  });

  it("loses nothing, whatever is kept, dropped and refused", () => {
    const action = fc.record({
      id: fc.integer({ min: 0, max: 9 }),
      how: fc.constantFrom("keep", "drop", "refuse"),
    });
    fc.assert(
      fc.property(fc.array(action, { maxLength: 40 }), (actions) => {
        const box = new Outbox("job", new Shelf());
        const [waiting, refused] = [new Set<string>(), new Set<string>()];
        for (const [index, { id, how }] of actions.entries()) {
          const event = note(how === "keep" ? `${index}` : ([...waiting][id] ?? "none"));
          if (how === "keep") {
            box.keep(event);
            waiting.add(event.id);
          } else if (how === "drop") {
            box.drop([event.id]);
            waiting.delete(event.id);
          } else if (waiting.delete(event.id)) {
            box.refuse({ event, why: "why" });
            refused.add(event.id);
          }
        }
        expect(ids(box.waiting())).toEqual([...waiting]);
        expect(box.refused().map((each) => each.event.id)).toEqual([...refused]);
      }),
    );
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

  it("sends no more at once than the server takes; the rest follows", async () => {
    const many = Array.from({ length: 730 }, (_, index) => note(`${index}`));
    let sent: { events: JobEvent[] } = { events: [] };
    const post = (async (_url: unknown, init?: RequestInit) => {
      sent = JSON.parse(String(init?.body));
      return Response.json({ entries: 0, stored: [] });
    }) as typeof fetch;
    const answer = await sendEntries("job", many, "refused", post);
    expect(sent.events).toHaveLength(500);
    expect(answer.kind === "stored" && answer.events).toHaveLength(500);
  });
});
