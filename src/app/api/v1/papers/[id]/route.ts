import { err, ok } from "@/core/result";
import { GET_PAPER, REMOVE_PAPER } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { removePaper } from "@/server/own/papers";

export const GET = route(GET_PAPER, ({ params: { id }, services: { things } }) => {
  const paper = things.one("paper", id);
  const bytes = paper && things.bytes(paper.sha256);
  return paper === undefined || bytes === undefined
    ? err(refused(404, "No such paper", "It is not here. Somebody may have taken it away."))
    : ok(
        new Response(new Uint8Array(bytes), {
          headers: {
            "content-type": paper.mime,
            // Whatever somebody's PDF holds, it is opened apart from this application.
            "content-security-policy": "sandbox",
            "content-disposition": `${paper.mime === "application/pdf" ? "attachment" : "inline"}; filename*=UTF-8''${encodeURIComponent(paper.name)}${paper.mime === "application/pdf" ? ".pdf" : ".jpg"}`,
            "x-content-type-options": "nosniff",
            "cache-control": "private, max-age=31536000, immutable",
          },
        }),
      );
});

export const DELETE = route(REMOVE_PAPER, ({ params: { id }, actor, services }) =>
  kept(removePaper(services, id, actor.name)),
);
