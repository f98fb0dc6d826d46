import type { Static, TSchema } from "@sinclair/typebox";
import { Ajv, type ErrorObject, type ValidateFunction } from "ajv";
import addFormats from "ajv-formats";
import { err, ok, type Problem, type Result } from "../result";
import { isDay, isDayOrInstant, isInstant } from "./dates";
import { HouseSchema } from "./house";
import { InstrumentSchema } from "./instrument";
import { JobSchema } from "./job";
import { EVENT_VERSION, EventSchema } from "./job-event";
import { LineSchema } from "./line";
import { PersonSchema } from "./person";
import { PlaceSchema } from "./place";
import { inWords } from "./problem-words";
import { ReadingSchema, ValveSchema } from "./register";
import { SheetSchema } from "./sheet";
import { StoreSchema } from "./store";
import { TroubleSchema } from "./trouble";

/** The documents that travel as files, by the name in their `format` field. */
export const DOCUMENT_SCHEMAS = {
  "loftbell.sheet": SheetSchema,
  "loftbell.line": LineSchema,
  "loftbell.store": StoreSchema,
  "loftbell.job": JobSchema,
  "loftbell.house": HouseSchema,
  "loftbell.trouble": TroubleSchema,
} as const;
export type DocumentFormat = keyof typeof DOCUMENT_SCHEMAS;

/** The newest version of each that this program reads; it reads every older one, too. */
const NEWEST: Record<DocumentFormat, number> = {
  "loftbell.sheet": 2,
  "loftbell.line": 1,
  "loftbell.store": 1,
  "loftbell.job": 1,
  "loftbell.house": 1,
  "loftbell.trouble": 1,
};

/** The rows of the CSV files, by the name of the file's subject. */
export const ROW_SCHEMAS = {
  register: ValveSchema,
  readings: ReadingSchema,
  crew: PersonSchema,
  places: PlaceSchema,
  instruments: InstrumentSchema,
} as const;
export type RowFile = keyof typeof ROW_SCHEMAS;

const ajv = addFormats(
  new Ajv({ allErrors: true, discriminator: true, verbose: true, allowUnionTypes: true }),
)
  .addVocabulary(["says"])
  .addFormat("instant", isInstant)
  .addFormat("day", isDay)
  .addFormat("day-or-open", (text: string) => text === "open" || isDay(text))
  .addFormat("day-or-instant", isDayOrInstant);
const validators = new Map<TSchema, ValidateFunction>();

function validatorOf(schema: TSchema): ValidateFunction {
  const known = validators.get(schema);
  if (known !== undefined) return known;
  // The same schema stands inside others, so ids would clash if Ajv kept them all.
  const { $id: _, ...anonymous } = schema;
  const made = ajv.compile(anonymous);
  validators.set(schema, made);
  return made;
}

const MOST_PROBLEMS = 50;
/** A broken document of megabytes breaks in the same way everywhere: the first errors tell enough. */
const MOST_ERRORS = 400;

/** Checks a value against one schema; problems name the path and what to do. */
export function readAs<S extends TSchema>(schema: S, value: unknown, at = ""): Result<Static<S>, Problem[]> {
  const validate = validatorOf(schema);
  if (validate(value)) return ok(value as Static<S>);
  return err(problemsFrom((validate.errors ?? []).slice(0, MOST_ERRORS), at));
}

/** Checks an event; one written by a newer program is told apart from a broken one. */
export function readEvent(value: unknown, at = ""): Result<Static<typeof EventSchema>, Problem[]> {
  const version = (value as { v?: unknown } | null)?.v;
  if (typeof version === "number" && version > EVENT_VERSION)
    return err([
      {
        path: `${at}/v`,
        message: `This event was written by a newer Loft Bell (event version ${version}; this one reads up to ${EVENT_VERSION}). Update this program, then send it again. Nothing was stored.`,
      },
    ]);
  return readAs(EventSchema, value, at);
}

/** Reads a whole document of any of the open formats. */
export function readDocument(
  value: unknown,
): Result<{ [F in DocumentFormat]: Static<(typeof DOCUMENT_SCHEMAS)[F]> }[DocumentFormat], Problem[]> {
  const head = value as { format?: unknown; version?: unknown } | null;
  if (typeof head !== "object" || head === null)
    return err([
      {
        path: "",
        message: "This is not a Loft Bell document: a JSON object with a format field is expected.",
      },
    ]);
  const format = head.format;
  if (typeof format !== "string" || !Object.hasOwn(DOCUMENT_SCHEMAS, format))
    return err([
      { path: "/format", message: `Set format to one of ${Object.keys(DOCUMENT_SCHEMAS).join(", ")}.` },
    ]);
  const newest = NEWEST[format as DocumentFormat];
  if (typeof head.version === "number" && head.version > newest)
    return err([
      {
        path: "/version",
        message: `This file is of version ${head.version}, newer than this program reads (${newest}). Update Loft Bell first.`,
      },
    ]);
  return readAs(DOCUMENT_SCHEMAS[format as DocumentFormat], value);
}

function problemsFrom(errors: readonly ErrorObject[], at: string): Problem[] {
  const seen = new Map<string, Problem>();
  for (const error of errors) {
    const problem = inWords(error, at);
    // A broken branch is reported once for itself and once for the union around it.
    if (error.keyword !== "oneOf") seen.set(`${problem.path} ${problem.message}`, problem);
    if (seen.size >= MOST_PROBLEMS) break;
  }
  return [...seen.values()];
}
