import type { HouseAsked, NoCrews } from "@/core/due-work";
import type { RoundsWeek } from "@/core/formats";
import { ok, type Result } from "@/core/result";
import {
  answerPlan,
  type PlannedShift,
  placedIn,
  planBound,
  planStood,
  type RoundsPlanAnswer,
} from "@/core/rounds";
import type { IntegerSolver } from "@/core/store";
import { speaker, whyNotWords, whyNoWeekWords } from "@/words";
import type { Services } from "../services";
import { askHouse } from "./ask-house";
import { planWeeks } from "./kept-weeks";
import { type HouseGround, type Proposal, readAsked } from "./rounds-now";

/** What is asked of the rounds, with a plan of it where none is kept. */
export function propose(services: Services, solve: IntegerSolver): Result<HouseGround, NoCrews> {
  const found = askHouse(services);
  if (!found.ok) return found;
  const asked = found.value;
  const rows = keptOf(services, asked);
  if (rows.length > 0) {
    const read = readAsked(asked);
    const { shifts } = planStood(read, planWeeks(asked.weeks, rows));
    return ok({ asked, bound: planBound(read, placedIn(shifts)) });
  }
  const answer = answered(asked, solve);
  return ok({ asked, bound: answer.bound, proposal: spoken(answer) });
}

/** Weeks from this one on of which a plan is kept. */
export const keptOf = ({ things }: Services, { weeks }: HouseAsked): RoundsWeek[] =>
  things.all("rounds").filter(({ id }) => weeks.some((week) => week.id === id));

export function answered(
  { question }: HouseAsked,
  solve: IntegerSolver,
  before?: readonly PlannedShift[],
): RoundsPlanAnswer {
  const planned = answerPlan(question, { solve, ...(before && { before }) });
  // The question is made here: what is wrong with it is a bug of ours.
  if (!planned.ok) throw new Error(JSON.stringify(planned.error));
  return planned.value;
}

export function spoken({ shifts, unplaced }: RoundsPlanAnswer): Proposal {
  const words = speaker();
  return {
    shifts,
    unplaced: unplaced.map(({ task, week, why = [] }) => ({
      task,
      says: [
        ...new Set([
          ...(week === undefined ? [] : [whyNoWeekWords(words, week)]),
          ...why.map((each) => whyNotWords(words, each)),
        ]),
      ],
    })),
  };
}
