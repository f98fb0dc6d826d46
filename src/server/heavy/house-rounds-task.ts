import { noCrewsWords, speaker } from "@/words";
import { plannedAgain } from "../rounds/plan-again";
import { propose } from "../rounds/propose";
import { momentServices, setClockAhead } from "../services";
import { highsSolver } from "./highs";
import type { TaskResult } from "./tasks";

/** The rounds of this house, from what is stored: read on a connection of its own. */
export interface HouseRoundsWork {
  readonly task: "rounds-house";
  /** What is asked and what is proposed; or all of it planned again. */
  readonly does: "ask" | "again";
  /** Minutes the server's clock is set ahead. */
  readonly ahead: number;
}

export async function houseRoundsTask({ does, ahead }: HouseRoundsWork): Promise<TaskResult> {
  setClockAhead(ahead);
  const solve = await highsSolver();
  const services = momentServices();
  try {
    const planned = does === "ask" ? propose(services, solve) : plannedAgain(services, solve);
    return planned.ok
      ? planned
      : {
          ok: false,
          status: 422,
          title: "Nobody to plan for",
          problems: [{ path: "", message: noCrewsWords(speaker(), planned.error) }],
        };
  } finally {
    services.db.$client.close();
  }
}
