import type { Sheet } from "@/core/formats";
import { labelOf, titleOf } from "@/ui/schema-form/schema";

/** Fields of a sheet as the trade calls what stands in them. */
const FIELDS: Readonly<Record<string, string>> = {
  zero_bar: "counts as zero up to",
  hold_min: "has to stand at zero for",
  turns: "turned by",
  degrees: "turned by",
  least_Nm: "pulls from",
  most_Nm: "pulls up to",
  most_bar: "shows up to",
  bears_kg: "bears",
  reach_m: "reaches",
  arm_m: "its arm",
  wait_min: "waited before it is judged",
  most_min: "never left longer than",
  to_months: "from then on every, months",
  low: "can be at least",
  high: "can be at most",
  tolerance: "may stand off by",
  most: "never more than",
  most_s: "round within, seconds",
  at: "points to, o'clock",
  size: "size",
  thread: "thread",
  drive: "driven by",
  grade: "strength",
  can: "what can happen",
  why: "why",
  says: "what is said",
  do: "what is done",
  with: "gripped with",
  keepOff: "kept off",
  oneUse: "why not twice",
  orientation: "how it sits",
  name: "called",
  seen: "what is seen when it is home",
};

const OF_ALL: Readonly<Record<string, string>> = {
  isolation: "Shut off",
  summary: "In a sentence",
  renewal: "How far to renew",
};

/** Where something stands in a sheet, as it is said: "Gland bolts: thread". @param path as `figuresOf` gives it, by ids */
export function whereItStands(path: string, sheet: Sheet): string {
  const steps = path.split("/").slice(1);
  const field = steps.findLast((step) => Number.isNaN(Number(step))) ?? "";
  let at: unknown = sheet;
  let owner = OF_ALL[steps[0] ?? ""] ?? "";
  for (const step of steps) {
    const list: readonly unknown[] = Array.isArray(at) ? at : [];
    at = Array.isArray(at)
      ? (at.find((each) => (each as { id?: string } | null)?.id === step) ?? at[Number(step)])
      : (at as Record<string, unknown> | undefined)?.[step];
    if (typeof at !== "object" || at === null || Array.isArray(at)) continue;
    if (list.length === 0 && owner !== "") continue;
    const said = titleOf(at, 0);
    // What has no name of its own goes by what it stands in.
    if (said === "Entry 1" || said === (at as { kind?: string }).kind) continue;
    const namesakes = list.filter((each) => titleOf(each, 0) === said);
    owner = namesakes.length > 1 ? `${said.replace(/\.$/, "")} (${namesakes.indexOf(at) + 1})` : said;
  }
  const name = FIELDS[field] ?? labelOf(field).toLowerCase();
  const of = owner.replace(/[.:]$/, "");
  return of === "" ? name : `${of}: ${name}`;
}
