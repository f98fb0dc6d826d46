import { err, ok } from "@/core/result";
import { GIVE_ROLE, TAKE_ACCOUNT } from "@/edge/contracts/people";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { giveRole, takeAccount } from "@/server/access/accounts";

export const PUT = route(GIVE_ROLE, async ({ params: { person }, body: { role }, actor, services }) => {
  const done = kept(await giveRole(services, person, role, actor.name));
  return done.ok ? ok(done.value ?? {}) : err(done.error);
});

export const DELETE = route(TAKE_ACCOUNT, ({ params: { person }, actor, services }) =>
  kept(takeAccount(services, person, actor.name)),
);
