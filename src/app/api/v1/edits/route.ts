import { ok } from "@/core/result";
import { EDITS } from "@/edge/contracts/own";
import { route } from "@/edge/route";
import { editsBefore } from "@/server/own/edits";

export const GET = route(EDITS, ({ query: { before }, services }) =>
  ok({ edits: editsBefore(services, before) }),
);
