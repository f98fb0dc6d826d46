const INCH = 0.0254;

export interface Opening {
  readonly name: string;
  readonly system: "inch" | "metric";
  readonly size: number; // m
}

const SIXTEENTHS = [
  4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 26, 27, 28, 29, 30, 32, 35,
  36, 38, 41, 44, 46, 48,
];
const MILLIMETRES = [
  4, 5, 5.5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 26, 27, 28, 29, 30,
  32, 34, 36, 38, 41, 46, 50, 55, 60, 65, 70, 75, 80,
];

const fraction = (sixteenths: number): string => {
  const whole = Math.floor(sixteenths / 16);
  let [over, under] = [sixteenths % 16, 16];
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2];
  return [whole > 0 && `${whole}`, over > 0 && `${over}/${under}`].filter(Boolean).join(" ");
};

/** Openings a set has: inch by sixteenths (ASME B18.2.2), metric (ISO 691 and the usual between). */
export const OPENINGS: readonly Opening[] = [
  ...SIXTEENTHS.map(
    (size): Opening => ({ name: `${fraction(size)} in`, system: "inch", size: (size / 16) * INCH }),
  ),
  ...MILLIMETRES.map((size): Opening => ({ name: `${size} mm`, system: "metric", size: size * 1e-3 })),
].sort((a, b) => a.size - b.size);

/**
 * Slack at which a spanner turns on the corners: 2.5 % of the width across flats is about what the tolerances of ISO
 * 691 leave; twice that rounds the corners off.
 */
export const SLACK = { snug: 0.025, rounds: 0.05 } as const;

export type Grip = "too small" | "fits" | "loose" | "rounds it off";

/** @param flats measured across flats, m · @param opening m */
export function grip(flats: number, opening: number): { readonly kind: Grip; readonly slack: number } {
  const slack = opening - flats;
  // A hundredth of a millimetre is the caliper, not the nut.
  if (slack < -1e-5) return { kind: "too small", slack };
  const share = slack / flats;
  return { kind: share <= SLACK.snug ? "fits" : share <= SLACK.rounds ? "loose" : "rounds it off", slack };
}
