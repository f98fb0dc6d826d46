import { Type } from "@sinclair/typebox";
import { BUNDLE_PARTS, type BundlePart } from "@/core/formats";
import { type Contract, contract } from "../contract";

const closed = { additionalProperties: false };
const OneBundle = Type.Object({ id: Type.String({ minLength: 1, maxLength: 100 }) }, closed);
const Part = Type.Unsafe<BundlePart>({ type: "string", enum: [...BUNDLE_PARTS] });
const Count = Type.Integer({ minimum: 0 });

const Progress = Type.Object(
  {
    state: Type.Unsafe<"coming-in" | "in" | "stopped">({
      type: "string",
      enum: ["coming-in", "in", "stopped"],
    }),
    done: Count,
    of: Count,
    changes: Count,
    problems: Type.Optional(Type.Array(Type.Object({ path: Type.String(), message: Type.String() }, closed))),
  },
  closed,
);

/** Half a gigabyte: a department with its photographs. */
const MOST_BYTES = 500_000_000;

export const TAKE_BUNDLE = contract({
  id: "takeBundle",
  method: "GET",
  path: "/api/v1/bundle.zip",
  chapter: "Taking out",
  role: "keeper",
  says: "Everything as one zip: a signed manifest names each file by its hash; another Loft Bell reads it back.",
  answer: Type.String(),
  gives: "application/zip",
});

export const LOOK_AT_BUNDLE = contract({
  id: "lookAtBundle",
  method: "POST",
  path: "/api/v1/bundles",
  chapter: "Bringing in",
  role: "keeper",
  says: "Takes a bundle, reads all of it and says how each part stands to what is here; nothing is brought in yet.",
  asker: "crew-if-any",
  ownTurn: true,
  body: Type.Uint8Array(),
  takes: ["application/zip"],
  mostBytes: MOST_BYTES,
  status: 201,
  answer: Type.Object(
    {
      id: Type.String(),
      made: Type.String(),
      house: Type.Optional(Type.String()),
      ours: Type.Boolean({ description: "Packed by this installation." }),
      parts: Type.Array(
        Type.Object({ part: Part, entries: Count, fresh: Count, changed: Count, alike: Count }, closed),
      ),
    },
    closed,
  ),
  refuses: { 422: "It is no bundle, or not as it was packed." },
});

export const BRING_BUNDLE = contract({
  id: "bringBundle",
  method: "POST",
  path: "/api/v1/bundles/{id}",
  chapter: "Bringing in",
  role: "keeper",
  says: "Begins to bring chosen parts of a bundle in, piece by piece; each piece stands in the book of changes.",
  asker: "crew-if-any",
  ownTurn: true,
  params: OneBundle,
  body: Type.Object({ parts: Type.Array(Part, { minItems: 1, maxItems: 20 }) }, closed),
  status: 202,
  answer: Progress,
  refuses: { 422: "It is not here any more, or coming in already." },
});

export const BUNDLE_PROGRESS = contract({
  id: "bundleProgress",
  method: "GET",
  path: "/api/v1/bundles/{id}",
  chapter: "Bringing in",
  role: "keeper",
  says: "How far a bundle has come in.",
  params: OneBundle,
  answer: Progress,
  refuses: { 404: "No such bundle is coming in." },
});

export const BUNDLE: readonly Contract[] = [
  TAKE_BUNDLE,
  LOOK_AT_BUNDLE,
  BRING_BUNDLE,
  BUNDLE_PROGRESS,
] as unknown as readonly Contract[];
