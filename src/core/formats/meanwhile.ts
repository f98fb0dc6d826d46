import { type Static, Type } from "@sinclair/typebox";
import { closed, oneKindOf, Words } from "./shared";

const Revision = Type.Integer({ minimum: 1 });

/** What became otherwise on the server while a job was begun and worked without signal. */
export const MeanwhileSchema = oneKindOf(
  Type.Object(
    {
      kind: Type.Literal("another-job"),
      job: Type.String({ minLength: 1, maxLength: 100 }),
      by: Words,
    },
    { ...closed, description: "Somebody else has a job open on the same valve." },
  ),
  Type.Object({ kind: Type.Literal("newer-sheet"), from: Revision, to: Revision }, closed),
  Type.Object({ kind: Type.Literal("newer-line"), from: Revision, to: Revision }, closed),
);
export type Meanwhile = Static<typeof MeanwhileSchema>;
