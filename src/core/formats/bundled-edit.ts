import { type Static, Type } from "@sinclair/typebox";
import { SMALL_KINDS } from "./edit-fact";
import { closed, oneOf, Words } from "./shared";

const Kind = oneOf("sheet", "line", "store", "valve", "person", "reading", "job", ...SMALL_KINDS);
const Name = Type.String({ minLength: 1, maxLength: 400 });
const Names = Type.Array(Name, { maxItems: 200_000 });

/** What somebody did, as it stands in a file. */
const FactSchema = Type.Union([
  Type.Object({ kind: Type.Literal("import"), files: Names }, closed),
  Type.Object({ kind: oneOf("added", "changed", "removed"), thing: Kind, ids: Names }, closed),
  Type.Object({ kind: Type.Literal("restored"), backup: Name, made: Name }, closed),
  Type.Object({ kind: Type.Literal("renamed"), thing: Kind, from: Name, to: Name }, closed),
  Type.Object({ kind: oneOf("retired", "brought-back", "reported"), ids: Names }, closed),
]);

/** An entry of the book of changes, with each thing as it was and as it was then. */
export const BundledEditSchema = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 100 }),
    at: Type.Integer({ description: "ms since 1970." }),
    by: Words,
    what: FactSchema,
    undone: Type.Optional(Type.Object({ at: Type.Integer(), by: Words }, closed)),
    changes: Type.Array(
      Type.Object(
        {
          kind: Kind,
          id: Name,
          before: Type.Unknown({ description: "Nothing (null) when it was not there." }),
          after: Type.Unknown({ description: "Nothing (null) when it is gone." }),
        },
        closed,
      ),
    ),
  },
  closed,
);
export type BundledEdit = Static<typeof BundledEditSchema>;
