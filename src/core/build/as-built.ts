import type { EndCondition, Sheet } from "../formats";

/** The sheet for one build: tightened as that build is. */
export function asBuilt(sheet: Sheet, build: string | undefined): Sheet {
  const endOn = (byBuild: Readonly<Record<string, EndCondition>> = {}) =>
    build === undefined ? undefined : byBuild[build];
  if (!sheet.parts.some(({ fit }) => endOn(fit?.byBuild) !== undefined)) return sheet;
  return {
    ...sheet,
    parts: sheet.parts.map((part) => {
      const end = endOn(part.fit?.byBuild);
      return end === undefined || part.fit === undefined ? part : { ...part, fit: { ...part.fit, end } };
    }),
  };
}
