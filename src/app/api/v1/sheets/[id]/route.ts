import { services } from "@/server/services";
import { problem } from "../../../edge";

export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const { id } = await params;
  const revision = new URL(request.url).searchParams.get("revision");
  const document = services().library.sheet(id, revision === null ? undefined : Number(revision));
  if (document === undefined)
    return problem(404, "No such sheet", [
      {
        path: "",
        message: `There is no sheet "${id}"${revision === null ? "" : ` of revision ${revision}`} here.`,
      },
    ]);
  return Response.json(document, {
    headers: { "content-disposition": `attachment; filename="${document.id}.sheet.json"` },
  });
}
