import { err, ok } from "@/core/result";
import { TAKE_BACK } from "@/edge/contracts/register";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { takeBack } from "@/server/bench/keep-result";

/** Takes back a reading that was kept from the bench book; what a job measured or was brought in stays. */
export const DELETE = route(TAKE_BACK, ({ params: { tag, id }, services }) =>
  takeBack(services, tag, Number(id))
    ? ok(null)
    : err(refused(404, "No such reading", `${tag} has no reading ${id} that can be taken back.`)),
);
