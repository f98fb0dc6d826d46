import { type Line, type LineNode, LineSchema, LinkSchema } from "@/core/formats";
import { type FieldSchema, only, without } from "@/ui/schema-form/schema";
import type { References } from "@/ui/schema-form/schema-form";

const LINE = LineSchema as unknown as FieldSchema;
/** What is asked of the line itself; its id and name stand over the drawing. */
export const OF_LINE = only(LINE, ["medium", "rule", "rating_bar", "demonstration"]);

const OF_ALL_NODES = ["kind", "name", "elevation_m", "medium", "stream", "with", "confined", "stored"];
const FEEDS = ["pressure_bar", "temperature_C"];
const OF_NODE: Partial<Record<LineNode["kind"], readonly string[]>> = {
  source: FEEDS,
  boundary: FEEDS,
  vessel: [...FEEDS, "volume_L"],
  consumer: ["hydrant", "protects", "feedsBack", "mustKeep", "tell"],
  drain: ["opening_mm"],
  vent: ["opening_mm"],
  "three-way": ["threeWay"],
};

const NODE = LINE.properties!.nodes!.items!;

/** What is asked of a place of this kind; where it is drawn is dragged, its id and the tag there have fields of their own. */
export const nodeSchema = (kind: LineNode["kind"]): FieldSchema =>
  only(NODE, [...OF_ALL_NODES, ...(OF_NODE[kind] ?? [])]);

/** What is asked of a link of any kind. */
export const LINK: FieldSchema = without(LinkSchema as unknown as FieldSchema, ["id", "via"]);

/** What the fields of a place or link may name. */
export function referencesOf(line: Line, node: LineNode | undefined): References {
  const places = line.nodes.map(({ id, name }) => ({ id, name: name === undefined ? id : `${id}, ${name}` }));
  const own = line.links.filter((link) => link.from === node?.id || link.to === node?.id);
  const by: Readonly<Record<string, readonly { id: string; name: string }[]>> = {
    from: places,
    to: places,
    motor: places,
    with: places.filter((place) => place.id !== node?.id),
    joins: own.map(({ id }) => ({ id, name: id })),
    normally: node?.threeWay?.positions.map(({ id, name }) => ({ id, name })) ?? [],
  };
  return (field) => by[field];
}
