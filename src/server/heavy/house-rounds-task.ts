import { noCrewsWords, speaker } from "@/words";
import { houseRounds } from "../rounds/house-rounds";
import { momentServices, setClockAhead } from "../services";
import { highsSolver } from "./highs";
import type { TaskResult } from "./tasks";

/** The rounds of this house, planned from what is stored: read on a connection of its own. */
export interface HouseRoundsWork {
  readonly task: "rounds-house";
  /** Minutes the server's clock is set ahead. */
  readonly ahead: number;
}

export async function houseRoundsTask({ ahead }: HouseRoundsWork): Promise<TaskResult> {
  setClockAhead(ahead);
  const solve = await highsSolver();
  const services = momentServices();
  try {
    const planned = houseRounds(services, solve);
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
