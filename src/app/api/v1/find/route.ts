import { ok } from "@/core/result";
import { FIND } from "@/edge/contracts/here";
import { route } from "@/edge/route";
import { find } from "@/server/find/find";

export const GET = route(FIND, ({ query: { words }, services }) => ok(find(services, words)));
