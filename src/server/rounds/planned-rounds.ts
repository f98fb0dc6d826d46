import type { HouseRounds } from "@/core/due-work";
import { err, ok, type Result } from "@/core/result";
import type { HouseRoundsWork } from "../heavy/house-rounds-task";
import { plannedElsewhere } from "../heavy/pool";
import type { TaskResult } from "../heavy/tasks";
import { clockAheadMinutes, type Services } from "../services";
import type { PlannedAgain } from "./plan-again";
import { keptOf } from "./propose";
import { type HouseGround, roundsNow } from "./rounds-now";

const HOUR_MS = 3_600_000;

/** Why nothing can be planned. */
export type NoRounds = Omit<Extract<TaskResult, { readonly ok: false }>, "ok">;
type Found = Result<HouseGround, NoRounds>;
interface Kept {
  readonly of: string;
  readonly ground: Promise<Found>;
}

const keyOf = ({ live, now }: Services) => `${live.changes} ${Math.floor(now() / HOUR_MS)}`;

/** What is asked of the rounds: once for all who ask, anew when something changed or an hour has gone by. */
export function roundsGround(services: Services): Promise<Found> {
  const of = keyOf(services);
  const last = services.kept.get("rounds") as Kept | undefined;
  if (last?.of === of) return last.ground;
  const ground = workedOut("ask") as Promise<Found>;
  services.kept.set("rounds", { of, ground } satisfies Kept);
  // What failed is tried again by whoever asks next.
  ground.catch(() => services.kept.delete("rounds"));
  return ground;
}

async function workedOut(does: HouseRoundsWork["does"]): Promise<Result<object, NoRounds>> {
  const found = await plannedElsewhere({ task: "rounds-house", does, ahead: clockAheadMinutes() });
  return found.ok ? ok(found.value) : err(found);
}

/** All of it planned again, what is published and fixed staying where it is. */
export async function againPlanned(services: Services): Promise<Result<PlannedAgain, NoRounds>> {
  const of = keyOf(services);
  const found = await workedOut("again");
  if (!found.ok) return found;
  const { asked, bound, ...more } = found.value as PlannedAgain;
  services.kept.set("rounds", { of, ground: Promise.resolve(ok({ asked, bound })) } satisfies Kept);
  return ok({ asked, bound, ...more });
}

/** The rounds as they stand. */
export async function plannedRounds(services: Services): Promise<Result<HouseRounds, NoRounds>> {
  const ground = await roundsGround(services);
  if (!ground.ok) return ground;
  return ok(planNow(services, ground.value));
}

/** The plan as it stands of what is asked. */
export const planNow = (services: Services, ground: HouseGround): HouseRounds =>
  roundsNow(asStored(services, ground), keptOf(services, ground.asked));

/** A proposal is none any more as soon as something is kept. */
const asStored = (services: Services, { proposal, ...ground }: HouseGround): HouseGround =>
  proposal === undefined || keptOf(services, ground.asked).length > 0 ? ground : { ...ground, proposal };

/**
 * Keeps a plan: what is asked did not become another by that, and need not be worked out again, as long as nothing else
 * changed since it was.
 */
export function whileAsked<T>(services: Services, { asked, bound }: HouseGround, keep: () => T): T {
  const { changes } = services.live;
  const isNow = (services.kept.get("rounds") as Kept | undefined)?.of === keyOf(services);
  const done = keep();
  if (isNow && services.live.changes <= changes + 1)
    services.kept.set("rounds", {
      of: keyOf(services),
      ground: Promise.resolve(ok({ asked, bound })),
    } satisfies Kept);
  return done;
}
