import type { Bell } from "@/core/job";
import { inRingingOrder } from "@/core/ringing";
import { AT_ONCE } from "@/data";
import { bellWords, type SpokenBell, speaker } from "@/words";
import type { Services } from "../services";

/** Bells of the calendar that any screen has room for. */
const MOST_DUE = 60;

/** What rings, nearest first: open jobs, what is due by the calendar, trouble that others have. Read from what was stored. */
export function bells({ summaries, register, things, now }: Services): SpokenBell[] {
  const fromJobs = summaries.openBells();
  const fromValves = register.dueNext(MOST_DUE).map(
    ({ tag, at, what, why, symptom }): Bell => ({
      id: `${tag}:due`,
      kind: "due",
      at: at === AT_ONCE ? now() : at,
      what,
      why: symptom ?? why,
      valve: tag,
    }),
  );
  const fromCases = things.casesDue(MOST_DUE).flatMap((each): Bell[] =>
    register.valve(each.valve) === undefined
      ? []
      : [
          {
            id: `case:${each.id}`,
            kind: "case",
            at: Date.parse(each.due!),
            valve: each.valve,
            says: each.says,
            ended: each.ended,
            ...(each.to !== undefined && { to: each.to }),
          },
        ],
  );
  return inRingingOrder([...fromJobs, ...fromValves, ...fromCases]).map((bell) => bellWords(speaker(), bell));
}
