import type { Run } from "../../job";
import { seeded } from "../../seeded";
import type { Truth } from "../../world";

/** What the valve of a simulated instrument hides. By the valve: something by chance, the same for this valve every time. */
export const HIDES = ["by-the-valve", "nothing", "a-closure-passes", "liquid-boils"] as const;
export type Hides = (typeof HIDES)[number];

/** The one thing that is otherwise than anybody believes. */
export type Hidden =
  | { readonly kind: "nothing" }
  | { readonly kind: "passes"; readonly truth: Truth }
  /** Liquid was left behind, and boils away. */
  | { readonly kind: "boils" };

/** A figure from 0 to 1 that belongs to some words, the same every time. */
export function chanceOf(...words: readonly string[]): number {
  let seed = 0;
  for (const letter of words.join("\n")) seed = (Math.imul(seed, 31) + letter.charCodeAt(0)) | 0;
  return seeded(seed)();
}

/** Of ten valves four hide something: a closure that passes, or liquid where a refrigerant was. */
const PASSES = 0.28;
const BOILS = 0.4;

/** What this valve hides. */
export function hiddenIn({ plan, inputs }: Run, hides: Hides): Hidden {
  const closures =
    plan.isolation?.ok === true
      ? plan.isolation.value.closures.filter(({ medium }) => medium !== "electricity")
      : [];
  const { tag } = inputs.valve;
  const passing = closures[Math.floor(chanceOf(tag, "which") * closures.length)];
  const passes: Hidden =
    passing === undefined
      ? { kind: "nothing" }
      : { kind: "passes", truth: { kind: "passes", link: passing.link } };
  switch (hides) {
    case "nothing":
      return { kind: "nothing" };
    case "a-closure-passes":
      return passes;
    case "liquid-boils":
      return { kind: "boils" };
    case "by-the-valve": {
      const chance = chanceOf(tag, "hides");
      if (chance < PASSES) return passes;
      return chance < BOILS ? { kind: "boils" } : { kind: "nothing" };
    }
  }
}
