import { ok } from "@/core/result";
import { OPENAPI } from "@/edge/contracts/here";
import { openApi } from "@/edge/openapi";
import { route } from "@/edge/route";

export const GET = route(OPENAPI, () => ok(openApi()));
