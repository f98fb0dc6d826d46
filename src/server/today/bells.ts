import { type Bell, inRingingOrder } from "@/core/job";
import { AT_ONCE } from "@/data";
import { bellWords, type SpokenBell, speaker } from "@/words";
import type { Services } from "../services";

/** Bells of the calendar that any screen has room for. */
const MOST_DUE = 60;

/** What rings, nearest first: open jobs, then the next that is due by the calendar. Read from what was stored. */
export function bells({ summaries, register, now }: Services): SpokenBell[] {
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
  return inRingingOrder([...fromJobs, ...fromValves]).map((bell) => bellWords(speaker(), bell));
}
