import { type Condition, crossingOrder, torqueInCondition } from "../../fastening";
import type { EndCondition, Part, PartFit } from "../../formats";
import { formatQuantity, type Torque } from "../../quantity";
import { type FitRule, type Pass, type Step, step } from "../step";
import { checkStep } from "./checks";
import { type Context, stands, toolsOf } from "./context";
import { captures, confirms } from "./mark";
import { tasks } from "./tasks";

/** Bolts from which a joint is pulled by a pattern. */
const LEAST_PATTERN = 3;

/** How it goes back: every part with what goes on it, how far it is tightened, and the looks between. */
export function rebuild(context: Context): Step[] {
  const { sheet, rebuild: moves, parts, kits } = context;
  let at = standsAfterStrip(context);
  const asked = (fitted: string) =>
    sheet.checks
      .filter((check) => check.phase === "rebuild" && check.afterFit === fitted)
      .map((check) => checkStep(context, check));
  const steps = moves.flatMap((move, index): Step[] => {
    const before = at;
    if (move.kind === "position") {
      at = move.to;
      const position = sheet.position?.names.find((each) => each.id === move.to);
      return [
        step(
          {
            id: `rebuild-position:${move.to}:${index}`,
            phase: "rebuild",
            title: position?.do ?? move.to,
            why:
              move.to === sheet.position?.finish
                ? `It is left ${position?.name.toLowerCase() ?? move.to}.`
                : "The next part goes in only so.",
            minutes: move.minutes,
            ...stands(sheet, before, move.to),
          },
          { kind: "do" },
        ),
      ];
    }
    const part = parts.get(move.part)!;
    const fit = part.fit;
    if (fit === undefined)
      throw new Error(`${part.id} of ${sheet.id} has no fit; the sheet check should have said so`);
    if (move.kind === "tighten") return tighten(context, part, fit, parts.get(move.waitedFor)?.name);
    at = fit.position?.after ?? before;
    return [
      { ...fitStep(context, part, fit, move.loose), ...stands(sheet, before, at) },
      ...(move.loose ? [] : tighten(context, part, fit)),
      ...confirms(context, part.id),
      ...asked(part.id),
    ];
  });
  return [
    ...steps,
    ...tasks(context, "before-restore"),
    step(
      {
        id: "tray",
        phase: "rebuild",
        title: "Account for the tray.",
        why: "Nothing left over that should have gone in, nothing in that should have come out.",
        minutes: 1,
      },
      { kind: "tray", leftovers: kits.leftovers.reduce((sum, each) => sum + each.quantity, 0) },
    ),
  ];
}

/** The position the strip left the valve in. */
function standsAfterStrip({ sheet, strip }: Context): string | undefined {
  const last = strip.moves.findLast(
    (move) => move.kind === "position" || move.way.position?.after !== undefined,
  );
  if (last === undefined) return sheet.position?.start;
  return last.kind === "position" ? last.to : last.way.position?.after;
}

const patterned = (part: Part, end: EndCondition): end is Extract<EndCondition, { kind: "torque" }> =>
  end.kind === "torque" && part.quantity >= LEAST_PATTERN;

function fitStep(context: Context, part: Part, fit: PartFit, loose: boolean): Step {
  const renewal = context.renewals.find((each) => each.part === part.id);
  const [torque, limit] = [torqueOf(fit), limitOf(fit)];
  const later = loose || patterned(part, fit.end);
  return step(
    {
      id: `fit:${part.id}`,
      phase: "rebuild",
      title: fit.do,
      why:
        renewal === undefined
          ? (fit.why ?? "It goes back where it came from.")
          : `A NEW one goes in: ${renewal.why}`,
      minutes: fit.minutes / (later ? 2 : 1),
      tools: toolsOf(context, fit.tools),
      cautions: fit.cautions ?? [],
      part: part.id,
      cues: [...(part.quantity > 1 ? [`count ${part.quantity}`] : [])],
    },
    {
      kind: "fit",
      renew: renewal !== undefined,
      end: fit.end,
      loose: later,
      rules: rulesOf(context, fit),
      count: part.quantity,
      pieces: part.pieces ?? [],
      features: renewal === undefined ? [] : (part.features ?? []),
      ...(torque !== undefined && !later && { torque_Nm: torque }),
      ...(limit !== undefined && !later && { limit_Nm: limit }),
    },
  );
}

/** What is on the thread decides the pull: what the sheet puts there (locker wets like oil), or what its torque is stated for. */
export function conditionOf(fit: PartFit, stated: Condition): Condition {
  switch (fit.thread?.kind) {
    case "anti-seize":
      return "anti-seize";
    case "locker":
    case "sealant":
      return "oiled";
    case "dry":
      return "dry";
    default:
      return fit.surface?.kind === "lubricate" &&
        /thread/.test(fit.surface.where) &&
        !/thread/.test(fit.surface.keepOff ?? "")
        ? "grease"
        : stated;
  }
}

function torqueOf(fit: PartFit): number | undefined {
  if (fit.end.kind !== "torque") return undefined;
  const { torque_Nm, stated } = fit.end;
  const corrected = torqueInCondition(torque_Nm as Torque, stated, conditionOf(fit, stated));
  return Math.min(corrected, limitOf(fit) ?? Number.POSITIVE_INFINITY);
}

/** What the part bears it bears as preload: on a slippery thread it gets there at a lower torque. */
function limitOf(fit: PartFit): number | undefined {
  const { end } = fit;
  if (end.kind !== "torque" || end.maximum_Nm === undefined) return undefined;
  const condition = conditionOf(fit, end.stated);
  return Math.min(end.maximum_Nm, torqueInCondition(end.maximum_Nm as Torque, end.stated, condition));
}

function tighten(context: Context, part: Part, fit: PartFit, waitedFor?: string): Step[] {
  if (!patterned(part, fit.end)) {
    if (waitedFor === undefined) return [];
    const [torque, limit] = [torqueOf(fit), limitOf(fit)];
    return [
      step(
        {
          id: `tighten:${part.id}`,
          phase: "rebuild",
          title: `Now tighten ${part.name.toLowerCase()}.`,
          why: `It was left loose until ${waitedFor} was in.`,
          minutes: fit.minutes / 2,
          tools: toolsOf(context, fit.tools),
          part: part.id,
        },
        {
          kind: "fit",
          renew: false,
          end: fit.end,
          loose: false,
          rules: [],
          count: 1,
          pieces: [],
          features: [],
          ...(torque !== undefined && { torque_Nm: torque }),
          ...(limit !== undefined && { limit_Nm: limit }),
        },
      ),
    ];
  }
  const full = torqueOf(fit) ?? fit.end.torque_Nm;
  const passes: Pass[] = [
    ...fit.end.passes_percent.map((percent) => ({
      percent,
      torque_Nm: (full * percent) / 100,
      circular: false,
    })),
    { percent: 100, torque_Nm: full, circular: true },
  ];
  const condition = conditionOf(fit, fit.end.stated);
  const limit = limitOf(fit);
  const size = [part.fastener?.thread, part.fastener?.drive].filter((each) => each !== undefined).join(", ");
  return [
    step(
      {
        id: `tighten:${part.id}`,
        phase: "rebuild",
        title: `Pull the ${part.name.toLowerCase()} crosswise, in ${passes.length} passes.`,
        why:
          waitedFor === undefined
            ? "Evenly, or the joint cocks and leaks."
            : `They were left loose until the ${waitedFor.toLowerCase()} was in. Evenly, or the joint cocks.`,
        minutes: fit.minutes / 2,
        tools: toolsOf(context, fit.tools),
        part: part.id,
        cues: [size],
      },
      {
        kind: "tighten",
        bolts: part.quantity,
        order:
          fit.end.pattern === "cross"
            ? crossingOrder(part.quantity)
            : Array.from({ length: part.quantity }, (_, index) => index),
        passes,
        circle: size,
        ...(limit !== undefined && { limit_Nm: limit }),
        note:
          condition === fit.end.stated
            ? `The figure is for ${fit.end.stated === "dry" ? "dry" : `${fit.end.stated}`} threads, as they are.`
            : `${condition === "anti-seize" ? "Anti-seize is" : condition === "grease" ? "Grease is" : "A wet film is"} on these threads, so the figure is lower than the ${fit.end.stated} one (${formatQuantity(fit.end.torque_Nm, "torque", context.system)}). Pull smoothly; stop at the click.`,
      },
    ),
  ];
}

/** Orientation, lubricant or dry, locker: one rule each, with its reason. */
function rulesOf(context: Context, fit: PartFit): FitRule[] {
  const { sheet } = context;
  const supply = (id: string) => sheet.supplies.find((each) => each.id === id)?.name ?? id;
  const rules: FitRule[] = [];
  if (fit.orientation !== undefined) rules.push({ kind: "orientation", says: fit.orientation });
  if (/noted/.test(fit.orientation ?? ""))
    for (const capture of captures(context)) {
      const entry = context.progress.done.get(`mark:${capture.id}`)?.entry;
      if (entry !== undefined) rules.push({ kind: "as-noted", says: `${capture.ask} You noted: ${entry}.` });
    }
  if (fit.surface?.kind === "lubricate") {
    rules.push({ kind: "lubricate", says: `${supply(fit.surface.with)} on ${fit.surface.where}` });
    if (fit.surface.keepOff !== undefined)
      rules.push({ kind: "dry", says: `Keep it off ${fit.surface.keepOff}` });
  }
  if (fit.surface?.kind === "dry") rules.push({ kind: "dry", says: "Stays dry", why: fit.surface.why });
  const thread = fit.thread;
  if (thread?.kind === "dry") rules.push({ kind: "dry", says: "Thread clean and dry", why: thread.why });
  else if (thread !== undefined)
    rules.push({ kind: thread.kind, says: `${supply(thread.with)} on the thread`, why: thread.why });
  return rules;
}
