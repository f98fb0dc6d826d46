import type { TObject, TSchema } from "@sinclair/typebox";
import { DOCUMENT_SCHEMAS } from "@/core/formats";
import type { Contract } from "./contract";
import { CONTRACTS } from "./contracts";
import { PROBLEM_TYPE } from "./problem";
import { PERSON_HEADER } from "./who-is";

/** Schemas that stand under a name of their own and are pointed at. */
const NAMED: ReadonlyMap<unknown, string> = new Map(
  Object.entries(DOCUMENT_SCHEMAS).map(([format, schema]) => [schema, format.replace("loftbell.", "")]),
);

/** A schema as JSON, with the documents in it pointed at instead of repeated. */
function plain(schema: unknown, within?: unknown): unknown {
  if (Array.isArray(schema)) return schema.map((each) => plain(each));
  if (typeof schema !== "object" || schema === null) return schema;
  const name = NAMED.get(schema);
  if (name !== undefined && schema !== within) return { $ref: `#/components/schemas/${name}` };
  return Object.fromEntries(
    Object.entries(schema).flatMap(([key, value]) =>
      key === "$id" || value === undefined ? [] : [[key, plain(value)] as const],
    ),
  );
}

const parameters = (contract: Contract) => [
  ...fields(contract.params).map(([name, schema]) => ({
    name,
    in: "path",
    required: true,
    schema: plain(schema),
  })),
  ...fields(contract.query).map(([name, schema]) => ({
    name,
    in: "query",
    required: contract.query.required?.includes(name) === true,
    schema: plain(schema),
  })),
  ...(contract.asker === "anybody" ? [] : [{ $ref: "#/components/parameters/person" }]),
];

const fields = (schema: TObject): [string, TSchema][] => Object.entries(schema.properties);

function requestBody(contract: Contract) {
  const types = contract.takes ?? (contract.body === undefined ? [] : ["application/json"]);
  if (types.length === 0) return {};
  const schema = contract.describes ?? (contract.takes === undefined ? contract.body : undefined);
  return {
    requestBody: {
      required: true,
      content: Object.fromEntries(
        types.map((type) => [type, schema === undefined ? {} : { schema: plain(schema) }]),
      ),
    },
  };
}

function responses(contract: Contract) {
  const done =
    contract.status === 204
      ? { description: "Done." }
      : {
          description: String(contract.answer.description ?? "Done."),
          content:
            contract.gives === undefined
              ? { "application/json": { schema: plain(contract.answer) } }
              : { [contract.gives]: {} },
        };
  return {
    [contract.status]: done,
    ...Object.fromEntries(
      Object.entries(contract.refuses).map(([status, description]) => [
        status,
        { description, content: { [PROBLEM_TYPE]: { schema: { $ref: "#/components/schemas/problem" } } } },
      ]),
    ),
    default: { $ref: "#/components/responses/refused" },
  };
}

const operation = (contract: Contract) => ({
  operationId: contract.id,
  tags: [contract.chapter],
  summary: contract.says,
  parameters: parameters(contract),
  ...requestBody(contract),
  responses: responses(contract),
});

const PROBLEM = {
  type: "object",
  description: "RFC 9457, with every problem at its path and what to do about it.",
  required: ["type", "title", "status", "errors"],
  properties: {
    type: { type: "string" },
    title: { type: "string" },
    status: { type: "integer" },
    errors: {
      type: "array",
      items: {
        type: "object",
        required: ["path", "message"],
        properties: { path: { type: "string" }, message: { type: "string" } },
      },
    },
  },
};

/** Every route as OpenAPI 3.1, made from the contracts. */
export function openApi(): object {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const contract of CONTRACTS) {
    const path = paths[contract.path] ?? {};
    paths[contract.path] = path;
    path[contract.method.toLowerCase()] = operation(contract);
  }
  return {
    openapi: "3.1.0",
    info: {
      title: "Loft Bell",
      version: "1",
      description:
        "Valve service, computed. Writes are taken from this installation's own pages and from programs that are no browser; bodies are application/json.",
    },
    tags: [...new Set(CONTRACTS.map((each) => each.chapter))].map((name) => ({ name })),
    paths,
    components: {
      schemas: {
        ...Object.fromEntries(
          Object.entries(DOCUMENT_SCHEMAS).map(([format, schema]) => [
            format.replace("loftbell.", ""),
            plain(schema, schema),
          ]),
        ),
        problem: PROBLEM,
      },
      parameters: {
        person: {
          name: PERSON_HEADER,
          in: "header",
          required: false,
          description:
            "Who asks: a name or an id of the crew, percent-encoded. A browser sends its own cookie instead.",
          schema: { type: "string" },
        },
      },
      responses: {
        refused: {
          description:
            "400 not readable, 401 nobody of the crew, 403 another origin, 404 not here, 413 too large, 415 another type, 421 another host, 422 cannot be done, 503 cannot be stored.",
          content: { [PROBLEM_TYPE]: { schema: { $ref: "#/components/schemas/problem" } } },
        },
      },
    },
  };
}
