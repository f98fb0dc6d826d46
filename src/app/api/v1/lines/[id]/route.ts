import { err, ok } from "@/core/result";
import { GET_LINE, SAVE_LINE } from "@/edge/contracts/documents";
import { attachment } from "@/edge/files";
import { refusal, refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { saveLine } from "@/server/lines/save-line";

const none = (id: string) => err(refused(404, "No such line", `There is no line "${id}" here.`));

export const GET = route(GET_LINE, ({ params: { id }, query: { revision }, services: { library } }) => {
  const document = revision === undefined ? library.line(id) : library.lineAt(id, revision);
  return document === undefined ? none(id) : ok(attachment(document, `${id}.line.json`));
});

export const PUT = route(SAVE_LINE, ({ params: { id }, body, services }) => {
  if (services.library.lineVersion(id) === undefined) return none(id);
  const saved = saveLine(services, body, id);
  return saved.ok ? ok({ id: saved.value.id }) : err(refusal(422, "The line is not valid", saved.error));
});
