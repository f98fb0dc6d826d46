import {
  asBuilt,
  asFitted,
  type Barred,
  planRebuild,
  planStrip,
  type RebuildMove,
  releaseOf,
  type StripDemand,
  type StripFailure,
  type StripPlan,
  spoiledBy,
  takenOff,
  withSafeWork,
} from "../../build";
import { type Finding, judge, type Renewal, renewals } from "../../findings";
import type {
  Caution,
  Check,
  HeldLinks,
  JobInputs,
  Line,
  Part,
  Sheet,
  Tool,
  Valve,
  Way,
} from "../../formats";
import {
  type IsolationDemand,
  type IsolationFailure,
  type IsolationPlan,
  lostBehind,
  planForWork,
} from "../../isolation";
import { equipmentAt, MEDIA_RULES, mediumOf } from "../../line";
import { toSI, unitNamed } from "../../quantity";
import { ok, type Result } from "../../result";
import { withWays } from "../../schools";
import { chooseKits, type KitChoice, pieceKey } from "../../store";
import { heldAs, heldLinks, lineAsItStands } from "../as-it-stands";
import { buildAtWork, foundGeneration } from "../found-build";
import { foundOptions } from "../found-options";
import { sheetOnLine } from "../sheet-on-line";
import type { Danger } from "../step-head";
import { type Others, othersOf } from "./others";
import type { PlannedFrom } from "./planned-from";
import { remembered } from "./remember";

/** All that the phases are compiled from, worked out once. */
export interface Context {
  readonly inputs: JobInputs;
  /** The build it goes by: what stands there, else what the register says. */
  readonly build?: string;
  /** Which options it has: as it was noted on the valve, else as the register says. */
  readonly fitted: NonNullable<Valve["fitted"]>;
  /** Planned by the rules of before: tested and told in the old order, zero proven at one place. */
  readonly asBefore: boolean;
  /** By which rules it is planned: 3 places every card where what it needs holds. */
  readonly rules: number;
  /** What keeps this work from its end that other jobs hold. */
  readonly others: Others;
  readonly sheet: Sheet;
  readonly progress: PlannedFrom;
  readonly parts: ReadonlyMap<string, Part>;
  readonly isolation: Result<IsolationPlan, IsolationFailure> | undefined;
  /** What this work opens to a person, by its names on the line. */
  readonly opens: readonly string[];
  readonly strip: StripPlan;
  readonly removed: readonly string[];
  readonly rebuild: readonly RebuildMove[];
  readonly findings: readonly Finding[];
  readonly renewals: readonly Renewal[];
  readonly kits: KitChoice;
}

/** Reach and renewals feed each other (a spoiled gasket has to come off, too); a sheet settles in two or three rounds. */
const MOST_ROUNDS = 8;

/** Works out isolation, strip, rebuild, renewals and kits from the inputs and what was found so far. */
export function contextOf(inputs: JobInputs, progress: PlannedFrom): Result<Context, StripFailure> {
  const fitted = { ...inputs.valve.fitted, ...foundOptions(inputs.sheet, progress) };
  const build = buildAtWork(inputs, progress);
  const sheet = workSheet(inputs, JSON.stringify({ fitted, ...(build !== undefined && { build }) }));
  const rules = inputs.rules ?? 1;
  const asBefore = rules < 2;
  const findings = findingsOf(sheet, progress);
  const chosen = new Map(
    [...progress.judged].flatMap(([part, each]) =>
      each.disposition === "renew" ? [[part, each.reason] as const] : [],
    ),
  );
  const due = new Map((inputs.renew ?? []).map((part) => [part, inputs.reason.says]));
  let reach = [
    ...new Set([...inputs.reach, ...due.keys(), ...findings.flatMap((finding) => finding.reach)]),
  ].filter((id) => !lacks(inputs.sheet, sheet, id));
  // Parts whose removal was ticked: whatever the plan becomes, they are off.
  const begun = [...progress.stripped.keys()].filter((id) => !lacks(inputs.sheet, sheet, id));
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const strip = stripOf(sheet, JSON.stringify({ reach, ...(build !== undefined && { build }) }));
    if (!strip.ok) return strip;
    const removed = strip.value.moves.flatMap((move) => (move.kind === "remove" ? [move.part] : []));
    const renewed = renewals(
      sheet,
      removed,
      asBefore ? takenOff(sheet, strip.value.moves) : spoiledBy(sheet, strip.value.moves, build),
      findings,
      inputs.policy,
      chosen,
      due,
    );
    const wider = [
      ...new Set([
        ...reach,
        ...renewed.map((each) => each.part).filter((id) => comesOff(sheet, id)),
        ...begun.filter((id) => !removed.includes(id)),
      ]),
    ];
    if (wider.length === reach.length) {
      const needs = renewed.flatMap((each) => needsOf(sheet, each));
      const opens = openedFor(inputs, sheet, removed, rules);
      const open = [...opens, ...openedBeside(inputs)];
      const { isolation, waitsFor } = isolate(inputs, progress, open, removed);
      return ok({
        inputs,
        ...(build !== undefined && { build }),
        fitted,
        asBefore,
        rules,
        others: othersOf(inputs, progress, isolation, waitsFor),
        sheet,
        progress,
        parts: new Map(sheet.parts.map((part) => [part.id, part])),
        isolation,
        opens,
        strip: strip.value,
        removed,
        rebuild: planRebuild(sheet, strip.value.moves, rules >= 4),
        findings,
        renewals: renewed,
        kits: kitsOf(inputs, progress, needs),
      });
    }
    reach = wider;
  }
  throw new Error(`renewals and reach of ${sheet.id} do not settle: ${reach}`);
}

/** What a relief valve is set to: never above what the line bears. */
const SET_PRESSURE = "set-pressure";

/** The same model stands on lines of different ratings: a relief valve that is set above this line's protects nothing here. */
function withinRating(sheet: Sheet, { rules = 1, line }: JobInputs): Sheet {
  const { rating_bar } = line ?? {};
  if (rules < 3 || rating_bar === undefined) return sheet;
  const capped = (check: Check): Check =>
    check.kind === "measure" && check.what === SET_PRESSURE && (check.high ?? rating_bar) > rating_bar
      ? { ...check, high: rating_bar, low: Math.min(check.low ?? 0, rating_bar) }
      : check;
  return { ...sheet, checks: sheet.checks.map(capped) };
}

/** A part of the model that this valve does not have. */
const lacks = (model: Sheet, { parts }: Sheet, id: string): boolean =>
  model.parts.some((part) => part.id === id) && !parts.some((part) => part.id === id);

/** What a renewal takes, by part, or by piece of a stack. */
export function needsOf(sheet: Sheet, renewal: Renewal): (readonly [string, number])[] {
  const part = sheet.parts.find((each) => each.id === renewal.part);
  if (renewal.because === "policy" || renewal.pieces === undefined)
    return [[renewal.part, part?.quantity ?? 1]];
  return renewal.pieces.map((piece) => [pieceKey(renewal.part, part?.pieces?.[piece - 1]?.name ?? ""), 1]);
}

const comesOff = (sheet: Sheet, id: string) =>
  sheet.parts.some((part) => part.id === id && part.stays !== true);

/** The sheet as work on this valve takes it. */
const workSheet = remembered((inputs: JobInputs, as) => {
  const { fitted, build } = JSON.parse(as) as { fitted: NonNullable<Valve["fitted"]>; build?: string };
  const here = asBuilt(asFitted(sheetOnLine(inputs), fitted), build);
  return withSafeWork(withinRating(withWays(here, inputs.schools), inputs));
});

const stripOf = remembered((sheet: Sheet, ask) => planStrip(sheet, JSON.parse(ask) as StripDemand));

const kitsFor = remembered(({ sheet, store, valve, schools }: JobInputs, ask) => {
  const { needs, generation = valve.generation } = JSON.parse(ask) as KitDemand;
  return chooseKits(withWays(sheet, schools), needs, store, generation);
});

interface KitDemand {
  readonly needs: readonly (readonly [string, number])[];
  readonly generation?: string;
}

/** What to bring for these parts, for the generation that stands there. */
export function kitsOf(inputs: JobInputs, progress: PlannedFrom, needs: KitDemand["needs"]): KitChoice {
  const generation = foundGeneration(inputs.sheet, progress);
  return kitsFor(inputs, JSON.stringify({ needs, ...(generation !== undefined && { generation }) }));
}

/** What to shut, and the jobs that have to be done before anything is. */
interface Isolated {
  readonly isolation: Context["isolation"];
  readonly waitsFor: ReadonlySet<string>;
}

/** What is open to a person: all of the valve; its power alone, where only parts come off that open nothing else. */
function openedFor(
  { line, valve }: JobInputs,
  sheet: Sheet,
  removed: readonly string[],
  rules: number,
): readonly string[] {
  const at = valve.node ?? valve.tag;
  const dry = (id: string) => sheet.parts.find((part) => part.id === id)?.dry === true;
  if (rules < 4 || line === undefined || removed.length === 0 || !removed.every(dry)) return [at];
  const power = equipmentAt(line, at).filter((id) => {
    const node = line.nodes.find((each) => each.id === id);
    return node !== undefined && mediumOf(line, node) === "electricity";
  });
  return power.length > 0 ? power : [at];
}

/** What the other jobs of the same shut-down open. */
const openedBeside = ({ line, together = [] }: JobInputs): readonly string[] =>
  together.filter(
    (id) => line?.nodes.some((node) => node.id === id) || line?.links.some((link) => link.id === id),
  );

/** Jobs of before told those who go without everything, and nobody else; a pump that ran against what was shut ran on. */
const asPlannedBefore = remembered((plan: IsolationPlan): IsolationPlan => {
  const idle = new Set(plan.pumps.flatMap((pump) => (pump.idle === true ? [pump.link] : [])));
  return {
    ...plan,
    lost: plan.lost.filter((each) => each.left === undefined && each.asleep === undefined),
    pumps: plan.pumps.filter(({ link }) => !idle.has(link)),
    shutting: plan.shutting.filter(({ id }) => !idle.has(id)),
    restoring: plan.restoring.filter(({ id }) => !idle.has(id)),
  };
});

function isolate(
  inputs: JobInputs,
  progress: PlannedFrom,
  open: readonly string[],
  removed: readonly string[],
): Isolated {
  const { line, sheet } = inputs;
  const waitsFor = new Set<string>();
  // Work that is done with the medium in the pipe shuts nothing, and neither does a look.
  const looks = inputs.looks !== undefined && removed.length === 0;
  if (line === undefined || looks || sheet.isolation.workUnderPressure !== undefined)
    return { isolation: undefined, waitsFor };
  const demand = { open, passing: progress.passing };
  for (;;) {
    const held = heldLinks(progress.heldAtFirst).filter(({ job }) => !waitsFor.has(job));
    const isolation =
      held.length === 0
        ? isolationOf(line, JSON.stringify(demand))
        : isolationWith(line, JSON.stringify({ demand, held }));
    const before = waitsFor.size;
    if (isolation?.ok === true && progress.shut.size === 0)
      for (const job of jobsToWaitFor(inputs, isolation.value, held)) waitsFor.add(job);
    if (waitsFor.size === before)
      return {
        isolation:
          isolation?.ok === true && (inputs.rules ?? 1) < 4
            ? ok(asPlannedBefore(isolation.value, ""))
            : isolation,
        waitsFor,
      };
  }
}

/**
 * Jobs that hold what this one would shut, where both cannot be at work at once: a section of a refrigerant, whose air,
 * vapour and liquid cannot be told apart; power by which the valve lets its pressure out; a bypass that it keeps open.
 */
function jobsToWaitFor({ sheet, line }: JobInputs, plan: IsolationPlan, held: HeldLinks): string[] {
  const release = releaseOf(sheet);
  const byPower = release?.kind === "rung" && release.rung.withPower === true;
  const within = new Set(plan.section.nodes);
  const touches = ({ id, from, to }: Line["links"][number]) =>
    plan.closures.some(({ link }) => link === id) || within.has(from) || within.has(to);
  // Who stays in service by a bypass would go without.
  const keptOpen = new Set(held.flatMap(({ link, open }) => (open === true ? [link] : [])));
  const counted = plan.closures.flatMap(({ link }) => (keptOpen.has(link) ? [link] : []));
  const shared = new Set([
    ...counted,
    ...(MEDIA_RULES[sheet.isolation.medium].refrigerant
      ? [...plan.turned.map(({ node }) => node), ...(line?.links ?? []).filter(touches).map(({ id }) => id)]
      : plan.closures.flatMap(({ link, medium }) => (byPower && medium === "electricity" ? [link] : []))),
  ]);
  return held.flatMap(({ link, job }) => (shared.has(link) ? [job] : []));
}

/** Beside other jobs: on the line as it stands, and who goes without by this work alone is without it, too. */
const isolationWith = remembered((line: Line, ask): Context["isolation"] => {
  const { demand, held } = JSON.parse(ask) as { demand: IsolationDemand; held: HeldLinks };
  const plan = isolationOf(
    withoutTheirBypasses(lineAsItStands(line, heldAs(held)), held),
    JSON.stringify(demand),
  );
  if (plan?.ok !== true) return plan;
  const { lost } = plan.value;
  const known = new Set(lost.map((each) => each.node));
  const also = lostBehind(line, plan.value, demand.open).filter((each) => !known.has(each.node));
  return ok({ ...plan.value, lost: [...lost, ...also] });
});

/** A bypass that another job holds is not ours to open. */
function withoutTheirBypasses(line: Line, held: HeldLinks): Line {
  const theirs = new Set(held.map(({ link }) => link));
  const links = line.links.map((link) => {
    if (link.kind !== "valve" || link.bypass !== true || !theirs.has(link.id)) return link;
    const { bypass: _, ...rest } = link;
    return rest;
  });
  return links.every((link, index) => link === line.links[index]) ? line : { ...line, links };
}

const isolationOf = remembered((line: Line, ask): Context["isolation"] =>
  planForWork(line, JSON.parse(ask) as IsolationDemand),
);

/** Turns a limit of this check into SI. */
export const limitSI = (check: Check) => (value: number) => {
  if (check.kind !== "measure") return value;
  const unit = unitNamed(check.unit, check.dimension);
  return unit === undefined ? value : toSI(value, unit);
};

function findingsOf(sheet: Sheet, progress: PlannedFrom): Finding[] {
  return sheet.checks.flatMap((check) => {
    const given = progress.answers.get(check.id);
    const pieces = sheet.parts.find(({ id }) => id === check.part)?.pieces?.length;
    const found = given && judge(check, given.answer, limitSI(check), pieces);
    return found === undefined ? [] : [found];
  });
}

/** Tools of the sheet by id; one that it does not list is called by its id. */
export const toolsOf = ({ sheet }: Pick<Context, "sheet">, ids: readonly string[]): Tool[] =>
  ids.map((id) => sheet.tools.find((each) => each.id === id) ?? { id, name: id });

/** How the valve stands, by the names of its positions. */
export function stands(
  sheet: Sheet,
  before: string | undefined,
  after: string | undefined,
): { stands?: { before: string; after: string } } {
  const name = (id: string | undefined) => sheet.position?.names.find((each) => each.id === id)?.name;
  const [from, to] = [name(before), name(after)];
  return from === undefined || to === undefined ? {} : { stands: { before: from, after: to } };
}

export const said = (cautions: readonly Caution[] = []): Danger[] =>
  cautions.map((each) => ({ kind: "said", ...each }));

/** What a sheet forbids in its own words. */
export const forbidden = (tools: Way["forbidden"] = []): Barred[] =>
  tools.map((each) => ({ kind: "said", ...each }));

/** Somebody has to let one in where this valve is. */
export function doorOf({ line }: JobInputs, id: string): Danger[] {
  const link = line?.links.find((each) => each.id === id);
  return link?.kind === "valve" && link.door !== undefined
    ? [{ kind: "behind-a-door", name: link.name ?? link.id, door: link.door }]
    : [];
}
