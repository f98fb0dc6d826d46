import { ok } from "@/core/result";
import { BELLS } from "@/edge/contracts/here";
import { route } from "@/edge/route";
import { newsNow } from "@/server/today/news";

export const dynamic = "force-dynamic";

export const GET = route(BELLS, ({ services }) => ok(newsNow(services)));
