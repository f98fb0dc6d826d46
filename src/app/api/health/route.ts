import { err, ok } from "@/core/result";
import { HEALTH } from "@/edge/contracts/here";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { health } from "@/server/health";

export const dynamic = "force-dynamic";

export const GET = route(HEALTH, ({ services }) => {
  const state = health(services);
  return state.ok
    ? ok(state)
    : err(
        refusal(503, "Not in order", [{ path: "", message: state.message }], {
          ok: false,
          message: state.message,
        }),
      );
});
