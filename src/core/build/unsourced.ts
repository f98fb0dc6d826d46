import type { Check, EndCondition, Sheet } from "../formats";

/** A figure that nobody is named for: a torque, an angle, a depth, the limits of a measurement. */
export interface Unsourced {
  /** Of the sheet. */
  readonly path: string;
  /** The part, or what is measured. */
  readonly of: string;
}

/** An end condition that gives a figure and does not say who says it. */
export const endWithoutSource = (end: EndCondition | undefined): boolean =>
  (end?.kind === "torque" || end?.kind === "angle" || end?.kind === "seat-to-depth") &&
  end.source === undefined;

export const limitsWithoutSource = (check: Check): boolean =>
  check.kind === "measure" &&
  (check.low !== undefined || check.high !== undefined) &&
  check.source === undefined;

/** Every figure of a sheet for real equipment that has no source; none of demonstration data, which has none at all. */
export function unsourced(sheet: Sheet): Unsourced[] {
  if (sheet.demonstration) return [];
  return [
    ...sheet.parts.flatMap(({ fit, name }, index) => [
      ...(endWithoutSource(fit?.end) ? [{ path: `/parts/${index}/fit/end`, of: name }] : []),
      ...Object.entries(fit?.byBuild ?? {}).flatMap(([build, end]) =>
        endWithoutSource(end) ? [{ path: `/parts/${index}/fit/byBuild/${build}`, of: name }] : [],
      ),
    ]),
    ...sheet.checks.flatMap((check, index) =>
      limitsWithoutSource(check) ? [{ path: `/checks/${index}`, of: check.ask }] : [],
    ),
  ];
}
