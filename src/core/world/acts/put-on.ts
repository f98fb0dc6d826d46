import type { ActRule } from "../act-rule";
import { atOpenVent, overBlank, ventCloses } from "./vent";

/** A part goes in: it must be out, it must not be one that goes in once only, and nothing that lies under it is missing or spoiled. */
export const putOn: ActRule<"put-on"> = {
  harms: (world, { part, fresh }) => {
    const { valve, site } = world;
    const found = site.assembly.parts.get(part);
    if (found === undefined)
      return [{ kind: "cannot-be-done", act: "put-on", why: { kind: "unknown", id: part } }];
    if (!valve.off.has(part))
      return [{ kind: "cannot-be-done", act: "put-on", why: { kind: "on-already", part } }];
    const inverted = site.sheet.rebuild?.includes(part) === true;
    const ways = site.assembly.ways(part);
    const free = ways.some((way) => way.heldBy.every((holder) => valve.off.has(holder)));
    const over = ways[0]?.heldBy.find((holder) => !valve.off.has(holder));
    if (!free && !inverted && over !== undefined)
      return [{ kind: "cannot-be-done", act: "put-on", why: { kind: "held-by", part: over } }];
    const under = [...valve.uncovered].filter((seal) =>
      site.assembly.ways(seal).some((way) => way.heldBy.includes(part)),
    );
    return [
      ...atOpenVent(world, part),
      ...overBlank(world, part),
      ...(fresh && !world.brought.has(part) ? [{ kind: "not-brought" as const, part }] : []),
      ...(found.oneUse !== undefined && !fresh ? [{ kind: "used-seal" as const, part, joint: part }] : []),
      ...under.map((seal) => ({ kind: "used-seal" as const, part: seal, joint: part })),
    ];
  },
  effect: (world, { part, fresh }) => {
    const { valve } = world;
    const stoodOpen = world.isOpen;
    valve.off.delete(part);
    ventCloses(world, part);
    valve.loose.add(part);
    if (fresh) valve.fresh.add(part);
    world.settleWhereOpened(stoodOpen);
  },
};
