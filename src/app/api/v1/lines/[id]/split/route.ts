import { SPLIT_LINE } from "@/edge/contracts/documents";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { splitStored } from "@/server/lines/rework";

export const POST = route(SPLIT_LINE, ({ params: { id }, body, actor, services }) =>
  kept(splitStored(services, id, body, actor.name)),
);
