import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { demoDocument } from "../job/job.fixtures";
import { checkLine, fed, isEnergy, network, otherEnd, reachable, standsShut } from ".";

const quay = demoDocument<Line>("lines/north-quay.json");
const change = (edit: (line: Line) => void): Line => {
  const copy = structuredClone(quay);
  edit(copy);
  return copy;
};
const fedNames = (line: Line, shut: string[] = []) => {
  const net = network(line);
  const reached = fed(net, new Set(shut));
  return new Set(net.nodes.filter((_, index) => reached[index]).map((node) => node.id));
};

describe("laying out a line", () => {
  const net = network(quay);

  it("finds every link from both its ends", () => {
    for (let link = 0; link < net.links.length; link++)
      for (const end of [net.from[link]!, net.to[link]!]) {
        const around = [...net.incident.subarray(net.start[end]!, net.start[end + 1]!)];
        expect(around, net.links[link]!.id).toContain(link);
        expect(otherEnd(net, link, otherEnd(net, link, end))).toBe(end);
      }
  });

  it("knows what can push its medium in", () => {
    expect(net.energies.map((index) => net.nodes[index]!.id)).toEqual(["SK", "CH"]);
    expect(isEnergy({ id: "x", kind: "consumer", elevation_m: 0, feedsBack: true })).toBe(true);
    expect(isEnergy({ id: "x", kind: "consumer", elevation_m: 0 })).toBe(false);
  });

  it("reaches all of a line that hangs together, and only one side of a cut", () => {
    const all = reachable(net, [0], () => true);
    expect(all).toHaveLength(net.nodes.length);
    const start = net.nodeIndex.get("NQ-H10")!;
    const alone = reachable(net, [start], (link) => net.links[link]!.kind === "pipe");
    expect(alone.map((index) => net.nodes[index]!.id)).toEqual(["NQ-H10"]);
  });
});

describe("who is fed", () => {
  it("is everybody on an ordinary day", () => {
    expect(fedNames(quay).size).toBe(quay.nodes.length);
  });

  it("a loop feeds round one shut valve", () => {
    expect(fedNames(quay, ["V-12"]).has("NQ-H06")).toBe(true);
    expect(fedNames(quay, ["V-09"]).has("NQ-H04")).toBe(true);
  });

  it("two shut valves take out what lies between", () => {
    const left = fedNames(quay, ["V-09", "V-15"]);
    expect(left.has("NQ-H04")).toBe(false);
    expect(left.has("NQ-H05")).toBe(true);
  });

  it("a valve that stands shut holds back, a check valve lets through one way only", () => {
    const valve = (normally: "open" | "shut") =>
      ({
        kind: "valve",
        id: "V",
        from: "S",
        to: "A",
        normally,
        operable: true,
        lockable: true,
        access_min: 1,
      }) as const;
    const line = (links: Line["links"]): Line => ({
      ...quay,
      nodes: [
        { id: "S", kind: "source", elevation_m: 0 },
        { id: "A", kind: "consumer", elevation_m: 0 },
      ],
      links,
    });
    expect(standsShut(valve("shut"))).toBe(true);
    expect(fedNames(line([valve("shut")])).has("A")).toBe(false);
    expect(fedNames(line([valve("open")])).has("A")).toBe(true);
    expect(fedNames(line([{ kind: "check", id: "C", from: "S", to: "A" }])).has("A")).toBe(true);
    expect(fedNames(line([{ kind: "check", id: "C", from: "A", to: "S" }])).has("A")).toBe(false);
  });
});

describe("checking a line", () => {
  it("finds nothing wrong with the quay", () => {
    expect(checkLine(quay)).toEqual([]);
  });

  it.each<[string, (line: Line) => void, string, string]>([
    [
      "a doubled node",
      (line) => line.nodes.push({ ...line.nodes[3]! }),
      `/nodes/${quay.nodes.length}/id`,
      "used twice",
    ],
    [
      "a doubled link",
      (line) => line.links.push({ ...line.links[0]! }),
      `/links/${quay.links.length}/id`,
      "used twice",
    ],
    [
      "a link to nowhere",
      (line) => {
        line.links[0]!.to = "ghost";
      },
      "/links/0/to",
      'no node "ghost"',
    ],
    [
      "a link to itself",
      (line) => {
        line.links[0]!.to = line.links[0]!.from;
      },
      "/links/0/to",
      "begins and ends",
    ],
    [
      "a node on nothing",
      (line) => line.nodes.push({ id: "lost", kind: "drain", elevation_m: 0 }),
      `/nodes/${quay.nodes.length}`,
      "hangs on nothing",
    ],
    [
      "nothing that feeds",
      (line) => {
        for (const node of line.nodes)
          if (node.kind === "source" || node.kind === "boundary") node.kind = "junction";
      },
      "/nodes",
      "Nothing feeds this line",
    ],
  ])("finds %s", (_name, edit, path, message) => {
    const found = checkLine(change(edit)).find((each) => each.path === path);
    expect(found?.message).toContain(message);
  });
});
