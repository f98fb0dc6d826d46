import { DOCUMENT_SCHEMAS } from "@/core/formats";

export async function GET(
  _request: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  const { name } = await params;
  const schema = Object.entries(DOCUMENT_SCHEMAS).find(([format]) => `${format}.json` === name)?.[1];
  return schema === undefined
    ? Response.json({ errors: [{ path: "", message: `There is no schema "${name}".` }] }, { status: 404 })
    : Response.json(
        { $schema: "https://json-schema.org/draft/2020-12/schema", ...schema },
        { headers: { "content-type": "application/schema+json" } },
      );
}
