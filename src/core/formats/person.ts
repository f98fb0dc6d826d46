import { type Static, Type } from "@sinclair/typebox";
import { closed, Day, Id, oneOf, Words } from "./shared";

/** What a person has to be competent for, where work can hurt more than who does it. */
export const COMPETENCES = ["gas", "refrigerant", "fire", "electricity", "steam"] as const;
export type Competence = (typeof COMPETENCES)[number];

export const OneCompetence = oneOf(...COMPETENCES);
const CompetenceKey = Type.Union(COMPETENCES.map((each) => Type.Literal(each)));

/** What somebody may do alone: until when (a day, or "open" without end), and the number of the proof. */
export type Certificates = Readonly<
  Partial<Record<Competence, { readonly until: string; readonly proof?: string }>>
>;
export const CertificatesSchema = Type.Unsafe<Certificates>(
  Type.Object(
    Object.fromEntries(
      COMPETENCES.map((each) => [
        each,
        Type.Optional(
          Type.Object(
            { until: Type.String({ maxLength: 10 }), proof: Type.Optional(Type.String({ maxLength: 60 })) },
            closed,
          ),
        ),
      ]),
    ),
    closed,
  ),
);

/** The certificates of one of the crew. */
export const certificatesOf = ({
  competent = {},
  proof = {},
}: Pick<Person, "competent" | "proof">): Certificates =>
  Object.fromEntries(
    Object.entries(competent as Record<string, string>).map(([what, until]) => {
      const number = (proof as Record<string, string>)[what];
      return [what, { until, ...(number !== undefined && { proof: number }) }];
    }),
  );

/** Whether something that holds until a day, that day too, holds at a moment. @param at ms, UTC */
export const holdsAt = (until: string, at: number): boolean =>
  until === "open" || at < Date.parse(until) + 86_400_000;

const UntilWhen = Type.String({
  format: "day-or-open",
  says: "Write until when it holds, as gas=2027-05-01, or gas=open where it has no end.",
});

export const PersonSchema = Type.Object(
  {
    id: Id,
    name: Words,
    may: Type.String({ description: "What this person is competent or licensed to do, in words." }),
    competent: Type.Optional(
      Type.Partial(Type.Record(CompetenceKey, UntilWhen), {
        description: `What this person may do alone, and until when: gas=2027-05-01 steam=open. One of ${COMPETENCES.join(", ")}.`,
        says: `Write each with its last day, as gas=2027-05-01: ${COMPETENCES.join(", ")}.`,
        additionalProperties: false,
      }),
    ),
    proof: Type.Optional(
      Type.Partial(
        Type.Record(
          CompetenceKey,
          Type.String({
            pattern: "^\\S{1,60}$",
            says: "Write the number of the certificate without spaces: GC-4471.",
          }),
        ),
        {
          description: "The number of the certificate for each: gas=GC-4471.",
          says: "Write each with the number of its certificate, as gas=GC-4471.",
          additionalProperties: false,
        },
      ),
    ),
    phone: Type.Optional(Type.String({ minLength: 3, maxLength: 60 })),
    base: Type.Optional(
      Type.String({ minLength: 1, maxLength: 400, description: "The place where the day begins." }),
    ),
    shift: Type.Optional(
      Type.String({
        pattern: Id.pattern!,
        maxLength: 60,
        description: "A shift of the house: when this person works.",
        says: "Write the id of a shift of the house, as early.",
      }),
    ),
    away: Type.Optional(
      Type.Record(Type.String({ pattern: "^\\d{4}-\\d{2}-\\d{2}$" }), Day, {
        description: "Away from one day to another, both of them too: 2026-12-24=2027-01-02.",
        says: "Write first and last day, as 2026-12-24=2027-01-02.",
        additionalProperties: false,
      }),
    ),
    left: Type.Optional(
      Type.String({
        format: "day",
        description: "Since when no longer of the crew. The name stays on what was signed.",
        says: "Write the date as year-month-day: 2018-03-12.",
      }),
    ),
  },
  {
    ...closed,
    $id: "loftbell.person-row.json",
    title: "Crew row",
    description: "One of the crew, one CSV row.",
  },
);
export type Person = Static<typeof PersonSchema>;
