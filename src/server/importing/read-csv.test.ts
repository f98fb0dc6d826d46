import fc from "fast-check";
import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { readCsv } from "./read-csv";

const problems = (text: string) => {
  const read = readCsv(text);
  return read.ok ? [] : read.error.map(({ path, message }) => `${path} ${message}`);
};

describe("a register as a CSV", () => {
  it("says for each tag what is set and what is emptied, and leaves an empty cell alone", () => {
    expect(readCsv("tag,name,place,generation,serial\nA-1, By the gate ,,C,-\n")).toEqual({
      ok: true,
      value: {
        kind: "register",
        value: [{ key: "A-1", set: { tag: "A-1", name: "By the gate", generation: "C" }, clear: ["serial"] }],
      },
    });
  });

  it("passes over blank rows and blanks round a heading", () => {
    const read = readCsv(" tag , name \n\nA-1,One\n,\nA-2,Two\n\n");
    expect(read.ok && read.value.kind === "register" && read.value.value.map(({ key }) => key)).toEqual([
      "A-1",
      "A-2",
    ]);
  });

  it.each([
    [
      "a column nobody knows",
      "tag,colour\nA-1,red",
      '/row 1 No column of a register is called "colour". There are:',
    ],
    ["a row without its tag", "tag,name\n,One", "/row 2/tag Missing: fill this in."],
    [
      "what a valve cannot be without, emptied",
      "tag,name\nA-1,-",
      "/row 2/name It cannot be without this: write what it is.",
    ],
    ["a tag that no page can have", "tag,name\nA 1,One", '/row 2/tag "A 1" cannot be taken. Use letters'],
    ["a date that is none", "tag,installed\nA-1,last spring", "/row 2/installed"],
    ["a quote that is not shut", 'tag,name\nA-1,"One', "Look at the commas and quotes of this row."],
    ["a cell too many", "tag,name\nA-1,One,Two", "/row 2 Too many fields"],
    ["columns of nothing", "colour,size\nred,2", "/row 1 The columns are not known."],
    ["tags and nothing to change", "tag\nA-1", "/row 1 The columns are not known."],
  ])("refuses %s, at its row", (_what, text, said) => {
    expect(problems(text).join("\n")).toContain(said);
  });

  it("names every row that is wrong at once", () => {
    const all = problems("tag,name,installed\nA 1,One,\nA-2,Two,\n,Three,\nA-4,-,soon");
    expect(all.map((each) => each.split(" ").slice(0, 2).join(" "))).toEqual([
      "/row 2/tag",
      "/row 4/tag",
      "/row 5/name",
      "/row 5/installed",
    ]);
  });

  it("reads back what a spreadsheet writes, commas, quotes and line ends in it", () => {
    const cell = fc.stringMatching(/^[A-Za-z ,;"'\n]{0,20}$/);
    let named = 0;
    fc.assert(
      fc.property(fc.array(cell, { minLength: 1, maxLength: 6 }), (names) => {
        const rows = names.map((name, at) => ({ tag: `T-${at}`, name }));
        const read = readCsv(Papa.unparse(rows));
        if (!read.ok || read.value.kind !== "register") throw new Error("not read");
        expect(read.value.value.map(({ set }) => set.name ?? "")).toEqual(names.map((name) => name.trim()));
        named += names.filter((name) => /[,"\n]/.test(name)).length;
      }),
    );
    expect(named).toBeGreaterThan(50);
  });
});

describe("readings as a CSV", () => {
  const head = "tag,at,what,dimension,value,unit,by";
  it("come in SI, with what was typed", () => {
    expect(
      readCsv(`${head}\nA-1,2026-03-12T08:30:00Z,static-pressure,gauge pressure,58,psi,Ina Lund`),
    ).toEqual({
      ok: true,
      value: {
        kind: "readings",
        value: [
          {
            valve: "A-1",
            at: Date.UTC(2026, 2, 12, 8, 30),
            what: "static-pressure",
            dimension: "gauge pressure",
            si: expect.closeTo(399_896, 0),
            typed: "58 psi g",
            by: "Ina Lund",
          },
        ],
      },
    });
  });

  it.each([
    ["a unit of something else", "gauge pressure,58,mm", '/row 2/unit "mm" is not a unit of gauge pressure.'],
    ["a figure that is none", "gauge pressure,lots,psi", "/row 2/value"],
    ["a dimension nobody measures", "colour,5,psi", "/row 2/dimension"],
  ])("are refused for %s", (_what, cells, said) => {
    expect(problems(`${head}\nA-1,2026-03-12T08:30:00Z,p,${cells},Ina Lund`).join("\n")).toContain(said);
  });
});

describe("a crew as a CSV", () => {
  it("is a name and what one may do for each id", () => {
    expect(readCsv("id,name,may\nil,Ina Lund,Hydrants; gas")).toEqual({
      ok: true,
      value: {
        kind: "crew",
        value: [{ key: "il", set: { id: "il", name: "Ina Lund", may: "Hydrants; gas" }, clear: [] }],
      },
    });
    expect(problems("id,name,may\n,Ina Lund,Gas").join()).toContain("/row 2");
  });
});
