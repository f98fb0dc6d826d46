import { threeWays } from "../line";
import type { EndDifference } from "./harm";
import { stillOut } from "./service";
import type { World } from "./world";

/** What stands otherwise than service wants, once a plan has come to its end. What another job holds is that job's. */
export function differences(world: World): EndDifference[] {
  const { site, valve } = world;
  const { line, sheet } = site;
  const ours = (id: string) => world.heldBy(id) === undefined;
  return [
    ...(line?.links ?? []).flatMap((link): EndDifference[] => {
      if (link.kind !== "valve" || !ours(link.id)) return [];
      const open = world.lets(link);
      return open === (link.normally === "open")
        ? []
        : [{ kind: "link", link: link.id, stands: open ? "open" : "shut" }];
    }),
    ...(line === undefined ? [] : threeWays(line)).flatMap((node): EndDifference[] => {
      const stands = world.stemAt(node.id) ?? "";
      return stands === node.threeWay.normally || !ours(node.id)
        ? []
        : [{ kind: "stem", node: node.id, stands, wanted: node.threeWay.normally }];
    }),
    ...[...world.locks].map((at): EndDifference => ({ kind: "locked", at })),
    ...[...world.uncapped].map((node): EndDifference => ({ kind: "cap-off", node })),
    ...[...world.points].map((node): EndDifference => ({ kind: "point-open", node })),
    ...(site.header !== undefined && valve.vent === "blanked"
      ? [{ kind: "blank-in" as const, header: site.header }]
      : []),
    ...[...world.stopped].map((link): EndDifference => ({ kind: "pump-stopped", link })),
    ...[...valve.off].map((part): EndDifference => ({ kind: "part-off", part })),
    ...[...valve.loose].map((part): EndDifference => ({ kind: "part-loose", part })),
    ...[...valve.uncovered].map((part): EndDifference => ({ kind: "spoiled-seal", part })),
    ...stillOut(world)
      .filter((node) => !world.leftToOthers.has(node))
      .map((node): EndDifference => ({ kind: "without-service", node })),
    ...(sheet.position !== undefined &&
    (valve.moved || world.truth.kind === "found-at") &&
    valve.position !== sheet.position.finish
      ? [
          {
            kind: "position" as const,
            stands: valve.position ?? "",
            wanted: sheet.position.finish,
          },
        ]
      : []),
  ];
}
