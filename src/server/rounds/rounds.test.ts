import { beforeAll, describe, expect, it } from "vitest";
import type { HouseRounds } from "@/core/due-work";
import { placeOf } from "@/core/places";
import { smallSolver } from "@/core/store/small-solver";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import { openJob } from "../jobs/open-job";
import type { Services } from "../services";
import { askHouse } from "./ask-house";
import { houseDay } from "./house-day";
import { keepAgain, moveWork, publishWeek, readMove, type WorkMove } from "./keep-rounds";
import { plannedAgain } from "./plan-again";
import { keptOf, propose } from "./propose";
import { type RoundsCalendarAsk, roundsCalendar } from "./rounds-calendar";
import { roundsCsv } from "./rounds-csv";
import { type HouseGround, roundsNow } from "./rounds-now";

/** A Tuesday morning before anybody is out. */
const NOW = new Date(2026, 11, 1, 5).getTime();

let services: Services;
let ground: HouseGround;
let rounds: HouseRounds;
beforeAll(() => {
  services = demoServices(() => NOW);
  const proposed = propose(services, smallSolver);
  if (!proposed.ok) throw new Error(proposed.error.kind);
  ground = proposed.value;
  rounds = roundsNow(ground, []);
}, 60_000);

const house = () => services.things.one("house", "house")!;

describe("the quarter of this house", () => {
  it("has all that rings: placed once, or told why not", () => {
    const placed = new Set(rounds.shifts.flatMap(({ visits }) => visits.map(({ task }) => task)));
    const told = new Set(rounds.unplaced.map(({ task }) => task));
    expect(Object.keys(rounds.works).length).toBeGreaterThan(40);
    for (const tag of Object.keys(rounds.works))
      expect([placed.has(tag), told.has(tag)].filter(Boolean)).toHaveLength(1);
    for (const { says } of rounds.unplaced) expect(says.length).toBeGreaterThan(0);
  });

  it("says of what nobody may do whom it wants put together", () => {
    expect(rounds.unplaced.find(({ task }) => task === "BD-PN1")?.says.join()).toContain("electricity, fire");
  });

  it("leaves what an open job is at to that job", () => {
    const opened = openJob(
      services,
      { valve: "NQ-H10", reason: { kind: "due", says: "Due" }, reach: ["main-seat"], policy: "on-condition" },
      { id: "tam", name: "Tam Arkle" },
    );
    expect(opened.ok).toBe(true);
    expect(rounds.works["NQ-H10"]).toBeDefined();
    const later = askHouse(services);
    expect(rounds.not).not.toContainEqual({ tag: "NQ-H10", kind: "at-work" });
    expect(later.ok && later.value.not).toContainEqual({ tag: "NQ-H10", kind: "at-work" });
    expect(later.ok && later.value.works["NQ-H10"]).toBeUndefined();
  });

  it("is worked in by crews that may, on days they have, and costs no less than its bound", () => {
    for (const { crew, visits, from } of rounds.shifts) {
      const skills = rounds.crews.find(({ id }) => id === crew)!.skills;
      for (const { task } of visits)
        for (const need of rounds.works[task]!.needs) expect(skills, `${task} by ${crew}`).toContain(need);
      expect(new Date(Date.parse(from)).getDay() % 6).not.toBe(0);
    }
    expect(rounds.bound).toBeLessThanOrEqual(rounds.cost.total + 0.01);
    expect(rounds.weeks).toHaveLength(13);
    expect(new Date(rounds.weeks[0]!.from).getDay()).toBe(1);
  });

  it("counts what is due on a day as in time until that day ends", () => {
    for (const { due } of Object.values(rounds.works)) {
      const end = new Date(due);
      expect([end.getHours(), end.getMinutes()]).toEqual([23, 59]);
    }
  });

  it("never has two hydrants of the north quay out at a time that are not shut together", () => {
    const outs = rounds.shifts.flatMap(({ visits }) => {
      const tags = [...new Set(visits.map(({ task }) => task))].filter((tag) => tag.startsWith("NQ-H"));
      return tags.map((tag) => {
        const own = visits.filter(({ task }) => task === tag);
        return { tag, from: own[0]!.from, to: own.at(-1)!.to };
      });
    });
    expect(outs.length).toBeGreaterThan(2);
    for (const a of outs)
      for (const b of outs)
        if (a.tag < b.tag && !rounds.joint.some(({ tags }) => tags.includes(a.tag) && tags.includes(b.tag)))
          expect(a.to <= b.from || b.to <= a.from, `${a.tag} and ${b.tag}`).toBe(true);
  });

  it("has a sheet for each day: its stops, what to take along, whom to tell; and says where nothing is planned", () => {
    const { crew, from, visits } = rounds.shifts[0]!;
    const found = houseDay(services, ground, { crew, day: Date.parse(from) });
    if (!found.ok) throw new Error(JSON.stringify(found.error));
    const { sheet, ground: map } = found.value;
    expect(new Set(sheet.stops.map(({ tag }) => tag))).toEqual(new Set(visits.map(({ task }) => task)));
    expect(sheet.tools.length).toBeGreaterThan(0);
    expect(sheet.gear.length).toBeGreaterThan(0);
    expect(map?.features.length).toBeGreaterThan(0);
    const sunday = houseDay(services, ground, { crew, day: new Date(2026, 11, 6, 12).getTime() });
    expect(!sunday.ok && sunday.error[0]!.message).toContain("Nothing is planned");
  });

  it("says what is missing where there are no crews, or none is on shift", () => {
    const before = house();
    const { crews, shifts, ...rest } = before;
    services.things.save("house", "house", { ...rest, shifts: shifts! });
    expect(askHouse(services)).toEqual({ ok: false, error: { kind: "no-crews" } });
    services.things.save("house", "house", { ...rest, crews: crews! });
    expect(askHouse(services)).toMatchObject({
      ok: false,
      error: { kind: "nobody-on-shift" },
    });
    services.things.save("house", "house", before);
  });
});

describe("a plan that is kept", () => {
  const now = () => roundsNow({ asked: ground.asked, bound: ground.bound }, keptOf(services, ground.asked));
  const move = (asked: WorkMove) => {
    const done = moveWork(services, ground, asked, "Mara Sund");
    if (!done.ok) throw new Error(JSON.stringify(done.error));
    return done.value.edit!;
  };
  const slotOf = ({ shifts }: HouseRounds, tag: string) => {
    const shift = shifts.find(({ visits }) => visits.some(({ task }) => task === tag));
    return shift && { crew: shift.crew, from: shift.from };
  };
  /** A piece of work of the first week, and another shift of its crew that has room for it. */
  const some = () => {
    const week = rounds.weeks.findIndex(({ crews }) => crews.some(({ planned_h }) => planned_h > 0));
    const end = rounds.weeks[week + 1]!.from;
    for (const { crew, from, visits } of rounds.shifts)
      for (const { task } of visits)
        for (const shift of ground.asked.question.crews.find(({ id }) => id === crew)!.shifts) {
          if (shift.from === from || Date.parse(shift.from) >= end) continue;
          const other = { crew, from: shift.from };
          const done = moveWork(services, ground, { task, to: other }, "Mara Sund");
          if (!done.ok) continue;
          undoEdit(services, done.value.edit!, "Mara Sund");
          return { tag: task, week: rounds.weeks[week]!.id, was: { crew, from }, other };
        }
    throw new Error("no other shift has room for anything");
  };

  it("is what was proposed, but for what was moved; and that is undone", () => {
    expect(rounds.kept).toBe(false);
    const { tag, was, other, week } = some();
    const edit = move({ task: tag, to: other });
    const moved = now();
    expect(moved.kept).toBe(true);
    expect(slotOf(moved, tag)).toEqual(other);
    expect(moved.weeks.find(({ id }) => id === week)!.fixed).toEqual([tag]);
    for (const each of Object.keys(rounds.works))
      if (each !== tag) expect(slotOf(moved, each)).toEqual(slotOf(rounds, each));
    expect(undoEdit(services, edit, "Mara Sund").ok).toBe(true);
    expect(keptOf(services, ground.asked)).toEqual([]);
    expect(was).toEqual(slotOf(rounds, tag));
  });

  it("does not take what its shift may not have, and says why", () => {
    const before = keptOf(services, ground.asked);
    const gas = Object.values(rounds.works).find(
      ({ needs }) => needs.includes("electricity") && !needs.includes("fire"),
    )!;
    const wrong = ground.asked.question.crews.find(({ id }) => id === "Isla and Tam")!.shifts[3]!;
    const done = moveWork(
      services,
      ground,
      { task: gas.tag, to: { crew: "Isla and Tam", from: wrong.from } },
      "Mara Sund",
    );
    expect(done).toMatchObject({ ok: false, error: [{ path: "/to" }] });
    expect(!done.ok && done.error[0]!.message).toContain("Nobody of this crew may: ");
    const never = moveWork(
      services,
      ground,
      { task: gas.tag, to: { crew: "Isla and Tam", from: "2026-12-06T08:00:00Z" } },
      "Mara Sund",
    );
    expect(never).toMatchObject({ ok: false, error: [{ path: "/to/from" }] });
    expect(moveWork(services, ground, { task: "XX-1", out: true }, "Mara Sund").ok).toBe(false);
    expect(readMove({ task: gas.tag, loose: true })).toEqual({
      ok: true,
      value: { task: gas.tag, loose: true },
    });
    for (const none of [{}, { out: true, loose: true } as const])
      expect(readMove({ task: gas.tag, ...none })).toMatchObject({ ok: false, error: [{ path: "" }] });
    expect(keptOf(services, ground.asked)).toEqual(before);
  });

  it("is taken out, told as not in the plan, and put in again", () => {
    const { tag, was } = some();
    const edits = [move({ task: tag, out: true })];
    expect(slotOf(now(), tag)).toBeUndefined();
    expect(
      now()
        .unplaced.find(({ task }) => task === tag)!
        .says.join(),
    ).toContain("was taken out");
    edits.push(move({ task: tag, to: was }));
    expect(slotOf(now(), tag)).toEqual(was);
    for (const edit of edits.reverse()) expect(undoEdit(services, edit, "Mara Sund").ok).toBe(true);
  });

  it("once published stays to the minute when all is planned again; what moved since is told", () => {
    const { tag, week, other } = some();
    expect(publishWeek(services, ground, week, "Mara Sund").ok).toBe(true);
    const published = now().weeks.find(({ id }) => id === week)!.published!;
    expect(published).toMatchObject({ by: "Mara Sund", since: [] });
    expect(published.changed.length).toBeGreaterThan(0);
    for (const each of published.changed) expect(each.was).toBeUndefined();
    const told = now();

    const again = plannedAgain(services, smallSolver);
    if (!again.ok) throw new Error(again.error.kind);
    expect(keepAgain(services, again.value, "Mara Sund").ok).toBe(true);
    const starts = ({ shifts }: HouseRounds) =>
      new Map(
        shifts.flatMap(({ crew, visits }) =>
          visits.flatMap(({ task, stretch, from }) =>
            stretch === 1 ? [[task, { crew, at: Date.parse(from) }] as const] : [],
          ),
        ),
      );
    // What a job was opened for above rings no more.
    const kept = published.changed.filter(({ task }) => task !== "NQ-H10");
    expect(kept.length).toBeGreaterThan(3);
    for (const { task } of kept) {
      const [was, is] = [starts(told).get(task)!, starts(now()).get(task)!];
      expect(is.crew, task).toBe(was.crew);
      expect(Math.abs(is.at - was.at), task).toBeLessThan(1000);
    }
    for (const { says } of again.value.moved) expect(says.length).toBeGreaterThan(0);

    move({ task: tag, to: other });
    const since = now().weeks.find(({ id }) => id === week)!.published!.since;
    expect(since).toContainEqual(
      expect.objectContaining({ task: tag, is: expect.objectContaining({ crew: other.crew }) }),
    );
    expect(publishWeek(services, ground, week, "Mara Sund").ok).toBe(true);
    const anew = now().weeks.find(({ id }) => id === week)!.published!;
    expect(anew.since).toEqual([]);
    expect(anew.changed.map(({ task }) => task)).toContain(tag);
  });

  it("does not wait for notice of what people were told of already", () => {
    const told = services.things
      .all("rounds")
      .flatMap(({ published }) => published?.shifts.flatMap(({ visits }) => visits) ?? [])
      .map(({ task }) => task);
    const places = new Map(services.things.all("place").map((place) => [place.name, place]));
    const tag = told.find((each) => placeOf(rounds.works[each]!.place, places) !== undefined)!;
    const place = placeOf(rounds.works[tag]!.place, places)!;
    const other = Object.values(rounds.works).find(
      (work) =>
        placeOf(work.place, places) === place &&
        slotOf(now(), work.tag) !== undefined &&
        !told.includes(work.tag),
    );
    services.things.save("place", place.name, { ...place, notice_days: 9 });
    const later = askHouse(services);
    if (!later.ok) throw new Error(later.error.kind);
    const opens = (of: string) =>
      Date.parse(later.value.question.tasks.find(({ id }) => id === of)!.windows![0]!.from);
    expect(opens(tag)).toBe(NOW);
    if (other !== undefined) expect(opens(other.tag)).toBe(NOW + 9 * 86_400_000);
    services.things.save("place", place.name, place);
  });

  it("goes out as a calendar: each work once under an id that stays, of a crew, a person, a place; and as CSV", async () => {
    const calendar = (ask: RoundsCalendarAsk = {}) =>
      roundsCalendar(services, ask, "http://127.0.0.1:4180")
        .toString()
        .replaceAll(/\r\n[ \t]/g, "");
    const ids = (text: string) => text.match(/^UID:.*$/gm) ?? [];
    const { tag, week, was, other } = some();
    const startOf = (text: string) =>
      text
        .split("BEGIN:VEVENT")
        .find((each) => each.includes(`rounds-${tag}@`))!
        .match(/DTSTART:(.*)/)![1];
    const before = calendar();
    expect(ids(before).length).toBeGreaterThan(3);
    expect(before.match(/BEGIN:VALARM/g)?.length).toBe(ids(before).length);
    const [isla, jory] = [calendar({ person: "Isla Venn" }), calendar({ crew: "Jory, Bryn and Mara" })];
    expect(ids(isla)).toEqual(ids(calendar({ person: "isla" })));
    expect(new Set([...ids(isla), ...ids(jory)]).size).toBe(ids(before).length);
    expect(ids(calendar({ person: "nobody" }))).toEqual([]);
    for (const where of calendar({ place: "Lido" }).match(/^LOCATION:.*$/gm) ?? [])
      expect(where).toMatch(/^LOCATION:Lido/);

    move({ task: tag, to: slotOf(now(), tag)!.from === other.from ? was : other });
    // Nobody was told yet.
    expect(startOf(calendar())).toBe(startOf(before));
    expect(publishWeek(services, ground, week, "Mara Sund").ok).toBe(true);
    const after = calendar();
    expect(ids(after).sort()).toEqual(ids(before).sort());
    expect(startOf(after)).not.toBe(startOf(before));

    let csv = "";
    for await (const piece of roundsCsv(services, week)) csv += piece;
    const visits = services.things.one("rounds", week)!.shifts.flatMap((shift) => shift.visits);
    expect(csv.trim().split("\r\n")).toHaveLength(1 + visits.length);
    expect(csv).toContain(`${was.crew.includes(",") ? `"${was.crew}"` : was.crew},`);
  });

  it("loses who falls ill, and says of what falls out why", () => {
    const person = services.library.people().find(({ id }) => id === "tam")!;
    services.library.savePerson({ ...person, away: { "2026-12-01": "2027-03-01" } });
    const ill = askHouse(services);
    if (!ill.ok) throw new Error(ill.error.kind);
    const { unplaced } = roundsNow({ asked: ill.value, bound: 0 }, keptOf(services, ill.value));
    expect(unplaced.flatMap(({ says }) => says).join()).toContain(
      "It was planned with Isla and Tam. It needs 2 people, this crew has 1.",
    );

    // People are told of what stands, not of what fell out of it.
    const fell = new Set(unplaced.map(({ task }) => task));
    const { id } = ill.value.weeks[0]!;
    const kept = services.things.one("rounds", id)!.shifts.flatMap(({ visits }) => visits);
    expect(kept.some(({ task }) => fell.has(task))).toBe(true);
    expect(publishWeek(services, { asked: ill.value, bound: 0 }, id, "Mara Sund").ok).toBe(true);
    const told = services.things.one("rounds", id)!.published!.shifts.flatMap(({ visits }) => visits);
    expect(told.length).toBeGreaterThan(0);
    for (const { task } of told) expect(fell.has(task), task).toBe(false);
  });
});
