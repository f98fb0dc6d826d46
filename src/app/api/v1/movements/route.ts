import { ok } from "@/core/result";
import { MOVEMENTS } from "@/edge/contracts/store";
import { route } from "@/edge/route";

const PAGE = 100;

export const GET = route(MOVEMENTS, ({ query: { before }, services }) =>
  ok({ entries: services.movements.recent(PAGE, before) }),
);
