import type { ActRule } from "../act-rule";
import type { Expected } from "../harm";

/** A card is done where what it needs holds. */
export const expect: ActRule<"expect"> = {
  harms: (world, { open, shut, fed, off, fitted, loose }) => {
    const { valve } = world;
    const missing: Expected[] = [
      ...open.flatMap((link): Expected[] => (world.stands(link) ? [] : [{ kind: "open", link }])),
      ...shut.flatMap((link): Expected[] => (world.stands(link) ? [{ kind: "shut", link }] : [])),
      ...fed.flatMap((node): Expected[] => (world.bar(node) > 0 ? [] : [{ kind: "fed", node }])),
      ...off.flatMap((part): Expected[] => (valve.off.has(part) ? [] : [{ kind: "off", part }])),
      ...fitted.flatMap((part): Expected[] => (valve.off.has(part) ? [{ kind: "fitted", part }] : [])),
      ...loose.flatMap((part): Expected[] =>
        valve.loose.has(part) && !valve.off.has(part) ? [] : [{ kind: "loose", part }],
      ),
    ];
    return missing.map((expected) => ({ kind: "not-so", expected }));
  },
  effect: () => {},
};
