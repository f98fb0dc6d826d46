import { err, ok } from "@/core/result";
import { LABEL } from "@/edge/contracts/store";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { labelled } from "@/server/find/label";

export const GET = route(LABEL, ({ query: { reads }, services }) => {
  const found = labelled(services, reads);
  return found === undefined
    ? err(
        refusal(404, "Nothing here bears this label", [
          {
            path: "/reads",
            message: `Nothing here bears the label "${reads}". Write it as its label at the item, then it is found.`,
          },
        ]),
      )
    : ok(found);
});
