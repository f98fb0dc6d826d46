import { beforeEach, describe, expect, it } from "vitest";
import type { Line, Store, Valve } from "@/core/formats";
import { demoDocument, librarySheet } from "@/core/job/job.fixtures";
import { addValves } from "../own/valves";
import { keepSheet } from "../register/keep-documents";
import { sheetLibrary } from "../register/library";
import { passingServices, type Services } from "../services";
import { importFiles } from "./import-files";

const wet = librarySheet("brae-quaywall-4");
const quay = demoDocument<Line>("lines/north-quay.json");
const works = demoDocument<Store>("stores/works-store.json");
let services: Services;
beforeEach(() => {
  services = passingServices(() => Date.parse("2027-03-01T09:00:00Z"));
});

const addToRegister = (row: Valve) => addValves(services, [row], "Tam Arkle");
const file = (name: string, text: string) => ({ name, text });
const json = (value: unknown) => file("a.json", JSON.stringify(value));
const register = (...rows: string[]) =>
  file("register.csv", ["tag,name,place,sheet,build,line,node", ...rows].join("\n"));
const readings = (...rows: string[]) =>
  file("readings.csv", ["tag,at,what,dimension,value,unit,by", ...rows].join("\n"));
const row = "NQ-H07,Hydrant,Quay,brae-quaywall-4,bayonet,north-quay,NQ-H07";

type Wrong = [what: string, files: { name: string; text: string }[], path: RegExp, says: RegExp];
const WRONG: Wrong[] = [
  ["nothing at all", [], /^$/, /Choose at least one file/],
  ["half a file", [file("a.json", '{"format": "loft')], /^a\.json$/, /Not readable as JSON.*Export it again/],
  ["a file of something else", [json({ format: "recipe" })], /^a\.json/, /./],
  [
    "a CSV of something else",
    [file("x.csv", "dish,price\nsoup,3")],
    /x\.csv\/row 1/,
    /columns are not known/,
  ],
  ["a quote left open", [file("x.csv", 'id,name,may\n1,"Tam,all')], /x\.csv\/row/, /commas and quotes/],
  ["one cell too many", [register(`${row},extra`)], /row 2/, /commas and quotes/],
  ["a tag twice", [json(wet), json(quay), register(row, row)], /row 3\/tag/, /stands twice in this file/],
  [
    "a sheet nobody has",
    [json(quay), register(row.replace("brae-quaywall-4", "ghost"))],
    /row 2\/sheet/,
    /Bring it in with the register/,
  ],
  ["a line nobody has", [json(wet), register(row)], /row 2\/line/, /or leave the column empty/],
  [
    "stock that lies nowhere",
    [json({ ...works, stock: [{ ...works.stock[0], place: "attic" }] })],
    /\/stock\/0\/place/,
    /no place of this store/,
  ],
  [
    "a place twice in a store",
    [json({ ...works, places: [...works.places, works.places[0]] })],
    /\/places\/4\/id/,
    /used twice/,
  ],
  [
    "two stores that count in two currencies",
    [json(works), json({ ...works, id: "second", currency: "ABC" })],
    /\/currency/,
    /counts in/,
  ],
  [
    "a build the sheet has not",
    [json(wet), json(quay), register(row.replace("bayonet", "submarine"))],
    /row 2\/build/,
    /no build "submarine"/,
  ],
  [
    "a place the line has not",
    [json(wet), json(quay), register(row.replace(/NQ-H07$/, "NQ-H99"))],
    /row 2\/node/,
    /no place "NQ-H99"/,
  ],
  [
    "a reading in a unit of another kind",
    [readings("NQ-H07,2026-09-01T10:00:00Z,static,gauge pressure,4,mm,Tam")],
    /row 2\/unit/,
    /not a unit of gauge pressure/,
  ],
  [
    "a reading that is no number",
    [readings("NQ-H07,2026-09-01T10:00:00Z,static,gauge pressure,four,bar g,Tam")],
    /row 2/,
    /./,
  ],
];

describe("a file that cannot be taken is told at its row, and changes nothing", () => {
  it.each(WRONG)("%s", (_what, files, path, says) => {
    const taken = importFiles(services, files, "Tam Arkle");
    expect(taken.ok).toBe(false);
    if (!taken.ok) {
      expect(taken.error[0]!.path).toMatch(path);
      expect(taken.error.map((each) => each.message).join(" ")).toMatch(says);
    }
    expect(services.register.valves()).toEqual([]);
    expect(services.library.sheets()).toEqual([]);
  });

  it("the same set without the fault is taken", () => {
    expect(importFiles(services, [json(wet), json(quay), register(row)], "Tam Arkle")).toMatchObject({
      ok: true,
    });
    expect(services.register.valves().map((valve) => valve.tag)).toEqual(["NQ-H07"]);
  });
});

describe("the library that ships with it", () => {
  const valve = { tag: "S-1", name: "Our hydrant", place: "Yard", sheet: wet.id, build: "bayonet" };

  it("has the twenty-two sheets, all marked as demonstration data", () => {
    const sheets = sheetLibrary();
    expect(sheets).toHaveLength(22);
    expect(sheets.every((sheet) => sheet.demonstration)).toBe(true);
  });

  it("brings a sheet in with the first valve of its kind", () => {
    expect(addToRegister(valve)).toMatchObject({ ok: true });
    expect(services.library.sheet(wet.id)).toEqual(wet);
    expect(services.register.valve("S-1")?.name).toBe("Our hydrant");
  });

  it("leaves a sheet alone that was adapted here", () => {
    keepSheet(services, { ...wet, revision: 2, title: "As we do it" });
    addToRegister(valve);
    expect(services.library.sheet(wet.id)?.title).toBe("As we do it");
  });

  it("refuses a sheet it has not, and a tag that is taken", () => {
    expect(addToRegister({ ...valve, sheet: "ghost" })).toMatchObject({
      ok: false,
      error: [{ path: "/sheet" }],
    });
    addToRegister(valve);
    expect(addToRegister({ ...valve, name: "Another" })).toMatchObject({
      ok: false,
      error: [{ path: "/tag" }],
    });
    expect(services.register.valve("S-1")?.name).toBe("Our hydrant");
  });
});
