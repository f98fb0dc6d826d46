import { err, ok } from "@/core/result";
import { needsSession } from "@/edge/coming-in";
import { REMOVE_PASSKEY } from "@/edge/contracts/people";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { removePasskey } from "@/server/access/passkeys";

export const DELETE = route(REMOVE_PASSKEY, ({ params: { id }, entered, services }) => {
  const who = needsSession(entered);
  if (!who.ok) return who;
  return removePasskey(services, who.value, id)
    ? ok(null)
    : err(refused(404, "Not here", "You have no such passkey here any more."));
});
