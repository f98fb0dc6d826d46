import { ok } from "@/core/result";
import { LIVE } from "@/edge/contracts/here";
import { route } from "@/edge/route";
import { liveStream } from "@/server/today/news";

export const dynamic = "force-dynamic";

export const GET = route(LIVE, ({ services, signal }) =>
  ok(
    new Response(liveStream(services, signal), {
      headers: { "content-type": "text/event-stream", "cache-control": "no-store, no-transform" },
    }),
  ),
);
