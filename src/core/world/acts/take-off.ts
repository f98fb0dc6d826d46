import { closes, dangersAt, fastens, forbiddenAt, heldBy } from "../../build";
import type { ActOf } from "../act";
import type { ActRule } from "../act-rule";
import type { Harm } from "../harm";
import type { World } from "../world";
import { opened, touched } from "./opened";
import { atOpenVent, ventOpens } from "./vent";

/** A part comes off: nothing may hold it any more, and nothing may stand behind it. */
export const takeOff: ActRule<"take-off"> = {
  harms: (world, act) => [
    ...cannot(world, act.part),
    ...atOpenVent(world, act.part),
    ...(world.holdsBack(act.part) ? opened(world, act.part) : live(world, act.part)),
    ...caught(world, act.part),
    ...handled(world, act),
  ],
  effect: (world, { part }) => {
    const { valve, site } = world;
    const stoodOpen = world.isOpen;
    valve.off.add(part);
    ventOpens(world, part);
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
    world.settleWhereOpened(stoodOpen);
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

/** A part that wires lead to, and a board: its power is off and proven off. */
function live(world: World, id: string): Harm[] {
  const { sheet, assembly } = world.site;
  const wired = sheet.connections.some(
    ({ part, kind }) => part === id && (kind === "wire" || kind === "terminal"),
  );
  return wired || assembly.parts.get(id)?.shape.kind === "board" ? touched(world, id) : [];
}

/** Bolts of a cover that come out all at once, with pressure caught behind it that nobody let show. */
function caught({ truth, site, valve }: World, id: string): Harm[] {
  const part = site.assembly.parts.get(id);
  if (truth.kind !== "caught" || part === undefined || valve.cracked.has(id)) return [];
  const cover = fastens(part) && part.quantity > 2 && heldBy(site.sheet, part).some(closes);
  return cover
    ? [
        {
          kind: "opened-under-pressure",
          part: id,
          node: "",
          bar: truth.bar,
          medium: site.sheet.isolation.medium,
        },
      ]
    : [];
}

/** What is heavy drops where nobody was warned; what harms the part is in the hand. */
function handled({ site }: World, { part: id, tools, warned }: ActOf<"take-off">): Harm[] {
  const part = site.assembly.parts.get(id);
  const way = site.assembly.ways(id)[0];
  if (part === undefined || way === undefined) return [];
  const drops = dangersAt(site.sheet, part, way).find((each) => each.kind === "drops");
  const barred = new Set(
    forbiddenAt(site.sheet, part, way).map((each) => (each.kind === "said" ? each.class : each.tool)),
  );
  return [
    ...(drops === undefined || warned
      ? []
      : [{ kind: "no-warning-of-weight" as const, part: id, kg: drops.kg }]),
    ...tools.flatMap((tool): Harm[] =>
      tool.class !== undefined && barred.has(tool.class)
        ? [{ kind: "forbidden-tool", part: id, tool: tool.id }]
        : [],
    ),
  ];
}
