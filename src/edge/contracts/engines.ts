import { Type } from "@sinclair/typebox";
import type { RebuildMove, StripPlan } from "@/core/build";
import type { Calculator } from "@/core/calculators";
import { COVER_QUESTION, ISOLATE_QUESTION, JOB_QUESTION, PLAN_QUESTION } from "@/core/formats";
import type { Alternative, IsolationPlan } from "@/core/isolation";
import type { CoverAnswer } from "@/core/store";
import { answerOf, contract } from "../contract";

const closed = { additionalProperties: false };

export const ISOLATE = contract({
  id: "isolate",
  method: "POST",
  path: "/api/v1/line/isolate",
  chapter: "Engines",
  role: "reader",
  says: "What to shut so that the named places can be opened, and what follows. Worked out off the serving thread; a plan that takes longer than ten seconds is given up.",
  takes: ["application/json"],
  body: Type.Uint8Array(),
  describes: ISOLATE_QUESTION,
  answer: answerOf<IsolationPlan & { readonly alternatives: readonly Alternative[]; readonly bound: string }>(
    "{closures, turned, bleeds, minutes, exact, shutting, restoring, section, lost, pumps, pumpedOut, prove, locked, stored, permits, alternatives, bound}; `bound` says how many consumers were tried for a way to keep them in service.",
  ),
  refuses: {
    422: "The line is not valid, or there is no plan: with openPath, makeGood or vessels.",
    503: "It took too long, or the workers are busy.",
  },
});

export const PLAN = contract({
  id: "planStrip",
  method: "POST",
  path: "/api/v1/build/plan",
  chapter: "Engines",
  role: "reader",
  says: "What comes off to reach parts, in which order, and how it goes back. Worked out off the serving thread.",
  takes: ["application/json"],
  body: Type.Uint8Array(),
  describes: PLAN_QUESTION,
  answer: answerOf<
    StripPlan & {
      readonly rebuild: readonly RebuildMove[];
      readonly spoiled: readonly { readonly part: string; readonly why: string }[];
    }
  >("{moves, minutes, toolChanges, bodyTurns, exact, offBy, rebuild, spoiled}"),
  refuses: { 422: "The sheet is not valid, or the part cannot be reached." },
});

export const JOB_PLAN = contract({
  id: "planJob",
  method: "POST",
  path: "/api/v1/job/plan",
  chapter: "Engines",
  role: "reader",
  says: "The cards of a job, compiled from whole documents; nothing is stored. Each card has the acts it asks for and what has to hold for it, as facts, and its words.",
  takes: ["application/json"],
  body: Type.Uint8Array(),
  describes: JOB_QUESTION,
  answer: answerOf<object>(
    "{minutes, steps: [{id, phase, kind, minutes, state, acts, needs, words: {title, why, cues, ask, afterwards, reason, cautions, barred}}]}",
  ),
  refuses: { 422: "A document is not valid, or the part cannot be reached." },
});

export const JOB_PROVE = contract({
  id: "proveJob",
  method: "POST",
  path: "/api/v1/job/prove",
  chapter: "Engines",
  role: "reader",
  says: "The same job, proven on the physical model: every act of every card is done in turn, once as all believe things to be and once for each hidden truth (a closure passes, pressure is caught, the gauge reads low).",
  takes: ["application/json"],
  body: Type.Uint8Array(),
  describes: JOB_QUESTION,
  answer: answerOf<object>(
    "{acts, truths, harms: [{harm, step, card, act, truth, words: {happens, cure}}], differences: [{difference, words}]}; both lists are empty when nobody is hurt and all stands as service wants it.",
  ),
  refuses: { 422: "A document is not valid, or the part cannot be reached." },
});

export const COVER = contract({
  id: "coverNeeds",
  method: "POST",
  path: "/api/v1/store/cover",
  chapter: "Engines",
  role: "reader",
  says: "The cheapest purchase of kits and single parts that has all that is needed, in any number; of equally cheap ones the one with fewest pieces. What is not in stock cannot be bought, what is can be in any number. Worked out off the serving thread by an integer program; `exact` says that it is proven to be the cheapest.",
  takes: ["application/json"],
  body: Type.Uint8Array(),
  describes: COVER_QUESTION,
  answer: answerOf<CoverAnswer>(
    "{possible, cost_cents, purchase: [{kind, id, qty}], exact}; where something cannot be bought `possible` is false, `cost_cents` null, and `missing` says what. Asked for, `second_best` is {cost_cents, purchase, exact}, or null when there is no other way.",
  ),
  refuses: {
    422: "The question is not valid, or a kit or part stands in it twice.",
    503: "It took too long, or the workers are busy.",
  },
});

export const CALCULATORS_LIST = contract({
  id: "calculators",
  method: "GET",
  path: "/api/v1/calculators",
  chapter: "Engines",
  role: "reader",
  says: "All calculators with their inputs, dimensions, ranges and units.",
  answer: answerOf<{ readonly calculators: readonly Omit<Calculator, "compute">[] }>("{calculators: [...]}"),
});

export const CALCULATE = contract({
  id: "calculate",
  method: "POST",
  path: "/api/v1/calculators/{id}",
  chapter: "Engines",
  role: "reader",
  says: "One calculation.",
  params: Type.Object({ id: Type.String({ maxLength: 60 }) }, closed),
  body: Type.Object(
    {
      inputs: Type.Record(
        Type.String(),
        Type.Object(
          { value: Type.Union([Type.Number(), Type.String()]), unit: Type.Optional(Type.String()) },
          closed,
        ),
      ),
      system: Type.Optional(Type.Union([Type.Literal("metric"), Type.Literal("us")])),
    },
    closed,
  ),
  answer: answerOf<object>(
    "{outputs: {name: {value, unit, si}}, tables: {name: [row]}, verdict, reasons, cautions, sources}",
  ),
  refuses: {
    404: "There is no such calculator.",
    422: "The path of each input that is unknown, missing, of another dimension or out of range.",
  },
});

export const GASKET_TEMPLATE = contract({
  id: "gasketTemplate",
  method: "GET",
  path: "/bench/{id}/template/{kind}",
  chapter: "Engines",
  role: "reader",
  says: "The gasket cutter's template at full size; the inputs as typed: ?bore=102+mm&circle=180+mm.",
  params: Type.Object({ id: Type.String({ maxLength: 60 }), kind: Type.String({ maxLength: 10 }) }, closed),
  query: Type.Object({}, { additionalProperties: Type.String({ maxLength: 80 }) }),
  answer: Type.String(),
  gives: "application/pdf",
  refuses: {
    404: "There is no such template.",
    422: "The path of each input that is unknown or out of range.",
  },
});
