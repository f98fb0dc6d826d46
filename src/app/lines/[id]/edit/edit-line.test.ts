import { describe, expect, it } from "vitest";
import type { Line, LineNode } from "@/core/formats";
import { demoDocument } from "@/core/job/job.fixtures";
import { checkDocument } from "@/workers/check-document";
import {
  addLink,
  addNode,
  BLANK_LINE,
  changeLink,
  changeNode,
  itemAt,
  linkOfKind,
  moveNode,
  refuseId,
  remove,
} from "./edit-line";

const store = demoDocument<Line>("lines/gannet-low-side.json");
const node = (line: Line, id: string): LineNode => line.nodes.find((each) => each.id === id)!;

describe("editing a line", () => {
  it("begins sound, and a place that hangs on nothing is said at its path until it is linked", () => {
    expect(checkDocument(BLANK_LINE)).toEqual([]);
    const added = addNode(BLANK_LINE);
    const [problem] = checkDocument(added.line);
    expect(problem?.message).toContain("hangs on nothing");
    expect(itemAt(added.line, problem!.path)).toBe(added.id);
    const linked = addLink(added.line, added.id);
    expect(checkDocument(linked.line)).toEqual([]);
  });

  it("renaming a place renames it wherever it is named", () => {
    const renamed = changeNode(store, "S1E", { ...node(store, "S1E"), id: "COIL" });
    expect(node(renamed, "A4").with).toEqual(["COIL"]);
    expect(checkDocument(renamed)).toEqual([]);
  });

  it("an id that another place or link bears is refused with one that is free, and so is none", () => {
    expect(refuseId(BLANK_LINE, "S1")).toBe("S1 is taken by Supply. Choose another, such as S2.");
    expect(refuseId(BLANK_LINE, "V-1")).toBe("V-1 is taken. Choose another, such as V-2.");
    expect(refuseId(BLANK_LINE, "")).toContain("Give it an id");
    expect(refuseId(BLANK_LINE, "V-2")).toBeUndefined();
    for (const { id } of [...store.nodes, ...store.links]) expect(refuseId(store, id)).toContain("is taken");
  });

  it("renaming a link renames it in the positions of its three-way valve", () => {
    const link = store.links.find((each) => each.id === "p-REC-GN-RS1")!;
    const renamed = changeLink(store, link.id, { ...link, id: "inlet" });
    expect(node(renamed, "GN-RS1").threeWay?.positions[0]?.joins[0]).toContain("inlet");
    expect(checkDocument(renamed)).toEqual([]);
  });

  it("removing a place takes its links along", () => {
    const left = remove(store, "EV1");
    expect(left.links.some((link) => link.from === "EV1" || link.to === "EV1")).toBe(false);
    expect(left.nodes).toHaveLength(store.nodes.length - 1);
  });

  it("moving a place keeps square pipes square", () => {
    const link = store.links.find((each) => each.id === "GN-G1")!;
    const from = node(store, link.from).at!;
    const moved = moveNode(store, link.from, [from[0] + 40, from[1] - 30]);
    expect(moved.links.find((each) => each.id === "GN-G1")?.via?.[0]?.[0]).toBe(from[0] + 40);
    expect(node(moved, link.from).at).toEqual([from[0] + 40, from[1] - 30]);
  });

  it("a link of another kind keeps its ends and has what its kind needs", () => {
    for (const kind of ["pipe", "valve", "control-valve", "check", "pump", "trap", "cable"] as const) {
      const line = { ...BLANK_LINE, links: [linkOfKind(BLANK_LINE.links[0]!, kind)] };
      expect(checkDocument(line), kind).toEqual([]);
    }
  });

  it("a medium clash is found at the link's end", () => {
    const line = {
      ...BLANK_LINE,
      nodes: BLANK_LINE.nodes.map((each) => (each.id === "C1" ? { ...each, medium: "air" as const } : each)),
    };
    expect(checkDocument(line)).toMatchObject([{ path: "/links/0/to" }]);
  });
});
