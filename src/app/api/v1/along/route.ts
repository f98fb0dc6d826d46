import { err } from "@/core/result";
import { TAKE_ALONG } from "@/edge/contracts/along";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { along } from "@/server/along/along";

export const dynamic = "force-dynamic";

export const GET = route(TAKE_ALONG, ({ query: { what, id }, services }) => {
  const found = along(services, what, id);
  return found.ok ? found : err(refusal(422, "Nothing to take along", [found.error]));
});
