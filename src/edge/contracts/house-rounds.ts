import { Type } from "@sinclair/typebox";
import type { DaySheet, HouseRounds, Moved, MyDay, WhatIfAnswer } from "@/core/due-work";
import type { Ground } from "@/core/formats";
import { answerOf, contract } from "../contract";
import { Edited, refuses } from "./owned";

const closed = { additionalProperties: false };
const Key = Type.String({ minLength: 1, maxLength: 100 });
const Instant = Type.String({ format: "instant" });

export const HOUSE_ROUNDS = contract({
  id: "houseRounds",
  method: "GET",
  path: "/api/v1/rounds/house",
  chapter: "Engines",
  role: "reader",
  says: "The next quarter of this house, from what rings, its compiled minutes, its crews, their shifts and leave: as it is kept, or as it is proposed where nobody kept a plan yet.",
  answer: answerOf<HouseRounds>(
    "{at, kept, weeks: [{id, from, crews, fixed, published}], crews, shifts, works: by tag, unplaced: [{task, says}], not: [{tag, kind}], question, cost, bound}.",
  ),
  refuses: { 422: "The house has no crews, or none of them is on shift." },
});

export const MOVE_WORK = contract({
  id: "moveWork",
  method: "POST",
  path: "/api/v1/rounds/house/move",
  chapter: "Engines",
  role: "planner",
  says: "Moves one piece of work to another shift, takes it out of the plan, or lets planning again move it. A shift that may not have it refuses it: what is out together, who lacks a competence, no room.",
  asker: "crew-if-any",
  body: Type.Object(
    {
      task: Key,
      to: Type.Optional(
        Type.Object({ crew: Key, from: Instant }, { ...closed, description: "Any moment of the shift." }),
      ),
      out: Type.Optional(Type.Literal(true, { description: "Out of the plan." })),
      loose: Type.Optional(Type.Literal(true, { description: "Planning again may move it." })),
    },
    { ...closed, description: "One of `to`, `out` and `loose`." },
  ),
  answer: Edited,
  refuses,
});

export const PUBLISH_WEEK = contract({
  id: "publishWeek",
  method: "POST",
  path: "/api/v1/rounds/house/publish",
  chapter: "Engines",
  role: "planner",
  says: "Tells people of a week: planning again leaves it as it is, and whoever looks sees what changed.",
  asker: "crew-if-any",
  body: Type.Object(
    { week: Type.String({ pattern: "^\\d{4}-\\d{2}-\\d{2}$", description: "Its Monday." }) },
    closed,
  ),
  answer: Edited,
  refuses,
});

export const PLAN_AGAIN = contract({
  id: "planAgain",
  method: "POST",
  path: "/api/v1/rounds/house/again",
  chapter: "Engines",
  role: "planner",
  says: "Plans the quarter again: what is published stays at its time, what was put by hand with its crew on its day. Says what moved and why.",
  asker: "crew-if-any",
  ownTurn: true,
  answer: answerOf<{ readonly edit?: string; readonly changes: number; readonly moved: readonly Moved[] }>(
    "{edit, changes, moved: [{task, was: {crew, from}, is: {crew, from}, says}]}.",
  ),
  refuses,
});

export const ROUNDS_CALENDAR = contract({
  id: "roundsCalendar",
  method: "GET",
  path: "/api/v1/rounds/published.ics",
  chapter: "Taking out",
  role: "reader",
  says: "What people were told of the rounds, as a calendar to subscribe to (RFC 5545), with an alarm half an hour before: of a crew, of one person, of a place, or all. An entry stays the same for a valve: published at another time it moves.",
  query: Type.Object(
    {
      crew: Type.Optional(Key),
      person: Type.Optional({ ...Key, description: "By id or name." }),
      place: Type.Optional(Type.String({ minLength: 1, maxLength: 400 })),
      key: Type.Optional(
        Type.String({
          maxLength: 1000,
          description: "Where one signs in, what a calendar shows instead: the Loft has yours.",
        }),
      ),
    },
    closed,
  ),
  answer: Type.String(),
  gives: "text/calendar",
});

export const ROUNDS_CSV = contract({
  id: "roundsCsv",
  method: "GET",
  path: "/api/v1/rounds/week.csv",
  chapter: "Taking out",
  role: "reader",
  says: "A week of the plan as it is kept: a row for each stretch of work, crew by crew, in their order.",
  query: Type.Object(
    { week: Type.String({ pattern: "^\\d{4}-\\d{2}-\\d{2}$", description: "Its Monday." }) },
    closed,
  ),
  answer: Type.String(),
  gives: "text/csv",
});

export const HOUSE_DAY = contract({
  id: "houseDay",
  method: "GET",
  path: "/api/v1/rounds/house/day",
  chapter: "Engines",
  role: "reader",
  says: "One crew's day as it stands: stops in their order with their waits, the ways between them, all to take along, whom to tell and from when to when what is out.",
  query: Type.Object({ crew: Key, day: { ...Instant, description: "Any moment of it." } }, closed),
  answer: answerOf<{ readonly sheet: DaySheet; readonly ground?: Ground }>(
    "{sheet: {crew, people, from, to, back, km, stops, legs, kits, missing, supplies, tools, gear, locks, tell}, ground}.",
  ),
  refuses,
});

export const DAY_GEOJSON = contract({
  id: "dayGeoJson",
  method: "GET",
  path: "/api/v1/rounds/house/day.geojson",
  chapter: "Taking out",
  role: "reader",
  says: "One crew's day for any map (RFC 7946): where it begins, each piece of work with its order and hours, and the way. What has no position is left out.",
  query: Type.Object({ crew: Key, day: { ...Instant, description: "Any moment of it." } }, closed),
  answer: Type.String(),
  gives: "application/geo+json",
  refuses,
});

export const MY_DAY = contract({
  id: "myDay",
  method: "GET",
  path: "/api/v1/rounds/house/mine",
  chapter: "Engines",
  role: "reader",
  says: "The day of one person's crew as it stands: today, or the next on which something is planned for it; what is begun of it, and what is another than people were told.",
  query: Type.Object({ person: { ...Key, description: "By id or name." } }, closed),
  answer: answerOf<MyDay>(
    "{sheet: as of a crew's day, begun: [{task, name, place, from, to, open}], published, changed: [{task, was, is}]}.",
  ),
  refuses,
});

export const REPORT_WORK = contract({
  id: "reportWork",
  method: "POST",
  path: "/api/v1/rounds/house/report",
  chapter: "Engines",
  role: "technician",
  says: "What a crew says of its day while it is out: a piece of work runs over by some minutes, or there is no way in before a time. What is left of its day is planned again at once; says what moved and why.",
  asker: "crew-if-any",
  body: Type.Object(
    {
      task: Key,
      kind: Type.Union([Type.Literal("runs-over"), Type.Literal("no-way-in")]),
      min: Type.Optional(
        Type.Integer({ minimum: 5, maximum: 600, description: "Longer than planned: of what runs over." }),
      ),
      until: Type.Optional({ ...Instant, description: "Nobody can get in before." }),
      why: Type.Optional(Type.String({ minLength: 1, maxLength: 200 })),
    },
    closed,
  ),
  answer: answerOf<{ readonly edit?: string; readonly changes: number; readonly moved: readonly Moved[] }>(
    "{edit, changes, moved: [{task, was: {crew, from}, is: {crew, from}, says}]}.",
  ),
  refuses,
});

const Day = Type.String({ pattern: "^\\d{4}-\\d{2}-\\d{2}$" });

export const WHAT_IF = contract({
  id: "whatIf",
  method: "POST",
  path: "/api/v1/rounds/house/what-if",
  chapter: "Engines",
  role: "reader",
  says: "What the plan would be if somebody were ill, a kit came later, or a crew were called somewhere at once: what falls out goes where it costs least. Nothing is kept.",
  body: Type.Object(
    {
      kind: Type.Union([Type.Literal("ill"), Type.Literal("late"), Type.Literal("called")]),
      person: Type.Optional({ ...Key, description: "Who is ill, by id or name." }),
      what: Type.Optional({
        ...Type.String({ minLength: 1, maxLength: 400 }),
        description: "The kit, part or supply that comes later, as the day's list names it.",
      }),
      place: Type.Optional({
        ...Type.String({ minLength: 1, maxLength: 400 }),
        description: "Where a crew is called to.",
      }),
      day: Type.Optional({ ...Day, description: "The first day away; the day on which it comes." }),
      days: Type.Optional(Type.Integer({ minimum: 1, maximum: 90, description: "Away. 1 when absent." })),
      min: Type.Optional(
        Type.Integer({
          minimum: 15,
          maximum: 720,
          description: "How long a crew is there, with the way. 180 when absent.",
        }),
      ),
    },
    closed,
  ),
  answer: answerOf<WhatIfAnswer>(
    "{crew, moved: [{task, was, is, says}], before: {km, overtime_min, late_days, left}, after}.",
  ),
  refuses,
});
