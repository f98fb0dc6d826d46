import { readFileSync } from "node:fs";
import { seeded } from "@/core/seeded";
import { pathOf } from "@/edge/client";
import { CONTRACTS } from "@/edge/contracts";

export interface Mutated {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | undefined;
}

const demo = (path: string): unknown => JSON.parse(readFileSync(`demo/${path}`, "utf8"));
const SHEET = demo("../library/brae-quaywall-4.json");
const LINE = demo("lines/north-quay.json");
const STORE = demo("stores/works-store.json");
const note = { v: 1, id: "m", at: "2026-01-01T00:00:00Z", by: "Tam Arkle", kind: "note-added", text: "x" };

/** A sound body for each route that takes one; what is sent is made wrong from these. */
const SOUND: Readonly<Record<string, unknown>> = {
  isolate: { line: LINE, open: ["NQ-H07"] },
  planStrip: { sheet: SHEET, reach: ["disc"], build: "bayonet" },
  calculate: { inputs: { diameter: { value: 16, unit: "mm" } } },
  openJob: { valve: "NQ-H07", reason: { kind: "due", says: "Due" }, reach: ["disc"], policy: "on-condition" },
  addEvents: { events: [note] },
  keepResult: { calculator: "bolt-up", inputs: { diameter: "16 mm" }, output: "torque" },
  registerValve: { tag: "M-1", name: "V", place: "P", sheet: "brae-quaywall-4" },
  checkSheet: SHEET,
  saveSheet: SHEET,
  newLine: LINE,
  saveLine: LINE,
  import: {
    files: [
      { name: "r.csv", text: "tag,name,place,sheet\nM-2,V,P,brae-quaywall-4\n" },
      { name: "s.json", text: JSON.stringify(STORE) },
    ],
    apply: true,
  },
  addPerson: { name: "Mo", may: "" },
};

const WEIRD: readonly unknown[] = [
  null,
  "",
  -1,
  0,
  1e308,
  2 ** 60,
  true,
  [],
  {},
  "x".repeat(5000),
  "2016-12-31T23:59:60Z",
  "9999-12-31",
  "__proto__",
  "toString",
  "'; drop table jobs; --",
  "=1+1",
  "\u0000",
  "\ud800",
  "../../etc",
  [[[[]]]],
  { $ref: "#" },
];
const NAMES: readonly string[] = [
  "NQ-H07",
  "demo-h09-wait",
  "none",
  "__proto__",
  "%",
  "a b",
  "Z:1",
  "..",
  "x".repeat(300),
  "🔔",
];

/** Mutations of one value: somewhere in it another value, a field missing, a field too many. */
function mutate(value: unknown, next: () => number): unknown {
  const pick = <T>(of: readonly T[]) => of[Math.floor(next() * of.length)]!;
  if (typeof value !== "object" || value === null || next() < 0.12) return pick(WEIRD);
  if (Array.isArray(value)) {
    if (value.length === 0 || next() < 0.2) return [...value, pick(WEIRD)];
    const at = Math.floor(next() * value.length);
    return next() < 0.3 ? value.toSpliced(at, 1) : value.with(at, mutate(value[at], next));
  }
  const entries = Object.entries(value);
  const how = next();
  if (entries.length === 0 || how < 0.12)
    return { ...value, [pick(["extra", "__proto__", "constructor"])]: pick(WEIRD) };
  const [key, old] = pick(entries);
  if (how < 0.3) return Object.fromEntries(entries.filter(([name]) => name !== key));
  return { ...value, [key]: mutate(old, next) };
}

/** The body as text, now and then cut, doubled, bottomless or no JSON at all. */
function asText(value: unknown, next: () => number): string {
  const text = JSON.stringify(value) ?? "";
  const how = next();
  if (how < 0.04) return text.slice(0, Math.floor(text.length * next()));
  if (how < 0.06) return text + text;
  if (how < 0.07) return "[".repeat(150_000);
  if (how < 0.08) return "\ufeff<html>";
  return text;
}

/** So many mutated requests over all routes, the same for the same seed. What would be right is left out. */
export function* mutations(count: number, seed: number): Generator<Mutated> {
  const next = seeded(seed);
  const pick = <T>(of: readonly T[]) => of[Math.floor(next() * of.length)]!;
  // A stream does not end, and emptying the demo is right whatever is sent with it.
  const routes = CONTRACTS.filter((each) => each.id !== "live" && each.id !== "resetDemo");
  for (let made = 0; made < count; made++) {
    const contract = pick(routes);
    const params = Object.fromEntries(
      Object.keys(contract.params.properties).map((name) => [name, pick(NAMES)]),
    );
    const query =
      next() < 0.3
        ? `?${pick(["revision", "words", "page", "as", "sort", "find"])}=${encodeURIComponent(String(pick(WEIRD.slice(0, 17)))).slice(0, 300)}`
        : "";
    const sound = SOUND[contract.id];
    const body =
      sound === undefined
        ? contract.takes === undefined
          ? undefined
          : "not a picture"
        : asText(mutate(sound, next), next);
    yield {
      method: contract.method,
      path: pathOf(contract, params).replace("%25", next() < 0.5 ? "%" : "%25") + query,
      headers: {
        ...(body !== undefined && {
          "content-type":
            next() < 0.9
              ? (contract.takes?.[0] ?? "application/json")
              : pick(["text/plain", "", "image/png", "application/xml"]),
        }),
        // A name the crew does not have: whatever else is right, it is refused where somebody has to answer for it.
        ...(next() < 0.5 && { "loftbell-person": pick(["tam", "The%20Queen%20of%20Sheba", "%", ""]) }),
      },
      body,
    };
  }
}
