import { boltOf_mm } from "../build";
import type { Sheet } from "../formats";
import type { Pieces } from "../store";

type Part = Sheet["parts"][number];
type Tool = Sheet["tools"][number];

/** kg/dm³, at room temperature. @see CRC Handbook of Chemistry and Physics, and the usual data of rubbers */
const DENSITY: Record<Part["material"], number> = {
  iron: 7.2,
  steel: 7.85,
  stainless: 7.9,
  brass: 8.5,
  bronze: 8.8,
  aluminium: 2.7,
  copper: 8.96,
  plastic: 1.3,
  nitrile: 1.2,
  epdm: 1.2,
  silicone: 1.2,
  ptfe: 2.17,
  graphite: 1.1,
  fibre: 1.8,
};

const MM3_IN_DM3 = 1e6;
/** Volume of a hexagon head by the cube of its bolt: 1.5 d across flats, 0.65 d high. @see ISO 4014 */
const HEAD = (Math.sqrt(3) / 2) * 1.5 ** 2 * 0.65;

/** kg. One piece: as the sheet says, else of its outline and its material. Bolts are drawn on their circle: they weigh by their thread. */
export function weightOfPart(part: Part): number {
  const { weight_kg, shape, material } = part;
  if (weight_kg !== undefined) return weight_kg;
  const bolt_mm = shape.kind === "screws" ? boltOf_mm(part) : undefined;
  if (bolt_mm !== undefined)
    return (
      (((Math.PI / 4) * bolt_mm ** 2 * shape.height_mm + HEAD * bolt_mm ** 3) / MM3_IN_DM3) *
      DENSITY[material]
    );
  const { diameter_mm, height_mm, bore_mm = 0 } = shape;
  const volume = (Math.PI / 4) * Math.max(0, diameter_mm ** 2 - bore_mm ** 2) * height_mm;
  return (volume / MM3_IN_DM3) * DENSITY[material];
}

/** kg. All that is in there; a piece of a stack has its share. */
export function weightOfPieces({ parts }: Sheet, pieces: Pieces): number {
  let sum = 0;
  for (const [key, count] of pieces) {
    const whole = parts.find(({ id }) => id === key);
    const stack = whole ?? parts.find(({ id }) => key.startsWith(`${id}/`));
    if (stack === undefined) continue;
    const of = weightOfPart(stack) / (whole === undefined ? (stack.pieces?.length ?? 1) : 1);
    sum += of * count;
  }
  return sum;
}

/** kg. What such a tool weighs where no sheet says. */
const USUAL: Partial<Record<NonNullable<Tool["class"]>, number>> = {
  hammer: 1,
  "impact-driver": 1.2,
  "power-driver": 1.8,
  "pipe-wrench": 2.5,
  "torque-wrench": 1.5,
};
const USUAL_TOOL = 0.4;

export const weightOfTool = (tool: Tool | undefined): number =>
  tool?.weight_kg ?? (tool?.class === undefined ? undefined : USUAL[tool.class]) ?? USUAL_TOOL;
