import { SheetSchema } from "@/core/formats";
import { services } from "@/server/services";
import { saveSheet } from "@/server/sheets/save-sheet";
import { problem, readBody } from "../../edge";

export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request, SheetSchema);
  if (!body.ok) return body.error;
  const { id, revision } = body.value;
  const newest = services().library.sheet(id);
  const saved = saveSheet(services(), body.value, newest && { id, revision });
  if (saved.ok) return Response.json({ id: saved.value.id, revision: saved.value.revision }, { status: 201 });
  const stale = saved.error.some((each) => each.path === "/revision");
  return problem(
    stale ? 409 : 422,
    stale ? "Not the newest revision" : "The sheet is not valid",
    saved.error,
  );
}
