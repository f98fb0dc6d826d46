import { describe, expect, it } from "vitest";
import { stuckLadder } from "@/core/build";
import {
  EventSchema,
  type JobInputs,
  LineSchema,
  type Sheet,
  SheetSchema,
  StoreSchema,
} from "@/core/formats";
import { accept, chainStart, jobBells, jobRecord, planChange, type Refusal, seal } from "@/core/job";
import { dryJob, START, Walk, wetJob } from "@/core/job/job.fixtures";
import { notationOf, UNITS } from "@/core/quantity";
import { inRingingOrder } from "@/core/ringing";
import {
  asFoundWords,
  changeWords,
  dueWhy,
  entryWords,
  newPartWords,
  refusalWords,
  renewalWhy,
  speaker,
} from ".";
import { english } from "./english";
import { notSaid, pseudo } from "./pseudo.fixtures";
import {
  bellTexts,
  cardTexts,
  jobOf,
  LINES,
  onLine,
  planTexts,
  SHEETS,
  stuckTexts,
  textsOf,
} from "./whole-job.fixtures";

const strange = speaker(notationOf(), pseudo);

/** Short names that our formats give to kinds of things: ours, to be said in words. */
const KINDS = new Set(
  textsOf([SheetSchema, LineSchema, StoreSchema, EventSchema]).filter((each) => /^[a-z-]+$/.test(each)),
);

/** An author's word that happens to be the name of a kind, too: where grease goes, what a loose end is called. */
const oneWordOfAnAuthor = ({ parts, connections }: Sheet): string[] => [
  ...parts.flatMap(({ fit }) => (fit?.surface?.kind === "lubricate" ? [fit.surface.where] : [])),
  ...connections.map((each) => [each.colour, each.name].filter(Boolean).join(" ")),
];

/** What may stand in a text untranslated: what authors, keepers and technicians wrote, and units. */
function wordsOf(inputs: JobInputs, ...more: unknown[]): string[] {
  return (
    [...new Set([...textsOf(inputs), ...textsOf(more)])]
      .filter((each) => /[A-Za-z]/.test(each) && !KINDS.has(each))
      .concat(oneWordOfAnAuthor(inputs.sheet))
      // In a list of cards a sentence stands without its full stop.
      .flatMap((each) => [each, each.toLowerCase(), each.replace(/\.$/, "")])
      .sort((a, b) => b.length - a.length)
  );
}
const UNIT_LABELS = UNITS.map((unit) => unit.label)
  .filter((label) => /[A-Za-z]/.test(label))
  .sort((a, b) => b.length - a.length);

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
const UNITS_AFTER_FIGURES = UNIT_LABELS.map(
  (label) => new RegExp(`(?<=\\d\\s?)${escaped(label)}(?![A-Za-z])`, "g"),
);

/** Letters of ours that no language said: none, in a text that can be translated whole. */
function ours(text: string, written: readonly string[]): string {
  let left = notSaid(text);
  const letters = () => /[A-Za-z]/.test(left);
  for (const each of written) {
    if (!letters()) return "";
    if (left.includes(each)) left = left.replaceAll(each, " ");
  }
  for (const unit of UNITS_AFTER_FIGURES) left = left.replaceAll(unit, " ");
  return left
    .replace(/\b\d+ (d|h|min|s)\b/g, " ")
    .replace(/[^A-Za-z]+/g, " ")
    .trim();
}

describe("a language that nobody speaks", () => {
  it("says everything that English says", () => {
    expect(pseudo.steps.shut.shut("V-12 Chandler street")).toContain("V-12 Chandler street");
    expect(notSaid(pseudo.steps.shut.shut("V-12"))).toMatch(/^\s*V-12[\s.]*$/);
    const shape = (value: unknown): unknown =>
      typeof value === "object" && value !== null
        ? Object.fromEntries(Object.entries(value).map(([key, each]) => [key, shape(each)]))
        : typeof value;
    expect(shape(pseudo)).toEqual(shape(english));
  });

  it("would be noticed where a word of ours went round it", () => {
    expect(ours(`${pseudo.steps.tray.title} Still here`, [])).toBe("Still here");
    expect(ours(pseudo.steps.drainAtValve.why("12 L"), [])).toBe("");
  });
});

describe("a whole job in another language", () => {
  it.each(SHEETS.map((sheet) => [sheet.id, sheet] as const))("%s: every card", (_, sheet) => {
    const inputs = jobOf(sheet);
    const { plan } = new Walk(inputs).job;
    const written = wordsOf(inputs);
    // One word of an author can be the name of a kind as well: it stands alone, then.
    const all = new Set(textsOf(sheet));
    for (const step of plan.steps)
      for (const text of cardTexts(strange, step))
        expect(all.has(text) ? "" : ours(text, written), step.id).toBe("");
    for (const part of sheet.parts)
      for (const rung of stuckLadder(part, sheet))
        for (const text of stuckTexts(strange, rung)) expect(ours(text, written)).toBe("");
  });

  it.each(LINES)("on %s, %s: what is shut and why, what is stored, how it comes back", (id, node, sheet) => {
    const inputs = onLine(id, node, sheet);
    const { plan } = new Walk(inputs).job;
    expect(plan.isolation?.ok).toBe(true);
    const texts = planTexts(strange, plan);
    expect(texts.length).toBeGreaterThan(100);
    const written = wordsOf(inputs);
    for (const text of texts) expect(ours(text, written)).toBe("");
  });

  it.each([
    ["wet", wetJob(), { "disc-face": "catches" }],
    ["dry", dryJob(), { "seat-face": "cut" }],
  ] as const)("the %s-barrel hydrant from the first look to the record", (_, inputs, answers) => {
    const walk = new Walk(inputs, answers);
    const written = () => wordsOf(inputs, walk.events, "Station officer");
    const nothing = (texts: readonly string[]) => {
      for (const text of texts) expect(ours(text, written())).toBe("");
    };
    let changes = 0;
    for (let guard = 0; walk.job.current !== undefined && guard < 300; guard++) {
      const before = walk.job;
      nothing(cardTexts(strange, before.current!));
      nothing(inRingingOrder(jobBells(before)).flatMap((bell) => bellTexts(strange, bell)));
      walk.doStep(before.current!);
      const change = planChange(before, walk.job);
      if (change !== undefined) {
        changes++;
        nothing(changeWords(strange, change));
      }
    }
    expect(changes).toBeGreaterThan(0);
    let previous = chainStart(inputs);
    const sealed = walk.events.map((event, index) => {
      const made = seal(event, index + 1, new Date(START).toISOString(), previous);
      previous = made.seal.hash;
      return made;
    });
    const record = jobRecord(walk.job, sealed);
    nothing(record.lines.flatMap((each) => Object.values(entryWords(strange, each, inputs.sheet))));
    nothing(record.asFound.map((each) => asFoundWords(strange, each)));
    nothing(record.renewed.map((each) => renewalWhy(strange, each)));
    nothing(record.compared.map((each) => newPartWords(strange, each.verdict)));
    nothing(record.next === undefined ? [] : [dueWhy(strange, record.next)]);
  });

  it("every refusal that wrong entries get on the way", () => {
    const walk = new Walk(wetJob());
    const refused = new Map<string, Refusal>();
    const at = { v: 1, id: "wrong", by: "Tam Arkle" };
    for (let guard = 0; walk.job.current !== undefined && guard < 300; guard++) {
      const { job } = walk;
      const step = { step: job.current!.id };
      const wrong: readonly Readonly<Record<string, unknown>>[] = [
        { kind: "step-done", ...step, entry: "" },
        { kind: "step-done", ...step, entry: "99 of them" },
        { kind: "step-done", step: "none" },
        { kind: "step-done", step: "sign-off" },
        { kind: "step-overridden", ...step, reason: "in a hurry" },
        { kind: "reading-taken", ...step, what: "zero", dimension: "gauge pressure", si: -3e5, typed: "x" },
        { kind: "reading-taken", ...step, what: "zero", dimension: "gauge pressure", si: 9e7, typed: "x" },
        { kind: "bolt-pulled", ...step, pass: 9, bolt: 9 },
        { kind: "bolt-pulled", ...step, pass: 1, bolt: 1, reading_Nm: 900 },
        { kind: "wait-started", ...step, minutes: 0 },
        { kind: "check-answered", ...step, check: "none", answer: "x" },
        { kind: "piece-set", ...step, piece: 44 },
        { kind: "closure-passes", link: "V-99" },
        { kind: "undone", event: "none" },
        { kind: "resumed" },
        { kind: "signed-off", statement: "x" },
        { kind: "given-up", reason: "x" },
        { kind: "part-judged", part: "gland-gasket", disposition: "reuse", reason: "x" },
      ];
      for (const each of wrong) {
        const event = { ...at, at: new Date(walk.now).toISOString(), ...each } as never;
        const taken = accept(job, event, { now: walk.now });
        if (taken.ok) continue;
        refused.set(taken.error.kind, taken.error);
        const text = refusalWords(strange, taken.error, job);
        expect(ours(text, [...wordsOf(walk.inputs, walk.events), "none", "V-99"]), text).toBe("");
      }
      walk.doStep(job.current!);
    }
    expect(refused.size).toBeGreaterThan(18);
  });
});
