import type { ActRule } from "../act-rule";
import type { Harm } from "../harm";
import type { World } from "../world";
import { opened } from "./opened";

/** A part comes off: nothing may hold it any more, and nothing may stand behind it. */
export const takeOff: ActRule<"take-off"> = {
  harms: (world, { part }) => [...cannot(world, part), ...(world.holdsBack(part) ? opened(world, part) : [])],
  effect: (world, { part }) => {
    const { valve, site } = world;
    valve.off.add(part);
    valve.cracked.delete(part);
    valve.uncovered.delete(part);
    // A seal that is good for one time lies open once what is over it is off.
    for (const each of site.sheet.parts)
      if (
        each.oneUse !== undefined &&
        !valve.off.has(each.id) &&
        each.stays !== true &&
        site.assembly
          .ways(each.id)
          .some((way) => way.heldBy.includes(part) && way.heldBy.every((holder) => valve.off.has(holder)))
      )
        valve.uncovered.add(each.id);
    world.settle();
  },
};

function cannot({ valve, site }: World, part: string): Harm[] {
  const why = (reason: Extract<Harm, { kind: "cannot-be-done" }>["why"]): Harm[] => [
    { kind: "cannot-be-done", act: "take-off", why: reason },
  ];
  if (valve.off.has(part)) return why({ kind: "off-already", part });
  const ways = site.assembly.ways(part);
  const free = ways.filter((way) => way.heldBy.every((holder) => valve.off.has(holder)));
  if (free.length === 0) {
    const holder = ways[0]?.heldBy.find((each) => !valve.off.has(each));
    return why({ kind: "held-by", part: holder ?? part });
  }
  const wanted = free.map((way) => way.position?.before);
  const stands = valve.position;
  return wanted.some((each) => each === undefined || each === stands)
    ? []
    : why({ kind: "other-position", wanted: wanted[0] ?? "", stands: stands ?? "" });
}
