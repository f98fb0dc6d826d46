import type { Problem, Result } from "@/core/result";
import { err } from "@/core/result";
import { type NoRounds, roundsGround } from "@/server/rounds/planned-rounds";
import type { HouseGround } from "@/server/rounds/rounds-now";
import type { Services } from "@/server/services";
import { kept } from "./kept";
import { type Refusal, refusal } from "./problem";

/** Why nothing can be planned, as a refusal. */
export const noRounds = ({ status, title, problems, more }: NoRounds): Refusal =>
  refusal(status, title, problems, more);

/** Does something with the rounds as they are asked now. */
export async function onRounds<T>(
  services: Services,
  does: (ground: HouseGround) => Result<T, readonly Problem[]>,
): Promise<Result<T, Refusal>> {
  const ground = await roundsGround(services);
  return ground.ok ? kept(does(ground.value)) : err(noRounds(ground.error));
}
