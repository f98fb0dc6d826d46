import { type Static, Type } from "@sinclair/typebox";
import {
  AskedWaySchema,
  ChosenDepthSchema,
  JobInputsSchema,
  JobSchema,
  MeanwhileSchema,
  SealedEventSchema,
  WhereSchema,
} from "@/core/formats";
import { contract } from "../contract";

const closed = { additionalProperties: false };
const JobId = Type.Object({ id: Type.String({ minLength: 1, maxLength: 100 }) }, closed);
const PhotoId = Type.Object(
  { id: Type.String({ minLength: 1, maxLength: 100 }), photo: Type.String({ minLength: 1, maxLength: 100 }) },
  closed,
);

const OpenJobSchema = Type.Object(
  {
    valve: Type.String({ minLength: 1, maxLength: 100 }),
    reason: Type.Object(
      {
        kind: Type.Union([Type.Literal("due"), Type.Literal("symptom"), Type.Literal("event")]),
        says: Type.String({ minLength: 1, maxLength: 400 }),
        symptom: Type.Optional(
          Type.String({
            minLength: 1,
            maxLength: 60,
            description: "Which of the sheet's reasons it is, by its id.",
          }),
        ),
      },
      closed,
    ),
    reach: Type.Array(Type.String({ minLength: 1, maxLength: 100 }), { maxItems: 200 }),
    renew: Type.Optional(
      Type.Array(Type.String({ minLength: 1, maxLength: 100 }), {
        maxItems: 200,
        description: "Parts that the reason for the job renews, whatever they look like.",
      }),
    ),
    where: Type.Optional(WhereSchema),
    together: Type.Optional(
      Type.Array(Type.String({ minLength: 1, maxLength: 100 }), {
        minItems: 1,
        maxItems: 20,
        description:
          "Tags of valves of the same line that are worked on in the same shut-down: it is shut for them, too.",
      }),
    ),
    depth: Type.Optional(
      Type.Pick(ChosenDepthSchema, ["id", "leak", "access", "reason"], {
        ...closed,
        description: "How deep it goes: what was weighed for it is worked out again here.",
      }),
    ),
    schools: Type.Optional(
      Type.Array(AskedWaySchema, {
        maxItems: 10,
        description:
          "Where practitioners differ: another way than the usual one, and why. What is left out is done as usual.",
      }),
    ),
    id: Type.Optional(
      Type.String({
        minLength: 8,
        maxLength: 100,
        pattern: "^[A-Za-z0-9-]+$",
        description: "An id nobody else has: a job that was asked for twice is opened once.",
      }),
    ),
    away: Type.Optional(
      Type.Object(
        {
          offer: JobInputsSchema,
          seal: Type.String({ minLength: 1, maxLength: 200 }),
          at: Type.String({ format: "date-time" }),
          by: Type.String({ minLength: 1, maxLength: 400 }),
        },
        {
          ...closed,
          description:
            "Begun without signal: what was offered then, with this server's signature under it, when, and by whom of the crew. It is worked out again from that, and from what stands beside it.",
        },
      ),
    ),
    case: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 60,
        description: "The case it came of: what was found there is not asked again.",
      }),
    ),
    which: Type.Optional(
      Type.Object(
        {
          build: Type.Optional(Type.String({ minLength: 1, maxLength: 60 })),
          generation: Type.Optional(Type.String({ minLength: 1, maxLength: 60 })),
          fitted: Type.Optional(
            Type.Record(
              Type.String({ minLength: 1, maxLength: 60 }),
              Type.Union([Type.Literal("yes"), Type.Literal("no")]),
            ),
          ),
        },
        {
          ...closed,
          description:
            "Which one it is, as far as it is known before the trip, where the register does not say.",
        },
      ),
    ),
    policy: Type.Union([
      Type.Literal("on-condition"),
      Type.Literal("what-was-disturbed"),
      Type.Literal("everything-open"),
    ]),
  },
  closed,
);
/** What is asked of a job that shall begin. */
export type OpenJobBody = Static<typeof OpenJobSchema>;

export const OPEN_JOB = contract({
  id: "openJob",
  method: "POST",
  path: "/api/v1/jobs",
  chapter: "Jobs",
  role: "technician",
  says: "Opens a job on a registered valve, in the name of the one who asks; or one that was begun without signal, in the name of the one who began it.",
  asker: "crew",
  body: OpenJobSchema,
  status: 201,
  answer: Type.Object(
    {
      id: Type.String(),
      meanwhile: Type.Optional(
        Type.Array(MeanwhileSchema, { description: "What became otherwise since it was offered." }),
      ),
    },
    closed,
  ),
  refuses: {
    401: "Nobody of the crew asks, or the one who began it is not signed in here.",
    422: "The job cannot be opened.",
  },
});

export const GET_JOB = contract({
  id: "job",
  method: "GET",
  path: "/api/v1/jobs/{id}",
  chapter: "Jobs",
  role: "reader",
  says: "A job as a loftbell.job document, with the anchor that signs for the end of its log.",
  params: JobId,
  answer: JobSchema,
  refuses: { 404: "There is no such job." },
});

export const ADD_EVENTS = contract({
  id: "addEvents",
  method: "POST",
  path: "/api/v1/jobs/{id}/events",
  chapter: "Jobs",
  role: "technician",
  says: "Adds events to a job's log, all or none; an event whose id is known is passed over. Each is by one of the crew.",
  asker: "crew",
  params: JobId,
  body: Type.Object(
    // Each is read on its own, so that one written by a newer program is told as such.
    {
      events: Type.Array(Type.Unknown(), {
        minItems: 1,
        maxItems: 500,
        description: "Events as in loftbell.job.",
      }),
      settles: Type.Optional(
        Type.Boolean({
          description:
            "What was entered without signal, beside what the log has gone on with, is settled towards safety and kept with it (`elsewhere` of an event), not refused.",
        }),
      ),
    },
    closed,
  ),
  answer: Type.Object({ entries: Type.Integer(), stored: Type.Array(SealedEventSchema) }, closed),
  refuses: {
    401: "Nobody of the crew asks.",
    404: "There is no such job.",
    409: "The rules of the job refuse it, or its log was changed.",
    422: "An event cannot be read.",
    503: "The server cannot store.",
  },
});

export const PUT_PHOTO = contract({
  id: "putPhoto",
  method: "PUT",
  path: "/api/v1/jobs/{id}/photos/{photo}",
  chapter: "Jobs",
  role: "technician",
  says: "The bytes of a photograph that the job's log speaks of (JPEG, PNG or WebP by content); place and device are taken out.",
  asker: "crew",
  params: PhotoId,
  takes: ["image/jpeg", "image/png", "image/webp"],
  body: Type.Uint8Array(),
  answer: Type.Object(
    { photo: Type.String(), width: Type.Integer(), height: Type.Integer(), bytes: Type.Integer() },
    closed,
  ),
  refuses: {
    404: "There is no such job.",
    409: "The log has no such photograph.",
    422: "No picture that can be read.",
  },
});

/** Most bytes of a photograph, and of a piece of it. */
const MOST_PHOTO = 12_000_000;
const MOST_PIECE = 1_000_000;

export const PUT_PIECE = contract({
  id: "putPiece",
  method: "PUT",
  path: "/api/v1/jobs/{id}/photos/{photo}/pieces/{from}",
  chapter: "Jobs",
  role: "technician",
  says: "A piece of a photograph, from this byte on, over a line that is cut again and again. It answers how many bytes it has: the next piece begins there.",
  asker: "crew",
  params: Type.Object(
    {
      id: Type.String({ minLength: 1, maxLength: 100 }),
      photo: Type.String({ minLength: 1, maxLength: 100 }),
      from: Type.String({ pattern: "^[0-9]{1,8}$" }),
    },
    closed,
  ),
  query: Type.Object(
    {
      of: Type.Integer({
        minimum: 1,
        maximum: MOST_PHOTO,
        description: "Bytes of the whole photograph.",
      }),
    },
    closed,
  ),
  takes: ["image/jpeg", "image/png", "image/webp"],
  mostBytes: MOST_PIECE,
  body: Type.Uint8Array(),
  answer: Type.Object({ have: Type.Integer(), whole: Type.Boolean() }, closed),
  refuses: {
    404: "There is no such job.",
    409: "The log has no such photograph.",
    422: "All of it is there, and it is no picture that can be read.",
  },
});

export const GET_PHOTO = contract({
  id: "photo",
  method: "GET",
  path: "/api/v1/jobs/{id}/photos/{photo}",
  chapter: "Jobs",
  role: "reader",
  says: "A photograph of a job.",
  params: PhotoId,
  answer: Type.String({ description: "The picture." }),
  gives: "image/jpeg",
  refuses: { 404: "It is not here." },
});
