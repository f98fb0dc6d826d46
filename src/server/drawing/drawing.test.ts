import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { openDatabase, openToRead } from "@/data";
import { importFiles } from "../importing/import-files";
import { loadDemo } from "../importing/load-demo";
import { appendEvents } from "../jobs/append-events";
import { readJob } from "../jobs/read-job";
import { listValves, valveCounts } from "../lists/lists";
import { noteAt } from "../note.fixtures";
import { watched } from "../proof/watch";
import { type Services, servicesOn } from "../services";
import { newsNow } from "../today/news";
import { tell } from "./tell";
import { type Told, take } from "./told";

/** One that serves and one that draws, on the same file. */
const NOW = Date.parse("2027-03-01T09:00:00Z");
const JOB = "demo-h09-wait";
let folder: string;
let serving: Services;
let drawing: Services;
let now = NOW;
beforeEach(() => {
  now = NOW;
  folder = mkdtempSync(join(tmpdir(), "loftbell-"));
  const path = join(folder, "loftbell.db");
  serving = servicesOn(openDatabase(path), () => now);
  loadDemo(serving);
  drawing = servicesOn(openToRead(path), () => now, undefined, serving.installation);
  take(drawing, tell(serving));
});
afterEach(() => {
  serving.db.$client.close();
  drawing.db.$client.close();
  rmSync(folder, { recursive: true, force: true });
});

const note = (id: string) => noteAt(id, NOW);
const register = (rows: string) =>
  importFiles(serving, [{ name: "r.csv", text: `tag,name,place,sheet\n${rows}` }], "Test");

describe("a process that draws", () => {
  it("reads and cannot write", () => {
    expect(drawing.register.count()).toBe(serving.register.count());
    expect(() => drawing.register.remove("NQ-H07")).toThrow("readonly");
  });

  it("counts anew when the register was written to, and not for an entry", async () => {
    const before = valveCounts(drawing).quiet;
    const { era } = tell(serving);
    expect((await appendEvents(serving, JOB, [note("a")])).ok).toBe(true);
    expect(tell(serving).era).toBe(era);
    register("ZZ-1,New,North quay,brae-quaywall-4");
    expect(tell(serving).era).not.toBe(era);
    take(drawing, tell(serving));
    expect(valveCounts(drawing)).toEqual(valveCounts(serving));
    expect(valveCounts(drawing).quiet + valveCounts(drawing).late).toBeGreaterThan(before);
    expect(listValves(drawing, { find: "ZZ-1" }).total).toBe(1);
  });

  it("has a job as it stands, entry by entry, verified only from where it was", async () => {
    for (const id of ["a", "b", "c"]) {
      now += 60_000;
      expect((await appendEvents(serving, JOB, [note(id)])).ok).toBe(true);
      take(drawing, tell(serving));
      const [drawn, stored] = [readJob(drawing, JOB)!, readJob(serving, JOB)!];
      expect(drawn.doubt).toBeUndefined();
      expect(drawn.events).toEqual(stored.events);
      expect(drawn.run).toEqual(stored.run);
    }
  });

  it("says what the one that serves says of doubts, bells and changes, and looks for none itself", async () => {
    const doubts = [{ subject: "job", id: JOB, message: "The log was cut" }] as const;
    const told: Told = { ...tell(serving), changes: 77, watched: { doubts, whole: true } };
    take(drawing, told);
    expect(watched(drawing)).toEqual({ doubts, whole: true });
    expect(newsNow(drawing)).toMatchObject({ changes: 77, doubts: 1 });
    expect(newsNow(drawing).bells).toEqual(newsNow(serving).bells);
  });

  it("does not go back to what was told before, however late it is heard", () => {
    const early = tell(serving);
    register("ZZ-1,New,North quay,brae-quaywall-4");
    const late = tell(serving);
    take(drawing, late);
    take(drawing, early);
    expect(newsNow(drawing).changes).toBe(late.changes);
  });

  it("hears of a fault in storing", () => {
    take(drawing, { ...tell(serving), fault: "The disk is full." });
    expect(drawing.live.fault).toBe("The disk is full.");
    take(drawing, tell(serving));
    expect(drawing.live.fault).toBeUndefined();
  });
});
