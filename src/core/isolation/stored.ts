import type { LineNode } from "../formats";
import { MEDIA_RULES, mediumOf, type Network } from "../line";
import type { Section } from "./section";

/** Energy that stays when every valve is shut. */
export type StoredEnergy = {
  /** The place by name; without one, the section as a whole. */
  readonly at?: string;
  readonly wait_min?: number;
} /** As the line tells it. */ & (
  | { readonly kind: LineStored["kind"]; readonly says: string }
  | { readonly kind: "heat" | "cold"; readonly celsius: number }
  /** Liquid that stands so high over what is opened. */
  | { readonly kind: "head"; readonly metres: number }
);

type LineStored = NonNullable<LineNode["stored"]>[number];

/** Water hotter than this scalds in seconds; a caution, not a limit to work to. */
export const SCALDS_C = 45;
/** Metal colder than this takes the skin off. */
const FREEZES_C = -5;
/** Liquid standing higher than this over the work runs out of the opened joint. */
const HEAD_M = 1;

/** What the line says is stored in the opened equipment, and what follows from heat, cold and height. */
export function storedEnergies(
  net: Network,
  zone: readonly number[],
  section: Section,
  feeders: readonly number[],
): StoredEnergy[] {
  const open = new Set(zone);
  const members = section.nodes.map((id) => net.nodeIndex.get(id)!);
  const named = (index: number) => net.nodes[index]!.name ?? net.nodes[index]!.id;
  const told = [...new Set([...zone, ...members])].flatMap((index) =>
    (net.nodes[index]!.stored ?? []).map(({ kind, says, wait_min }) => ({
      kind,
      at: named(index),
      says,
      ...(wait_min !== undefined && { wait_min }),
    })),
  );
  const temperatures = feeders.flatMap((index) => {
    const { temperature_C } = net.nodes[index]!;
    const same = zone.some(
      (node) => mediumOf(net.line, net.nodes[node]!) === mediumOf(net.line, net.nodes[index]!),
    );
    return temperature_C === undefined || !same ? [] : [{ index, temperature_C }];
  });
  const hottest = temperatures.toSorted((a, b) => b.temperature_C - a.temperature_C)[0];
  const coldest = temperatures.toSorted((a, b) => a.temperature_C - b.temperature_C)[0];
  const lowestOpen = Math.min(...zone.map((node) => net.nodes[node]!.elevation_m));
  const liquid = members.filter(
    (index) => !open.has(index) && MEDIA_RULES[mediumOf(net.line, net.nodes[index]!)].liquid,
  );
  const top = Math.max(...liquid.map((index) => net.nodes[index]!.elevation_m), Number.NEGATIVE_INFINITY);
  return [
    ...told,
    ...(hottest !== undefined && hottest.temperature_C > SCALDS_C
      ? [
          {
            kind: "heat" as const,
            at: named(hottest.index),
            celsius: hottest.temperature_C,
          },
        ]
      : []),
    ...(coldest !== undefined && coldest.temperature_C < FREEZES_C
      ? [
          {
            kind: "cold" as const,
            at: named(coldest.index),
            celsius: coldest.temperature_C,
          },
        ]
      : []),
    ...(top - lowestOpen > HEAD_M
      ? [
          {
            kind: "head" as const,
            metres: top - lowestOpen,
          },
        ]
      : []),
  ];
}
