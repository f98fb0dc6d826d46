import { type TObject, Type } from "@sinclair/typebox";
import {
  HouseSchema,
  InstrumentSchema,
  MappingSchema,
  PAPER_OWNERS,
  PaperSchema,
  PersonSchema,
  PlaceSchema,
  ValveSchema,
} from "@/core/formats";
import { type Contract, contract } from "../contract";
import { Edited, handed, refuses, Saved } from "./owned";

const closed = { additionalProperties: false };
const Key = Type.String({ minLength: 1, maxLength: 400 });

/** How things of one kind are changed and taken away. */
const owned = <S extends TObject>(
  id: string,
  path: `/${string}`,
  what: string,
  schema: S,
  role: Contract["role"] = "planner",
) => ({
  save: contract({
    id: `save${id}`,
    method: "PUT",
    path: `${path}/{id}`,
    chapter: "Own data",
    role,
    says: `Keeps ${what}: a new one, or one that is here, which may get another name.`,
    asker: "crew-if-any",
    params: Type.Object({ id: Key }, closed),
    body: handed(schema),
    answer: Saved,
    refuses,
  }),
  remove: contract({
    id: `remove${id}`,
    method: "DELETE",
    path: `${path}/{id}`,
    chapter: "Own data",
    role,
    says: `Takes ${what} away, where nothing hangs on it.`,
    asker: "crew-if-any",
    params: Type.Object({ id: Key }, closed),
    answer: Edited,
    refuses,
  }),
});

export const PLACES = owned("Place", "/api/v1/places", "a place where valves stand", PlaceSchema);
export const PEOPLE = owned("Person", "/api/v1/people", "one of the crew", PersonSchema, "keeper");
export const TAKE_LEAVE = contract({
  id: "takeLeave",
  method: "POST",
  path: "/api/v1/people/{id}/leave",
  chapter: "Bringing in",
  role: "keeper",
  says: "Leave out of a calendar file (RFC 5545): its whole days become days away of this person, what is known stays. Answers what is new, and what was left and why.",
  asker: "crew-if-any",
  mostBytes: 2_000_000,
  params: Type.Object({ id: Type.String({ minLength: 1, maxLength: 400 }) }, closed),
  body: Type.Object({ text: Type.String({ minLength: 1, description: "The file." }) }, closed),
  answer: Type.Object(
    {
      ...Edited.properties,
      taken: Type.Array(Type.Object({ from: Type.String(), to: Type.String() }, closed), {
        description: "First and last day, both away.",
      }),
      left: Type.Array(
        Type.Object(
          {
            says: Type.String(),
            why: Type.Union([
              Type.Literal("part-of-a-day"),
              Type.Literal("cancelled"),
              Type.Literal("behind"),
            ]),
          },
          closed,
        ),
      ),
    },
    closed,
  ),
  refuses,
});
export const INSTRUMENTS = owned("Instrument", "/api/v1/instruments", "an instrument", InstrumentSchema);
export const LIST_INSTRUMENTS = contract({
  id: "listInstruments",
  method: "GET",
  path: "/api/v1/instruments",
  chapter: "Own data",
  role: "reader",
  says: "Every instrument with its calibration: by its serial a device knows which one is connected.",
  answer: Type.Object({ instruments: Type.Array(InstrumentSchema) }, closed),
});
export const MAPPINGS = owned("Mapping", "/api/v1/mappings", "how foreign columns are read", MappingSchema);

export const SAVE_HOUSE = contract({
  id: "saveHouse",
  method: "PUT",
  path: "/api/v1/house",
  chapter: "Own data",
  role: "keeper",
  says: "Keeps what holds for the whole department: its name, shifts, closed days.",
  asker: "crew-if-any",
  body: handed(HouseSchema),
  answer: Saved,
  refuses,
});

const Tags = Type.Array(Type.String({ minLength: 1, maxLength: 100 }), { minItems: 1, maxItems: 2000 });

/** A valve is called by its tag in every route. */
const OneValve = Type.Object({ tag: Type.String({ minLength: 1, maxLength: 100 }) }, closed);

export const ADD_VALVES = contract({
  id: "addValves",
  method: "POST",
  path: "/api/v1/valves",
  chapter: "Own data",
  role: "planner",
  says: "Puts new valves into the register, all or none, under sheets that are here or in the library; such a sheet comes in with them.",
  asker: "crew-if-any",
  body: Type.Object({ rows: Type.Array(ValveSchema, { minItems: 1, maxItems: 500 }) }, closed),
  status: 201,
  answer: Edited,
  refuses,
});

export const SAVE_VALVE = contract({
  id: "saveValve",
  method: "PUT",
  path: "/api/v1/valves/{tag}",
  chapter: "Own data",
  role: "planner",
  says: "Changes a valve. Its line shows it where it stands; a tag can change as long as no job and no reading hangs on it.",
  asker: "crew-if-any",
  params: OneValve,
  body: handed(ValveSchema),
  answer: Saved,
  refuses,
});

export const REMOVE_VALVE = contract({
  id: "removeValve",
  method: "DELETE",
  path: "/api/v1/valves/{tag}",
  chapter: "Own data",
  role: "planner",
  says: "Takes a valve out of the register, where no job and no reading hangs on it; otherwise it is retired.",
  asker: "crew-if-any",
  params: OneValve,
  answer: Edited,
  refuses,
});

export const CHANGE_VALVES = contract({
  id: "changeValves",
  method: "POST",
  path: "/api/v1/register/change",
  chapter: "Own data",
  role: "planner",
  says: "Sets, or empties, the same fields of several valves at once.",
  asker: "crew-if-any",
  body: Type.Object(
    {
      tags: Tags,
      set: Type.Optional(
        Type.Partial(Type.Omit(ValveSchema, ["tag", "retired", "retiredWhy"], closed), closed),
      ),
      clear: Type.Optional(Type.Array(Type.String({ maxLength: 60 }), { maxItems: 40 })),
    },
    closed,
  ),
  answer: Edited,
  refuses,
});

export const RETIRE_VALVES = contract({
  id: "retireValves",
  method: "POST",
  path: "/api/v1/register/retire",
  chapter: "Own data",
  role: "planner",
  says: "Takes valves out of service for good: they ring no more; their jobs and readings stay.",
  asker: "crew-if-any",
  body: Type.Object({ tags: Tags, why: ValveSchema.properties.name }, closed),
  answer: Edited,
  refuses,
});

export const BRING_BACK_VALVES = contract({
  id: "bringBackValves",
  method: "POST",
  path: "/api/v1/register/bring-back",
  chapter: "Own data",
  role: "planner",
  says: "Puts retired valves back into service.",
  asker: "crew-if-any",
  body: Type.Object({ tags: Tags }, closed),
  answer: Edited,
  refuses,
});

export const REPORT_FAULT = contract({
  id: "reportFault",
  method: "POST",
  path: "/api/v1/valves/{tag}/fault",
  chapter: "Own data",
  role: "technician",
  says: "Reports what is wrong with a valve, or, with nothing said, that it is not so any more.",
  asker: "crew-if-any",
  params: OneValve,
  body: Type.Object({ says: Type.Optional(ValveSchema.properties.name) }, closed),
  answer: Edited,
  refuses,
});

export const ADD_PAPER = contract({
  id: "addPaper",
  method: "POST",
  path: "/api/v1/papers",
  chapter: "Own data",
  role: "technician",
  says: "Keeps a photograph or a PDF with a valve, a place, a sheet, a person or an instrument.",
  asker: "crew-if-any",
  query: Type.Object(
    {
      of: Type.Unsafe<(typeof PAPER_OWNERS)[number]>({ type: "string", enum: [...PAPER_OWNERS] }),
      owner: Key,
      name: Type.String({ minLength: 1, maxLength: 400 }),
    },
    closed,
  ),
  takes: ["image/jpeg", "image/png", "image/webp", "application/pdf"],
  body: Type.Uint8Array(),
  mostBytes: 20_000_000,
  status: 201,
  answer: PaperSchema,
  refuses: { ...refuses, 413: "Over 20 MB.", 415: "Neither a picture nor a PDF." },
});

const OnePaper = Type.Object({ id: Type.String({ minLength: 1, maxLength: 100 }) }, closed);

export const GET_PAPER = contract({
  id: "paper",
  method: "GET",
  path: "/api/v1/papers/{id}",
  chapter: "Own data",
  role: "reader",
  says: "The photograph or PDF itself.",
  params: OnePaper,
  answer: Type.String(),
  gives: "application/octet-stream",
  refuses: { 404: "It is not here." },
});

export const REMOVE_PAPER = contract({
  id: "removePaper",
  method: "DELETE",
  path: "/api/v1/papers/{id}",
  chapter: "Own data",
  role: "planner",
  says: "Takes a photograph or PDF away; it can be brought back from the book of changes.",
  asker: "crew-if-any",
  params: OnePaper,
  answer: Edited,
  refuses,
});

export const UNDO_EDIT = contract({
  id: "undoEdit",
  method: "DELETE",
  path: "/api/v1/edits/{id}",
  chapter: "Own data",
  role: "technician",
  says: "Takes a change, or a whole import, back: what it changed is again as it was before it.",
  asker: "crew-if-any",
  ownTurn: true,
  params: Type.Object({ id: Type.String({ minLength: 1, maxLength: 100 }) }, closed),
  answer: Type.Object({ changes: Type.Integer() }, closed),
  refuses: { 409: "Something it changed was changed since, or something else hangs on it." },
});

const Edit = Type.Object(
  {
    id: Type.String(),
    at: Type.Integer({ description: "ms since 1970" }),
    by: Type.String(),
    says: Type.String(),
    changes: Type.Integer(),
    undone: Type.Boolean(),
  },
  closed,
);

export const EDITS = contract({
  id: "edits",
  method: "GET",
  path: "/api/v1/edits",
  chapter: "Own data",
  role: "reader",
  says: "The book of changes: who changed what, the newest first.",
  query: Type.Object({ before: Type.Optional(Type.Integer({ minimum: 0 })) }, closed),
  answer: Type.Object({ edits: Type.Array(Edit) }, closed),
});

export const OWN: readonly Contract[] = [
  ADD_VALVES,
  SAVE_VALVE,
  REMOVE_VALVE,
  CHANGE_VALVES,
  RETIRE_VALVES,
  BRING_BACK_VALVES,
  REPORT_FAULT,
  PLACES.save,
  PLACES.remove,
  PEOPLE.save,
  PEOPLE.remove,
  TAKE_LEAVE,
  LIST_INSTRUMENTS,
  INSTRUMENTS.save,
  INSTRUMENTS.remove,
  MAPPINGS.save,
  MAPPINGS.remove,
  SAVE_HOUSE,
  ADD_PAPER,
  GET_PAPER,
  REMOVE_PAPER,
  EDITS,
  UNDO_EDIT,
] as unknown as readonly Contract[];
