import { beforeEach, describe, expect, it } from "vitest";
import { call, pathOf } from "./client";
import { clockAhead, corrected, measureClock, TIME_HEADER } from "./clock";
import { FIND, HEALTH } from "./contracts/here";
import { ADD_EVENTS } from "./contracts/jobs";

const shelf = new Map<string, string>();
beforeEach(() => {
  shelf.clear();
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => shelf.get(key) ?? null,
      setItem: (key: string, value: string) => shelf.set(key, value),
    },
  });
});

describe("asking by a contract", () => {
  const asked: string[] = [];
  const answering = (status: number, body: unknown) =>
    (async (url: string, init: RequestInit) => {
      asked.push(`${init.method} ${url} ${init.body ?? ""}`);
      return Response.json(body, { status });
    }) as unknown as typeof fetch;

  it("writes names into the path and the query so that they come through", async () => {
    expect(pathOf(ADD_EVENTS, { id: "a/b %" })).toBe("/api/v1/jobs/a%2Fb%20%25/events");
    await call(FIND, { query: { words: "1/2 NPT & ring" } }, answering(200, { hits: [], near: false }));
    expect(asked.at(-1)).toBe("GET /api/v1/find?words=1%2F2+NPT+%26+ring ");
  });

  it.each([
    [409, { errors: [{ path: "/x", message: "No" }] }, { kind: "refused", status: 409 }],
    [503, { kind: "cannot-store", errors: [{ path: "", message: "Full" }] }, { kind: "cannot-store" }],
    [503, {}, { kind: "no-signal" }],
    [502, "<html>", { kind: "no-signal" }],
  ])("%i is told apart", async (status, body, error) => {
    expect(await call(HEALTH, {}, answering(status, body))).toMatchObject({ ok: false, error });
  });

  it("no answer is no signal", async () => {
    const none = (async () => Promise.reject(new TypeError("no network"))) as typeof fetch;
    expect(await call(HEALTH, {}, none)).toMatchObject({ ok: false, error: { kind: "no-signal" } });
  });
});

describe("the clock of the device", () => {
  const answer = (time: number) => new Response(null, { headers: { [TIME_HEADER]: String(time) } });
  it("is measured by the middle of an answer, and told when it matters", () => {
    measureClock(answer(1_000_000), 1_719_000, 1_721_000);
    expect(clockAhead()).toBe(720_000);
    measureClock(answer(1_000_000), 1_005_000, 1_006_000);
    expect(clockAhead()).toBe(0);
  });

  it("is not measured by an answer that took long, nor by none", () => {
    measureClock(answer(0), 100_000, 200_000);
    measureClock(new Response(), 100_000, 100_100);
    expect(clockAhead()).toBe(0);
  });

  it("is put right in an entry once, and marked", () => {
    const event = { at: "2026-06-01T09:12:00.000Z" };
    const right = corrected(event, 720_000);
    expect(right).toEqual({ at: "2026-06-01T09:00:00.000Z", off_s: 720 });
    expect(corrected(right, 720_000)).toBe(right);
    expect(corrected(event, 0)).toBe(event);
  });
});
