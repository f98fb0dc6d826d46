import { checkSheet } from "../build";
import { type Check, type EndCondition, idOfName, type Part, type Sheet, type SheetSum } from "../formats";
import { err, ok, type Problem, type Result } from "../result";
import { endKey, figuresOf, toleranceKey, walkFigures } from "./sheet-figures";
import { settle, withoutPart } from "./without-part";

/** A model of one's own, told against the build of its family. */
export interface OwnModel {
  readonly title: string;
  readonly maker: string;
  readonly model: string;
  /** Who vouches for its figures, and the paper they come from. */
  readonly vouched: { readonly by: string; readonly source: string };
  /** Ids of parts that it lacks. */
  readonly lacks: readonly string[];
  /**
   * What its paper says, by the key of the figure (`figuresOf`): N·m, degrees, mm, turns, months or days; limits in the
   * unit of their check; any other number in the unit of its field. A torque, a limit or an interval that is not here was
   * not found in the paper.
   */
  readonly figures: Readonly<Record<string, number | Limits>>;
  /** Words as they are with this model, by those of the template. */
  readonly words: Readonly<Record<string, string>>;
}
export interface Limits {
  readonly low?: number;
  readonly high?: number;
}

/**
 * What is left of a template once a valve lacks these parts. Generations are its maker's own: what tells them is not
 * noted.
 */
export const lacking = (template: Sheet, lacks: readonly string[]): Sheet =>
  lacks.reduce(withoutPart, {
    ...template,
    capture: template.capture.filter(({ byGeneration }) => byGeneration === undefined),
  });

/**
 * A sheet for a model of one's own: the build of its family, and of figures its own alone. A torque that its paper does
 * not give is to be asked for, a limit that it does not give is none, an interval that nobody gave is not kept. Kits,
 * look-alikes, generations, weights and what depth costs are the template's maker's and stay behind.
 *
 * @param base the template of the family; demonstration data
 * @returns the problems by path, as its check tells them
 */
export function ownSheet(base: Sheet, own: OwnModel): Result<Sheet, Problem[]> {
  const template = lacking(base, own.lacks);
  const unsaid = [...withoutName(own), ...unread(template, own), ...neverRings(template, own)];
  if (unsaid.length > 0) return err(unsaid);
  const worded = walkFigures(template, (value, path) => {
    const mine = typeof value === "string" ? own.words[value]?.trim() : own.figures[path];
    return (mine ?? value) as typeof value;
  });
  const { depths: _, oldFrom_years: __, beforeTrip, ...rest } = worded;
  const { source } = own.vouched;
  const measured = new Set(Object.keys(own.figures).filter((key) => key.startsWith("limits ")));
  /** A sum begins with nothing of another model. */
  const begun = (sums: SheetSum[] | undefined): { sums?: SheetSum[] } =>
    sums === undefined ? {} : { sums: sums.map((each) => ownSum(each, measured)) };
  const sheet: Sheet = {
    ...rest,
    ...(beforeTrip !== undefined && { beforeTrip: begun(beforeTrip).sums }),
    id: idOfName(`${own.maker} ${own.model}`),
    revision: 1,
    title: own.title.trim(),
    maker: own.maker.trim(),
    model: own.model.trim(),
    demonstration: false,
    vouched: own.vouched,
    generations: [],
    kits: [],
    singles: worded.parts
      .filter(({ soft, oneUse }) => soft === true || oneUse !== undefined)
      .map(({ id }) => id),
    parts: worded.parts.map((part) => ownPart(part, own)),
    tools: worded.tools.map(({ substitutes: _, ...tool }) => tool),
    checks: worded.checks.map((check) => ({
      ...(check.kind === "measure" ? ownMeasure(check, own) : check),
      ...begun(check.sums),
    })),
    restore: worded.restore.map((card) => ({ ...card, ...begun(card.sums) })),
    ...(worded.tasks !== undefined && {
      tasks: worded.tasks.map((task) => ({ ...task, ...begun(task.sums) })),
    }),
    intervals: worded.intervals.flatMap(({ season: _, counts: __, ...interval }) => {
      const months = numberAt(own, `every ${interval.id}`);
      return months === undefined ? [] : [{ ...interval, every_months: months, source }];
    }),
    ...(worded.rechecks !== undefined && {
      rechecks: worded.rechecks.flatMap((recheck) => {
        const days = numberAt(own, `after ${recheck.id}`);
        return days === undefined ? [] : [{ ...recheck, after_days: days }];
      }),
    }),
  };
  const settled = settle(sheet);
  const problems = checkSheet(settled);
  return problems.length === 0 ? ok(settled) : err(problems);
}

function numberAt({ figures }: OwnModel, key: string): number | undefined {
  const given = figures[key];
  return typeof given === "number" ? given : undefined;
}

const withoutName = (own: OwnModel): Problem[] =>
  (["title", "maker", "model"] as const).flatMap((name) =>
    own[name].trim() === ""
      ? [{ path: `/${name}`, message: "It stands on its plate or its paper: write it." }]
      : [],
  );

/** Numbers and words of the template that nobody has looked at. */
const unread = (template: Sheet, own: OwnModel): Problem[] =>
  figuresOf(template).flatMap((figure) =>
    (figure.kind === "words" && (own.words[figure.key] ?? "").trim() === "") ||
    (figure.kind === "number" && numberAt(own, figure.key) === undefined)
      ? [{ path: figure.key, message: "It is a figure of another model: say how it is with yours." }]
      : [],
  );

const neverRings = ({ intervals }: Sheet, own: OwnModel): Problem[] =>
  intervals.some(({ id }) => numberAt(own, `every ${id}`) !== undefined)
    ? []
    : [
        {
          path: "/intervals",
          message: "Say of one thing at least how often it is done: else it never rings.",
        },
      ];

/** @param measured keys of the limits that are known: what is not measured hands nothing over */
function ownSum({ sum, known }: SheetSum, measured: ReadonlySet<string>): SheetSum {
  const left = Object.entries(known ?? {}).filter(([, check]) => measured.has(`limits ${check}`));
  return { sum, ...(left.length > 0 && { known: Object.fromEntries(left) }) };
}

type Measure = Extract<Check, { kind: "measure" }>;

/** Without limits nothing can be judged by a figure: whoever measures holds it against the paper on site. */
function ownMeasure(check: Measure, own: OwnModel): Check {
  const { low: _, high: __, source: ___, ...asked } = check;
  const given = own.figures[`limits ${check.id}`];
  if (typeof given === "object" && (given.low !== undefined || given.high !== undefined))
    return { ...asked, ...given, source: own.vouched.source };
  const { what: _what, dimension: _dimension, unit: _unit, within, below, above, ...looked } = asked;
  const option = (id: string, label: string, verdict: typeof within) => ({ id, label, ...verdict });
  const wrong = below ?? above;
  return {
    ...looked,
    kind: "choice",
    options: [
      option("within", "As its paper allows", within),
      ...(below === undefined ? [] : [option("below", "Less than it allows", below)]),
      ...(above === undefined ? [] : [option("above", "More than it allows", above)]),
      ...(wrong === undefined
        ? [
            option("unlike", "Not as it allows", {
              means: "stop",
              says: "Stop: ask the maker what is to be done.",
            }),
          ]
        : []),
    ],
  };
}

function ownPart(part: Part, own: OwnModel): Part {
  const { features: _, lookAlikes: __, weight_kg: ___, standIn: ____, face: _____, ...kept } = part;
  const { fit, fastener, ...rest } = kept;
  const { lengths: _lengths, circle_mm: _circle, ...held } = fastener ?? {};
  const end = (given: EndCondition, build?: string) => ownEnd(given, endKey(part.id, build), own);
  return {
    ...rest,
    ...(fastener !== undefined && { fastener: held as NonNullable<Part["fastener"]> }),
    ...(fit !== undefined && {
      fit: {
        ...fit,
        ...(fit.thread?.kind === "locker" && { thread: withoutCure(fit.thread) }),
        end: end(fit.end),
        ...(fit.byBuild !== undefined && {
          byBuild: Object.fromEntries(
            Object.entries(fit.byBuild).map(([build, each]) => [build, end(each, build)]),
          ),
        }),
      },
    }),
  };
}

type Locker = Extract<NonNullable<NonNullable<Part["fit"]>["thread"]>, { kind: "locker" }>;
/** How long a locker cures stands on its own bottle. */
const withoutCure = ({ cure_min: _, ...locker }: Locker): Locker => locker;

function ownEnd(end: EndCondition, key: string, own: OwnModel): EndCondition {
  const { source } = own.vouched;
  const [figure, tolerance] = [numberAt(own, key), numberAt(own, toleranceKey(key))];
  const ask: EndCondition = { kind: "to-ask-for", whom: `${own.maker.trim()}, for the ${own.model.trim()}` };
  switch (end.kind) {
    case "torque": {
      const { maximum_Nm: _, source: __, ...held } = end;
      return figure === undefined ? ask : { ...held, torque_Nm: figure, source };
    }
    case "angle":
      return figure === undefined ? ask : { kind: "angle", fromContact_deg: figure, source };
    case "seat-to-depth":
      return figure === undefined || tolerance === undefined
        ? ask
        : { kind: "seat-to-depth", depth_mm: figure, tolerance_mm: tolerance, source };
    case "touch-and-back-off":
      return figure === undefined ? ask : { kind: "touch-and-back-off", backOff_turns: figure };
    default:
      return end;
  }
}
