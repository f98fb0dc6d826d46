import { type Static, Type } from "@sinclair/typebox";
import { closed, DayOrInstant, Id, oneOf, Words } from "./shared";

/** What a photograph or a paper can hang on. */
export const PAPER_OWNERS = ["valve", "place", "sheet", "person", "instrument"] as const;

/** A photograph or a paper kept with something; its bytes lie by their hash. */
export const PaperSchema = Type.Object(
  {
    id: Id,
    of: oneOf(...PAPER_OWNERS),
    owner: Words,
    name: Words,
    mime: oneOf("image/jpeg", "application/pdf"),
    bytes: Type.Integer({ minimum: 1 }),
    sha256: Type.String({ pattern: "^[0-9a-f]{64}$" }),
    width: Type.Optional(Type.Integer({ minimum: 1 })),
    height: Type.Optional(Type.Integer({ minimum: 1 })),
    at: DayOrInstant,
    by: Words,
  },
  { ...closed, $id: "loftbell.paper.json", title: "Paper", description: "A photograph or paper on file." },
);
export type Paper = Static<typeof PaperSchema>;
