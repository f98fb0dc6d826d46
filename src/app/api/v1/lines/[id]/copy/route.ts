import { COPY_LINE } from "@/edge/contracts/documents";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { copyLine } from "@/server/lines/rework";

export const POST = route(COPY_LINE, ({ params: { id }, body, actor, services }) =>
  kept(copyLine(services, id, body, actor.name)),
);
