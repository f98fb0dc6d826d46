import fc from "fast-check";
import sharp from "sharp";
import { beforeEach, describe, expect, it } from "vitest";
import type { Line, Valve } from "@/core/formats";
import { run } from "@/core/job";
import type { Problem, Result } from "@/core/result";
import { speaker, stepWords } from "@/words";
import type { Edited } from "../book/edit";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import { importFiles } from "../importing/import-files";
import { jobInputs, openJob } from "../jobs/open-job";
import { saveLine } from "../lines/save-line";
import { passingServices, type Services } from "../services";
import { removeSheet } from "../sheets/remove-sheet";
import { editsBefore } from "./edits";
import { addPaper, removePaper } from "./papers";
import { removeThing, saveThing } from "./save-thing";
import { addValves, bringBackValves, changeValves, reportFault, retireValves } from "./valves";

const NOW = Date.parse("2027-03-01T09:00:00Z");
const TAM = "Tam Arkle";
let services: Services;
beforeEach(() => {
  services = demoServices(() => NOW);
});

const taken = <T>(done: Result<T, Problem[]>): T => {
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
};
const told = (done: Result<unknown, Problem[]>) =>
  done.ok ? [] : done.error.map(({ path, message }) => `${path} ${message}`);
const valve = (tag: string) => services.register.anyValve(tag)!;
const undo = (done: Edited) => undoEdit(services, done.edit!, TAM);
const change = (tag: string, with_: Partial<Valve>, was = valve(tag)) =>
  saveThing(services, "valve", tag, { was, row: { ...was, ...with_ } }, TAM);
const fresh: Valve = { tag: "X-1", name: "New trap", place: "Lido", sheet: "lantern-bucket-20" };

/** Everything of the own data, to be compared whole. */
const state = () => ({
  valves: services.register.valves(),
  retired: services.register.retired(),
  people: services.library.people(),
  places: services.things.all("place"),
  lines: services.library.lineSummaries().map(({ id }) => services.library.line(id)),
});

describe("a valve", () => {
  it("is added, stands in lists and find, and is undone", () => {
    const before = state();
    const done = taken(addValves(services, [fresh, { ...fresh, tag: "X-2" }], TAM));
    expect(done.changes).toBe(2);
    expect(services.find.beginning("X-2")[0]).toMatchObject({ kind: "valve", owner: "X-2" });
    taken(undo(done));
    expect(state()).toEqual(before);
  });

  it("brings its sheet along from the library", () => {
    const bare = passingServices(() => NOW);
    taken(addValves(bare, [fresh], TAM));
    expect(bare.library.sheet("lantern-bucket-20")).toBeDefined();
    expect(bare.register.list({ sort: "tag", down: false, from: 0, most: 9, now: NOW }).rows[0]?.family).toBe(
      "steam-trap",
    );
  });

  it("is told at its field what it cannot be, and nothing is changed", () => {
    const before = state();
    expect(told(addValves(services, [{ ...fresh, tag: "NQ-H07" }], TAM))[0]).toMatch(
      /^\/tag "NQ-H07" is in the register already/,
    );
    expect(told(addValves(services, [{ ...fresh, tag: "NQ-P3" }], TAM))[0]).toMatch(
      /was retired. Bring it back/,
    );
    expect(told(addValves(services, [fresh, fresh], TAM))[0]).toMatch(/^\/1\/tag .*twice/);
    expect(told(addValves(services, [{ ...fresh, sheet: "ghost" }], TAM))[0]).toMatch(
      /^\/sheet There is no sheet/,
    );
    expect(told(addValves(services, [{ ...fresh, lat: 57 }], TAM))[0]).toMatch(/^\/lon .*both/);
    expect(told(change("LD-T11", { line: "moon" }))[0]).toMatch(/^\/line There is no line "moon"/);
    expect(told(change("NQ-H07", { node: "NQ-H08" }))[0]).toMatch(/^\/node NQ-H08 stands at "NQ-H08"/);
    expect(state()).toEqual(before);
  });

  it("two people's changes of different fields both stay; of the same field the second is told what the first made of it", () => {
    const was = valve("NQ-H07");
    taken(change("NQ-H07", { name: "Hydrant at the slipway" }, was));
    taken(change("NQ-H07", { serial: "BF-9" }, was));
    expect(valve("NQ-H07")).toMatchObject({ name: "Hydrant at the slipway", serial: "BF-9" });
    expect(told(change("NQ-H07", { name: "Another" }, was))[0]).toMatch(/^\/name .*"Hydrant at the slipway"/);
  });

  it("keeps the site's own interval with its reason, and rings by it", () => {
    const due = () =>
      services.register.list({ sort: "tag", down: false, from: 0, most: 500, now: NOW, find: "NQ-H07" })
        .rows[0]!;
    const before = due().dueAt;
    taken(
      change("NQ-H07", { months: { yearly: 3 }, monthsWhy: "Salt spray: agreed with the harbour master" }),
    );
    expect(due().dueAt).toBeLessThan(before);
    expect(due().dueWhy).toContain("3 months");
    expect(due().dueWhy).toContain("the sheet says 12 months");
    expect(due().dueWhy).toContain("harbour master");
  });

  it("a row of them is changed at once and undone at once", () => {
    const before = state();
    const tags = ["NQ-H02", "NQ-H03", "NQ-H04"];
    const done = taken(changeValves(services, { tags, set: { place: "Dock" }, clear: ["symptom"] }, TAM));
    expect(tags.map((tag) => valve(tag).place)).toEqual(["Dock", "Dock", "Dock"]);
    expect(valve("NQ-H04").symptom).toBeUndefined();
    expect(told(changeValves(services, { tags, set: { months: { ghost: 2 } }, clear: [] }, TAM))[0]).toMatch(
      /^\/set\/months\/ghost The sheet has no interval/,
    );
    expect(told(changeValves(services, { tags, set: {}, clear: ["name"] }, TAM))[0]).toMatch(
      /^\/name Missing/,
    );
    taken(undo(done));
    expect(state()).toEqual(before);
  });

  it("a fault is reported with who and when, and is over", () => {
    taken(reportFault(services, { tag: "NQ-H07", says: "Drips at the cap" }, "Isla Venn"));
    expect(valve("NQ-H07")).toMatchObject({
      symptom: "Drips at the cap",
      reported: new Date(NOW).toISOString(),
      reportedBy: "Isla Venn",
    });
    taken(reportFault(services, { tag: "NQ-H07", says: undefined }, TAM));
    expect(valve("NQ-H07").symptom).toBeUndefined();
    expect(valve("NQ-H07").reportedBy).toBeUndefined();
  });
});

describe("a valve that is retired", () => {
  it("rings no more, is in no list but its own, takes no job, and keeps what was done on it", () => {
    const all = { sort: "tag" as const, down: false, from: 0, most: 500, now: NOW };
    const jobs = services.summaries.ofValve("NQ-H08").length;
    expect(jobs).toBeGreaterThan(0);
    taken(retireValves(services, { tags: ["NQ-H08"], why: "Run over" }, TAM));
    expect(services.register.list(all).rows.some(({ tag }) => tag === "NQ-H08")).toBe(false);
    expect(services.register.list({ ...all, state: "retired" }).rows.map(({ tag }) => tag)).toContain(
      "NQ-H08",
    );
    expect(services.register.dueNext(500).some(({ tag }) => tag === "NQ-H08")).toBe(false);
    expect(services.summaries.ofValve("NQ-H08")).toHaveLength(jobs);
    const asked = {
      valve: "NQ-H08",
      reason: { kind: "due", says: "x" },
      reach: ["disc"],
      policy: "on-condition",
    } as const;
    expect(told(jobInputs(services, asked, TAM))[0]).toMatch(/^\/valve .*retired/);
    taken(bringBackValves(services, { tags: ["NQ-H08"] }, TAM));
    expect(services.register.list(all).rows.some(({ tag }) => tag === "NQ-H08")).toBe(true);
  });

  it("is not retired while a job goes on on it", () => {
    const sheet = services.library.sheet(valve("NQ-H05").sheet)!;
    const { says, reach } = sheet.symptoms[0]!;
    const reason = { kind: "symptom", says } as const;
    expect(
      openJob(services, { valve: "NQ-H05", reason, reach, policy: "on-condition" }, { id: "tam", name: TAM })
        .ok,
    ).toBe(true);
    const csv = { name: "r.csv", text: "tag,retired,retiredWhy\nNQ-H05,2027-02-01,Gone" };
    expect(told(importFiles(services, [csv], TAM))[0]).toMatch(/row 2\/retired A job goes on on NQ-H05/);
    expect(told(retireValves(services, { tags: ["NQ-H05"], why: "x" }, TAM))[0]).toMatch(
      /A job goes on on NQ-H05/,
    );
  });

  it("is not taken out of the register with jobs or readings; one without them is", () => {
    expect(told(removeThing(services, "valve", "NQ-H08", TAM))[0]).toMatch(/It has to stay: .*job/);
    taken(addValves(services, [fresh], TAM));
    taken(removeThing(services, "valve", "X-1", TAM));
    expect(services.register.anyValve("X-1")).toBeUndefined();
  });

  it("its tag can change as long as nothing hangs on it", () => {
    taken(addValves(services, [fresh], TAM));
    const done = taken(
      saveThing(services, "valve", "X-1", { was: fresh, row: { ...fresh, tag: "X-9" } }, TAM),
    );
    expect([services.register.anyValve("X-1"), valve("X-9").name]).toEqual([undefined, "New trap"]);
    taken(undo(done));
    expect(services.register.anyValve("X-9")).toBeUndefined();
    expect(told(change("NQ-H08", { tag: "NQ-H88" }))[0]).toMatch(/It has to stay/);
  });
});

describe("line and valve are tied from either side", () => {
  const quay = () => services.library.line("north-quay")!;
  const assetAt = (id: string) => quay().nodes.find((node) => node.id === id)?.asset;
  const free = () => quay().nodes.find(({ kind, asset }) => kind === "junction" && asset === undefined)!.id;
  const written = (id: string, asset: string | undefined): Line => ({
    ...quay(),
    nodes: quay().nodes.map(({ asset: had, ...node }) =>
      node.id !== id
        ? { ...node, ...(had !== undefined && { asset: had }) }
        : asset === undefined
          ? node
          : { ...node, asset },
    ),
  });

  it("a valve that is put on a place of a line is written there, moved, and gone with it", () => {
    const node = free();
    taken(addValves(services, [{ ...fresh, sheet: "brae-quaywall-4", line: "north-quay", node }], TAM));
    expect(assetAt(node)).toBe("X-1");
    const off = valve("X-1");
    const { line: _, node: __, ...loose } = off;
    const done = taken(saveThing(services, "valve", "X-1", { was: off, row: loose }, TAM));
    expect(assetAt(node)).toBeUndefined();
    taken(undo(done));
    expect(assetAt(node)).toBe("X-1");
    taken(removeThing(services, "valve", "X-1", TAM));
    expect(assetAt(node)).toBeUndefined();
  });

  it("a tag that is written at a place of a line puts its valve there; taken away, it leaves the line", () => {
    const node = free();
    taken(addValves(services, [{ ...fresh, sheet: "brae-quaywall-4" }], TAM));
    taken(saveLine(services, written(node, "X-1"), "north-quay", TAM));
    expect(valve("X-1")).toMatchObject({ line: "north-quay", node });
    taken(saveLine(services, written(node, undefined), "north-quay", TAM));
    expect(valve("X-1").line).toBeUndefined();
  });

  it("saving a line is in the book, and undone with the valve it moved", () => {
    const before = state();
    taken(addValves(services, [{ ...fresh, sheet: "brae-quaywall-4" }], TAM));
    taken(saveLine(services, written(free(), "X-1"), "north-quay", TAM));
    for (const { id, undone } of editsBefore(services).slice(0, 2))
      if (!undone) taken(undoEdit(services, id, TAM));
    expect(state()).toEqual(before);
  });

  it("a line with valves on it stays, and says which", () => {
    expect(told(removeThing(services, "line", "north-quay", TAM))[0]).toMatch(/NQ-H02/);
    expect(told(removeSheet(services, "brae-quaywall-4", TAM))[0]).toMatch(/It has to stay/);
  });
});

describe("a place", () => {
  it("renamed takes its valves and what lies within along, and is undone with them", () => {
    const before = state();
    const was = services.things.one("place", "North quay")!;
    const at = services.register.at("North quay").length;
    const done = taken(
      saveThing(services, "place", "North quay", { was, row: { ...was, name: "Herring quay" } }, TAM),
    );
    expect(services.register.at("Herring quay")).toHaveLength(at);
    expect(services.register.at("North quay")).toEqual([]);
    expect(valve("NQ-P3").place).toBe("Herring quay");
    taken(undo(done));
    expect(state()).toEqual(before);
  });

  it("is refused within itself, within what is not there, with half a position, and taken away from under a valve", () => {
    const put = (row: object) =>
      saveThing(services, "place", undefined, { row: { name: "Cellar", ...row } }, TAM);
    expect(told(put({ within: "Cellar" }))[0]).toMatch(/^\/within .*within itself/);
    expect(told(put({ within: "Moon" }))[0]).toMatch(/^\/within There is no place "Moon"/);
    expect(told(put({ lat: 57.1 }))[0]).toMatch(/^\/lon/);
    expect(told(put({ name: "north QUAY" }))[0]).toMatch(/^\/name There is a place "North quay"/);
    expect(told(removeThing(services, "place", "North quay", TAM))[0]).toMatch(/valves that stand there/);
    expect(told(removeThing(services, "place", "Sallow Holm", TAM))[0]).toMatch(
      /It has to stay: .*Bonded store/,
    );
  });
});

describe("whom to tell", () => {
  it("stands on the card before anything is shut: who, by which telephone, how many days before", () => {
    const { says, reach } = services.library
      .sheet(valve("HW-M2").sheet)!
      .symptoms.find((each) => each.reach.length > 0)!;
    const reason = { kind: "symptom", says } as const;
    const inputs = taken(jobInputs(services, { valve: "HW-M2", reason, reach, policy: "on-condition" }, TAM));
    const job = run(inputs, []);
    const notify = job.ok ? job.value.plan.steps.find((each) => each.kind === "notify") : undefined;
    expect(notify).toMatchObject({
      told: [{ name: "Showers, south wing", who: "Front desk", phone: "00 212", days: 3 }],
    });
    expect(stepWords(speaker(), notify!).cues).toEqual([
      "Showers, south wing: Front desk, 00 212, 3 days before",
    ]);
  });
});

describe("one of the crew", () => {
  const tam = () => services.library.people().find(({ id }) => id === "tam")!;
  it("has competences with proof and end date; leaves, and signs no more", () => {
    const row = { ...tam(), competent: { fire: "2028-01-31", gas: "open" }, proof: { gas: "GC-9" } };
    taken(saveThing(services, "person", "tam", { was: tam(), row }, TAM));
    expect(tam().competent).toEqual({ fire: "2028-01-31", gas: "open" });
    taken(saveThing(services, "person", "tam", { was: tam(), row: { ...tam(), left: "2027-02-01" } }, TAM));
    expect(services.library.crew().some(({ id }) => id === "tam")).toBe(false);
    expect(services.library.people().some(({ id }) => id === "tam")).toBe(true);
  });

  it("is told what cannot be", () => {
    const put = (more: object) =>
      saveThing(services, "person", "tam", { was: tam(), row: { ...tam(), ...more } }, TAM);
    expect(told(put({ competent: { gas: "soon" } }))[0]).toMatch(/^\/competent\/gas .*gas=2027-05-01/);
    expect(told(put({ competent: { diving: "open" } }))[0]).toMatch(/^\/competent\/diving/);
    expect(told(put({ name: " isla  venn" }))[0]).toMatch(/^\/name .*in the crew already/);
    expect(told(put({ left: "2027-03-02" }))[0]).toMatch(/^\/left That day has not come yet/);
    expect(told(put({ shift: "night" }))[0]).toMatch(/^\/shift The house has no shift "night": early, day/);
    expect(told(put({ away: { "2027-05-01": "2027-04-01" } }))[0]).toMatch(/before the first/);
    expect(told(removeThing(services, "person", "isla", TAM))[0]).toMatch(/signed with this name/);
  });
});

describe("papers", () => {
  it("a photograph is made anew, a PDF is kept as it is, anything else is refused; taken away it can come back", async () => {
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: "red" } })
      .png()
      .toBuffer();
    const on = { of: "valve", owner: "NQ-H07", name: "Nameplate" } as const;
    const photo = taken(await addPaper(services, on, picture, TAM));
    expect(photo).toMatchObject({ mime: "image/jpeg", width: 40, height: 30, by: TAM });
    const pdf = taken(await addPaper(services, on, Buffer.from("%PDF-1.7 x"), TAM));
    expect(services.things.bytes(pdf.sha256)?.toString()).toBe("%PDF-1.7 x");
    expect(told(await addPaper(services, on, Buffer.from("MZ"), TAM))[0]).toMatch(
      /neither a picture nor a PDF/,
    );
    expect(told(await addPaper(services, { ...on, owner: "nobody" }, picture, TAM))[0]).toMatch(/^\/owner/);
    const was = valve("NQ-H07").place;
    const yard = services.things.one("place", was)!;
    const shown = taken(await addPaper(services, { of: "place", owner: was, name: "Gate" }, picture, TAM));
    const renamed = taken(
      saveThing(services, "place", was, { was: yard, row: { ...yard, name: "Herring quay" } }, TAM),
    );
    expect(services.things.papersOf("place", "Herring quay").map(({ id }) => id)).toEqual([shown.id]);
    taken(undo(renamed));
    expect(services.things.papersOf("place", was)).toHaveLength(1);
    const gone = taken(removePaper(services, pdf.id, TAM));
    expect(services.things.papersOf("valve", "NQ-H07").map(({ id }) => id)).toEqual([photo.id]);
    taken(undo(gone));
    expect(services.things.papersOf("valve", "NQ-H07")).toHaveLength(2);
  });
});

describe("the book of changes", () => {
  it("says who changed what, the newest first, and that it was undone", () => {
    const done = taken(change("NQ-H07", { name: "Slip" }));
    expect(editsBefore(services)[0]).toMatchObject({ by: TAM, says: "Changed valve: NQ-H07", undone: false });
    taken(undo(done));
    expect(editsBefore(services)[0]).toMatchObject({ undone: true });
    expect(told(undoEdit(services, done.edit!, TAM))[0]).toMatch(/undone already/);
  });

  it("takes a change back though other fields were changed since, and not where the same one was", () => {
    const first = taken(change("NQ-H07", { name: "Slip" }));
    taken(change("NQ-H07", { serial: "S-2" }));
    taken(undo(first));
    expect(valve("NQ-H07")).toMatchObject({ name: "Hydrant on the slip", serial: "S-2" });
    const second = taken(change("NQ-H07", { name: "Slip" }));
    taken(change("NQ-H07", { name: "Ramp" }));
    expect(told(undo(second))[0]).toMatch(/changed since/);
  });

  it("stands for a change that changes nothing by no entry", () => {
    const before = editsBefore(services).length;
    expect(taken(change("NQ-H07", {}))).toMatchObject({ edit: undefined, changes: 0 });
    expect(editsBefore(services)).toHaveLength(before);
  });

  it("undone in the other order, whatever was changed is as it was", () => {
    const tags = ["NQ-H02", "NQ-H05", "LD-T11", "LD-M1"];
    const act = fc.oneof(
      fc.record({
        kind: fc.constant("set" as const),
        tag: fc.constantFrom(...tags),
        field: fc.constantFrom("name", "serial", "note", "place"),
        to: fc.constantFrom("A", "B", "C"),
      }),
      fc.record({ kind: fc.constant("retire" as const), tag: fc.constantFrom(...tags) }),
      fc.record({ kind: fc.constant("back" as const), tag: fc.constantFrom(...tags) }),
      fc.record({ kind: fc.constant("report" as const), tag: fc.constantFrom(...tags) }),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 8 }), (acts) => {
        const before = state();
        const done = acts.flatMap((each) => {
          const made =
            each.kind === "set"
              ? changeValves(services, { tags: [each.tag], set: { [each.field]: each.to }, clear: [] }, TAM)
              : each.kind === "retire"
                ? retireValves(services, { tags: [each.tag], why: "x" }, TAM)
                : each.kind === "back"
                  ? bringBackValves(services, { tags: [each.tag] }, TAM)
                  : reportFault(services, { tag: each.tag, says: "Weeps" }, TAM);
          return made.ok && made.value.edit !== undefined ? [made.value] : [];
        });
        for (const each of done.toReversed()) taken(undo(each));
        expect(state()).toEqual(before);
      }),
      { numRuns: 60 },
    );
  });
});
