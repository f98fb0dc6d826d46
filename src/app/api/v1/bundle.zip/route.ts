import { Readable } from "node:stream";
import { ok } from "@/core/result";
import { TAKE_BUNDLE } from "@/edge/contracts/bundle";
import { route } from "@/edge/route";
import { packBundle } from "@/server/bundle/pack";
import { momentServices } from "@/server/services";

export const GET = route(TAKE_BUNDLE, ({ services }) => {
  const moment = momentServices();
  const zip = packBundle(moment);
  zip.once("close", () => moment.db.$client.close());
  const day = new Date(services.now()).toISOString().slice(0, "2026-11-30".length);
  return ok(
    new Response(Readable.toWeb(zip) as ReadableStream<Uint8Array>, {
      headers: {
        "content-type": "application/zip",
        "content-disposition": `attachment; filename="loftbell-${day}.zip"`,
        "cache-control": "no-store",
      },
    }),
  );
});
