import { err, ok } from "@/core/result";
import { END_SESSION } from "@/edge/contracts/people";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { refusedAs } from "@/edge/who-is";
import { endSession } from "@/server/access/sessions";

export const DELETE = route(END_SESSION, ({ params: { id }, actor, role, entered, services }) => {
  const own = services.access.session(id)?.person === entered?.person;
  const refusal = own ? undefined : refusedAs(role, "keeper");
  if (refusal !== undefined) return err(refusal);
  return endSession(services, id, actor?.name ?? "")
    ? ok(null)
    : err(refused(404, "Ended already", "This one is signed out already."));
});
