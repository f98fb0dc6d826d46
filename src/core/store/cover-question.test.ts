import { describe, expect, it } from "vitest";
import type { CoverQuestion } from "../formats";
import { answerCover } from ".";
import { smallSolver } from "./small-solver";

const ring = { part: "ring", price_cents: 120, in_stock: true };
const kit = {
  id: "minor",
  price_cents: 300,
  in_stock: true,
  contents: [
    { part: "ring", qty: 2 },
    { part: "disc", qty: 1 },
  ],
};
const ask = (question: Partial<CoverQuestion>) =>
  answerCover({ needed: [], kits: [], parts: [], ...question }, smallSolver);

describe("what to buy", () => {
  it("buys any number of what is in stock", () => {
    const answer = ask({ needed: [{ part: "ring", qty: 7 }], parts: [ring] });
    expect(answer).toEqual({
      ok: true,
      value: {
        possible: true,
        cost_cents: 840,
        purchase: [{ kind: "part", id: "ring", qty: 7 }],
        exact: true,
      },
    });
  });

  it("buys nothing that is not in stock, and says what is missing", () => {
    const out = { ...kit, in_stock: false };
    expect(
      ask({
        needed: [
          { part: "disc", qty: 2 },
          { part: "ring", qty: 1 },
        ],
        kits: [out],
        parts: [ring],
      }),
    ).toEqual({
      ok: true,
      value: {
        possible: false,
        cost_cents: null,
        purchase: [],
        exact: true,
        missing: [{ part: "disc", qty: 2 }],
      },
    });
  });

  it("adds up what is needed twice", () => {
    const needed = [
      { part: "ring", qty: 1 },
      { part: "ring", qty: 2 },
    ];
    expect(ask({ needed, parts: [ring] })).toMatchObject({ value: { cost_cents: 360 } });
  });

  it("costs nothing when nothing is needed", () => {
    expect(ask({ kits: [kit] })).toMatchObject({ value: { possible: true, cost_cents: 0, purchase: [] } });
  });

  it("tells the next best when asked, and that there is none", () => {
    const needed = [{ part: "ring", qty: 2 }];
    expect(ask({ needed, kits: [kit], parts: [ring], second_best: true })).toMatchObject({
      value: {
        cost_cents: 240,
        second_best: { cost_cents: 300, purchase: [{ kind: "kit", id: "minor", qty: 1 }], exact: true },
      },
    });
    expect(ask({ needed, parts: [ring], second_best: true })).toMatchObject({ value: { second_best: null } });
  });

  it("refuses what has two prices", () => {
    expect(ask({ parts: [ring, { ...ring, price_cents: 90 }] })).toEqual({
      ok: false,
      error: [
        { path: "/parts/1/part", message: '"ring" stands here twice. Keep the one whose price holds.' },
      ],
    });
    expect(ask({ kits: [kit, kit] })).toMatchObject({ ok: false, error: [{ path: "/kits/1/id" }] });
  });
});
