import type { Feature, Part } from "../formats";

/** What was seen or measured on the new part before it goes in. */
export interface FoundFeature {
  readonly name: string;
  /** As chosen, for a mark. */
  readonly said?: string;
  /** As measured, m, for a size. */
  readonly si?: number;
}

/** Whether the part in hand is the one that belongs there. */
export type NewPart =
  | { readonly kind: "right" }
  | (Differs & {
      readonly kind: "look-alike";
      readonly alike: { readonly name: string; readonly why: string };
    })
  | (Differs & { readonly kind: "wrong" })
  | { readonly kind: "not-compared"; readonly feature: Feature };

/** The first feature by which it is told. */
interface Differs {
  readonly part: string;
  readonly feature: Feature;
  readonly seen: FoundFeature;
}

/** What is said of a mark that is none of those known. */
export const SOMETHING_ELSE = "something else";

const MM = 1e-3;
/** Where a sheet gives no tolerance: what a calliper in a wet glove can tell apart, mm. */
const READABLE_MM = 0.3;

export const tolerance = (feature: Feature): number => feature.tolerance_mm ?? READABLE_MM;

const meets = (feature: Feature, found: FoundFeature): boolean =>
  feature.nominal_mm === undefined
    ? found.said === feature.value
    : found.si !== undefined && Math.abs(found.si / MM - feature.nominal_mm) <= tolerance(feature) + 1e-9;

/**
 * Compares a new part by its measurable features with what the sheet asks, and names the look-alike when it is one.
 * Every feature of the part has to be compared.
 */
export function judgeNewPart(part: Part, found: readonly FoundFeature[]): NewPart {
  const features = part.features ?? [];
  const open = features.find((feature) => !found.some((each) => each.name === feature.name));
  if (open !== undefined) return { kind: "not-compared", feature: open };
  const off = features.find(
    (feature) => !found.some((each) => each.name === feature.name && meets(feature, each)),
  );
  if (off === undefined) return { kind: "right" };
  const seen = found.find((each) => each.name === off.name)!;
  const alike = part.lookAlikes?.find((each) =>
    each.features.every((feature) => found.some((one) => one.name === feature.name && meets(feature, one))),
  );
  const differs = { part: part.name, feature: off, seen };
  return alike === undefined
    ? { kind: "wrong", ...differs }
    : { kind: "look-alike", ...differs, alike: { name: alike.name, why: alike.why } };
}

/** What may be said of a mark: the right value and those of the look-alikes, in an order that gives nothing away. */
export function marksOf(part: Part, feature: Feature): string[] {
  const others = (part.lookAlikes ?? []).flatMap((each) =>
    each.features.filter((one) => one.name === feature.name).map((one) => one.value),
  );
  return [...new Set([feature.value, ...others, SOMETHING_ELSE])].toSorted((a, b) =>
    a === SOMETHING_ELSE ? 1 : b === SOMETHING_ELSE ? -1 : a.localeCompare(b),
  );
}
