/**
 * Steps are called in the log by a short text that stays the same when the plan is compiled anew. This is the only place
 * that makes such a text or reads one: everywhere else a step is known by its kind and by what it is about.
 */
const SINGLE = {
  protect: "prepare:protect",
  kit: "prepare:kit",
  tools: "prepare:tools",
  permits: "prepare:permits",
  notify: "prepare:notify",
  live: "isolate:live",
  away: "isolate:away",
  untested: "test:untested",
  "shut-by-hand": "isolate:by-hand",
  "no-isolation": "isolate:blocked",
  "no-release": "release:barred",
  "drain-at-valve": "drain:none",
  discharge: "isolate:discharge",
  stored: "isolate:stored",
  release: "release",
  gauge: "prove:gauge",
  hold: "prove:hold",
  "gauge-again": "prove:again",
  tray: "tray",
  cure: "rebuild:cure",
  evacuate: "restore:evacuate",
  charge: "restore:charge",
  gate: "restore:gate",
  "open-by-hand": "restore:by-hand",
  "others-shared": "others:shared",
  "others-first": "others:before",
  "others-later": "others:behind",
  tell: "restore:tell",
  tag: "tag",
  "second-signature": "second-signature",
  "sign-off": "sign-off",
} as const;

const ABOUT = {
  dead: "prove:dead:",
  "gauge-at": "prove:gauge:",
  "hold-at": "prove:hold:",
  "gauge-again-at": "prove:again:",
  check: "check:",
  "open-bypass": "bypass:",
  "shut-bypass": "bypass-shut:",
  "stop-pump": "pump-off:",
  "pump-out": "pump-out:",
  shut: "shut:",
  "open-bleed": "bleed:",
  drain: "drain:",
  mark: "mark:",
  "other-build": "build:",
  confirm: "confirm:",
  "strip-position": "strip-position:",
  "rebuild-position": "rebuild-position:",
  "ask-twice": "ask:",
  crack: "crack:",
  strip: "strip:",
  blank: "blank:",
  unblank: "blank-out:",
  task: "task:",
  soak: "soak:",
  "other-way": "other-way:",
  fit: "fit:",
  tighten: "tighten:",
  "shut-bleed": "bleed-shut:",
  "shut-drain": "drain-shut:",
  "shut-vent": "vent-shut:",
  "start-pump": "pump-on:",
  open: "open:",
  "put-back": "put-back:",
  "liquid-out": "liquid-out:",
  "open-flow": "open-flow:",
  ready: "restore:",
} as const;

type Single = keyof typeof SINGLE;
type About = keyof typeof ABOUT;

/** A step by what it is about: a part, a link, a place, a check. */
export type StepRef = { readonly is: Single } | { readonly is: About; readonly of: string };

export const singleStep = (is: Single): string => SINGLE[is];
export const stepAbout = (is: About, of: string): string => ABOUT[is] + of;

const BY_NAME = new Map(Object.entries(SINGLE).map(([is, name]) => [name as string, is as Single]));

/** What a step in a log was about; nothing when no step was ever called so. */
export function readStepId(id: string): StepRef | undefined {
  const single = BY_NAME.get(id);
  if (single !== undefined) return { is: single };
  for (const [is, prefix] of Object.entries(ABOUT) as [About, string][])
    if (id.startsWith(prefix)) return { is, of: id.slice(prefix.length) };
  return undefined;
}

/** A step at which zero is proven: of the first place, or of another one, by its node. */
export interface ProvingRef {
  readonly part: "gauge" | "hold" | "again";
  readonly at: string | undefined;
}

const PROVING = {
  gauge: { part: "gauge" },
  hold: { part: "hold" },
  "gauge-again": { part: "again" },
  "gauge-at": { part: "gauge" },
  "hold-at": { part: "hold" },
  "gauge-again-at": { part: "again" },
} as const;

/** Which proof a step belongs to; nothing where it proves nothing. */
export function readProving(id: string): ProvingRef | undefined {
  const ref = readStepId(id);
  if (ref === undefined || !(ref.is in PROVING)) return undefined;
  const { part } = PROVING[ref.is as keyof typeof PROVING];
  return { part, at: "of" in ref ? ref.of : undefined };
}

/** What the steps of a proof are called; the first place of a job has no name of its own. */
export const provingStep = (part: ProvingRef["part"], at?: string): string =>
  at === undefined
    ? singleStep(part === "again" ? "gauge-again" : part)
    : stepAbout(part === "again" ? "gauge-again-at" : `${part}-at`, at);
