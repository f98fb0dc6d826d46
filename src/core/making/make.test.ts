import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { LineSchema, readAs } from "../formats";
import { planIsolation } from "../isolation";
import { demoDocument } from "../job/job.fixtures";
import { checkLine } from "../line";
import { joinLines, LINE_TEMPLATES, PIECES, splitLine, withPiece } from ".";

const HEAD = { id: "a", name: "A" };
const template = (id: string, count = 3, head = HEAD) =>
  LINE_TEMPLATES.find((each) => each.id === id)!.build(count, head);
const sound = (line: Line) => {
  expect(readAs(LineSchema, line)).toMatchObject({ ok: true });
  expect(checkLine(line)).toEqual([]);
};

describe("a line from a template", () => {
  it.each(LINE_TEMPLATES.flatMap((each) => [1, each.usual, 6].map((count) => [each.id, count] as const)))(
    "%s with %i of them is sound, and each can be parted from what feeds it",
    (id, count) => {
      const line = template(id, count);
      sound(line);
      const named = line.nodes.filter(
        ({ kind, name }) => (kind === "junction" && name !== undefined) || kind === "consumer",
      );
      expect(named.length).toBeGreaterThanOrEqual(count);
      for (const place of named.filter(({ hydrant, medium }) => hydrant || medium === undefined)) {
        const plan = planIsolation(line, { open: [place.id] });
        expect(plan.ok, `${id} ${place.id} ${JSON.stringify(plan)}`).toBe(true);
      }
    },
  );

  it("draws no two places at one spot", () => {
    for (const { build, usual } of LINE_TEMPLATES) {
      const spots = build(usual, HEAD).nodes.map(({ at }) => String(at));
      expect(new Set(spots).size).toBe(spots.length);
    }
  });
});

describe("a piece put to a line", () => {
  it.each(PIECES.map((piece) => [piece.id, piece] as const))("%s leaves it sound", (_, piece) => {
    const of = { water: "hydrant-main", steam: "steam-traps", gas: "gas-meters" } as const;
    const line = template(
      of[piece.media.includes("water") ? "water" : piece.media.includes("steam") ? "steam" : "gas"],
    );
    const at = line.nodes.find(({ kind }) => kind === "junction")!.id;
    const made = withPiece(line, piece, at);
    sound(made.line);
    const ids = [...made.line.nodes, ...made.line.links].map(({ id }) => id);
    expect(ids).toContain(made.stands);
    expect(new Set(ids).size).toBe(ids.length);
    // What was there is as it was.
    expect(made.line.nodes.slice(0, line.nodes.length)).toEqual(line.nodes);
  });
});

describe("two lines joined", () => {
  it("are one line with all that both had, and no id twice", () => {
    const [first, second] = [template("hydrant-main"), template("beds", 2, { id: "b", name: "B" })];
    const end = first.nodes.find(({ kind }) => kind === "junction")!.id;
    const source = second.nodes.find(({ kind, medium }) => kind === "source" && medium === undefined)!.id;
    const joined = joinLines(first, end, second, source);
    if (!joined.ok) throw new Error(JSON.stringify(joined.error));
    sound(joined.value.line);
    expect(joined.value.line.nodes).toHaveLength(first.nodes.length + second.nodes.length - 1);
    expect(joined.value.line.links).toHaveLength(first.links.length + second.links.length);
    expect(joined.value.renamed.get(source)).toBe(end);
  });

  it("are refused where two media would meet, at a place that is not there, and with itself", () => {
    const [water, gas] = [template("hydrant-main"), template("gas-meters", 2, { id: "g", name: "G" })];
    expect(joinLines(water, "J1", gas, "J1")).toMatchObject({ ok: false, error: { kind: "other-medium" } });
    expect(joinLines(water, "X", gas, "J1")).toMatchObject({
      ok: false,
      error: { kind: "no-such-place", place: "X" },
    });
    expect(joinLines(water, "J1", water, "J1")).toMatchObject({ ok: false, error: { kind: "same-line" } });
  });
});

describe("a line split", () => {
  it("at a section valve is two sound lines that have every place once, but for the edges", () => {
    const line = template("hydrant-main", 4);
    const third = line.links.find(({ name }) => name === "Section valve 3")!;
    const split = splitLine(line, third.id, { id: "b", name: "B" });
    if (!split.ok) throw new Error(JSON.stringify(split.error));
    const { near, far } = split.value;
    sound(near);
    sound(far);
    expect(near.nodes.length + far.nodes.length).toBe(line.nodes.length + 2);
    expect(near.links.length + far.links.length).toBe(line.links.length + 1);
    // Both have the valve between them: either can be shut by it.
    for (const part of [near, far]) expect(part.links.some(({ id }) => id === third.id)).toBe(true);
    const hydrants = (part: Line) => part.nodes.filter(({ hydrant }) => hydrant).length;
    expect([hydrants(near), hydrants(far)]).toEqual([2, 2]);
  });

  it("takes equipment along that belongs beyond", () => {
    const line = template("hot-and-cold", 1);
    const outlet = line.links.find(({ name }) => name === "Mixed outlet")!;
    const split = splitLine(line, outlet.id, { id: "b", name: "B" });
    if (!split.ok) throw new Error(JSON.stringify(split.error));
    sound(split.value.near);
    sound(split.value.far);
  });

  it("is refused where the way goes round, and at a link that is not there", () => {
    const ring = demoDocument<Line>("lines/north-quay.json");
    const refused = ring.links.map(({ id }) => splitLine(ring, id, HEAD)).filter((each) => !each.ok);
    expect(refused.length).toBeGreaterThan(4);
    expect(splitLine(ring, "nothing", HEAD)).toMatchObject({ ok: false, error: { kind: "no-such-link" } });
  });

  it("wherever a line of the demo can be split, both parts are sound", () => {
    for (const name of [
      "north-quay",
      "lido-steam",
      "lido-water",
      "ropewalk-gas",
      "holm-library",
      "gannet-low-side",
    ]) {
      const line = demoDocument<Line>(`lines/${name}.json`);
      for (const link of line.links) {
        const split = splitLine(line, link.id, HEAD);
        if (!split.ok) continue;
        for (const part of [split.value.near, split.value.far])
          expect(checkLine(part), `${name} at ${link.id}`).toEqual([]);
      }
    }
  });
});
