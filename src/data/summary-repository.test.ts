import { beforeEach, describe, expect, it } from "vitest";
import { JOB_SORTS, type JobStatus } from "@/core/formats";
import { wetJob } from "@/core/job/job.fixtures";
import { type JobSummary, jobRepository, openDatabase, type SummaryRepository, summaryRepository } from ".";
import { jobSummary } from "./summary.fixtures";

let db: ReturnType<typeof openDatabase>;
let summaries: SummaryRepository;
beforeEach(() => {
  db = openDatabase(":memory:");
  summaries = summaryRepository(db);
});

const OPENED = Date.parse("2027-03-01T09:00:00Z");
/** A job with its summary, later ones opened later. */
let made = 0;
const keep = (job: string, more: Partial<JobSummary> = {}) => {
  const row = jobSummary({ job, valve: `V-${job}`, openedAt: OPENED + 1000 * made++, ...more });
  jobRepository(db).create(wetJob({ id: job, valve: { ...wetJob().valve, tag: row.valve } }));
  summaries.save(row);
  return row;
};
const ALL = { sort: "opened", down: false, from: 0, most: 100 } as const;
const jobs = (query: Partial<Parameters<SummaryRepository["list"]>[0]> = {}) =>
  summaries.list({ ...ALL, ...query }).rows.map((row) => row.job);

describe("how a job stands", () => {
  it("is read as it was written, written over, and taken away", () => {
    const row = keep("a", { because: "Too dark", status: "stopped" });
    expect(summaries.of("a")).toEqual(row);
    summaries.save({ ...row, status: "at-work", because: null });
    expect(summaries.statusOf("a")).toBe("at-work");
    summaries.remove("a");
    expect([summaries.of("a"), summaries.statusOf("a")]).toEqual([undefined, undefined]);
  });

  it("only jobs that go on are open: they ring, hold, and stand for their valve", () => {
    const bell = {
      kind: "wait",
      job: "a",
      valve: "V-a",
      at: OPENED,
      says: "Look",
    } as unknown as JobSummary["bells"][number];
    const held = [
      {
        line: "north-quay",
        link: "V-12",
        name: "V-12 Chandler street",
        lock: "14",
        by: "Tam Arkle",
        at: OPENED,
      },
    ];
    keep("a", { bells: [bell], held });
    keep("b", { status: "stopped", bells: [] });
    keep("c", { status: "signed-off", bells: [bell], held, closedAt: OPENED });
    expect(
      summaries
        .open()
        .map((row) => row.job)
        .sort(),
    ).toEqual(["a", "b"]);
    expect(summaries.countOpen()).toBe(2);
    expect(summaries.openBells()).toEqual([bell]);
    expect(summaries.holding()).toEqual([{ job: "a", valve: "V-a", held }]);
    expect(summaries.openOfValve("V-a")?.job).toBe("a");
    expect(summaries.openOfValve("V-c")).toBeUndefined();
  });

  it("of one valve the newest comes first, closed ones too", () => {
    keep("a", { valve: "V", status: "signed-off" });
    keep("b", { valve: "V" });
    keep("c", { valve: "W" });
    expect(summaries.ofValve("V").map((row) => row.job)).toEqual(["b", "a"]);
  });

  it("is counted by status, by where the log came from, and by place", () => {
    keep("a", { place: "Lido" });
    keep("b", { place: "Lido", status: "stopped" });
    keep("c", { place: "Ropewalk", origin: "foreign" });
    expect(Object.fromEntries(summaries.countByStatus())).toEqual({ "at-work": 2, stopped: 1 });
    expect([summaries.countByOrigin("foreign"), summaries.countByOrigin("elsewhere")]).toEqual([1, 0]);
    expect(summaries.places()).toEqual(["Lido", "Ropewalk"]);
  });
});

describe("a list of jobs", () => {
  beforeEach(() => {
    keep("a", { valve: "NQ-H07", says: "Weeps 50% of the time", place: "Lido", minutesLeft: 30 });
    keep("b", { valve: "LD_M1", says: "Runs hot", status: "stopped", place: "Lido", minutesLeft: 20 });
    keep("c", { valve: "LDXM1", says: "Hums", openedBy: "Isla Venn", place: "Ropewalk", minutesLeft: 10 });
  });

  it("is narrowed by status, place and every word typed", () => {
    expect(jobs({ status: "stopped" })).toEqual(["b"]);
    expect(jobs({ place: "Lido" })).toEqual(["a", "b"]);
    expect(jobs({ find: "isla" })).toEqual(["c"]);
    expect(jobs({ find: "quaywall hot" })).toEqual(["b"]);
    expect(jobs({ find: "hot hums" })).toEqual([]);
    expect(summaries.list({ ...ALL, place: "Lido", most: 1 })).toMatchObject({ total: 2 });
  });

  it("takes signs of a pattern as the letters they are", () => {
    expect(jobs({ find: "50%" })).toEqual(["a"]);
    expect(jobs({ find: "%" })).toEqual(["a"]);
    expect(jobs({ find: "LD_M1" }), "an underscore is no wild card").toEqual(["b"]);
    expect(jobs({ find: "\\" })).toEqual([]);
    expect(jobs({ find: "x'; drop table job_summaries; --" })).toEqual([]);
    expect(summaries.countOpen()).toBe(3);
  });

  it.each(JOB_SORTS)("by %s, both ways, in pages as whole", (sort) => {
    const up = jobs({ sort });
    expect([...up].sort()).toEqual(["a", "b", "c"]);
    expect([0, 1, 2].flatMap((from) => jobs({ sort, from, most: 1 }))).toEqual(up);
    const key = {
      opened: "openedAt",
      valve: "valve",
      place: "place",
      status: "status",
      left: "minutesLeft",
    } as const;
    const values = summaries.list({ ...ALL, sort, down: true }).rows.map((row) => row[key[sort]]);
    expect(values).toEqual([...values].sort((x, y) => (x < y ? 1 : x > y ? -1 : 0)));
  });
});

describe("summaries made by an older program", () => {
  it("are named with those that are missing, so that they are made anew", () => {
    keep("new", { made: 7 });
    keep("old", { made: 6 });
    jobRepository(db).create(wetJob({ id: "none" }));
    expect(summaries.stale(7).sort()).toEqual(["none", "old"]);
  });

  it.each<JobStatus>(["at-work", "stopped", "signed-off", "not-begun"])("%s is kept as it is", (status) => {
    keep("a", { status });
    expect(summaries.statusOf("a")).toBe(status);
  });
});
