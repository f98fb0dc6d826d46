import type { Part } from "@/core/formats";

export type AxisPlace = "in" | "comes-off" | "on-tray" | "back-in" | "renewed" | "stays";

export interface AxisPart {
  readonly part: Part;
  readonly place: AxisPlace;
  readonly renew: boolean;
  /** Its turn on the tray. */
  readonly order?: number;
}

/** The valve as it stands before anybody touches it. */
export const untouched = (parts: readonly Part[]): AxisPart[] =>
  parts.map((part) => ({ part, place: part.stays ? "stays" : "in", renew: false }));
