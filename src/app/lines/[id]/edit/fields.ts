import { type LineLink, type LineNode, MEDIA, STREAMS } from "@/core/formats";

/** One field of a place or link in the editor: how it is asked for. */
export type ItemField = {
  readonly name: string;
  readonly label: string;
} & (
  | { readonly kind: "text" | "number" | "yes-no" | "list" }
  | { readonly kind: "choice"; readonly options: readonly string[] }
  | { readonly kind: "place"; readonly empty: boolean }
);

const choice = (name: string, label: string, options: readonly string[]): ItemField => ({
  kind: "choice",
  name,
  label,
  options,
});
const field = (kind: "text" | "number" | "yes-no" | "list", name: string, label: string): ItemField => ({
  kind,
  name,
  label,
});

export const LINK_KINDS: readonly LineLink["kind"][] = [
  "pipe",
  "valve",
  "control-valve",
  "check",
  "pump",
  "trap",
  "cable",
];

const OF_ALL_NODES: readonly ItemField[] = [
  field("text", "name", "Name"),
  field("text", "asset", "Tag of the valve here"),
  field("number", "elevation_m", "Height, m"),
  choice("medium", "Medium", MEDIA),
  choice("stream", "Stream", STREAMS),
  field("list", "with", "Same equipment as"),
  field("yes-no", "confined", "In a pit"),
];
const FEEDS: readonly ItemField[] = [
  field("number", "pressure_bar", "Pressure, bar g"),
  field("number", "temperature_C", "Temperature, °C"),
];

const OF_NODE: Partial<Record<LineNode["kind"], readonly ItemField[]>> = {
  source: FEEDS,
  boundary: FEEDS,
  vessel: [...FEEDS, field("number", "volume_L", "Content, L")],
  consumer: [
    field("yes-no", "hydrant", "Fire hydrant"),
    field("yes-no", "protects", "Fire protection"),
    field("yes-no", "feedsBack", "Can push back"),
  ],
  drain: [field("number", "opening_mm", "Bore, mm")],
  vent: [field("number", "opening_mm", "Bore, mm")],
};
export const nodeFields = (kind: LineNode["kind"]): readonly ItemField[] => [
  ...OF_ALL_NODES,
  ...(OF_NODE[kind] ?? []),
];

const OF_ALL_LINKS: readonly ItemField[] = [
  field("text", "name", "Name"),
  { kind: "place", name: "from", label: "From", empty: false },
  { kind: "place", name: "to", label: "To", empty: false },
  choice("medium", "Medium", MEDIA),
  choice("stream", "Stream", STREAMS),
];
const VALVE: readonly ItemField[] = [
  choice("type", "Type", ["gate", "ball", "globe", "butterfly", "plug", "needle", "diaphragm", "switch"]),
  choice("normally", "Stands", ["open", "shut"]),
  field("yes-no", "operable", "Can be moved"),
  field("yes-no", "lockable", "Has a lock point"),
  field("yes-no", "passes", "Known to pass"),
  field("yes-no", "confined", "In a pit"),
  field("number", "access_min", "Minutes to shut"),
  field("number", "turns", "Turns"),
  field("text", "where", "Where"),
  field("text", "hardToReach", "Why it takes longer"),
];

const OF_LINK: Partial<Record<LineLink["kind"], readonly ItemField[]>> = {
  pipe: [field("number", "dn_mm", "Bore, mm"), field("number", "length_m", "Length, m")],
  valve: VALVE,
  "control-valve": VALVE,
  pump: [
    field("number", "access_min", "Minutes to stop"),
    { kind: "place", name: "motor", label: "Motor", empty: true },
  ],
};
export const linkFields = (kind: LineLink["kind"]): readonly ItemField[] => [
  ...OF_ALL_LINKS,
  ...(OF_LINK[kind] ?? []),
];
