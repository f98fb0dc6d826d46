import { type Static, Type } from "@sinclair/typebox";
import { INSTRUMENT_KINDS } from "./instrument";
import { Words } from "./shared";

/** The newest version of the line protocol. */
export const LINE_VERSION = 1;
/** Characters of a line, at most: what is longer is no line of an instrument. */
export const MOST_OF_A_LINE = 2000;

// What a later version adds is passed over: a gateway may be newer than the program that listens.
const open = { additionalProperties: true } as const;
const Unit = Type.String({
  minLength: 1,
  maxLength: 20,
  description: "As people write it: bar g, °C, N·m, mA.",
});
const What = Type.String({
  minLength: 1,
  maxLength: 40,
  description: "The kind of measure: gauge pressure.",
});

// Lines are checked in the browser, where no checker is compiled: plain literals, no words of our own.
const Kind = Type.Union(INSTRUMENT_KINDS.map((each) => Type.Literal(each)));

const Hello = Type.Object(
  {
    say: Type.Literal("hello"),
    v: Type.Integer({ minimum: 1, description: "Version of the line protocol: 1." }),
    kind: Kind,
    serial: Words,
    name: Words,
    reads: Type.Array(
      Type.Object(
        {
          what: What,
          unit: Unit,
          low: Type.Number({ description: "Of its range, in its unit." }),
          high: Type.Number({ description: "Of its range, in its unit." }),
          step: Type.Optional(
            Type.Number({ exclusiveMinimum: 0, description: "Smallest figure it can show." }),
          ),
        },
        open,
      ),
      { minItems: 1, maxItems: 10 },
    ),
    every_s: Type.Number({
      exclusiveMinimum: 0,
      maximum: 3600,
      description: "How often it says a reading, s. Silent for three times as long it counts as stale.",
    }),
  },
  { ...open, description: "Who it is and what it reads: its first line, and its answer when it is asked." },
);

const Reading = Type.Object(
  {
    say: Type.Literal("reading"),
    n: Type.Integer({
      minimum: 0,
      description: "Counts up by one with each reading: one that does not is a line said twice.",
    }),
    what: What,
    value: Type.Union([Type.Number(), Type.Null()], {
      description: "In `unit`; null where it shows no figure: over its range, or open.",
    }),
    unit: Unit,
    peak: Type.Optional(
      Type.Boolean({ description: "The highest since the last peak: a wrench that clicked." }),
    ),
  },
  { ...open, description: "What it shows now." },
);

const Battery = Type.Object(
  { say: Type.Literal("battery"), percent: Type.Number({ minimum: 0, maximum: 100 }) },
  open,
);

const Gone = Type.Object(
  { say: Type.Literal("gone"), why: Type.Optional(Words) },
  { ...open, description: "It goes: switched off, or its gateway lost it." },
);

/** One line of the protocol, instrument to Loft Bell. */
export const InstrumentLineSchema = Type.Union([Hello, Reading, Battery, Gone], {
  $id: "loftbell.instrument-line.json",
  title: "Instrument line",
  description:
    "One line that an instrument or its gateway says: JSON, ended by a line feed, at most 2,000 characters.",
});
export type InstrumentLine = Static<typeof InstrumentLineSchema>;
/** The schema of a line by what it says. */
export const LINES_BY_WORD: Readonly<
  Record<InstrumentLine["say"], typeof Hello | typeof Reading | typeof Battery | typeof Gone>
> = {
  hello: Hello,
  reading: Reading,
  battery: Battery,
  gone: Gone,
};

/** What Loft Bell says when it is connected: who are you? */
export const ASK_HELLO = JSON.stringify({ ask: "hello", v: LINE_VERSION });
