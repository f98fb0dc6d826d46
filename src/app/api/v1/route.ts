import { ROUTES, SCHEMA_NAMES } from "@/server/api/contract";

/** The list of routes, each with the JSON Schema of what it takes. */
export function GET(): Response {
  return Response.json({
    errors:
      "application/problem+json: {type, title, status, errors: [{path, message}]}; bodies over 5 MB: 413",
    schemas: SCHEMA_NAMES.map((name) => `/schemas/${name}.json`),
    routes: ROUTES,
  });
}
