import { Type } from "@sinclair/typebox";
import type { HouseRounds, Moved } from "@/core/due-work";
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
  body: Type.Union([
    Type.Object({ task: Key, to: Type.Object({ crew: Key, from: Instant }, closed) }, closed),
    Type.Object({ task: Key, out: Type.Literal(true) }, closed),
    Type.Object({ task: Key, loose: Type.Literal(true) }, closed),
  ]),
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
