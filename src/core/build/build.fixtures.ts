import { readFileSync } from "node:fs";
import { type Part, readAs, type Sheet, SheetSchema } from "../formats";

function demoSheet(id: string): Sheet {
  const url = new URL(`../../../library/${id}.json`, import.meta.url);
  const read = readAs(SheetSchema, JSON.parse(readFileSync(url, "utf8")));
  if (!read.ok) throw new Error(`${id}: ${JSON.stringify(read.error)}`);
  return read.value;
}

export const wet = demoSheet("brae-quaywall-4");
export const dry = demoSheet("quillon-harbour-5");
const FIT: Part["fit"] = { do: "Fit it.", minutes: 1, tools: [], end: { kind: "seated", seen: "it sits" } };

export interface TrialWay {
  heldBy: string[];
  minutes: number;
  tools?: string[];
  bodyUp?: string;
}

/** A sheet with just what the planner reads. */
export function trialSheet(parts: Record<string, TrialWay[]>): Sheet {
  return {
    ...wet,
    builds: [],
    kits: [],
    checks: [],
    singles: [],
    symptoms: [],
    position: undefined,
    tools: ["a", "b", "c"].map((id) => ({ id, name: id })),
    parts: Object.entries(parts).map(([id, ways]) => ({
      id,
      name: id,
      quantity: 1,
      material: "steel",
      shape: { kind: "disc", diameter_mm: 10, height_mm: 5 },
      ways: ways.map((way) => ({ do: `Take ${id} off.`, tools: [], ...way })),
      fit: FIT,
    })),
  } as unknown as Sheet;
}
