import { Type } from "@sinclair/typebox";
import type { Bring } from "@/core/bring";
import {
  BRING_QUESTION,
  CaseSchema,
  TROUBLE_QUESTION,
  TroubleAnswersSchema,
  TroubleFactsSchema,
  TroubleSchema,
} from "@/core/formats";
import type { Advice } from "@/core/trouble";
import { answerOf, type Contract, contract } from "../contract";
import { Edited, nameless, refuses, Saved } from "./owned";

const closed = { additionalProperties: false };

export const TROUBLE_NEXT = contract({
  id: "troubleNext",
  method: "POST",
  path: "/api/v1/trouble/next",
  chapter: "Engines",
  role: "reader",
  says: "What may be wrong and how likely, what to look at next, or that it is time to act: from knowledge, facts and the answers so far. Nothing is stored; the order of the answers changes nothing.",
  takes: ["application/json"],
  body: Type.Uint8Array(),
  describes: TROUBLE_QUESTION,
  answer: answerOf<Advice>(
    "{danger, odds: [{cause, chance, before, found, of, raisedBy, answers}], pair, next: {kind: look | end, cost, leads | wouldChange}, actNow: {end, cost}, looks: [{look, minutes, cost, saves}], exact, bound_min}; costs are minutes, all told.",
  ),
  refuses: { 422: "The knowledge is not valid, with the place; or an answer is none of the look's." },
});

export const TROUBLE_BRING = contract({
  id: "troubleBring",
  method: "POST",
  path: "/api/v1/trouble/bring",
  chapter: "Engines",
  role: "reader",
  says: "What to bring before one goes there: kits, parts and tools that make the chance of finishing on the first visit greatest for what they cost and weigh, for each day on which one might leave. Nothing is stored.",
  takes: ["application/json"],
  body: Type.Uint8Array(),
  describes: BRING_QUESTION,
  answer: answerOf<Bring>(
    "{departures: [{days, chance, items: [{kind, id, name, pieces, place, from, days, price, kg, without, for}], tools: [{id, name, kg, without}], kg, worth_min, uncovered: [{ends, chance, lacks: [{name, later: {place, days}}]}], exact}], best, others, unknown, currency}; chances are 0 to 1, `without` is the chance with that one left behind.",
  ),
  refuses: {
    422: "The knowledge or the store is not valid, with the place; or an answer is none of the look's.",
  },
});

export const KEEP_CASE = contract({
  id: "keepCase",
  method: "POST",
  path: "/api/v1/trouble/cases",
  chapter: "Jobs",
  role: "technician",
  says: "Keeps how trouble with a valve ended. How likely each cause was is worked out here; sending it twice is harmless.",
  asker: "crew",
  body: Type.Object(
    {
      id: CaseSchema.properties.id,
      valve: CaseSchema.properties.valve,
      at: Type.Optional(CaseSchema.properties.at),
      complaint: CaseSchema.properties.complaint,
      says: CaseSchema.properties.says,
      from: CaseSchema.properties.from,
      with: CaseSchema.properties.with,
      answers: TroubleAnswersSchema,
      told: Type.Optional(Type.Pick(TroubleFactsSchema, ["water", "duty", "frost"], closed)),
      end: CaseSchema.properties.end,
      to: Type.Optional(CaseSchema.properties.ended),
      note: Type.Optional(CaseSchema.properties.ended),
    },
    closed,
  ),
  status: 201,
  answer: Saved,
  refuses,
});

export const CLOSE_CASE = contract({
  id: "closeCase",
  method: "POST",
  path: "/api/v1/trouble/cases/{id}/closed",
  chapter: "Jobs",
  role: "technician",
  says: "Writes down what came of a case that others had, or that was watched.",
  asker: "crew",
  params: Type.Object({ id: Type.String({ minLength: 1, maxLength: 100 }) }, closed),
  body: Type.Object({ says: CaseSchema.properties.ended }, closed),
  answer: Edited,
  refuses,
});

const OneFamily = Type.Object({ family: Type.String({ minLength: 1, maxLength: 100 }) }, closed);

export const SAVE_TROUBLE = contract({
  id: "saveTrouble",
  method: "PUT",
  path: "/api/v1/trouble/{family}",
  chapter: "Own data",
  role: "planner",
  says: "Keeps what may be wrong with a family as the next revision, in place of what ships. It is proven before.",
  asker: "crew-if-any",
  params: OneFamily,
  body: Type.Object(
    {
      known: Type.Integer({ minimum: 0, description: "The revision that was edited." }),
      row: nameless(TroubleSchema),
    },
    closed,
  ),
  answer: Type.Object({ ...Edited.properties, revision: Type.Integer() }, closed),
  refuses,
});

export const SHIP_TROUBLE = contract({
  id: "shipTrouble",
  method: "DELETE",
  path: "/api/v1/trouble/{family}",
  chapter: "Own data",
  role: "planner",
  says: "Lets go of what the house wrote of a family: what ships holds again.",
  asker: "crew-if-any",
  params: OneFamily,
  answer: Edited,
  refuses,
});

export const TROUBLE: readonly Contract[] = [
  TROUBLE_NEXT,
  TROUBLE_BRING,
  KEEP_CASE,
  CLOSE_CASE,
  SAVE_TROUBLE,
  SHIP_TROUBLE,
] as unknown as readonly Contract[];
