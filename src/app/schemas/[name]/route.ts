import { DOCUMENT_SCHEMAS, InstrumentLineSchema } from "@/core/formats";
import { err, ok } from "@/core/result";
import { SCHEMA } from "@/edge/contracts/here";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";

export const GET = route(SCHEMA, ({ params: { name } }) => {
  const schema = Object.entries({
    ...DOCUMENT_SCHEMAS,
    "loftbell.instrument-line": InstrumentLineSchema,
  }).find(([format]) => `${format}.json` === name)?.[1];
  return schema === undefined
    ? err(refused(404, "No such schema", `There is no schema "${name}".`))
    : ok(
        Response.json(
          { $schema: "https://json-schema.org/draft/2020-12/schema", ...schema },
          { headers: { "content-type": "application/schema+json" } },
        ),
      );
});
