import { describe, expect, it } from "vitest";
import type { RoundsReport, RoundsWeek } from "../formats";
import { twoCrews } from "../rounds/ask/ask.fixtures";
import { afterBegun, begunIn, saidOfWork, withReport } from "./reported";

const at = (clock: string) => `2026-06-01T${clock}:00.000Z`;
const ms = (clock: string) => Date.parse(at(clock));
const over = (task: string, clock: string, min: number): RoundsReport => ({
  kind: "runs-over",
  task,
  at: at(clock),
  by: "Jory Pask",
  min,
});
const week = (...reports: RoundsReport[]): RoundsWeek => ({
  id: "2026-06-01",
  fixed: [],
  shifts: [
    {
      crew: "Jory",
      from: at("08:00"),
      to: at("16:00"),
      visits: [
        { task: "LD-T11 look", stretch: 1, from: at("08:10"), to: at("08:45") },
        { task: "NQ-H10 seat", stretch: 1, from: at("09:00"), to: at("09:50") },
        { task: "NQ-H07 disc", stretch: 1, from: at("10:00"), to: at("11:25") },
      ],
    },
  ],
  ...(reports.length > 0 && { reports }),
});
const ringing = (tag: string) => tag !== "LD-T11 look";
const none: ReadonlySet<string> = new Set();

describe("what is begun of a kept plan", () => {
  it("is what a job is open on, and what is done; what nobody began is still to be planned", () => {
    const hand = { now: ms("09:20"), atWork: new Set(["NQ-H10 seat"]), rings: ringing };
    expect(begunIn([week()], hand)).toMatchObject([
      { task: "LD-T11 look", open: false, to: ms("08:45") },
      { task: "NQ-H10 seat", open: true, to: ms("09:50") },
    ]);
    expect(begunIn([week()], { ...hand, atWork: none })).toHaveLength(1);
  });

  it("is what somebody said at it runs over, for as long", () => {
    const said = week(over("NQ-H10 seat", "09:20", 30), over("NQ-H10 seat", "09:40", 15));
    const hand = { now: ms("09:45"), atWork: none, rings: ringing };
    expect(begunIn([said], hand)).toContainEqual(
      expect.objectContaining({ task: "NQ-H10 seat", open: true, to: ms("10:35") }),
    );
    // Once that has gone by nobody says any more that a crew is at it.
    expect(begunIn([said], { ...hand, now: ms("10:40") }).map(({ task }) => task)).toEqual(["LD-T11 look"]);
    // Said before it began it makes the work longer instead.
    const before = week(over("NQ-H07 disc", "09:20", 30));
    expect(begunIn([before], hand).some(({ task }) => task === "NQ-H07 disc")).toBe(false);
    expect(saidOfWork([before], ms("09:45"))).toHaveLength(1);
    expect(saidOfWork([said], ms("09:45"))).toEqual([]);
  });

  it("leaves the crew the rest of its shift, from where it is; others have theirs as they were", () => {
    const begun = begunIn([week()], { now: ms("09:20"), atWork: new Set(["NQ-H10 seat"]), rings: ringing });
    const { tasks, crews } = afterBegun(twoCrews, begun, () => "quay", ms("09:20"));
    expect(tasks.map(({ id }) => id)).not.toContain("NQ-H10 seat");
    const [isla, jory] = crews;
    expect(jory!.shifts[0]).toMatchObject({ from: at("09:50"), start: "quay" });
    expect(jory!.shifts[1]).toEqual(twoCrews.crews[1]!.shifts[1]);
    expect(isla!.shifts[0]).toMatchObject({ from: at("09:20") });
    expect(isla!.shifts[0]!.start).toBeUndefined();
  });

  it("is all of it once its first stretch is: the crew is back for the next when it rings, and has no other work then", () => {
    const soaks: RoundsWeek = {
      ...week(),
      shifts: [
        {
          ...week().shifts[0]!,
          visits: [
            { task: "LD-M1 yearly", stretch: 1, from: at("08:10"), to: at("08:50") },
            { task: "LD-T11 look", stretch: 1, from: at("08:50"), to: at("09:25") },
            { task: "LD-M1 yearly", stretch: 2, from: at("09:30"), to: at("10:00") },
          ],
        },
      ],
    };
    const begun = begunIn([soaks], {
      now: ms("08:40"),
      atWork: new Set(["LD-M1 yearly"]),
      rings: () => true,
    });
    expect(begun).toMatchObject([{ task: "LD-M1 yearly", from: ms("08:10"), to: ms("10:00") }]);
    const { crews } = afterBegun(twoCrews, begun, () => "lido", ms("08:40"));
    expect(crews[1]!.shifts[0]).toMatchObject({ from: at("10:00"), start: "lido" });
  });

  it("takes a shift away that is over before the work is", () => {
    const begun = begunIn([week(over("NQ-H07 disc", "10:30", 300))], {
      now: ms("10:40"),
      atWork: none,
      rings: ringing,
    });
    const { crews } = afterBegun(twoCrews, begun, () => undefined, ms("10:40"));
    expect(crews[1]!.shifts).toEqual([twoCrews.crews[1]!.shifts[1]]);
  });
});

describe("what was said of work that is still to be done", () => {
  const taskOf = (report: RoundsReport) =>
    withReport(twoCrews.tasks, report).find(({ id }) => id === report.task)!;

  it("makes it longer at its end", () => {
    expect(taskOf(over("LD-M1 yearly", "07:00", 45)).stretches.map(({ work_min }) => work_min)).toEqual([
      40, 75,
    ]);
  });

  it("opens it no sooner than one can get in, within its windows or on the day after them", () => {
    const shut = (until: string): RoundsReport => ({
      kind: "no-way-in",
      task: "LD-M1 yearly",
      at: at("07:00"),
      by: "Jory Pask",
      until,
    });
    expect(taskOf(shut(at("10:00"))).windows).toEqual([{ from: at("10:00"), to: "2026-06-01T12:00:00Z" }]);
    expect(taskOf(shut(at("13:00"))).windows).toEqual([
      { from: at("13:00"), to: "2026-06-02T13:00:00.000Z" },
    ]);
    expect(saidOfWork([week(shut(at("10:00")))], ms("09:00"))).toHaveLength(1);
    expect(saidOfWork([week(shut(at("10:00")))], ms("11:00"))).toEqual([]);
  });
});
