import { err, ok } from "@/core/result";
import { GET_LINE, REMOVE_LINE, SAVE_LINE } from "@/edge/contracts/documents";
import { attachment } from "@/edge/files";
import { kept } from "@/edge/kept";
import { refusal, refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { saveLine } from "@/server/lines/save-line";
import { removeThing } from "@/server/own/save-thing";

const none = (id: string) => err(refused(404, "No such line", `There is no line "${id}" here.`));

export const GET = route(GET_LINE, ({ params: { id }, query: { revision }, services: { library } }) => {
  const document = revision === undefined ? library.line(id) : library.lineAt(id, revision);
  return document === undefined ? none(id) : ok(attachment(document, `${id}.line.json`));
});

export const PUT = route(SAVE_LINE, ({ params: { id }, body, actor, services }) => {
  if (services.library.lineVersion(id) === undefined) return none(id);
  const saved = saveLine(services, body, id, actor.name);
  return saved.ok ? ok({ id: saved.value.id }) : err(refusal(422, "The line is not valid", saved.error));
});

export const DELETE = route(REMOVE_LINE, ({ params: { id }, actor, services }) =>
  services.library.lineVersion(id) === undefined
    ? none(id)
    : kept(removeThing(services, "line", id, actor.name)),
);
