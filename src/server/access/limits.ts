import { RateLimiterMemory, RateLimiterRes } from "rate-limiter-flexible";
import type { SignInFailure } from "@/core/people";
import { err, ok, type Result } from "@/core/result";
import type { Services } from "../services";

const MINUTES = 15;
const WRONG_OF_NAME = 5;
/** Many sit behind one address. */
const WRONG_OF_ADDRESS = 60;

interface Limits {
  readonly name: RateLimiterMemory;
  readonly address: RateLimiterMemory;
}

const limits = ({ kept }: Services): Limits => {
  const known = kept.get("sign-in-limits") as Limits | undefined;
  if (known !== undefined) return known;
  const limiter = (keyPrefix: string, points: number) =>
    new RateLimiterMemory({ keyPrefix, points, duration: MINUTES * 60, blockDuration: MINUTES * 60 });
  const made = { name: limiter("name", WRONG_OF_NAME), address: limiter("address", WRONG_OF_ADDRESS) };
  kept.set("sign-in-limits", made);
  return made;
};

const plain = (name: string) => name.trim().toLowerCase().slice(0, 80);

/**
 * Counts a try before it is looked at, so that many at once are no more tries than one after another. The right one
 * gives them back.
 *
 * @param key what is tried: a name, or the kind of code
 */
export async function tryOnce(
  services: Services,
  key: string,
  address: string,
): Promise<Result<() => Promise<void>, Extract<SignInFailure, { kind: "locked" }>>> {
  const { name, address: from } = limits(services);
  for (const [limiter, of, whom] of [
    [from, address, "address"],
    [name, plain(key), "name"],
  ] as const) {
    const refused = await limiter.consume(of).then(
      () => undefined,
      (thrown: unknown) => thrown,
    );
    if (refused === undefined) continue;
    if (!(refused instanceof RateLimiterRes)) throw refused;
    return err({ kind: "locked", minutes: Math.max(1, Math.ceil(refused.msBeforeNext / 60_000)), whom });
  }
  return ok(async () => {
    await name.delete(plain(key));
    await from.reward(address);
  });
}
