import { readdirSync, readFileSync } from "node:fs";
import {
  type JobInputs,
  type Line,
  PLAN_RULES,
  readDocument,
  type Sheet,
  type Store,
  type Trouble,
  type TroubleFacts,
} from "../formats";
import { around } from "./around";
import { jobCosts } from "./costs";
import { readWorld } from "./read-world";

/** One valve of the demo for each family: its tag, its sheet, its line, its build. */
export const VALVES: Readonly<
  Record<string, readonly [tag: string, sheet: string, line?: string, build?: string]>
> = {
  "wet-barrel-hydrant": ["NQ-H02", "brae-quaywall-4", "north-quay", "bayonet"],
  "check-valve": ["SK-C1", "brae-skerrycheck-100", "skerry-booster"],
  "apparatus-ball-valve": ["FST-A1", "brae-swingout-3"],
  "servo-solenoid": ["LY-S1h", "harrow-pickle-15", "laundry-supply"],
  "steam-trap": ["LD-T11", "lantern-bucket-20", "lido-steam"],
  "vapour-radiator-valve": ["HL-V1", "lantern-parlour-1", "holm-library"],
  "softener-head": ["LD-SF1", "ottermouth-brook-20", "lido-treatment"],
  "filter-head": ["LD-IF1", "ottermouth-ironbrook-30", "lido-treatment"],
  "mixing-valve-shuttle": ["LD-M2", "ottermouth-shuttlemix-15", "lido-water"],
  "mixing-valve-spool": ["LD-M1", "ottermouth-spoolmix-25", "lido-water"],
  "co2-stop-valve": ["GC-SV2", "pell-frostgate-32", "gannet-co2"],
  "relief-valve-cartridge": ["GC-RV5", "pell-guardian-c3", "gannet-co2"],
  "relief-valve": ["GN-RV6", "pell-guardian-s1", "gannet-low-side"],
  "relief-valve-twin": ["GN-RV4A", "pell-guardian-t2", "gannet-low-side"],
  "hand-regulating-valve": ["GC-HRV5", "pell-meter-h20", "gannet-co2", "cone-small"],
  "plug-meter-cock": ["RW-G21", "pell-ropewalk-20", "ropewalk-gas"],
  "dry-barrel-hydrant": ["NQ-H09", "quillon-harbour-5", "north-quay", "opens-left"],
  "hydrant-assist-valve": ["FST-P1", "quillon-pierhead-2"],
  "pneumatic-actuator": ["FS-PN1", "quillon-watchair-1", "ferry-shed"],
  "combination-air-valve": ["MG-A1", "sedgeway-cloud-50", "marram-gardens"],
  "electric-pilot-valve": ["MG-P3", "sedgeway-ditchmaster-80", "marram-gardens"],
  "irrigation-diaphragm-valve": ["MG-D1", "sedgeway-furrow-25", "marram-beds"],
};

export const FAMILIES = readdirSync("library/trouble").map((name) => name.replace(".json", ""));

const read = new Map<string, Trouble>();

/** What ships for a family. */
export function knowledgeOf(family: string): Trouble {
  const known = read.get(family);
  if (known !== undefined) return known;
  const document = readDocument(JSON.parse(readFileSync(`library/trouble/${family}.json`, "utf8")));
  if (!document.ok || document.value.format !== "loftbell.trouble")
    throw new Error(JSON.stringify(document.ok ? family : document.error.slice(0, 3)));
  read.set(family, document.value);
  return document.value;
}

const fromFile = <T>(path: string): T => JSON.parse(readFileSync(path, "utf8")) as T;

export const sheetOf = (family: string): Sheet => fromFile<Sheet>(`library/${VALVES[family]![1]}.json`);
export const lineOf = (id: string): Line => fromFile<Line>(`demo/lines/${id}.json`);

/** A job on the demo's valve of a family, as nobody has begun it yet. */
function inputsOf(family: string): JobInputs {
  const [tag, , line, build] = VALVES[family]!;
  const sheet = sheetOf(family);
  return {
    id: "trouble",
    valve: {
      tag,
      name: tag,
      place: "Sallow Holm",
      sheet: sheet.id,
      ...(line !== undefined && { line, node: tag }),
      ...(build !== undefined && { build }),
    },
    sheet,
    ...(line !== undefined && { line: lineOf(line) }),
    store: fromFile<Store>("demo/stores/works-store.json"),
    reason: { kind: "symptom", says: "Trouble" },
    reach: sheet.symptoms[0]!.reach,
    policy: "what-was-disturbed",
    openedAt: "2026-01-01T00:00:00Z",
    openedBy: "Nobody",
    rules: PLAN_RULES,
  };
}

const facts = new Map<string, Omit<TroubleFacts, "complaint">>();

/** What is known of the demo's valve of a family: what its ends cost there, what its line says. */
export function factsOf(family: string, complaint: string): TroubleFacts {
  const known = facts.get(family) ?? work(family);
  facts.set(family, known);
  return { ...known, complaint };
}

function work(family: string): Omit<TroubleFacts, "complaint"> {
  const inputs = inputsOf(family);
  const knowledge = knowledgeOf(family);
  const place = around({
    sheet: inputs.sheet,
    at: inputs.valve.tag,
    ...(inputs.line !== undefined && { line: inputs.line }),
  });
  return { costs: jobCosts(knowledge, inputs), world: readWorld(knowledge, place, inputs.sheet) };
}
