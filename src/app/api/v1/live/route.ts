import { ok } from "@/core/result";
import { LIVE } from "@/edge/contracts/here";
import { route } from "@/edge/route";
import { holderOf } from "@/server/access/sessions";
import { liveStream } from "@/server/today/news";

export const dynamic = "force-dynamic";

/** Whoever is signed out hears nothing any more. */
export const GET = route(LIVE, ({ services, signal, entered }) =>
  ok(
    new Response(
      liveStream(
        services,
        signal,
        () => entered === undefined || holderOf(services, entered.session) !== undefined,
      ),
      {
        headers: { "content-type": "text/event-stream", "cache-control": "no-store, no-transform" },
      },
    ),
  ),
);
