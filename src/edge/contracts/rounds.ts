import { Type } from "@sinclair/typebox";
import { ROUNDS_DAY_QUESTION, ROUNDS_PLAN_QUESTION } from "@/core/formats";
import type { RoundsDayAnswer, RoundsPlanAnswer } from "@/core/rounds";
import { answerOf, contract } from "../contract";

const refuses = {
  422: "The question is not valid: a name leads nowhere, a span ends before it begins, a way is not known, nobody is on shift.",
  503: "It took too long, or other plans wait before it.",
} as const;

export const ROUNDS_DAY = contract({
  id: "roundsDay",
  method: "POST",
  path: "/api/v1/rounds/day",
  chapter: "Engines",
  role: "reader",
  says: "Who does what when within some days: routes with time windows, waits that others fill, sections shut once for all who need them, nothing out together that must not be. The same seed and seconds give the same plan unless `stopped_early`. Nothing is stored.",
  takes: ["application/json"],
  body: Type.Uint8Array(),
  describes: ROUNDS_DAY_QUESTION,
  answer: answerOf<RoundsDayAnswer>(
    "{shifts: [{crew, from, to, visits: [{task, place, stretch, of, from, to, late_min}], back, drive_min, km, overtime_min}], unplaced: [{task, why: [{crew, from, kind, says}]}], otherwise: [{task, crew, from, adds}], cost, bound, steps, stopped_early}; costs are in minutes of a crew, by part, and no plan costs less than `bound`.",
  ),
  refuses,
});

export const ROUNDS_PLAN = contract({
  id: "roundsPlan",
  method: "POST",
  path: "/api/v1/rounds/plan",
  chapter: "Engines",
  role: "reader",
  says: "Who does what in which week of up to a year, and when in it: weeks by search and integer program with a bound, then the days of each week. The same seed and seconds give the same plan unless `stopped_early`. Nothing is stored.",
  takes: ["application/json"],
  body: Type.Uint8Array(),
  describes: ROUNDS_PLAN_QUESTION,
  answer: answerOf<RoundsPlanAnswer>(
    "{weeks: [{from, crews: [{crew, hours, planned_h}], tasks: [{task, crew}]}], shifts: as of a day, unplaced: [{task, week: {kind}, why, says}], cost, bound, narrowed, steps, stopped_early}; cost and bound are those of the weeks, in minutes of a crew.",
  ),
  refuses,
});
