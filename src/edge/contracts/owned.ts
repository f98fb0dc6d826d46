import { type TSchema, Type } from "@sinclair/typebox";

const closed = { additionalProperties: false };

/** By this a change can be taken back; nothing where all was so already. */
export const Edited = Type.Object(
  {
    edit: Type.Optional(Type.String({ description: "By this the change can be undone." })),
    changes: Type.Integer(),
  },
  closed,
);
export const Saved = Type.Object({ ...Edited.properties, id: Type.String() }, closed);

/** Twice in one body it cannot go by its id. */
export const nameless = <S extends TSchema>({ $id: _, ...schema }: S): S => schema as unknown as S;

export const handed = <S extends TSchema>(schema: S) =>
  Type.Object(
    { was: Type.Optional(nameless(schema)), row: nameless(schema) },
    {
      ...closed,
      description:
        "The row as it shall be, and as it was when the form was opened: what somebody else changed since stays, unless both changed the same field.",
    },
  );

export const refuses = {
  404: "It is not here.",
  422: "Every problem at its field, what hangs on it, or what somebody else made of the field meanwhile; nothing was changed.",
};
