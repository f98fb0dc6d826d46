import { services } from "@/server/services";
import { problem } from "../../../edge";

export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const { id } = await params;
  const document = services().library.line(id);
  if (document === undefined)
    return problem(404, "No such line", [{ path: "", message: `There is no line "${id}" here.` }]);
  return Response.json(document, {
    headers: { "content-disposition": `attachment; filename="${document.id}.line.json"` },
  });
}
