import { readdirSync } from "node:fs";
import { describe, expect, it } from "vitest";
import {
  assembly,
  checkSheet,
  planRebuild,
  planStrip,
  spoiledBy,
  trayAccount,
  withSafeWork,
} from "@/core/build";
import { calculate, calculatorNamed, readTyped, type SentInput } from "@/core/calculators";
import { type JobInputs, type Line, PLAN_RULES, type Sheet, type Store, type Valve } from "@/core/formats";
import { type BenchLink, benchLinks, run } from "@/core/job";
import { demoDocument, librarySheet, START, Walk } from "@/core/job/job.fixtures";
import { notationOf } from "@/core/quantity";
import { speaker, stepTitle, stripMessage } from "@/words";
import { cardTexts, textsOf } from "@/words/whole-job.fixtures";
import { asked, registered } from "./registered.fixtures";

const here = (path: string) => new URL(path, import.meta.url);
const sheets = readdirSync(here("../library"))
  .filter((name) => name.endsWith(".json"))
  .map((name) => librarySheet(name.replace(".json", "")));
const store = demoDocument<Store>("stores/works-store.json");
const register = registered();

const lines = new Map<string, Line>();
const lineOf = (id: string): Line => {
  const line = lines.get(id) ?? demoDocument<Line>(`lines/${id}.json`);
  lines.set(id, line);
  return line;
};
const sheetOf = (valve: Valve): Sheet => sheets.find((each) => each.id === valve.sheet)!;
/** A job on a valve of the register, for one of its sheet's symptoms. */
const jobOn = (valve: Valve, symptom: Sheet["symptoms"][number], policy: JobInputs["policy"]): JobInputs => ({
  id: `job-${valve.tag}`,
  valve,
  sheet: sheetOf(valve),
  ...(valve.line !== undefined && { line: lineOf(valve.line) }),
  store,
  reason: { kind: "due", says: symptom.says },
  ...asked(symptom),
  policy,
  openedAt: new Date(START).toISOString(),
  openedBy: "Tam Arkle",
  rules: PLAN_RULES,
});

const builds = (sheet: Sheet) =>
  sheet.builds.length > 0 ? sheet.builds.map((build) => build.id) : [undefined];
const planOf = (sheet: Sheet, reach: readonly string[], build: string | undefined) => {
  const plan = planStrip(sheet, { reach, ...(build !== undefined && { build }) });
  if (!plan.ok) throw new Error(`${sheet.id} ${build}: ${stripMessage(speaker(), plan.error, sheet)}`);
  return plan.value;
};

it("there is a sheet for each of the twenty-two kinds of work, and a valve under each", () => {
  expect(new Set(sheets.map((sheet) => sheet.id)).size).toBe(22);
  expect(
    sheets.filter((sheet) => !register.some((valve) => valve.sheet === sheet.id)).map((sheet) => sheet.id),
  ).toEqual([]);
});

describe.each(sheets.map((sheet) => [sheet.title, sheet] as const))("%s", (_, raw) => {
  const sheet = withSafeWork(raw);
  const moving = sheet.parts.filter((part) => part.stays !== true);
  const reachable = (build: string | undefined) =>
    moving.filter((part) => assembly(sheet, build).ways(part.id).length > 0).map((part) => part.id);

  it("has nothing wrong, and says that its data is invented", () => {
    expect(checkSheet(raw)).toEqual([]);
    expect(raw.demonstration).toBe(true);
  });

  it("says all that a technician asks: hazards, gear, who may, intervals, symptoms, checks before and after, tag", () => {
    expect(
      Math.min(raw.hazards.length, raw.protective.length, raw.intervals.length, raw.symptoms.length),
    ).toBeGreaterThan(0);
    expect(raw.checks.map((check) => check.phase)).toEqual(expect.arrayContaining(["triage", "test"]));
    for (const part of moving) {
      expect(part.fit?.end, part.id).toBeDefined();
      if (part.shape.kind === "screws") expect(part.fastener?.drive, part.id).toBeTruthy();
    }
  });

  it("every part that comes off is reached, exactly planned, on every build", () => {
    for (const build of builds(sheet)) {
      expect(moving.filter((part) => part.ways.length === 0)).toEqual([]);
      for (const part of reachable(build)) expect(planOf(sheet, [part], build).exact, part).toBe(true);
    }
  });

  it("is whole after strip and rebuild: every part back, every loose joint tightened, every position met, the tray empty", () => {
    for (const build of builds(sheet))
      for (const reach of [...reachable(build).map((part) => [part]), reachable(build)]) {
        const plan = planOf(sheet, reach, build);
        const off = plan.moves.flatMap((move) => (move.kind === "remove" ? [move.part] : []));
        const moves = planRebuild(sheet, plan.moves);
        const back = moves.flatMap((move) => (move.kind === "fit" ? [move.part] : []));
        const own = new Set(sheet.rebuild);
        expect(back.filter((part) => !own.has(part))).toEqual(
          off.toReversed().filter((part) => !own.has(part)),
        );
        expect(back.filter((part) => own.has(part))).toEqual(
          (sheet.rebuild ?? []).filter((part) => off.includes(part)),
        );
        const loose = moves.flatMap((move) => (move.kind === "fit" && move.loose ? [move.part] : []));
        expect(moves.flatMap((move) => (move.kind === "tighten" ? [move.part] : [])).sort()).toEqual(
          loose.sort(),
        );
        const renew = new Set(spoiledBy(sheet, plan.moves).keys());
        expect(trayAccount(sheet, { taken: off, fitted: new Set(back), renew }).balances).toBe(true);
        expect(positionsMissed(sheet, plan.moves, moves)).toEqual([]);
      }
  });

  it("pressure that is left has a way out that its medium allows", () => {
    const covers = moving.filter((part) => part.role === "cover" || part.role === "bonnet");
    if (covers.length > 0 && !raw.isolation.drainsItself && raw.family !== "wet-barrel-hydrant")
      expect(raw.release?.length).toBeGreaterThan(0);
  });
});

/** Fits that would be made with the valve standing otherwise than they ask, and a finish that is not reached. */
function positionsMissed(
  sheet: Sheet,
  strip: ReturnType<typeof planOf>["moves"],
  rebuild: ReturnType<typeof planRebuild>,
): string[] {
  let at = sheet.position?.start;
  for (const move of strip)
    at = move.kind === "position" ? move.to : (move.way.position?.after ?? move.way.position?.before ?? at);
  const missed = rebuild.flatMap((move) => {
    if (move.kind === "position") at = move.to;
    if (move.kind !== "fit") return [];
    const wanted = sheet.parts.find((part) => part.id === move.part)?.fit?.position;
    const wrong = wanted?.before !== undefined && wanted.before !== at ? [`${move.part} at ${at}`] : [];
    at = wanted?.after ?? at;
    return wrong;
  });
  return at === sheet.position?.finish ? missed : [...missed, `ends ${at}`];
}

const opened = new Set<string>();

/** What a step fills in can be read, and is never what keeps the calculation from answering. */
function opensFilled(link: BenchLink, where: string): void {
  const calculator = calculatorNamed(link.calculator);
  if (calculator === undefined) throw new Error(`${where}: no calculation ${link.calculator}`);
  const sent: Record<string, SentInput> = {};
  for (const [name, text] of Object.entries(link.start)) {
    const input = calculator.inputs.find((each) => each.name === name);
    const read = input === undefined ? undefined : readTyped(input, text);
    if (!read?.ok) throw new Error(`${where}: ${link.calculator} cannot read ${name}: ${text}`);
    sent[name] = read.value;
  }
  const answer = calculate(calculator, sent);
  if (!answer.ok)
    for (const problem of answer.error)
      expect(Object.keys(link.start), `${where}: ${problem.message}`).not.toContain(problem.path.slice(8));
  opened.add(link.calculator);
}

/** One valve of every sheet, on its own line, worked from the bell to the signature by a technician who does all well. */
describe("a whole job", () => {
  const first = sheets.map((sheet) => register.find((valve) => valve.sheet === sheet.id)!);
  it.each(first.map((valve) => [valve.tag, valve] as const))("on %s runs to the signature", (_, valve) => {
    const walk = new Walk(jobOn(valve, sheetOf(valve).symptoms.at(-1)!, "what-was-disturbed")).toEnd();
    expect(walk.job.status.kind).toBe("signed-off");
    expect(walk.job.tray.balances).toBe(true);
    expect(walk.job.shut).toEqual([]);
    for (const step of walk.job.plan.steps)
      for (const link of benchLinks(walk.job, step)) opensFilled(link, `${valve.tag} ${step.id}`);
  });

  it("between them they reach most of the bench book from their steps", () => {
    expect([...opened].sort()).toEqual(
      expect.arrayContaining(["bolt-up", "coil", "co2-charge", "ride-through"]),
    );
    expect(opened.size).toBeGreaterThan(30);
  });
});

describe("a plan in US units", () => {
  const us = speaker(notationOf("us"));
  const METRIC = /\d[\d.,]*\s?(N·m|bar|°C|kg|L\b|litres|metres|mm\b|m\b|kPa)/;
  const US = /\d[\d.,]*\s?(ft·lbf|psi|°F|lb\b|US gal|ft\b)/;
  /** A text without what the sheet's author and the store's keeper wrote into it, word for word. */
  const oursIn = (text: string, written: readonly string[]) =>
    written.reduce((left, each) => left.replaceAll(each, ""), text);

  it.each(sheets.map((sheet) => [sheet.title, sheet] as const))(
    "%s: no figure of ours is metric",
    (_, sheet) => {
      const written = [...new Set(textsOf([sheet, store]))]
        .filter((each) => /\d/.test(each))
        .sort((a, b) => b.length - a.length);
      let texts = 0;
      for (const valve of register.filter((each) => each.sheet === sheet.id))
        for (const symptom of sheet.symptoms) {
          const job = run(jobOn(valve, symptom, "on-condition"), []);
          if (!job.ok) throw new Error(`${valve.tag}: ${job.error.kind}`);
          for (const step of job.value.plan.steps) {
            for (const text of cardTexts(us, step)) {
              texts++;
              if (METRIC.test(text)) expect(oursIn(text, written), valve.tag).not.toMatch(METRIC);
            }
            // Titles are kept with the job and stand in the lists of all its readers.
            expect(oursIn(stepTitle(us, step), written), valve.tag).not.toMatch(US);
          }
        }
      expect(texts).toBeGreaterThan(100);
    },
  );
});
