import { REPORT_FAULT } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { reportFault } from "@/server/own/valves";

export const POST = route(REPORT_FAULT, ({ params: { tag }, body: { says }, actor, services }) =>
  kept(reportFault(services, { tag, says }, actor.name)),
);
