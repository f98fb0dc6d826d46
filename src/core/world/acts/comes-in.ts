import { CO2_TRIPLE_BAR_ABS, MEDIA_RULES } from "../../line";
import type { Harm } from "../harm";
import type { Snapshot } from "../line-pressures";
import type { World } from "../world";

/** Atmospheric pressure, bar. */
const ATMOSPHERE_BAR = 1.013;
/** Above this a place holds pressure. */
const NOTHING_BAR = 0.02;
/** Liquid CO2 freezes below this, bar gauge. */
const TRIPLE_BAR = CO2_TRIPLE_BAR_ABS - ATMOSPHERE_BAR;

/** What a medium meets where it comes in: air, a void, a place too cold for liquid, people behind a mixer. */
export function comesIn(world: World, link: string, before: Snapshot): Harm[] {
  return [...refrigerant(world, link, before), ...actuator(world), ...scalds(world)];
}

function refrigerant(world: World, link: string, before: Snapshot): Harm[] {
  const wet = world.reachedSince(before).filter(({ node }) => MEDIA_RULES[world.medium(node)].refrigerant);
  const air = wet.find(({ node }) => world.air.has(node))?.node;
  const liquid = world.feedOf(link) === "liquid" ? wet : [];
  const cold = liquid.find(({ node, bar }) => world.medium(node) === "co2" && bar < TRIPLE_BAR);
  const empty = liquid.find(({ node, bar }) => world.medium(node) !== "co2" && bar <= NOTHING_BAR)?.node;
  return [
    ...(cold === undefined ? [] : [{ kind: "ice" as const, ...cold }]),
    ...(empty === undefined
      ? []
      : [{ kind: "hits-empty" as const, node: empty, medium: world.medium(empty) }]),
    ...(air === undefined ? [] : [{ kind: "air-left-in" as const, node: air, medium: world.medium(air) }]),
  ];
}

/** Water on an actuator that its air does not hold. */
function actuator(world: World): Harm[] {
  if (world.site.sheet.traits?.includes("fire-actuator") !== true) return [];
  const air = world.wet.filter((node) => world.medium(node) === "air");
  const water = world.wet.filter((node) => world.medium(node) === "water" && world.isLive(node));
  const held = air.every((node) => world.isLive(node));
  return held || water[0] === undefined ? [] : [{ kind: "trips", node: water[0] }];
}

/** Hot water on its way to people through a mixer that has no power, or that nobody has proven since it was open. */
function scalds(world: World): Harm[] {
  const { sheet, line } = world.site;
  if (line === undefined || sheet.traits?.includes("mixing") !== true || !world.wasOpen) return [];
  const powered = world.electric.every((node) => world.isLive(node));
  if (powered && world.temperatureProven) return [];
  const hot = line.links.some(
    (each) => each.kind === "valve" && world.feedOf(each.id) === "hot" && world.shut.get(each.id) === false,
  );
  if (!hot) return [];
  // An outlet that nothing can shut off is posted: those who draw from it were told.
  const stops = line.links.filter(
    (each) => each.kind === "valve" && each.stream === "mixed" && world.shut.has(each.id),
  );
  const through = stops.find((each) => world.stands(each.id));
  return through === undefined ? [] : [{ kind: "scald", node: through.to }];
}
