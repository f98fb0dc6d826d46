import { type Static, Type } from "@sinclair/typebox";
import { OneCompetence } from "./person";
import { closed, Id, oneKindOf, oneOf, titled, UNITS_BY_NAME, Words } from "./shared";
import { CHECK_DIMENSIONS } from "./sheet-check";
import { EndSchema } from "./trouble-end";

/** Stands for whatever is not on the list of causes. No cause can have this id. */
export const ELSE = "else:";
/** Stands for handing over what nobody could name. No end can have this id. */
export const UNLISTED = "unlisted:";
/** Nobody could tell: the look says nothing, and is not asked again. */
export const UNKNOWN = "unknown";
/** Of an end that was tried: its answer, "cured" or "not", stands under this name. */
export const triedAs = (end: string): string => `try:${end}`;

/** Where a cause sits, seen from the valve. */
const CAUSE_PLACES = [
  "upstream",
  "supply",
  "power",
  "control",
  "this-part",
  "downstream",
  "operator",
  "system",
] as const;

/** What is known before anybody looks, and makes a cause likelier or less likely. */
const Circumstance = oneKindOf(
  Type.Object(
    { kind: Type.Literal("older-than"), years: Type.Number({ exclusiveMinimum: 0, maximum: 200 }) },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("not-serviced-for"),
      months: Type.Number({ exclusiveMinimum: 0, maximum: 1200 }),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("worked-on-within"),
      days: Type.Number({ exclusiveMinimum: 0, maximum: 3650 }),
      part: Type.Optional(titled("On this part", Id)),
    },
    closed,
  ),
  Type.Object({ kind: Type.Literal("season"), is: oneOf("spring", "summer", "autumn", "winter") }, closed),
  Type.Object(
    { kind: Type.Literal("frost") },
    { ...closed, description: "There was frost since it last worked." },
  ),
  Type.Object({ kind: Type.Literal("water"), is: oneOf("hard", "dirty") }, closed),
  Type.Object({ kind: Type.Literal("duty"), is: oneOf("heavy", "seldom") }, closed),
  Type.Object({ kind: Type.Literal("trend"), what: Id, way: oneOf("rises", "falls") }, closed),
  Type.Object(
    { kind: Type.Literal("neighbour-passes") },
    { ...closed, description: "A closure next to it is known to pass." },
  ),
  Type.Object(
    { kind: Type.Literal("held-by-a-job") },
    { ...closed, description: "Another job holds something shut or open that feeds it." },
  ),
);
export type Circumstance = Static<typeof Circumstance>;

/** What is put into the world as a truth, for the looks that are read there. */
const PutInTheWorld = oneKindOf(
  Type.Object(
    { kind: Type.Literal("stop-shut"), which: oneOf("nearest", "further") },
    { ...closed, description: "The stop next to it on the side that feeds it, or one further up." },
  ),
  Type.Object(
    { kind: Type.Literal("supply-dead") },
    { ...closed, description: "Nothing comes from the source." },
  ),
  Type.Object(
    { kind: Type.Literal("no-power") },
    { ...closed, description: "Its feed is off, further back." },
  ),
);
export type PutInTheWorld = Static<typeof PutInTheWorld>;

const CAUSE_WEIGHT = { exclusiveMinimum: 0, maximum: 1000 } as const;

const Cause = Type.Object(
  {
    id: Id,
    name: Words,
    where: oneOf(...CAUSE_PLACES),
    part: Type.Optional(
      Type.String({ title: "Part", description: "The part of the sheet that is at fault." }),
    ),
    weights: Type.Record(Id, Type.Number(CAUSE_WEIGHT), {
      title: "How often",
      description: "By complaint: of a hundred such complaints about so many come from this.",
    }),
    held: titled(
      "Held like",
      Type.Number({
        exclusiveMinimum: 0,
        maximum: 10_000,
        description: "How strongly: as many jobs as it would take to outweigh it.",
      }),
    ),
    likelier: Type.Optional(
      Type.Array(
        Type.Object(
          {
            when: Circumstance,
            times: Type.Number({
              exclusiveMinimum: 0,
              maximum: 100,
              description: "So many times as likely then; under 1 where it is less likely.",
            }),
          },
          closed,
        ),
        { title: "Likelier when", minItems: 1, maxItems: 20 },
      ),
    ),
    truth: Type.Optional({ ...PutInTheWorld, title: "In the world" }),
    end: titled("Ends in", Id),
    shownBy: Type.Optional(
      Type.Array(Type.Object({ check: Id, answers: Type.Array(Id, { minItems: 1 }) }, closed), {
        title: "Shown by",
        description:
          "What a job finds when this was the cause: options of a check, go and no-go, or below, within and above.",
        minItems: 1,
        maxItems: 10,
      }),
    ),
  },
  closed,
);
export type Cause = Static<typeof Cause>;

/** What has to be so before one can look. */
export const LOOK_NEEDS = ["live", "power-on", "power-off", "dead", "cover-off"] as const;
export type LookNeed = (typeof LOOK_NEEDS)[number];

/** What is drawn beside a look. */
const LOOK_DRAWINGS = [
  "stop",
  "gauge",
  "meter",
  "power",
  "outlet",
  "inside",
  "ear",
  "warmth",
  "leak",
  "ask",
  "neighbour",
  "test",
] as const;
export type LookDrawing = (typeof LOOK_DRAWINGS)[number];

const WORLD_READS = [
  "pressure-here",
  "pressure-further-up",
  "fed-beside",
  "power-here",
  "stop-near",
] as const;

/** What is read in the world for a look: a pressure, or whether there is something. */
const ReadInTheWorld = Type.Object(
  {
    reads: Type.Unsafe<(typeof WORLD_READS)[number]>({ type: "string", enum: [...WORLD_READS] }),
    yes: Type.Optional(
      titled("Answered where it is", { ...Id, description: "Of a choice: fed, live, open." }),
    ),
    no: Type.Optional(titled("Answered where it is not", Id)),
  },
  closed,
);
export type ReadInTheWorld = Static<typeof ReadInTheWorld>;

const Chances = Type.Record(Id, Type.Number({ minimum: 0, maximum: 1 }), {
  description: "By answer; all of them together are 1.",
});
export type Chances = Static<typeof Chances>;

const looked = {
  id: Id,
  ask: Words,
  do: Words,
  caller: Type.Optional(
    titled("Asked on the telephone", {
      ...Words,
      description: "The question in a caller's words, where somebody who is no technician can answer it.",
    }),
  ),
  minutes: Type.Number({ minimum: 0, maximum: 1000 }),
  tools: Type.Optional(Type.Array(Words)),
  may: Type.Optional(titled("Who may", OneCompetence)),
  hazard: Type.Optional(Type.Object({ can: Words, do: Words }, closed)),
  needs: Type.Optional(Type.Array(oneOf(...LOOK_NEEDS), { uniqueItems: true })),
  off: Type.Optional(
    Type.Array(Id, { title: "Once these are off", description: "Parts that hide it.", minItems: 1 }),
  ),
  complaints: Type.Optional(
    Type.Array(Id, { description: "Of these complaints only; of all when absent.", minItems: 1 }),
  ),
  check: Type.Optional(
    Type.String({
      title: "Is the check",
      description: "Of the sheet: what is found is carried into the job and not asked there again.",
    }),
  ),
  drawn: oneOf(...LOOK_DRAWINGS),
  usual: Type.Optional(
    titled("Usually answered", {
      ...Chances,
      description: "How it is answered where a cause says nothing of it.",
    }),
  ),
  tells: Type.Optional(
    Type.Array(Type.Object({ causes: Type.Array(Id, { minItems: 1 }), chances: Chances }, closed), {
      description: "How each cause answers it.",
    }),
  ),
  world: Type.Optional({
    ...ReadInTheWorld,
    title: "Read in the world",
    description: "How causes that have a truth answer it is read on the line.",
  }),
};

const Answer = {
  danger: Type.Optional(
    titled("Danger", { ...Id, description: "The end that is gone to at once, whatever the odds." }),
  ),
};

const Look = oneKindOf(
  Type.Object(
    {
      kind: Type.Literal("choice"),
      ...looked,
      answers: Type.Array(
        Type.Object(
          {
            id: Id,
            label: Words,
            option: Type.Optional(
              Type.String({
                title: "Is the answer",
                description: "Of the check: which of its options it is.",
              }),
            ),
            ...Answer,
          },
          closed,
        ),
        { minItems: 2, maxItems: 8 },
      ),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("measure"),
      ...looked,
      what: Words,
      dimension: oneOf(...CHECK_DIMENSIONS),
      unit: Words,
      low: Type.Optional(Type.Number()),
      high: Type.Optional(Type.Number()),
      says: Type.Object(
        { below: Words, within: Words, above: Words },
        {
          ...closed,
          description: "What a figure below, within and above its limits means, in a few words.",
        },
      ),
      danger: Type.Optional(
        Type.Partial(Type.Object({ below: Id, above: Id }, closed), {
          ...closed,
          description: "The end that is gone to at once.",
        }),
      ),
      sum: Type.Optional(
        Type.Object(
          {
            calculator: Id,
            input: titled("What is read goes in as", Id),
            output: titled("What is judged", Id),
            given: Type.Optional(Type.Record(Id, Words)),
            asks: Type.Optional(Type.Array(Id, { title: "Asks besides", maxItems: 6 })),
            limits: Type.Optional(
              Type.Object(
                { low: Id, high: Id },
                {
                  ...closed,
                  description: "Inputs of the sum that are the limits of this look.",
                },
              ),
            ),
          },
          {
            ...closed,
            title: "Corrected by",
            description: "A sum of the bench book: what is judged is its answer, not what was read.",
          },
        ),
      ),
    },
    closed,
  ),
);
export type Look = Static<typeof Look>;

export const TroubleSchema = Type.Object(
  {
    format: Type.Literal("loftbell.trouble"),
    version: Type.Literal(1),
    family: Id,
    revision: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
    title: Words,
    demonstration: Type.Boolean({
      description: "True: how often each cause is it was made up, and is no experience.",
    }),
    vouched: Type.Optional(
      Type.Object(
        { by: Words, source: Words },
        { ...closed, title: "Who vouches for it", description: "And from how many jobs it was counted." },
      ),
    ),
    complaints: Type.Array(
      Type.Object(
        {
          id: Id,
          says: Words,
          words: Type.Optional(
            Type.Array(Words, { description: "Other words customers have for it: it is found by them." }),
          ),
          symptom: Type.Optional(
            Type.String({
              title: "Reason on the sheet",
              description: "Which of the sheet's reasons it is nearest to.",
            }),
          ),
          danger: Type.Optional(
            titled("Danger", { ...Id, description: "The end that is gone to at once, before any look." }),
          ),
        },
        closed,
      ),
      { minItems: 1, maxItems: 40 },
    ),
    causes: Type.Array(Cause, { minItems: 2, maxItems: 60 }),
    looks: Type.Array(Look, { minItems: 1, maxItems: 80 }),
    ends: Type.Array(EndSchema, { minItems: 1, maxItems: 60 }),
    else_percent: titled(
      "Something else",
      Type.Number({
        minimum: 1,
        maximum: 50,
        description: "%. Of a hundred complaints so many come from nothing that stands here.",
      }),
    ),
  },
  {
    ...closed,
    $id: "loftbell.trouble.json",
    title: "Trouble",
    description: `What may be wrong with valves of one family: complaints, causes, looks, ends. ${UNITS_BY_NAME}`,
  },
);
export type Trouble = Static<typeof TroubleSchema>;
export type Complaint = Trouble["complaints"][number];
