import { err, ok } from "@/core/result";
import { REMOVE_STORE, SAVE_STORE } from "@/edge/contracts/store";
import { GET_STORE } from "@/edge/contracts/taking-out";
import { attachment } from "@/edge/files";
import { kept } from "@/edge/kept";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { removeThing } from "@/server/own/save-thing";
import { saveStoreHead } from "@/server/store/own-store";

export const GET = route(GET_STORE, ({ params: { id }, services: { library } }) => {
  const store = library.stores().find((each) => each.id === id);
  return store === undefined
    ? err(refused(404, "No such store", `There is no store "${id}" here.`))
    : ok(attachment(store, `${id}.store.json`));
});

export const PUT = route(SAVE_STORE, ({ params: { id }, body, actor, services }) =>
  kept(saveStoreHead(services, id, body, actor.name)),
);

export const DELETE = route(REMOVE_STORE, ({ params: { id }, actor, services }) =>
  kept(removeThing(services, "store", id, actor.name)),
);
