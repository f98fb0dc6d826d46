import { err, ok } from "@/core/result";
import { NEW_LINE } from "@/edge/contracts/documents";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { saveLine } from "@/server/lines/save-line";

export const POST = route(NEW_LINE, ({ body, actor, services }) => {
  const saved = saveLine(services, body, undefined, actor.name);
  return saved.ok ? ok({ id: saved.value.id }) : err(refusal(422, "The line is not valid", saved.error));
});
