import {
  type Circumstance,
  ELSE,
  type End,
  type Look,
  type LookNeed,
  type Trouble,
  UNKNOWN,
  UNLISTED,
} from "@/core/formats";
import { fixed, formatDuration } from "@/core/quantity";
import type { Advice, Lead, Odds } from "@/core/trouble";
import type { Speaker } from "./speaker";

/** A chance as so many in a hundred; a small one is not called none. */
export function inHundred({ mark }: Speaker, chance: number): string {
  const share = chance * 100;
  return share > 0 && share < 0.95
    ? `0${mark === "comma" ? "," : "."}${Math.max(1, Math.round(share * 10))}`
    : fixed(share, 0, mark);
}

export const minutesWords = (minutes: number): string =>
  minutes < 1.5 ? "1 min" : formatDuration(Math.round(minutes) * 60);

export const causeName = ({ say }: Speaker, { causes }: Trouble, id: string): string =>
  id === ELSE ? say.trouble.other : (causes.find((cause) => cause.id === id)?.name ?? id);

export function circumstanceWords({ say }: Speaker, when: Circumstance): string {
  const { circumstances: of } = say.trouble;
  switch (when.kind) {
    case "older-than":
      return of["older-than"](when.years);
    case "not-serviced-for":
      return of["not-serviced-for"](when.months);
    case "worked-on-within":
      return of["worked-on-within"](when.days);
    case "season":
      return of.season[when.is];
    case "water":
      return of.water[when.is];
    case "duty":
      return of.duty[when.is];
    case "trend":
      return of.trend[when.way](when.what.replaceAll("-", " "));
    case "frost":
    case "neighbour-passes":
    case "held-by-a-job":
      return of[when.kind];
  }
}

/** What an answer says: its words; of a measure what the figure means. */
export function answerWords(look: Look, answer: string, unknown: string): string {
  if (answer === UNKNOWN) return unknown;
  if (look.kind === "choice") return look.answers.find(({ id }) => id === answer)?.label ?? answer;
  return look.says[answer as "below" | "within" | "above"] ?? answer;
}

const timesWords = (speaker: Speaker, times: number): string => {
  const { trouble } = speaker.say;
  const figure = (value: number) => fixed(value, value < 9.95 ? 1 : 0, speaker.mark);
  if (times > 1.05) return trouble.raises(figure(times));
  return times < 0.95 ? trouble.lowers(figure(1 / times)) : trouble.nothing;
};

export interface Reason {
  readonly says: string;
  readonly makes: string;
  readonly up: boolean;
}

/** What made a cause as likely as it is: where it began, what this valve and this day make of it, what was seen. */
export function oddsReasons(speaker: Speaker, knowledge: Trouble, odds: Odds, unknown: string): Reason[] {
  const { trouble } = speaker.say;
  const cause = knowledge.causes.find(({ id }) => id === odds.cause);
  return [
    ...(cause === undefined ? [{ says: trouble.otherWhy, makes: "", up: true }] : []),
    ...(odds.of > 0 ? [{ says: trouble.found(odds.found, odds.of), makes: "", up: odds.found > 0 }] : []),
    ...odds.raisedBy.map(({ when, times }) => ({
      says: circumstanceWords(speaker, when),
      makes: timesWords(speaker, times),
      up: times > 1,
    })),
    ...odds.answers.flatMap(({ look: id, answer, times }) => {
      const look = knowledge.looks.find((each) => each.id === id);
      if (look === undefined || (times > 0.95 && times < 1.05)) return [];
      return [
        {
          says: `${look.ask} ${answerWords(look, answer, unknown)}`,
          makes: timesWords(speaker, times),
          up: times > 1,
        },
      ];
    }),
  ];
}

/** What has to be so for a look. */
export const needsWords = ({ say }: Speaker, needs: readonly LookNeed[] = []): string => {
  const { trouble } = say;
  const hardest = (["cover-off", "dead", "power-off"] as const).find((need) => needs.includes(need));
  if (hardest !== undefined) return trouble.needs[hardest];
  const on = (["power-on", "live"] as const).find((need) => needs.includes(need));
  return on === undefined ? trouble.nothingShut : `${trouble.nothingShut}, ${trouble.needs[on]}`;
};

/** What follows from an answer. */
export function leadWords({ say }: Speaker, { looks, ends }: Trouble, { to }: Lead): string {
  if (to.kind === "look") return say.trouble.thenLook(looks.find(({ id }) => id === to.look)?.ask ?? to.look);
  return say.trouble.thenEnd(endSays(say, ends, to.end));
}

const endSays = (say: Speaker["say"], ends: Trouble["ends"], id: string): string =>
  id === UNLISTED ? say.trouble.unlisted : (ends.find((end) => end.id === id)?.says ?? id);

export const endTitle = ({ say }: Speaker, { ends }: Trouble, id: string): string => endSays(say, ends, id);

export const endKind = ({ say }: Speaker, end: End | undefined): string =>
  say.trouble.kinds[end?.kind ?? "order"];

/** Whether it was worked out to the end, or how far it may lie off. */
export const boundWords = ({ say }: Speaker, { exact, bound_min }: Advice): string =>
  exact ? say.trouble.exact : say.trouble.bound(minutesWords(bound_min));
