import type { Course, Doubt, Meets } from "@/core/rounds";
import { figure, type Speaker } from "./speaker";

/** A month as one plans by it. */
export const monthOf = ({ say }: Speaker, at: number): string => {
  const date = new Date(at);
  return `${say.trends.months[date.getUTCMonth()]} ${date.getUTCFullYear()}`;
};

/** When a quantity meets its limit, with how sure that is. */
export function trendWhy(speaker: Speaker, what: string, { early, likely, late, sisters }: Meets): string {
  const { trends } = speaker.say;
  const month = (at: number) => monthOf(speaker, at);
  return [
    trends.meets(what.replaceAll("-", " "), likely === undefined ? undefined : month(likely)),
    late === undefined ? trends.notBefore(month(early)) : trends.between(month(early), month(late)),
    sisters > 0 ? trends.withSisters(sisters) : trends.alone,
  ].join(" ");
}

/** Where a quantity goes, and what of it does not fit. @param unitId in which it is read */
export const courseWords = (
  speaker: Speaker,
  { what, meets, doubts }: Course,
  unitId: string,
  fromSI: (si: number) => number,
): string[] => [
  ...(meets === undefined ? [] : [trendWhy(speaker, what, meets)]),
  ...doubts.map((doubt) => doubtWords(speaker, doubt, unitId, fromSI)),
];

function doubtWords(speaker: Speaker, doubt: Doubt, unitId: string, fromSI: (si: number) => number): string {
  const { trends } = speaker.say;
  switch (doubt.kind) {
    case "newest":
      return trends.newest(figure(speaker, fromSI(doubt.expected), unitId));
    case "unlike-sisters":
      return trends.unlike(doubt.faster, doubt.sisters);
  }
}
