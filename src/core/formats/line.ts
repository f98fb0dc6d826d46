import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, Minutes, oneKindOf, oneOf, Words } from "./shared";

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

const Point = Type.Tuple([Type.Number(), Type.Number()], {
  description: "Place on the drawing, in drawing units.",
});

const Node = Type.Object(
  {
    id: Id,
    kind: oneOf("source", "vessel", "junction", "consumer", "drain", "vent", "gauge", "boundary"),
    name: Type.Optional(Words),
    asset: Type.Optional(Type.String({ description: "Tag of the registered valve that stands here." })),
    hydrant: Type.Optional(Type.Boolean({ description: "A fire hydrant: out of service is an impairment." })),
    protects: Type.Optional(Type.Boolean({ description: "A fire-protection zone hangs on this consumer." })),
    elevation_m: Type.Number({ minimum: -500, maximum: 9000 }),
    pressure_bar: Type.Optional(
      Type.Number({ minimum: 0, maximum: 400, description: "bar gauge at a source." }),
    ),
    volume_L: Type.Optional(Type.Number({ minimum: 0, description: "Content of a vessel." })),
    opening_mm: Type.Optional(Type.Number({ exclusiveMinimum: 0, description: "Bore of a drain or vent." })),
    feedsBack: Type.Optional(Type.Boolean({ description: "Can push its medium back into the line." })),
    at: Type.Optional(Point),
  },
  closed,
);

const ends = {
  id: Id,
  name: Type.Optional(Words),
  from: Id,
  to: Id,
  via: Type.Optional(Type.Array(Point, { description: "Corners of the drawn pipe between its ends." })),
};

const Run = {
  dn_mm: Type.Number({ exclusiveMinimum: 0, maximum: 3000, description: "Inside diameter, mm." }),
  length_m: Type.Number({ minimum: 0, maximum: 100_000 }),
};

const ValveState = {
  asset: Type.Optional(Type.String({ description: "Tag in the register." })),
  where: Type.Optional(Type.String({ description: "How to find it: street, pit, wall." })),
  turns: Type.Optional(Type.Number({ minimum: 0, description: "Turns from open to shut." })),
  normally: oneOf("open", "shut"),
  operable: Type.Boolean({ description: "False when seized or broken: it stays as it stands." }),
  lockable: Type.Boolean(),
  passes: Type.Optional(Type.Boolean({ description: "Known not to hold tight." })),
  access_min: Minutes,
  hardToReach: Type.Optional(Type.String({ description: "Why it takes longer than the walk." })),
};

const Link = oneKindOf(
  Type.Object({ kind: Type.Literal("pipe"), ...ends, ...Run }, closed),
  Type.Object({ kind: Type.Literal("valve"), ...ends, ...ValveState }, closed),
  Type.Object({ kind: Type.Literal("control-valve"), ...ends, ...ValveState }, closed),
  Type.Object({ kind: Type.Literal("check"), ...ends }, closed),
  Type.Object({ kind: Type.Literal("pump"), ...ends, access_min: Minutes }, closed),
);

export const LineSchema = Type.Object(
  {
    format: Type.Literal("loftbell.line"),
    version: Type.Literal(1),
    id: Id,
    name: Words,
    medium: Medium,
    rule: oneOf("single", "double-block-and-bleed"),
    demonstration: Type.Optional(Type.Boolean()),
    nodes: Type.Array(Node, { minItems: 2 }),
    links: Type.Array(Link, { minItems: 1 }),
  },
  {
    ...closed,
    $id: "loftbell.line.json",
    title: "Line",
    description: "A piping system as nodes and links: what feeds what.",
  },
);

export type Line = Static<typeof LineSchema>;
export type LineNode = Line["nodes"][number];
export type LineLink = Line["links"][number];
export type LineValve = Extract<LineLink, { kind: "valve" }>;
