import { extractText, getDocumentProxy } from "unpdf";
import { describe, expect, it } from "vitest";
import { Walk, wetJob } from "@/core/job/job.fixtures";
import { LABEL_SHEETS } from "@/core/papers";
import { notationOf } from "@/core/quantity";
import type { PaperTask, PrintTask } from "@/server/papers/print-task";
import { listOf, type Paper } from "@/words";
import { INKS } from "./inks";
import print from "./work";

async function read(task: PrintTask) {
  const pdf = await getDocumentProxy(new Uint8Array(await print(task)));
  const { text } = await extractText(pdf, { mergePages: false });
  const [, , width, height] = (await pdf.getPage(1)).view;
  return { pages: text, width: Math.round(width! / (72 / 25.4)), height: Math.round(height! / (72 / 25.4)) };
}

const paper = (rows: number): Paper => ({
  plate: "NQ-H08",
  title: "Record of service",
  says: "Hydrant",
  demonstration: true,
  blocks: [
    { kind: "text", tone: "go", lead: "The log is whole.", says: [" Signed ", { at: 0, time: true }] },
    listOf(
      "As found",
      Array.from({ length: rows }, (_, row) => `Row ${row} with 180 Ω, 1⅞ in, −4 °C`),
    ),
    { kind: "page" },
    {
      kind: "pictures",
      title: "Photographs",
      pictures: [{ photo: "lost", says: "The disc" }],
    },
  ],
  foot: ["Anchor 1"],
  opens: "http://127.0.0.1:4180/jobs/x/record",
});
const asked = (rows: number, more = {}): PrintTask => ({
  kind: "paper",
  paper: paper(rows),
  size: "A4",
  zone: "Asia/Tokyo",
  photos: {},
  notation: notationOf(),
  ...more,
});

describe("a paper that is printed", () => {
  it("says on each page what it is, that it is made up, and which page of how many", async () => {
    const { pages } = await read(asked(140));
    expect(pages.length).toBeGreaterThan(3);
    for (const [index, text] of pages.entries()) {
      expect(text).toContain("NQ-H08, Record of service. Demonstration data");
      expect(text).toContain(`page ${index + 1} of ${pages.length}`);
    }
    for (const row of [0, 70, 139]) expect(pages.join()).toContain(`Row ${row} with 180 Ω, 1 7/8 in, −4 °C`);
  });

  it("is A4 or letter, and tells its times in the zone that was asked for", async () => {
    expect(await read(asked(3))).toMatchObject({ width: 210, height: 297 });
    const letter = await read(asked(3, { size: "LETTER" }));
    expect(letter).toMatchObject({ width: 216, height: 279 });
    expect(letter.pages[0]).toContain("1 Jan 1970, 09:00");
    expect(letter.pages).toHaveLength(2);
  });

  it("says of a photograph that is gone that it is", async () => {
    expect((await read(asked(1))).pages[1]).toContain("This photograph is not here.");
  });
});

describe("the drawings of a job", () => {
  const { inputs, events } = new Walk(wetJob()).until(() => false);
  const drawn = (of: "axis" | "section", job?: PaperTask["job"]) =>
    read(asked(0, { paper: { ...paper(0), blocks: [{ kind: "drawing", title: of, of }] }, job }));

  it("are what an instrument showed over a time, with the bound it was judged by", async () => {
    const walk = new Walk(wetJob()).until(({ kind }) => kind === "hold");
    const step = walk.job.current!.id;
    walk.add({ kind: "wait-started", step, minutes: 10 });
    const from = new Date(walk.now).toISOString();
    walk.now += 600_000;
    const taken = { kind: "logger", name: "Logger", serial: "PL-1", by: "socket", at: from, read: "0 bar g" };
    const points = Array.from({ length: 40 }, (_, at) => [at * 15, at * 300]);
    walk.add({
      kind: "trace-kept",
      step,
      with: taken,
      dimension: "gauge pressure",
      from,
      every_s: 15,
      points,
    });
    const trace = walk.events.at(-1)!.id;
    const { pages } = await read(
      asked(0, {
        paper: { ...paper(0), blocks: [{ kind: "drawing", title: "Trace", of: { trace } }] },
        job: { inputs: walk.inputs, events: walk.events },
      }),
    );
    const said = pages.join();
    expect(said).toContain("Trace");
    expect(said).toContain("0.117 bar g");
    expect(said).toContain("10 min");
  });

  it("are the valve with what went in new, and the section with what was shut, by number", async () => {
    const axis = (await drawn("axis", { inputs, events })).pages.join();
    for (const { name } of inputs.sheet.parts) expect(axis).toContain(name.split(" ")[0]);
    expect(axis).toContain("new one in");
    const section = (await drawn("section", { inputs, events })).pages.join();
    for (const link of ["V-12", "V-15", "NQ-H07"]) expect(section).toContain(link);
  });

  it("are left out where there is no job to draw", async () => {
    expect((await drawn("axis")).pages.join()).not.toContain("axis");
  });

  it("have the inks of the screen by day", () => {
    expect([INKS.get("card"), INKS.get("ink-water")]).toEqual(["#fffdf7", "#3f84c6"]);
  });
});

describe("labels that are printed", () => {
  const label = (plate: string) => ({ plate, name: "Pit valve", place: "Churchyard", opens: "http://a/b" });

  it.each(LABEL_SHEETS.map((sheet) => [sheet.id, sheet] as const))("fill %s and go on", async (_, sheet) => {
    const many = sheet.columns * sheet.rows + 1;
    const labels = Array.from({ length: many }, (_, index) => label(`CB-D${index}`));
    const { pages, width, height } = await read({ kind: "labels", sheet, skip: 0, labels });
    expect([width, height]).toEqual([Math.round(sheet.width_mm), Math.round(sheet.height_mm)]);
    expect(pages).toHaveLength(2);
    expect(pages[1]).toContain(`CB-D${many - 1}`);
    expect(pages[0]).not.toContain(`CB-D${many - 1}`);
  });

  it("begin where the sheet is not used up", async () => {
    const sheet = LABEL_SHEETS.find(({ id }) => id === "a4-24")!;
    const labels = [label("A-1"), label("A-2")];
    const { pages } = await read({ kind: "labels", sheet, skip: 23, labels });
    expect(pages.map((text) => /A-\d/.exec(text)?.[0])).toEqual(["A-1", "A-2"]);
  });
});
