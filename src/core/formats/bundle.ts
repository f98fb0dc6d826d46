import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, Instant, oneOf, Words } from "./shared";
import { CHECK_DIMENSIONS } from "./sheet";

/** Parts of a bundle, in the order in which they lean on each other: each may be brought in by itself. */
export const BUNDLE_PARTS = [
  "house",
  "crew",
  "places",
  "instruments",
  "map",
  "sheets",
  "lines",
  "stores",
  "jobs",
  "valves",
  "readings",
  "papers",
  "columns",
  "trouble",
  "cases",
  "rounds",
  "changes",
] as const;
export type BundlePart = (typeof BUNDLE_PARTS)[number];

const Hash = Type.String({ pattern: "^[0-9a-f]{64}$" });

const BundleFileSchema = Type.Object(
  {
    path: Type.String({ minLength: 1, maxLength: 400 }),
    part: oneOf(...BUNDLE_PARTS),
    holds: oneOf("rows", "documents", "ledger", "job", "photograph", "bytes", "book"),
    entries: Type.Integer({ minimum: 0, description: "Rows, documents, entries of a log." }),
    bytes: Type.Integer({ minimum: 0 }),
    sha256: Hash,
  },
  closed,
);
export type BundleFile = Static<typeof BundleFileSchema>;

/** What a bundle says of itself: all that is in it, by hash, signed by the installation it is of. */
export const BundleSchema = Type.Object(
  {
    format: Type.Literal("loftbell.bundle"),
    version: Type.Literal(1),
    made: Instant,
    house: Type.Optional(Words),
    publicKey: Type.String({ minLength: 1, maxLength: 100 }),
    files: Type.Array(BundleFileSchema, { maxItems: 500_000 }),
    signature: Type.String({ minLength: 1, maxLength: 200 }),
  },
  {
    ...closed,
    $id: "loftbell.bundle.json",
    title: "Bundle",
    description: "Everything of an installation as one zip: this manifest names each file in it by its hash.",
  },
);
export type Bundle = Static<typeof BundleSchema>;

/** A reading as it is kept. */
export const BundledReadingSchema = Type.Object(
  {
    valve: Id,
    at: Type.Integer({ description: "ms since 1970." }),
    what: Words,
    dimension: oneOf(...CHECK_DIMENSIONS),
    si: Type.Number(),
    typed: Type.String({ maxLength: 200 }),
    by: Words,
    job: Type.Optional(Id),
  },
  closed,
);
