import { takeBack } from "@/server/bench/keep-result";
import { services } from "@/server/services";
import { problem } from "../../../../../edge";

/** Takes back a reading that was kept from the bench book; what a job measured or was brought in stays. */
export async function DELETE(
  _request: Request,
  { params }: { params: Promise<{ tag: string; id: string }> },
): Promise<Response> {
  const { tag, id } = await params;
  return takeBack(services(), tag, Number(id))
    ? new Response(null, { status: 204 })
    : problem(404, "No such reading", [
        { path: "", message: `${tag} has no reading ${id} that can be taken back.` },
      ]);
}
