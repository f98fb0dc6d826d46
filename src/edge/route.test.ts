import { Type } from "@sinclair/typebox";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { err, ok } from "@/core/result";
import { keepPerson } from "@/server/register/keep-documents";
import { passingServices, type Services } from "@/server/services";
import { contract } from "./contract";
import { refused } from "./problem";
import { route } from "./route";

const kept = globalThis as typeof globalThis & { loftbell?: Services };
beforeEach(() => {
  kept.loftbell = passingServices(() => 1_800_000_000_000);
  keepPerson(kept.loftbell, { id: "tam", name: "Tam Arkle", may: "All" });
});
afterEach(() => {
  delete kept.loftbell;
});

const closed = { additionalProperties: false };
const TRY = contract({
  id: "try",
  method: "POST",
  path: "/api/v1/try/{id}",
  chapter: "Jobs",
  role: "technician",
  says: "For the test.",
  asker: "crew",
  params: Type.Object({ id: Type.String({ maxLength: 8 }) }, closed),
  query: Type.Object({ count: Type.Optional(Type.Integer({ minimum: 1 })) }, closed),
  body: Type.Object({ name: Type.String({ minLength: 1 }) }, closed),
  mostBytes: 1000,
  answer: Type.Object({ said: Type.String() }, closed),
});
const handler = route(TRY, ({ params, query, body, actor }) =>
  ok({ said: `${actor.name}: ${params.id} ${query.count ?? "-"} ${body.name}` }),
);
const ask = (
  init: { headers?: Record<string, string>; body?: string; query?: string; id?: string } = {},
  does = handler,
) =>
  does(
    new Request(`http://127.0.0.1:4180/api/v1/try/x${init.query ?? ""}`, {
      method: "POST",
      headers: {
        "content-type": "application/json",
        ...(init.headers?.cookie === undefined && { "loftbell-person": "tam" }),
        ...init.headers,
      },
      body: init.body ?? '{"name":"bolt"}',
    }),
    { params: Promise.resolve({ id: init.id ?? "V%3A1" }) },
  );
const cookie = (who: unknown) => ({
  cookie: `other=1; loftbell=${encodeURIComponent(JSON.stringify({ who }))}`,
});

describe("a route made from its contract", () => {
  it("reads, hands over, and tells the server's time", async () => {
    const answer = await ask({ query: "?count=3" });
    expect(await answer.json()).toEqual({ said: "Tam Arkle: V:1 3 bolt" });
    expect(answer.headers.get("loftbell-time")).toBe("1800000000000");
  });

  it.each<[string, Parameters<typeof ask>[0], number, string]>([
    ["nobody asks", { headers: { "loftbell-person": "" } }, 401, ""],
    [
      "somebody asks whom the crew does not know",
      { headers: { "loftbell-person": "The%20Queen%20of%20Sheba" } },
      401,
      "",
    ],
    ["the name is half a letter", { headers: { "loftbell-person": "%" } }, 401, ""],
    ["it is sent as text", { headers: { "content-type": "text/plain" } }, 415, ""],
    ["it is sent as nothing", { headers: { "content-type": "" } }, 415, ""],
    ["it is no JSON", { body: "{oops" }, 400, ""],
    ["it is bottomless", { body: "[".repeat(900) }, 400, ""],
    ["it is too large", { body: `{"name":"${"x".repeat(2000)}"}` }, 413, ""],
    ["a field is wrong", { body: '{"name":""}' }, 422, "/name"],
    ["a field is too many", { body: '{"name":"a","other":1}' }, 422, "/other"],
    ["the query is wrong", { query: "?count=0" }, 422, "?/count"],
    ["the query is nobody's", { query: "?hasOwnProperty=1" }, 422, "?/hasOwnProperty"],
    ["the id is too long", { id: "far-too-long" }, 404, "/id"],
    ["the id is half a letter", { id: "%" }, 400, ""],
  ])("%s: refused with what to do", async (_, init, status, path) => {
    const answer = await ask(init);
    expect(answer.status).toBe(status);
    expect(answer.headers.get("content-type")).toBe("application/problem+json");
    const { errors } = (await answer.json()) as { errors: { path: string; message: string }[] };
    expect(errors[0]!.path).toBe(path);
    expect(errors[0]!.message.length).toBeGreaterThan(10);
  });

  it("takes the one chosen on the device, and nobody for the first of the crew", async () => {
    expect((await (await ask({ headers: cookie("Tam Arkle") })).json()).said).toMatch(/^Tam Arkle:/);
    for (const who of ["", "Somebody", 7, null])
      expect((await ask({ headers: cookie(who) })).status).toBe(401);
  });

  it("lets whoever sets it up bring in the first of the crew, and nobody after", async () => {
    const first = route({ ...TRY, asker: "crew-if-any" } as typeof TRY, ({ actor }) =>
      ok({ said: actor.name }),
    );
    expect((await ask({ headers: { "loftbell-person": "" } }, first)).status).toBe(401);
    kept.loftbell = passingServices();
    expect(await (await ask({ headers: { "loftbell-person": "" } }, first)).json()).toEqual({
      said: "Whoever set this up",
    });
  });

  it("a refusal of the use case keeps its status; a fault of the disk is told as such, and not as ours", async () => {
    const no = route(TRY, () => err(refused(409, "No", "Not now.")));
    expect((await ask({}, no)).status).toBe(409);
    const silent = vi.spyOn(console, "error").mockImplementation(() => {});
    for (const [code, says] of [
      ["SQLITE_FULL", "The disk is full"],
      ["SQLITE_READONLY_DBMOVED", "can only be read"],
      ["SQLITE_CORRUPT", "is damaged"],
      ["SQLITE_IOERR_WRITE", "does not answer"],
      ["SQLITE_BUSY", "Another program"],
    ] as const) {
      const full = route(TRY, () => {
        throw new Error("drizzle", { cause: Object.assign(new Error("low"), { code }) });
      });
      const answer = await ask({}, full);
      expect(answer.status).toBe(503);
      expect(await answer.json()).toMatchObject({
        kind: "cannot-store",
        errors: [{ message: expect.stringContaining(says) }],
      });
    }
    const bug = await ask(
      {},
      route(TRY, () => {
        throw new Error("a secret path /root/x");
      }),
    );
    expect(bug.status).toBe(500);
    expect(await bug.text()).not.toContain("secret");
    silent.mockRestore();
  });
});
