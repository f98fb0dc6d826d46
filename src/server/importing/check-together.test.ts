import { beforeEach, describe, expect, it } from "vitest";
import type { Line, Store, Valve } from "@/core/formats";
import { demoDocument, librarySheet } from "@/core/job/job.fixtures";
import { keepSheet } from "../register/keep-documents";
import { keepValve } from "../register/keep-valve";
import { passingServices, type Services } from "../services";
import { checkTogether } from "./check-together";
import type { Incoming } from "./incoming";
import { type RowOver, rowOver } from "./row-over";

const NOW = Date.parse("2027-03-01T09:00:00Z");
const wet = librarySheet("brae-quaywall-4");
const quay = demoDocument<Line>("lines/north-quay.json");
const works = demoDocument<Store>("stores/works-store.json");
const hydrant: Valve = {
  tag: "NQ-H07",
  name: "Hydrant on the slip",
  place: "North quay",
  sheet: wet.id,
  line: quay.id,
  node: "NQ-H07",
};

let services: Services;
beforeEach(() => {
  services = passingServices(() => NOW);
});
const told = (...all: Incoming[]) =>
  checkTogether(
    services,
    all.map((incoming, at) => ({ file: `f${at}`, incoming })) as Parameters<typeof checkTogether>[1],
  ).map(({ path, message }) => `${path} ${message}`);
const row = (
  { tag, ...set }: Partial<Valve> & { tag: string },
  clear: (keyof Valve)[] = [],
): RowOver<Valve> => ({ key: tag, set: { tag, ...set }, clear }) as unknown as RowOver<Valve>;
const register = (...rows: RowOver<Valve>[]): Incoming => ({ kind: "register", value: rows }) as Incoming;
const sheet: Incoming = { kind: "sheet", value: wet } as Incoming;
const line: Incoming = { kind: "line", value: quay } as Incoming;

describe("a row over the valve that is there", () => {
  it("sets what it sets, empties what it empties, and leaves the rest", () => {
    const over = rowOver(
      "register",
      { ...hydrant, serial: "4137", symptom: "weeps" },
      row({ tag: hydrant.tag, name: "Renamed" }, ["symptom"]),
    );
    expect(over).toEqual({ ...hydrant, serial: "4137", name: "Renamed" });
  });

  it("makes a valve of nothing", () => {
    expect(rowOver("register", undefined, row(hydrant))).toEqual(hydrant);
  });
});

describe("a set seen whole", () => {
  it("is sound when all it names comes with it, in any order, or is there already", () => {
    expect(told(register(row(hydrant)), line, sheet)).toEqual([]);
    expect(told(sheet, line, register(row(hydrant)))).toEqual([]);
    keepSheet(services, wet);
    const { line: _, node: __, ...bare } = hydrant;
    expect(told(register(row(bare)))).toEqual([]);
  });

  it("names each thing that is missing, by file and row", () => {
    const problems = told(
      register(row({ ...hydrant, line: "moon" }), row({ ...hydrant, tag: "B-2", sheet: "none" })),
      line,
    );
    // The other one's sheet is one of the library, which comes in by itself.
    expect(problems).toEqual([
      expect.stringMatching(/^f0\/row 2\/line There is no line "moon"/),
      expect.stringMatching(/^f0\/row 3\/sheet There is no sheet "none"/),
    ]);
  });

  it("a valve's place on its line is its own tag where none is named", () => {
    const { node: _, ...byTag } = hydrant;
    expect(told(sheet, line, register(row(byTag)))).toEqual([]);
    expect(told(sheet, line, register(row({ ...byTag, tag: "NQ-H99" })))[0]).toContain(
      'has no place "NQ-H99"',
    );
  });

  it("a line that comes without a place a valve stands on is refused, unless the same set moves the valve", () => {
    keepSheet(services, wet);
    told(sheet, line);
    services.library.saveLine(quay);
    keepValve(services, hydrant);
    const gone = hydrant.node!;
    const without: Line = {
      ...quay,
      nodes: quay.nodes.filter((node) => node.id !== gone),
      links: quay.links.filter((link) => link.from !== gone && link.to !== gone),
    };
    const shorter: Incoming = { kind: "line", value: without } as Incoming;
    expect(told(shorter).join(" ")).toContain("NQ-H07");
    expect(told(shorter, register(row({ tag: hydrant.tag }, ["line", "node"])))).toEqual([]);
  });

  it("a reading of a valve nobody has, or of tomorrow, is refused at its row", () => {
    const reading = (valve: string, at: number) => ({
      valve,
      at,
      what: "flow",
      dimension: "flow",
      si: 1,
      typed: "1",
      by: "Tam",
    });
    const readings: Incoming = {
      kind: "readings",
      value: [reading("none", NOW), reading("none", NOW + 4 * 60_000), reading("none", NOW + 6 * 60_000)],
    } as Incoming;
    const problems = told(readings);
    expect(problems.filter((each) => each.includes('No valve "none"'))).toHaveLength(3);
    expect(problems.filter((each) => each.includes("dated in the future"))).toEqual([
      expect.stringMatching(/^f0\/row 4\/at/),
    ]);
  });

  it("two of one name in the crew cannot be told apart, however they are written", () => {
    const crew = (...names: string[]): Incoming =>
      ({
        kind: "crew",
        value: names.map((name, at) => ({ key: `p${at}`, set: { id: `p${at}`, name, may: "" }, clear: [] })),
      }) as Incoming;
    expect(told(crew("Tam Arkle", "Isla Venn"))).toEqual([]);
    expect(told(crew("Tam Arkle", "Isla Venn", " tam arkle "))[0]).toMatch(/^f0\/row 4\/name Two people/);
  });

  it("stores of two currencies are refused, within the set and beside what is stored", () => {
    const store = (id: string, currency: string): Incoming =>
      ({ kind: "store", value: { ...works, id, currency } }) as Incoming;
    expect(told(store("a", "SHP"), store("b", "SHP"))).toEqual([]);
    expect(told(store("a", "SHP"), store("b", "XYZ"))).toHaveLength(2);
    services.library.saveStore({ ...works, currency: "SHP" });
    expect(told(store("b", "XYZ"))).toHaveLength(1);
    expect(told(store(works.id, "XYZ")), "the same store may change its own").toEqual([]);
  });

  it("a sheet that is stored under its revision is only taken when it is the same", () => {
    keepSheet(services, wet);
    expect(told(sheet)).toEqual([]);
    const other = { ...wet, summary: "Another" };
    expect(told({ kind: "sheet", value: other } as Incoming)[0]).toContain(
      `the next number, ${wet.revision + 1}`,
    );
    expect(told({ kind: "sheet", value: { ...other, revision: wet.revision + 1 } } as Incoming)).toEqual([]);
  });
});
