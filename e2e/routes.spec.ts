import { readFileSync } from "node:fs";
import { CALCULATORS, calculatorNamed, readTyped } from "@/core/calculators";
import { TestServer } from "./server";
import { type APIRequestContext, expect, test } from "./test";

const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

const demo = (path: string) => JSON.parse(readFileSync(`demo/${path}`, "utf8"));
const post = (request: APIRequestContext, path: string, data: unknown) =>
  request.post(server.url + path, { data: data as object });

test("isolate, plan, check and calculate take whole documents", async ({ request }) => {
  const line = demo("lines/north-quay.json");
  const sheet = demo("../library/brae-quaywall-4.json");
  const cut = await (await post(request, "/api/v1/line/isolate", { line, open: ["NQ-H07"] })).json();
  expect(cut.closures.map((each: { link: string }) => each.link).sort()).toEqual(["V-12", "V-15", "V-19"]);
  const plan = await (
    await post(request, "/api/v1/build/plan", { sheet, reach: ["disc"], build: "bayonet" })
  ).json();
  expect(plan.moves.at(-1).part).toBe("disc");
  expect(await (await post(request, "/api/v1/sheets/check", sheet)).json()).toMatchObject({ valid: true });
  const torque = await (
    await post(request, "/api/v1/calculators/bolt-up", {
      inputs: { diameter: { value: 16, unit: "mm" }, share: { value: 75, unit: "%" } },
    })
  ).json();
  expect(torque.outputs.torque.value).toBeCloseTo(218, 0);
  const list = await (await request.get(`${server.url}/api/v1/calculators`)).json();
  expect(list.calculators).toHaveLength(CALCULATORS.length);
  for (const { id, inputs, examples } of list.calculators) {
    expect(
      inputs.every((each: { kind: string }) => each.kind !== "measured" || "least" in each),
      id,
    ).toBe(true);
    const sent: Record<string, unknown> = {};
    for (const [name, text] of Object.entries(examples[0].inputs as Record<string, string>)) {
      const read = readTyped(calculatorNamed(id)!.inputs.find((each) => each.name === name)!, text);
      if (read.ok) sent[name] = read.value;
    }
    const answer = await post(request, `/api/v1/calculators/${id}`, { inputs: sent });
    expect(answer.status(), id).toBe(200);
    const body = await answer.json();
    expect(Object.keys(body)).toEqual(expect.arrayContaining(["outputs", "reasons", "cautions", "sources"]));
    // Whatever else is sent is answered, never with a 500.
    for (const value of [null, "x", 1e308, -1e308, {}, []]) {
      const odd = Object.fromEntries(inputs.map((each: { name: string }) => [each.name, { value }]));
      const refused = await post(request, `/api/v1/calculators/${id}`, { inputs: odd });
      expect(refused.status(), `${id} ${JSON.stringify(value)}`).toBe(422);
      expect((await refused.json()).errors[0].path, id).toMatch(/^\/inputs\//);
    }
  }
  for (const name of ["sheet", "line", "store", "job"])
    expect((await (await request.get(`${server.url}/schemas/loftbell.${name}.json`)).json()).$id).toBe(
      `loftbell.${name}.json`,
    );
  const described = await (await request.get(`${server.url}/api/v1/openapi.json`)).json();
  expect(described.openapi).toBe("3.1.0");
  expect(Object.keys(described.paths).length).toBeGreaterThan(20);
});

test("isolate plans stems, double barriers and pumped-out vessels, and says in facts why it cannot", async ({
  request,
}) => {
  const store = demo("lines/gannet-low-side.json");
  const ask = async (body: unknown) => {
    const answer = await post(request, "/api/v1/line/isolate", body);
    return { status: answer.status(), body: await answer.json() };
  };
  const twin = await ask({ line: store, open: ["GN-RV4A"] });
  expect(twin.body.turned).toMatchObject([{ node: "GN-RS4", to: { id: "a-off" } }]);
  const pot = await ask({ line: store, open: ["GN-RV6"] });
  expect(pot).toMatchObject({ status: 422, body: { kind: "no-isolation", pumpOut: { id: "OP" } } });
  const pumped = await ask({ line: store, open: ["GN-RV6"], pumpedOut: ["OP"] });
  expect(pumped.body.shutting[0]).toMatchObject({ kind: "pump-out", id: "OP" });
  const doubled = await ask({ line: demo("lines/gannet-co2.json"), open: ["GC-SV2"] });
  expect(doubled.body.bleeds.length).toBe(4);
  expect(doubled.body.prove[0]).toMatchObject({ how: "gauge", node: "G2" });
  const broken = structuredClone(store);
  broken.nodes
    .find((node: { id: string }) => node.id === "GN-RS4")
    .threeWay.positions[0].joins[0].push("GN-L1");
  const refused = await ask({ line: broken, open: ["GN-RV4A"] });
  expect(refused.status).toBe(422);
  expect(refused.body.errors[0].path).toMatch(/^\/line\/nodes\/\d+\/threeWay\/positions\/0\/joins/);
  const clash = structuredClone(store);
  clash.nodes.find((node: { id: string }) => node.id === "A1").medium = "water";
  expect((await ask({ line: clash, open: ["GN-HRV1"] })).body.errors[0].message).toContain("carries ammonia");
});

test("kits are covered exactly, and what cannot be bought is named", async ({ request }) => {
  const question = {
    needed: [
      { part: "ring", qty: 5 },
      { part: "disc", qty: 1 },
    ],
    kits: [
      {
        id: "minor",
        price_cents: 300,
        in_stock: true,
        contents: [
          { part: "ring", qty: 2 },
          { part: "disc", qty: 1 },
        ],
      },
      { id: "rings", price_cents: 150, in_stock: true, contents: [{ part: "ring", qty: 2 }] },
    ],
    parts: [{ part: "ring", price_cents: 90, in_stock: true }],
  };
  const best = await post(request, "/api/v1/store/cover", question);
  // One minor for the disc, one pair and one ring for the three rings that are left.
  expect(await best.json()).toEqual({
    possible: true,
    cost_cents: 540,
    purchase: [
      { kind: "kit", id: "minor", qty: 1 },
      { kind: "kit", id: "rings", qty: 1 },
      { kind: "part", id: "ring", qty: 1 },
    ],
    exact: true,
  });
  const second = await post(request, "/api/v1/store/cover", { ...question, second_best: true });
  expect(await second.json()).toMatchObject({ second_best: { cost_cents: 570, exact: true } });
  const none = { ...question, kits: question.kits.map((kit) => ({ ...kit, in_stock: false })) };
  const lacks = await post(request, "/api/v1/store/cover", none);
  expect(await lacks.json()).toMatchObject({ possible: false, missing: [{ part: "disc", qty: 1 }] });
  const twice = await post(request, "/api/v1/store/cover", {
    ...question,
    parts: [...question.parts, ...question.parts],
  });
  expect(twice.status()).toBe(422);
  expect(await twice.json()).toMatchObject({ errors: [{ path: "/parts/1/part" }] });
});

test("bad input answers problem+json with a path and what to do, never 500", async ({ request }) => {
  const line = demo("lines/north-quay.json");
  const sheet = demo("../library/brae-quaywall-4.json");
  const ring = structuredClone(sheet);
  ring.parts.find((part: { id: string }) => part.id === "cap").ways[0].heldBy.push("nozzle");
  const bare = {
    ...line,
    nodes: line.nodes.slice(0, 2),
    links: [{ kind: "pipe", id: "p", from: "SK", to: "CH", dn_mm: 100, length_m: 5 }],
  };
  bare.nodes[1] = { id: "CH", kind: "consumer", elevation_m: 0 };
  const cases: [string, unknown, number, RegExp, RegExp][] = [
    ["/api/v1/line/isolate", {}, 422, /^\/line$/, /Missing/],
    ["/api/v1/line/isolate", { line, open: ["nowhere"] }, 422, /^\/open/, /no place or valve/],
    ["/api/v1/line/isolate", { line: bare, open: ["CH"] }, 422, /^\/open/, /Shut down and drain its source/],
    [
      "/api/v1/build/plan",
      { sheet: ring, reach: ["disc"] },
      422,
      /^\/sheet\/parts\/\d+\/ways/,
      /can never come off/,
    ],
    ["/api/v1/build/plan", { sheet, reach: ["body"] }, 422, /^\/reach/, /stays in place/],
    ["/api/v1/sheets/check", ring, 422, /^\/parts\/\d+\/ways/, /Break the ring/],
    ["/api/v1/sheets/check", null, 422, /^$/, /object/],
    [
      "/api/v1/calculators/bolt-up",
      { inputs: { diameter: { value: 16, unit: "psi" } } },
      422,
      /diameter/,
      /not a unit of length/,
    ],
    ["/api/v1/calculators/bolt-up", { inputs: { nonsense: { value: 1 } } }, 422, /nonsense/, /no input/],
    ["/api/v1/calculators/none", { inputs: {} }, 404, /^$/, /no calculator/],
    ["/api/v1/jobs", { valve: "X" }, 422, /reason/, /Missing/],
    ["/api/v1/jobs/none/events", { events: [{ v: 9 }] }, 422, /^\/events\/0\/v/, /newer Loft Bell/],
    [
      "/api/v1/import",
      { files: [{ name: "a.json", text: "{" }], apply: true },
      422,
      /^a\.json/,
      /Not readable/,
    ],
  ];
  for (const [path, body, status, at, says] of cases) {
    const answer = await post(request, path, body);
    expect(answer.status(), path).toBe(status);
    expect(answer.headers()["content-type"], path).toContain("application/problem+json");
    const { errors } = await answer.json();
    expect(
      errors.some((each: { path: string; message: string }) => at.test(each.path) && says.test(each.message)),
      `${path}: ${JSON.stringify(errors).slice(0, 300)}`,
    ).toBe(true);
  }
  const notJson = await request.post(`${server.url}/api/v1/sheets/check`, {
    headers: { "content-type": "application/json" },
    data: Buffer.from("{oops"),
  });
  expect(notJson.status()).toBe(400);
  const huge = await request.post(`${server.url}/api/v1/sheets/check`, {
    headers: { "content-type": "application/json" },
    data: Buffer.alloc(5_200_000, 32),
  });
  expect(huge.status()).toBe(413);
});
