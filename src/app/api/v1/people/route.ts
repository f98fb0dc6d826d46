import { err, ok } from "@/core/result";
import { ADD_PERSON } from "@/edge/contracts/here";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { addPerson } from "@/server/own/add-person";

export const POST = route(ADD_PERSON, ({ body, actor, services }) => {
  const added = addPerson(services, body, actor.name);
  return added.ok
    ? ok({ id: added.value.id, name: added.value.name, edit: added.value.edit })
    : err(refusal(422, "Not added", added.error));
});
