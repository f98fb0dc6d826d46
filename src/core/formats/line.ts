import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, Minutes, oneKindOf, oneOf, titled, UNITS_BY_NAME, Words } from "./shared";

export const MEDIA = [
  "water",
  "steam",
  "condensate",
  "gas",
  "air",
  "ammonia",
  "co2",
  "oil",
  "electricity",
] as const;
export const Medium = oneOf(...MEDIA);
export type Medium = Static<typeof Medium>;

/** What runs in a pipe, where one medium comes in several conditions that have to be shut and opened in an order. */
export const STREAMS = ["hot", "cold", "mixed", "liquid", "suction", "hot-gas", "pilot"] as const;
const Stream = oneOf(...STREAMS);
export type Stream = Static<typeof Stream>;

const Point = Type.Tuple([Type.Number(), Type.Number()], {
  description: "Place on the drawing, in drawing units.",
});

/** What stays stored after every valve is shut; height, heat above 45 °C and locked liquid are worked out. */
const Stored = Type.Object(
  {
    kind: oneOf("spring", "accumulator", "capacitor", "heat", "weight"),
    says: Type.String({
      minLength: 1,
      maxLength: 400,
      description: "What it does when it is let go, and how to let it go.",
    }),
    wait_min: Type.Optional(Minutes),
  },
  closed,
);

const ThreeWay = Type.Object(
  {
    positions: Type.Array(
      Type.Object(
        {
          id: Id,
          name: Words,
          joins: Type.Array(Type.Array(Id, { minItems: 2, maxItems: 3 }), {
            maxItems: 3,
            description: "Links that are joined with each other in this position; the others are shut off.",
          }),
        },
        closed,
      ),
      { minItems: 2, maxItems: 6 },
    ),
    normally: titled("Stands", Id),
    operable: Type.Boolean({ title: "Can be moved" }),
    lockable: Type.Boolean({ title: "Has a lock point" }),
    capped: Type.Optional(
      Type.Boolean({
        title: "Cap over its stem",
        description: "Off before the stem is turned, on again after.",
      }),
    ),
    passes: Type.Optional(
      Type.Boolean({ title: "Known to pass", description: "Known not to hold tight at its seats." }),
    ),
    access_min: titled("Minutes to shut", Minutes),
    where: Type.Optional(Type.String()),
  },
  closed,
);

export const NODE_KINDS = [
  "source",
  "vessel",
  "junction",
  "consumer",
  "drain",
  "vent",
  "gauge",
  "boundary",
  "relief",
  "three-way",
] as const;

const Node = Type.Object(
  {
    id: Id,
    kind: oneOf(...NODE_KINDS),
    medium: Type.Optional(Medium),
    stream: Type.Optional(Stream),
    with: Type.Optional(
      Type.Array(Id, {
        title: "Same equipment as",
        description:
          "Nodes of the same piece of equipment: opened with it (its coil, its motor, its air side).",
      }),
    ),
    threeWay: Type.Optional(titled("Three ways", ThreeWay)),
    stored: Type.Optional(Type.Array(Stored)),
    temperature_C: Type.Optional(
      Type.Number({ minimum: -100, maximum: 600, description: "At a source or vessel." }),
    ),
    confined: Type.Optional(
      Type.Boolean({ title: "In a pit", description: "In a pit or other confined space." }),
    ),
    name: Type.Optional(Words),
    asset: Type.Optional(
      Type.String({
        title: "Tag of the valve here",
        description: "Tag of the registered valve that stands here.",
      }),
    ),
    hydrant: Type.Optional(
      Type.Boolean({
        title: "Fire hydrant",
        description: "A fire hydrant: out of service is an impairment.",
      }),
    ),
    protects: Type.Optional(
      Type.Boolean({
        title: "Fire protection",
        description: "A fire-protection zone hangs on this consumer.",
      }),
    ),
    mustKeep: Type.Optional(
      Type.String({
        title: "Must not be without",
        description:
          "Why this consumer keeps its service: nothing is shut that takes it away, where that can be had.",
      }),
    ),
    tell: Type.Optional(
      Type.Object(
        {
          who: titled("Who is told", Words),
          phone: Type.Optional(Type.String({ title: "Telephone", minLength: 3, maxLength: 60 })),
          notice_days: Type.Optional(Type.Number({ title: "Told before, days", minimum: 0, maximum: 365 })),
        },
        {
          ...closed,
          title: "Whom to tell",
          description: "Who is told before this consumer goes without, and hears when it is back.",
        },
      ),
    ),
    header: Type.Optional(
      Type.String({
        title: "Vents into",
        description: "The header that this relief valve blows into: others on it may lift while it is off.",
      }),
    ),
    elevation_m: Type.Number({ title: "Height", minimum: -500, maximum: 9000 }),
    pressure_bar: Type.Optional(
      Type.Number({ minimum: 0, maximum: 400, description: "Gauge pressure at a source." }),
    ),
    volume_L: Type.Optional(
      Type.Number({ title: "Content", minimum: 0, description: "Content of a vessel." }),
    ),
    opening_mm: Type.Optional(
      Type.Number({ title: "Bore", exclusiveMinimum: 0, description: "Bore of a drain or vent." }),
    ),
    feedsBack: Type.Optional(
      Type.Boolean({ title: "Can push back", description: "Can push its medium back into the line." }),
    ),
    at: Type.Optional(Point),
  },
  closed,
);

const ends = {
  id: Id,
  name: Type.Optional(Words),
  from: Id,
  to: Id,
  medium: Type.Optional(Medium),
  stream: Type.Optional(Stream),
  via: Type.Optional(Type.Array(Point, { description: "Corners of the drawn pipe between its ends." })),
};

const Run = {
  dn_mm: Type.Number({
    title: "Bore",
    exclusiveMinimum: 0,
    maximum: 3000,
    description: "Inside diameter.",
  }),
  length_m: Type.Number({ minimum: 0, maximum: 100_000 }),
};

const ValveState = {
  type: Type.Optional(oneOf("gate", "ball", "globe", "butterfly", "plug", "needle", "diaphragm", "switch")),
  asset: Type.Optional(Type.String({ title: "Tag of the valve here", description: "Tag in the register." })),
  where: Type.Optional(Type.String({ description: "How to find it: street, pit, wall." })),
  turns: Type.Optional(Type.Number({ minimum: 0, description: "Turns from open to shut." })),
  opens: Type.Optional({
    ...oneOf("left", "right"),
    title: "Opens",
    description: "Left is anticlockwise. Not drawn when nobody knows.",
  }),
  normally: titled("Stands", oneOf("open", "shut")),
  operable: Type.Boolean({
    title: "Can be moved",
    description: "False when seized or broken: it stays as it stands.",
  }),
  lockable: Type.Boolean({ title: "Has a lock point" }),
  passes: Type.Optional(Type.Boolean({ title: "Known to pass", description: "Known not to hold tight." })),
  access_min: titled("Minutes to shut", Minutes),
  confined: Type.Optional(
    Type.Boolean({ title: "In a pit", description: "In a pit or other confined space." }),
  ),
  bypass: Type.Optional(
    Type.Boolean({
      title: "Goes round another",
      description: "A bypass: opened while what it goes round is shut, so that nobody goes without.",
    }),
  ),
  door: Type.Optional(
    Type.String({
      title: "Behind whose door",
      description: "Somebody has to let one in, to shut it and to open it again: who, and how to reach them.",
    }),
  ),
  hardToReach: Type.Optional(
    Type.String({ title: "Why it takes longer", description: "Why it takes longer than the walk." }),
  ),
};

export const LinkSchema = oneKindOf(
  Type.Object({ kind: Type.Literal("pipe"), ...ends, ...Run }, closed),
  Type.Object({ kind: Type.Literal("valve"), ...ends, ...ValveState }, closed),
  Type.Object({ kind: Type.Literal("control-valve"), ...ends, ...ValveState }, closed),
  Type.Object({ kind: Type.Literal("check"), ...ends }, closed),
  Type.Object({ kind: Type.Literal("trap"), ...ends }, closed),
  Type.Object({ kind: Type.Literal("cable"), ...ends }, closed),
  Type.Object(
    {
      kind: Type.Literal("pump"),
      ...ends,
      access_min: titled("Minutes to stop", Minutes),
      motor: Type.Optional(Type.String({ description: "The node where its electricity arrives." })),
    },
    closed,
  ),
);

export const LineSchema = Type.Object(
  {
    format: Type.Literal("loftbell.line"),
    version: Type.Literal(1),
    id: Id,
    name: Words,
    medium: Medium,
    rule: oneOf("single", "double-block-and-bleed"),
    rating_bar: Type.Optional(
      Type.Number({
        title: "Rated for",
        exclusiveMinimum: 0,
        description: "Gauge pressure the piping is rated for.",
      }),
    ),
    demonstration: Type.Optional(Type.Boolean()),
    nodes: Type.Array(Node, { minItems: 2 }),
    links: Type.Array(LinkSchema, { minItems: 1 }),
  },
  {
    ...closed,
    $id: "loftbell.line.json",
    title: "Line",
    description: `A piping system as nodes and links: what feeds what. ${UNITS_BY_NAME}`,
  },
);

export type Line = Static<typeof LineSchema>;
export type LineNode = Line["nodes"][number];
export type LineLink = Line["links"][number];
export type LineValve = Extract<LineLink, { kind: "valve" }>;
