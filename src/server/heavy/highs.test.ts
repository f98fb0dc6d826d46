import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { answerCover, type IntegerSolver } from "@/core/store";
import { cheapestCover } from "@/core/store/cover";
import { bigQuestion, everyCover, priceOf, smallStore } from "@/core/store/cover.fixtures";
import { smallSolver } from "@/core/store/small-solver";
import { coverTask } from "./cover-task";
import { highsSolver } from "./highs";

let solve: IntegerSolver;
beforeAll(async () => {
  solve = await highsSolver();
});

describe("kits by the integer program", () => {
  it("are the cheapest of all purchases", () => {
    let covered = 0;
    fc.assert(
      fc.property(smallStore, ({ needs, offers }) => {
        const cheapest = Math.min(...[...everyCover(needs, offers)].map((counts) => priceOf(offers, counts)));
        const found = cheapestCover(needs, offers, solve);
        if (found !== undefined) covered++;
        expect(found?.price ?? Number.POSITIVE_INFINITY).toBe(cheapest);
      }),
      { numRuns: 60 },
    );
    expect(covered).toBeGreaterThan(15);
  });

  it("cost with dozens of candidates what the other solver finds, and are proven", () => {
    for (const seed of [1, 2, 3]) {
      const question = bigQuestion(seed, 14, 24);
      const [here, there] = [answerCover(question, solve), answerCover(question, smallSolver)];
      expect(here).toMatchObject({ ok: true, value: { possible: true, exact: true } });
      expect(here.ok && here.value.cost_cents).toBe(there.ok && there.value.cost_cents);
    }
  });

  it("are proven with 40 parts and 60 kits", () => {
    expect(answerCover(bigQuestion(7), solve)).toMatchObject({ ok: true, value: { exact: true } });
  });
});

describe("the task of a worker", () => {
  const ask = (body: string) => coverTask(new TextEncoder().encode(body));

  it("answers in the given shape", async () => {
    const question = {
      needed: [{ part: "ring", qty: 3 }],
      kits: [{ id: "pair", price_cents: 150, in_stock: true, contents: [{ part: "ring", qty: 2 }] }],
      parts: [{ part: "ring", price_cents: 80, in_stock: true }],
    };
    expect(await ask(JSON.stringify(question))).toEqual({
      ok: true,
      value: {
        possible: true,
        cost_cents: 230,
        purchase: [
          { kind: "kit", id: "pair", qty: 1 },
          { kind: "part", id: "ring", qty: 1 },
        ],
        exact: true,
      },
    });
  });

  it("refuses what it cannot read, with the place", async () => {
    expect(await ask("{")).toMatchObject({ ok: false, status: 400 });
    expect(await ask('{"needed":[{"part":"ring","qty":-1}],"kits":[],"parts":[]}')).toMatchObject({
      ok: false,
      status: 422,
      problems: [{ path: "/needed/0/qty" }],
    });
  });
});
