import { err, ok } from "@/core/result";
import { KEEP_RESULT, READINGS } from "@/edge/contracts/register";
import { refusal, refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { keepResult } from "@/server/bench/keep-result";

/** Every reading of a valve, oldest first. */
export const GET = route(READINGS, ({ params: { tag }, services: { register, library } }) =>
  register.valve(tag) === undefined
    ? err(refused(404, "No such valve", `There is no valve "${tag}" in the register.`))
    : ok({ readings: library.readings(tag) }),
);

/** Keeps a result of the bench book with the valve. */
export const POST = route(KEEP_RESULT, ({ params: { tag }, body, actor, services }) => {
  const kept = keepResult(services, tag, body, actor);
  if (kept.ok) return kept;
  return err(
    kept.error.kind === "unknown-valve"
      ? refusal(404, "No such valve", kept.error.problems)
      : refusal(422, "Not valid", kept.error.problems),
  );
});
