import { readdirSync } from "node:fs";
import type { StuckRung } from "@/core/build";
import type { JobInputs, Line, Sheet } from "@/core/formats";
import type { Bell, Plan, Step } from "@/core/job";
import { demoDocument, librarySheet, wetJob } from "@/core/job/job.fixtures";
import {
  bellWords,
  fitRuleWords,
  isolationMessage,
  kitLines,
  lockedWords,
  type Speaker,
  spokenPlan,
  standIns,
  stepDangers,
  stepWords,
  storedAt,
  storedKind,
  storedWords,
  stuckWords,
  threadNote,
  toolName,
} from ".";

/** Every text of a value, however deep it lies. */
export const textsOf = (value: unknown): string[] =>
  typeof value === "string"
    ? [value]
    : typeof value === "object" && value !== null
      ? Object.values(value).flatMap(textsOf)
      : [];

/** All that one card says. */
export function cardTexts(speaker: Speaker, step: Step): string[] {
  const own = (): unknown => {
    switch (step.kind) {
      case "kit":
        return kitLines(speaker, step).map(({ name, note }) => ({ name, note }));
      case "tools":
        return step.bring.map((tool) => [toolName(speaker, tool), standIns(speaker, tool)]);
      case "fit":
        return step.rules.map((rule) => fitRuleWords(speaker, rule));
      case "tighten":
        return threadNote(speaker, step);
      default:
        return [];
    }
  };
  return textsOf([
    stepWords(speaker, step),
    stepDangers(speaker, step),
    step.tools.map((tool) => [toolName(speaker, tool), standIns(speaker, tool)]),
    own(),
  ]);
}

/** All that a plan says: its cards, and its isolation as the line's screen shows it. */
export function planTexts(speaker: Speaker, plan: Plan): string[] {
  const { isolation } = plan;
  const line =
    isolation === undefined
      ? []
      : isolation.ok
        ? isolationTexts(speaker, isolation.value)
        : [isolationMessage(speaker, isolation.error)];
  return [...plan.steps.flatMap((step) => cardTexts(speaker, step)), ...line];
}

function isolationTexts(
  speaker: Speaker,
  plan: Extract<NonNullable<Plan["isolation"]>, { ok: true }>["value"],
): string[] {
  const { closures, shutting, restoring, prove, permits } = spokenPlan(speaker, plan);
  return [
    ...[...closures, ...shutting, ...restoring].map(({ why }) => why),
    ...prove.map(({ says }) => says),
    ...permits.flatMap(({ title, says }) => [title, says]),
    ...plan.locked.map((piece) => lockedWords(speaker, piece)),
    ...plan.stored.flatMap((each) => [
      storedAt(speaker, each),
      storedKind(speaker, each),
      storedWords(speaker, each),
    ]),
  ];
}

export const bellTexts = (speaker: Speaker, bell: Bell): string[] => {
  const { title, says } = bellWords(speaker, bell);
  return [title, says];
};

export const stuckTexts = (speaker: Speaker, rung: StuckRung): string[] =>
  Object.values(stuckWords(speaker, rung));

/** Sheets of the library, each on the demo line its medium belongs to, where there is one. */
export const SHEETS = readdirSync("library")
  .filter((name) => name.endsWith(".json"))
  .filter((name) => name.endsWith(".json"))
  .map((name) => librarySheet(name.replace(".json", "")));
export const LINES: readonly (readonly [string, string, string])[] = [
  ["gannet-low-side", "GN-RV6", "pell-guardian-s1"],
  ["gannet-low-side", "GN-RV4A", "pell-guardian-t2"],
  ["gannet-co2", "GC-SV2", "pell-frostgate-32"],
  ["lido-water", "LD-M1", "ottermouth-spoolmix-25"],
  ["ferry-shed", "FS-PN1", "quillon-watchair-1"],
  ["holm-library", "HL-V3", "lantern-parlour-1"],
];

export const jobOf = (sheet: Sheet, more: Partial<JobInputs> = {}): JobInputs => {
  const { line: _, ...base } = wetJob();
  const build = sheet.builds[0]?.id;
  return {
    ...base,
    sheet,
    valve: {
      tag: "T-1",
      name: "Trial valve",
      place: "Loft",
      sheet: sheet.id,
      ...(build !== undefined && { build }),
    },
    reach: sheet.symptoms[0]!.reach,
    policy: "what-was-disturbed",
    ...more,
  };
};

/** A job on a valve of a demo line. */
export const onLine = (id: string, node: string, sheet: string): JobInputs & { readonly line: Line } => {
  const base = jobOf(librarySheet(sheet));
  return {
    ...base,
    line: demoDocument<Line>(`lines/${id}.json`),
    valve: { ...base.valve, tag: node, node, line: id },
  };
};
