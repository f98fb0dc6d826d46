import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  inQuiet,
  inRingingOrder,
  mannerOf,
  mayWait,
  quietEnds,
  type Ringable,
  rings,
  soundsAt,
  strikesAfter,
} from ".";

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
/** A device that stands where the world's clock is read. */
const localMinute = (at: number) => Math.floor((at % (24 * HOUR)) / MINUTE);
const DAY0 = Date.parse("2026-12-01T00:00:00Z");
const at = (hours: number, minutes = 0) => DAY0 + hours * HOUR + minutes * MINUTE;
const NIGHT = { from: 19 * 60, to: 6 * 60 };
const NOTHING = { silent: {}, upTo: 0 };
const bell = (kind: Ringable["kind"], when: number, more: Partial<Ringable> = {}): Ringable => ({
  id: `${kind}-${when}`,
  kind,
  at: when,
  ...more,
});
const ids = (
  bells: readonly Ringable[],
  now: number,
  heard = NOTHING as Parameters<typeof rings>[1]["heard"],
) => rings(bells, { now, quiet: NIGHT, localMinute, heard }).ringing.map((each) => each.bell.id);

describe("quiet hours", () => {
  it("go over midnight, hold what they begin with and not what they end with", () => {
    expect([18 * 60 + 59, 19 * 60, 0, 6 * 60 - 1, 6 * 60].map((minute) => inQuiet(NIGHT, minute))).toEqual([
      false,
      true,
      true,
      true,
      false,
    ]);
  });

  it("are none where both ends are the same", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 0, max: 1439 }), (end, minute) => {
        expect(inQuiet({ from: end, to: end }, minute)).toBe(false);
      }),
    );
  });

  it("what may wait sounds at the first minute outside them, and never earlier than it is due", () => {
    const minute = fc.integer({ min: 0, max: 1439 });
    fc.assert(
      fc.property(minute, minute, fc.integer({ min: 0, max: 10_000 }), (from, to, due) => {
        const when = DAY0 + due * MINUTE;
        const ends = quietEnds({ from, to }, when, localMinute);
        expect(ends).toBeGreaterThanOrEqual(when);
        expect(inQuiet({ from, to }, localMinute(ends))).toBe(false);
        if (ends > when) expect(inQuiet({ from, to }, localMinute(ends - MINUTE))).toBe(true);
      }),
    );
  });

  it("hold back the calendar, and nothing that hurts somebody", () => {
    const night = at(23);
    expect(soundsAt(bell("due", night), NIGHT, localMinute)).toBe(at(30));
    for (const kind of ["wait", "impairment", "stopped"] as const) {
      expect(mayWait(kind)).toBe(false);
      expect(soundsAt(bell(kind, night), NIGHT, localMinute)).toBe(night);
    }
  });
});

describe("what rings", () => {
  it("from its moment on, not before; the next moment is told", () => {
    const wait = bell("wait", at(12));
    const before = rings([wait], { now: at(11, 59), quiet: NIGHT, localMinute, heard: NOTHING });
    expect(before).toEqual({ ringing: [], next: at(12) });
    expect(ids([wait], at(12))).toEqual([wait.id]);
  });

  it("several at once, alarms first, the longest of them first", () => {
    const bells = [
      bell("due", at(9)),
      bell("wait", at(11)),
      bell("impairment", at(10)),
      bell("at-work", at(8)),
    ];
    expect(ids(bells, at(12))).toEqual([bells[2]!.id, bells[1]!.id, bells[0]!.id]);
  });

  it("not while it is put off, and again after", () => {
    const wait = bell("wait", at(12), { putOff: { until: at(12, 20) } });
    expect(ids([wait], at(12, 10))).toEqual([]);
    expect(ids([wait], at(12, 20))).toEqual([wait.id]);
  });

  it("silent on a device on which somebody goes there; an alarm comes back, what is struck once does not", () => {
    const bells = [bell("wait", at(12)), bell("due", at(12))];
    const heard = { upTo: 0, silent: { [bells[0]!.id]: at(12, 3), [bells[1]!.id]: at(12, 3) } };
    expect(ids(bells, at(12, 1), heard)).toEqual([]);
    expect(ids(bells, at(12, 4), heard)).toEqual([bells[0]!.id]);
  });

  it("work that is stopped again is struck again, though the first was heard", () => {
    const first = bell("stopped", at(12), { id: "job-1:stopped" });
    const heard = { upTo: 0, silent: { "job-1:stopped": at(12, 1) } };
    expect(ids([first], at(12, 2), heard)).toEqual([]);
    expect(ids([{ ...first, at: at(13) }], at(13), heard)).toEqual(["job-1:stopped"]);
  });

  it("nothing of the calendar that was over before this device was looked at, nor what nobody heard for half a day", () => {
    const due = bell("due", at(9));
    expect(ids([due], at(12), { silent: {}, upTo: at(10) })).toEqual([]);
    expect(ids([due], at(12), { silent: {}, upTo: at(8) })).toEqual([due.id]);
    expect(ids([due], at(22), NOTHING)).toEqual([]);
    // An alarm that nobody answered rings for a day, whenever this device was looked at; then it stands on the rope.
    const wait = bell("wait", at(9));
    expect(ids([wait], at(32), { silent: {}, upTo: at(31) })).toEqual([wait.id]);
    expect(ids([wait], at(34), NOTHING)).toEqual([]);
  });

  it("an alarm whose moment came sounds, or was put off or silenced, whatever the hour", () => {
    const times = fc.integer({ min: 0, max: 72 * 60 }).map((minutes) => DAY0 + minutes * MINUTE);
    fc.assert(
      fc.property(times, times, fc.option(times, { nil: undefined }), times, (due, now, until, upTo) => {
        const wait = bell("wait", due, until === undefined ? {} : { putOff: { until } });
        const from = Math.max(due, until ?? due);
        const expected = now >= from && now - from <= 24 * HOUR;
        expect(ids([wait], now, { silent: {}, upTo })).toEqual(expected ? [wait.id] : []);
      }),
    );
  });
});

describe("how it rings", () => {
  it("an alarm again and again, more seldom the longer it rings, and never not at all", () => {
    const after = [0, 30_000, 2 * MINUTE, 10 * MINUTE, 10 * HOUR].map(strikesAfter);
    expect(after).toEqual([4000, 4000, 15_000, MINUTE, MINUTE]);
  });

  it("work that goes on stands on the rope, and makes no sound", () => {
    expect(mannerOf("at-work")).toBe("silent");
    expect(soundsAt(bell("at-work", at(1)), NIGHT, localMinute)).toBeUndefined();
  });

  it("stands on the rope in the order of how pressing it is, then by time", () => {
    const bells = [
      bell("due", at(1)),
      bell("at-work", at(2)),
      bell("wait", at(5)),
      bell("impairment", at(4)),
    ];
    expect(inRingingOrder(bells).map(({ kind }) => kind)).toEqual(["impairment", "wait", "at-work", "due"]);
  });
});
