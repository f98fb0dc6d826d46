import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { columnsId, dayFrom, guessColumns, guessFile, type Mapping, mappedRows } from "./mapping";

const mapping: Mapping = {
  id: "m",
  name: "Hall list",
  file: "register",
  dates: "dmy",
  decimal: "comma",
  columns: { Nr: "tag", Text: "name", Typ: "sheet", Einbau: "installed", Breite: "lat" },
  same: { place: "Hall" },
  words: { sheet: { "Trap 20": "lantern-bucket-20" } },
};

describe("columns of another list", () => {
  it.each([
    ["31.12.2018", "dmy", "2018-12-31"],
    ["12/31/2018", "mdy", "2018-12-31"],
    ["3/4/19", "dmy", "2019-04-03"],
    ["3/4/19", "mdy", "2019-03-04"],
    ["2018-12-31", "dmy", "2018-12-31"],
    ["2018/1/2", "ymd", "2018-01-02"],
    ["2015", "dmy", "2015-01-01"],
    ["31.02.2018", "dmy", "31.02.2018"],
    ["last summer", "dmy", "last summer"],
    ["01.02.2026 08:30", "dmy", "2026-02-01T08:30:00Z"],
  ] as const)("reads the date %s (%s) as %s", (text, order, day) => {
    expect(dayFrom(text, order)).toBe(day);
  });

  it("makes rows of ours: their columns, what is the same in all, their words for ours, their numbers", () => {
    expect(
      mappedRows(mapping, [
        { Nr: " T-1 ", Text: "Trap", Typ: "Trap 20", Einbau: "01.02.2015", Breite: "55,25", Rest: "x" },
        { Nr: "T-2", Text: "", Typ: "other", Einbau: "", Breite: "" },
      ]),
    ).toEqual([
      {
        place: "Hall",
        tag: "T-1",
        name: "Trap",
        sheet: "lantern-bucket-20",
        installed: "2015-02-01",
        lat: "55.25",
      },
      { place: "Hall", tag: "T-2", sheet: "other" },
    ]);
  });

  it("guesses what columns are by what they are often called, each field once", () => {
    const headers = ["Asset No.", "Description", "Location", "Model", "Date installed", "Colour", "Name"];
    expect(guessColumns(headers, "register")).toEqual({
      "Asset No.": "tag",
      Location: "place",
      Model: "sheet",
      "Date installed": "installed",
      Name: "name",
    });
    expect(guessFile(headers)).toBe("register");
    expect(guessFile(["tag", "at", "what", "value", "unit"])).toBe("readings");
    expect(guessFile(["Instrument", "Calibration date", "Certificate"])).toBe("instruments");
  });

  it("knows a set of columns again in whatever order and case, and no other", () => {
    expect(columnsId(["Tag", "Name"])).toBe(columnsId(["name", "TAG"]));
    expect(columnsId(["Tag", "Name"])).not.toBe(columnsId(["Tag", "Place"]));
  });

  it("reads every day however it is written", () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date("1900-01-01"), max: new Date("2199-12-31"), noInvalidDate: true }),
        (date) => {
          const day = date.toISOString().slice(0, 10);
          const [y, m, d] = day.split("-");
          expect(dayFrom(`${d}.${m}.${y}`, "dmy")).toBe(day);
          expect(dayFrom(`${Number(m)}/${Number(d)}/${y}`, "mdy")).toBe(day);
          expect(dayFrom(day, "ymd")).toBe(day);
        },
      ),
    );
  });
});
