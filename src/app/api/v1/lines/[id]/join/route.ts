import { JOIN_LINE } from "@/edge/contracts/documents";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { joinStored } from "@/server/lines/rework";

export const POST = route(JOIN_LINE, ({ params: { id }, body, actor, services }) =>
  kept(joinStored(services, id, body, actor.name)),
);
