import type { Length, Stress } from "../quantity";

const INCH = 0.0254;
const MM = 1e-3;
const KSI = 6.894757e6;
const NMM2 = 1e6;

/** What a grade bears up to a diameter: the standards give less to thick bolts, and nothing beyond their tables. */
interface Band {
  /** Nominal diameter up to which it holds, m. */
  readonly upTo: number;
  readonly proof: number;
}

interface Grade {
  readonly name: string;
  /** Thinnest bolt of the table, m. */
  readonly from: number;
  readonly bands: readonly Band[];
}

const unified = (name: string, ...bands: readonly (readonly [inches: number, ksi: number])[]): Grade => ({
  name,
  from: INCH / 4,
  bands: bands.map(([inches, ksi]) => ({ upTo: inches * INCH, proof: ksi * KSI })),
});
const metric = (name: string, ...bands: readonly (readonly [mm: number, stress: number])[]): Grade => ({
  name,
  from: 1.6 * MM,
  bands: bands.map(([mm, stress]) => ({ upTo: mm * MM, proof: stress * NMM2 })),
});

/**
 * Proof stress, or yield where a standard gives no proof, by strength grade and nominal diameter. SAE J429 (2, 5, 8);
 * ASTM A193 (B7, B7M, B8 class 1: yield); ISO 898-1 (4.6, 8.8, 10.9: up to M39); ISO 3506-1 (A2-70, A4-80: 0.2 % proof,
 * up to M24, above by agreement only); naval brass ASTM F468 (C46200: yield).
 */
export const GRADES = {
  "SAE 2": unified("SAE 2", [0.75, 55], [1.5, 33]),
  "SAE 5": unified("SAE 5", [1, 85], [1.5, 74]),
  "SAE 8": unified("SAE 8", [1.5, 120]),
  "A193 B7": unified("A193 B7", [2.5, 105], [4, 95], [7, 75]),
  "A193 B7M": unified("A193 B7M", [4, 80], [7, 75]),
  "A193 B8": unified("A193 B8", [4, 30]),
  "4.6": metric("4.6", [39, 225]),
  "8.8": metric("8.8", [16, 580], [39, 600]),
  "10.9": metric("10.9", [39, 830]),
  "A2-70": metric("A2-70", [24, 450]),
  "A4-80": metric("A4-80", [24, 600]),
  brass: unified("brass", [1.5, 25]),
} as const satisfies Record<string, Grade>;

export type GradeName = keyof typeof GRADES;

export const isGrade = (name: string | undefined): name is GradeName =>
  name !== undefined && Object.hasOwn(GRADES, name);

/** Diameters a grade is tabled for, m. */
export const gradeRange = (name: GradeName): { readonly from: number; readonly to: number } => {
  const { from, bands } = GRADES[name];
  return { from, to: bands.at(-1)!.upTo };
};

/** A size in other units comes back a hair beside itself. */
const HAIR = 1e-9;

/** Proof stress, Pa, of a grade at a nominal diameter; nothing where its standard has no figure. */
export function proofStress(name: GradeName, diameter: Length): Stress | undefined {
  const { from, bands }: Grade = GRADES[name];
  if (diameter < from - HAIR) return undefined;
  return bands.find(({ upTo }) => diameter <= upTo + HAIR)?.proof as Stress | undefined;
}
