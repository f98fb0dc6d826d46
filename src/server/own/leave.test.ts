import { beforeEach, describe, expect, it } from "vitest";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import type { Services } from "../services";
import { readLeave } from "./read-leave";
import { takeLeave } from "./take-leave";

const TODAY = "2026-12-02";
const calendar = (...events: readonly (readonly string[])[]) =>
  [
    "BEGIN:VCALENDAR",
    "VERSION:2.0",
    "PRODID:-//Sallow Holm//Leave//EN",
    ...events.flatMap((lines, at) => [
      "BEGIN:VEVENT",
      `UID:${at}@sallow-holm`,
      "DTSTAMP:20261101T080000Z",
      ...lines,
      "END:VEVENT",
    ]),
    "END:VCALENDAR",
  ].join("\r\n");
const spans = (text: string) => {
  const read = readLeave(text, TODAY);
  return read.ok ? read.value.spans : read.error;
};

describe("leave out of a calendar", () => {
  it("ends on the day before the entry does, and is one day where no end is said", () => {
    expect(
      spans(
        calendar(
          ["SUMMARY:Leave", "DTSTART;VALUE=DATE:20261224", "DTEND;VALUE=DATE:20270103"],
          ["SUMMARY:Dentist", "DTSTART;VALUE=DATE:20261210"],
        ),
      ),
    ).toEqual([
      { from: "2026-12-10", to: "2026-12-10" },
      { from: "2026-12-24", to: "2027-01-02" },
    ]);
  });

  it("takes of what goes by the clock the days that are whole", () => {
    const text = calendar(
      ["SUMMARY:Training", "DTSTART:20261214T120000", "DTEND:20261217T100000"],
      ["SUMMARY:Doctor", "DTSTART:20261218T080000", "DTEND:20261218T100000"],
    );
    expect(spans(text)).toEqual([{ from: "2026-12-15", to: "2026-12-16" }]);
    const read = readLeave(text, TODAY);
    expect(read.ok && read.value.left).toEqual([{ says: "Doctor", why: "part-of-a-day" }]);
  });

  it("follows what comes again, without what is taken out of it", () => {
    expect(
      spans(
        calendar([
          "SUMMARY:Care day",
          "DTSTART;VALUE=DATE:20261106",
          "RRULE:FREQ=WEEKLY;COUNT=8",
          "EXDATE;VALUE=DATE:20261211",
        ]),
      ),
    ).toEqual([
      { from: "2026-12-04", to: "2026-12-04" },
      { from: "2026-12-18", to: "2026-12-18" },
      { from: "2026-12-25", to: "2026-12-25" },
    ]);
    // Without an end it is followed for a year and a half.
    const forever = spans(calendar(["DTSTART;VALUE=DATE:20260102", "RRULE:FREQ=WEEKLY"]));
    expect(forever.length).toBeGreaterThan(70);
    expect(forever.length).toBeLessThan(90);
  });

  it("joins days that follow each other, and leaves what is called off or behind", () => {
    const text = calendar(
      ["DTSTART;VALUE=DATE:20261221", "DTEND;VALUE=DATE:20261224"],
      ["DTSTART;VALUE=DATE:20261224", "DTEND;VALUE=DATE:20261226"],
      ["SUMMARY:Off", "STATUS:CANCELLED", "DTSTART;VALUE=DATE:20261230"],
      ["SUMMARY:Summer", "DTSTART;VALUE=DATE:20260701", "DTEND;VALUE=DATE:20260715"],
    );
    expect(spans(text)).toEqual([{ from: "2026-12-21", to: "2026-12-25" }]);
    const read = readLeave(text, TODAY);
    expect(read.ok && read.value.left.map(({ why }) => why).sort()).toEqual(["behind", "cancelled"]);
  });

  it("is no calendar where it is none", () => {
    for (const text of ["", "hello", "tag,name\r\n1,2", "BEGIN:VCALENDAR\r\nBEGIN:VEVENT"])
      expect(["no-calendar", []]).toContainEqual(spans(text));
  });
});

describe("leave that is taken", () => {
  let services: Services;
  beforeEach(() => {
    services = demoServices(() => new Date(2026, 11, 2, 8).getTime());
  });
  const away = () => services.library.people().find(({ id }) => id === "tam")!.away;
  const text = calendar(["SUMMARY:Leave", "DTSTART;VALUE=DATE:20270201", "DTEND;VALUE=DATE:20270206"]);

  it("adds to what is known, once, and can be undone", () => {
    const before = away();
    const first = takeLeave(services, "tam", text, "Mara Sund");
    expect(first).toMatchObject({ ok: true, value: { taken: [{ from: "2027-02-01", to: "2027-02-05" }] } });
    expect(away()).toEqual({ ...before, "2027-02-01": "2027-02-05" });
    expect(takeLeave(services, "tam", text, "Mara Sund")).toMatchObject({ value: { changes: 0, taken: [] } });
    undoEdit(services, first.ok ? first.value.edit! : "", "Mara Sund");
    expect(away()).toEqual(before);
  });

  it("says what is wrong, and changes nothing", () => {
    const before = away();
    for (const [id, bad] of [
      ["tam", "hello"],
      ["tam", calendar()],
      ["nobody", text],
    ] as const)
      expect(takeLeave(services, id, bad, "Mara Sund").ok).toBe(false);
    expect(away()).toEqual(before);
  });
});
