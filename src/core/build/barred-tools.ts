import type { Part, ToolClass } from "../formats";
import { fastens } from "./holding";

/** Tools that spoil or break what they are used on. */
export type BarredTool = Exclude<ToolClass, "torque-wrench">;

/** What such a tool would do. */
export type BarredWhy =
  | "cracks-without-warning"
  | "cracks-what-is-clamped"
  | "strips-plastic"
  | "bites-soft-metal"
  | "rounds-flats"
  | "scores-the-stem"
  | "scratches-the-groove"
  | "scratches-the-face"
  /** The job frees by oil and patience. */
  | "oil-was-chosen";

/** A tool that must not be used, in the sheet's own words or by what the part is. */
export type Barred =
  | { readonly kind: "said"; readonly tool: string; readonly why: string; readonly class?: ToolClass }
  | { readonly kind: "follows"; readonly tool: BarredTool; readonly why: BarredWhy };

interface Rule {
  readonly tool: BarredTool;
  readonly why: BarredWhy;
  readonly when: (part: Part, holds: readonly Part[]) => boolean;
}

const cracks = (part: Part) => part.brittle === true || part.material === "plastic";
const plastic = (part: Part) => part.material === "plastic";
const softMetal = (part: Part) => part.material === "brass" || part.material === "bronze";
const rubber = (part: Part) => ["nitrile", "epdm", "silicone", "ptfe"].includes(part.material);

const RULES: readonly Rule[] = [
  { tool: "hammer", why: "cracks-without-warning", when: cracks },
  {
    tool: "impact-driver",
    why: "cracks-what-is-clamped",
    when: (part, holds) => fastens(part) && holds.some(cracks),
  },
  {
    tool: "power-driver",
    why: "strips-plastic",
    when: (part, holds) => plastic(part) || (fastens(part) && holds.some(plastic)),
  },
  {
    tool: "pipe-wrench",
    why: "bites-soft-metal",
    when: (part) => softMetal(part) && part.shape.kind !== "stem",
  },
  {
    tool: "adjustable-spanner",
    why: "rounds-flats",
    when: (part) => part.fastener !== undefined && (softMetal(part) || plastic(part)),
  },
  { tool: "pipe-wrench", why: "scores-the-stem", when: (part) => part.shape.kind === "stem" },
  {
    tool: "steel-pick",
    why: "scratches-the-groove",
    when: (part) => rubber(part) && ["ring", "packing", "washer", "diaphragm"].includes(part.shape.kind),
  },
  {
    tool: "steel-scraper",
    why: "scratches-the-face",
    when: ({ shape }) => ["seat", "disc", "ball", "washer"].includes(shape.kind),
  },
];

/** What must not be used on this part, each tool once. */
export function barredAt(part: Part, holds: readonly Part[]): Extract<Barred, { kind: "follows" }>[] {
  const found = RULES.filter((rule) => rule.when(part, holds));
  return found
    .filter((rule, index) => found.findIndex((each) => each.tool === rule.tool) === index)
    .map(({ tool, why }) => ({ kind: "follows", tool, why }));
}
