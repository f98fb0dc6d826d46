import type { ErrorObject } from "ajv";
import type { Problem } from "../result";

/** A value as it is quoted in a message: short, and never by walking into it, for it may be bottomless. */
function quoted(value: unknown): string {
  switch (typeof value) {
    case "string":
      return `"${value.length > 60 ? `${value.slice(0, 57)}…` : value}"`;
    case "number":
    case "boolean":
      return String(value);
    case "object":
      return value === null ? "Nothing" : Array.isArray(value) ? "A list" : "An object";
    default:
      return "This";
  }
}

const TYPES: Readonly<Record<string, string>> = {
  string: "words",
  number: "a number",
  integer: "a whole number",
  boolean: "true or false",
  array: "a list",
  object: "an object with fields",
  null: "nothing",
};
const entries = (count: number) => `${count} ${count === 1 ? "entry" : "entries"}`;

/** What a schema found wrong, at its path, in words that say what to do about it. */
export function inWords(error: ErrorObject, at: string): Problem {
  const path = at + error.instancePath;
  const { params, data } = error;
  const own = (error.parentSchema as { says?: string } | undefined)?.says;
  const say = (message: string): Problem => ({ path, message });
  switch (error.keyword) {
    case "required":
      return { path: `${path}/${params.missingProperty}`, message: "Missing: fill this in." };
    case "additionalProperties":
      return {
        path: `${path}/${params.additionalProperty}`,
        message: "Unknown field: remove it or correct its name.",
      };
    case "enum":
      return say(`${quoted(data)} is not known here. Use one of: ${params.allowedValues.join(", ")}.`);
    case "const":
      return say(`${quoted(data)} does not belong here: it has to be ${quoted(params.allowedValue)}.`);
    case "discriminator":
      return { path: `${path}/kind`, message: `${quoted(params.tagValue)} is no kind known here.` };
    case "pattern":
    case "format":
      return say(`${quoted(data)} cannot be taken. ${own ?? "It is not written as it has to be."}`);
    case "type":
      return say(
        own !== undefined
          ? `${quoted(data)} cannot stand here. ${own}`
          : `${quoted(data)} cannot stand here: give ${[params.type]
              .flat()
              .map((type) => TYPES[type] ?? type)
              .join(" or ")}.`,
      );
    case "minLength":
      return say(data === "" ? "Fill this in." : `Too short: at least ${params.limit} letters.`);
    case "maxLength":
      return say(`Too long: at most ${params.limit} letters.`);
    case "minimum":
      return say(`${quoted(data)} is too small: at least ${params.limit}.`);
    case "maximum":
      return say(`${quoted(data)} is too large: at most ${params.limit}.`);
    case "exclusiveMinimum":
      return say(`${quoted(data)} is too small: it has to be more than ${params.limit}.`);
    case "exclusiveMaximum":
      return say(`${quoted(data)} is too large: it has to be less than ${params.limit}.`);
    case "minItems":
      return say(`Too few: at least ${entries(params.limit)}.`);
    case "maxItems":
      return say(`Too many: at most ${entries(params.limit)}.`);
    case "maxProperties":
      return say(`Too many fields: at most ${params.limit}.`);
    case "uniqueItems":
      return say("An entry stands here twice. Each once.");
    default:
      return say(`${quoted(data)} is not as it has to be here.`);
  }
}
