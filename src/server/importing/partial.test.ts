import { beforeEach, describe, expect, it } from "vitest";
import { librarySheet } from "@/core/job/job.fixtures";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import { allDoubts } from "../proof/verify";
import type { Services } from "../services";
import { importFiles, previewImport } from "./import-files";

const NOW = Date.parse("2027-03-01T09:00:00Z");
let services: Services;
beforeEach(() => {
  services = demoServices(() => NOW);
});

const csv = (name: string, ...lines: string[]) => ({ name, text: lines.join("\n") });
const register = (...lines: string[]) => csv("register.csv", ...lines);
const bring = (...files: { name: string; text: string }[]) => {
  const done = importFiles(services, files, "Tam Arkle");
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
};
const everything = () =>
  JSON.stringify([
    services.register.valves(),
    services.library.people(),
    services.library.stores(),
    services.library.lineSummaries(),
    services.register.valves().map(({ tag }) => services.library.readings(tag)),
  ]);

describe("a register that mentions some columns", () => {
  it("changes those and no other", () => {
    const before = services.register.valve("NQ-H07")!;
    bring(register("tag,name,serial", "NQ-H07,Hydrant on the long slip,ZZ-9"));
    expect(services.register.valve("NQ-H07")).toEqual({
      ...before,
      name: "Hydrant on the long slip",
      serial: "ZZ-9",
    });
  });

  it("leaves alone what a cell leaves empty, and empties what a hyphen stands in", () => {
    const before = services.register.valve("NQ-H07")!;
    bring(register("tag,name,serial,symptom", "NQ-H07,,ZZ-9,-"));
    const { symptom: _, ...rest } = before;
    expect(services.register.valve("NQ-H07")).toEqual({ ...rest, serial: "ZZ-9" });
  });

  it("is refused when it is looked at as it would be when it comes in", () => {
    const before = everything();
    const crew = [{ name: "crew.csv", text: "id,name,may,shift\nwren-ash,Wren Ash,Hydrants,moonlight\n" }];
    const foretold = previewImport(services, crew);
    expect(foretold).toMatchObject({ ok: false, error: [{ path: "crew.csv/wren-ash/shift" }] });
    expect(importFiles(services, crew, "Ina Lund")).toEqual(foretold);
    expect(everything()).toEqual(before);
  });

  it("shows every field before and after, before it does anything", () => {
    const before = everything();
    const preview = previewImport(services, [
      register("tag,name,symptom", "NQ-H07,Another name,-", "NEW-1,New,"),
    ]);
    expect(preview.ok ? "" : preview.error[0]?.path).toBe("register.csv/row 3/place");
    const sound = previewImport(services, [register("tag,name,symptom", "NQ-H07,Another name,-")]);
    expect(sound).toMatchObject({
      ok: true,
      value: {
        lines: [
          {
            effect: "changes",
            changes: [
              {
                id: "NQ-H07",
                isNew: false,
                fields: [
                  { path: "/name", after: "Another name" },
                  { path: "/symptom", before: "Outlet weeps when shut", after: undefined },
                ],
              },
            ],
          },
        ],
      },
    });
    expect(everything()).toBe(before);
  });

  it("does not wind back a service that was signed off here, and says so", () => {
    const signed = services.register.valve("NQ-H08")!.serviced!;
    const done = bring(register("tag,name,serviced", "NQ-H08,Hydrant by the old crane,2025-05-02"));
    expect(services.register.valve("NQ-H08")).toMatchObject({
      serviced: signed,
      name: "Hydrant by the old crane",
    });
    expect(done.lines[0]!.changes[0]!.stays).toEqual([
      { path: "/serviced", before: signed, after: "2025-05-02" },
    ]);
    // A later one than is known was done by somebody else: it is taken.
    bring(register("tag,serviced", "NQ-H08,2027-02-27"));
    expect(services.register.valve("NQ-H08")?.serviced).toBe("2027-02-27");
  });

  it("dates each act by its interval, and leaves the others alone", () => {
    const before = services.register.valve("GC-SV2")!;
    bring(register("tag,last,dueSince", "GC-SV2,gasket=2025-03-01,backup=2026-02-02"));
    expect(services.register.valve("GC-SV2")).toEqual({
      ...before,
      last: { ...before.last, gasket: "2025-03-01" },
      dueSince: { backup: "2026-02-02" },
    });
    bring(register("tag,dueSince", "GC-SV2,-"));
    expect(services.register.valve("GC-SV2")?.dueSince).toBeUndefined();
  });

  it.each([
    ["dates without their interval", "tag,last\nGC-SV2,2025-03-01", "/last", /five=2022-04-26/],
    ["a day that is none, of an interval", "tag,last\nGC-SV2,gasket=2023-02-30", "/last", /year-month-day/],
    [
      "an interval that its sheet has not",
      "tag,last\nGC-SV2,five=2022-04-26",
      "/last/five",
      /backup, gasket/,
    ],
    ["a date with a stroke", "tag,installed\nNQ-H07,12/03/2018", "/installed", /year-month-day: 2018-03-12/],
    ["a year alone", "tag,installed\nNQ-H07,2015", "/installed", /year-month-day/],
    ["a day that is none", "tag,installed\nNQ-H07,2023-02-30", "/installed", /year-month-day/],
    ["a leap second", "tag,serviced\nNQ-H07,2016-12-31T23:59:60Z", "/serviced", /year-month-day/],
    ["a tag with a space", "tag,name,place,sheet\nCB T1,V,Y,brae-quaywall-4", "/tag", /no spaces/],
    ["a column nobody knows", "tag,colour\nNQ-H07,red", "row 1", /called "colour"/],
    ["a name taken away", "tag,name\nNQ-H07,-", "/name", /cannot be without this/],
    ["one tag in two spellings", "tag,serial\nNQ-H07,1\nnq-h07,2", "/tag", /stands twice/],
  ])("refuses %s in a technician's words, and changes nothing", (_, text, path, says) => {
    const before = everything();
    const done = importFiles(services, [{ name: "register.csv", text }], "Tam Arkle");
    expect(done.ok).toBe(false);
    if (done.ok) return;
    expect(done.error[0]!.path).toContain(path);
    expect(done.error[0]!.message).toMatch(says);
    expect(done.error[0]!.message).not.toMatch(/must (NOT )?(match|have|be)/);
    expect(everything()).toBe(before);
  });
});

describe("readings that are brought in", () => {
  const head = "tag,at,what,dimension,value,unit,by";
  it.each([
    ["of a valve nobody has", "NO-1,2026-01-01T00:00:00Z,p,gauge pressure,3,bar g,T", /No valve "NO-1"/],
    ["of the year 9999", "NQ-H07,9999-01-01T00:00:00Z,p,gauge pressure,3,bar g,T", /year-month-day/],
    ["of next month", "NQ-H07,2027-04-01,p,gauge pressure,3,bar g,T", /dated in the future/],
    ["at a leap second", "NQ-H07,2016-12-31T23:59:60Z,p,gauge pressure,3,bar g,T", /year-month-day/],
  ])("%s are refused", (_, row, says) => {
    const before = everything();
    const done = importFiles(services, [csv("readings.csv", head, row)], "Tam Arkle");
    expect(done.ok ? "taken" : done.error[0]!.message).toMatch(says);
    expect(everything()).toBe(before);
  });

  it("with a plain day are taken", () => {
    bring(csv("readings.csv", head, "NQ-H07,2026-01-05,p,gauge pressure,3,bar g,Tam"));
    expect(services.library.readings("NQ-H07").some((each) => each.at === Date.parse("2026-01-05"))).toBe(
      true,
    );
  });
});

describe("an import is undone as one", () => {
  it("everything is again as it was", () => {
    const before = everything();
    const done = bring(
      register("tag,name,place,sheet", "NEW-1,New,Yard,brae-quaywall-4", "NQ-H07,Renamed,,"),
      csv(
        "readings.csv",
        "tag,at,what,dimension,value,unit,by",
        "NQ-H07,2026-01-05,p,gauge pressure,3,bar g,Tam",
      ),
      csv("crew.csv", "id,name,may", "zed,Zed Marsh,All"),
    );
    expect(everything()).not.toBe(before);
    expect(undoEdit(services, done.id!, "Tam Arkle")).toMatchObject({ ok: true, value: { changes: 4 } });
    expect(everything()).toBe(before);
    expect(allDoubts(services)).toEqual([]);
    expect(undoEdit(services, done.id!, "Tam Arkle")).toMatchObject({ ok: false });
  });

  it("is refused whole when something was changed since, and when something hangs on it", () => {
    const first = bring(register("tag,name", "NQ-H07,First name", "NQ-H06,Other name"));
    bring(register("tag,name", "NQ-H07,Second name"));
    const before = everything();
    expect(undoEdit(services, first.id!, "Tam Arkle")).toMatchObject({
      ok: false,
      error: [{ path: "/valve/NQ-H07", message: expect.stringContaining("changed since") }],
    });
    expect(everything()).toBe(before);
  });
});

describe("a stored revision of a sheet", () => {
  const sheet = () => services.library.sheet("brae-quaywall-4")!;
  const { revision } = librarySheet("brae-quaywall-4");
  it("is never written over by a file of the same number", () => {
    const other = { name: "s.json", text: JSON.stringify({ ...sheet(), title: "Another" }) };
    const done = importFiles(services, [other], "Tam Arkle");
    expect(done.ok ? "taken" : done.error[0]).toMatchObject({
      path: "s.json/revision",
      message: expect.stringContaining(`give yours the next number, ${revision + 1}`),
    });
    expect(sheet().title).not.toBe("Another");
  });

  it("brought in again as it is changes nothing; the next number adds one", () => {
    expect(bring({ name: "s.json", text: JSON.stringify(sheet()) }).lines[0]!.effect).toBe("same");
    bring({ name: "s.json", text: JSON.stringify({ ...sheet(), revision: revision + 1, title: "Another" }) });
    expect(services.library.revisions("brae-quaywall-4")).toEqual([revision, revision + 1]);
  });
});
