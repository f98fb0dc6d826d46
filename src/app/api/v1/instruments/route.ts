import { ok } from "@/core/result";
import { LIST_INSTRUMENTS } from "@/edge/contracts/own";
import { route } from "@/edge/route";

export const dynamic = "force-dynamic";

export const GET = route(LIST_INSTRUMENTS, ({ services }) =>
  ok({ instruments: services.things.all("instrument") }),
);
