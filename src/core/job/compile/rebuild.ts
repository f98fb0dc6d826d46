import { cutOf, flangeOf, forbiddenAtFit, neverThere } from "../../build";
import { crossingOrder } from "../../fastening";
import type { Renewal } from "../../findings";
import type { Part, PartFit } from "../../formats";
import { otherWay } from "../../schools";
import { type Step, type StepOf, step } from "../step";
import { singleStep, stepAbout } from "../step-id";
import type { FitRule } from "../steps/fit";
import type { Pass } from "../steps/tighten";
import { checkStep, isFollowedUp } from "./checks";
import { type Context, said, stands, toolsOf } from "./context";
import { linesLeftOver } from "./kit-lines";
import { captures, confirms } from "./mark";
import { type RebuildCard, rebuildCards } from "./rebuild-cards";
import { tasks } from "./tasks";
import { conditionOf, limitOf, patterned, torqueOf } from "./torque";
import { blanks } from "./vent";

/** How it goes back: every part with what goes on it, how far it is tightened, and the looks between. */
export function rebuild(context: Context): Step[] {
  const { sheet, rebuild: moves, parts, kits } = context;
  let at = standsAfterStrip(context);
  const asked = (fitted: string) =>
    sheet.checks
      .filter(
        (check) => check.phase === "rebuild" && check.afterFit === fitted && isFollowedUp(context, check),
      )
      .map((check) => checkStep(context, check));
  const { between, atTheEnd } = rebuildCards(context);
  const cards = (part: string, when: RebuildCard["when"]): Step[] =>
    between
      .filter((each) => each.part === part && each.when === when)
      .flatMap((each) => each.steps)
      .map((card) => ({ ...stands(sheet, at, at), ...card }));
  // What shows by the position is confirmed once it stands there.
  const shows: Step[] = [];
  const confirmed = (part: string, index: number): Step[] => {
    if (context.rules < 5 || moves[index + 1]?.kind !== "position") return confirms(context, part);
    shows.push(...confirms(context, part));
    return [];
  };
  const steps = moves.flatMap((move, index): Step[] => {
    const before = at;
    if (move.kind === "position") {
      at = move.to;
      const position = sheet.position?.names.find((each) => each.id === move.to);
      return [
        step(
          {
            id: stepAbout("rebuild-position", `${move.to}:${index}`),
            phase: "rebuild",
            minutes: move.minutes,
            ...stands(sheet, before, move.to),
          },
          {
            kind: "position",
            to: move.to,
            do: position?.do ?? move.to,
            name: position?.name ?? move.to,
            for: move.to === sheet.position?.finish ? "the-end" : "putting-in",
          },
        ),
        ...shows.splice(0),
      ];
    }
    const part = parts.get(move.part)!;
    const fit = part.fit;
    if (fit === undefined)
      throw new Error(`${part.id} of ${sheet.id} has no fit; the sheet check should have said so`);
    if (move.kind === "tighten") return tighten(context, part, fit, parts.get(move.waitedFor)?.name);
    at = fit.position?.after ?? before;
    return [
      ...cards(part.id, "before"),
      ...blanks(context, part, "comes-out"),
      { ...fitStep(context, part, fit, move.loose), ...stands(sheet, before, at) },
      ...cards(part.id, "loose"),
      ...(move.loose ? [] : tighten(context, part, fit)),
      ...confirmed(part.id, index),
      ...asked(part.id),
      ...cards(part.id, "after"),
    ];
  });
  const left = context.rules < 5 ? [] : linesLeftOver(context);
  return [
    ...steps,
    ...(context.rules < 3 ? tasks(context, "before-restore") : atTheEnd),
    step(
      { id: singleStep("tray"), phase: "rebuild", minutes: 1 },
      {
        kind: "tray",
        leftovers: kits.leftovers.reduce((sum, each) => sum + each.quantity, 0),
        ...(left.length > 0 && { lines: left }),
      },
    ),
  ];
}

/** Locker on what went in cures before the medium, or a hand, pulls at it. */
export function cured({ rebuild: moves, parts, rules }: Context): Step[] {
  const locked = moves.flatMap((move) => {
    const { id, name, fit } = (move.kind === "position" ? undefined : parts.get(move.part)) ?? {};
    const cure_min = fit?.thread?.kind === "locker" ? fit.thread.cure_min : undefined;
    return id === undefined || name === undefined || cure_min === undefined ? [] : [{ id, name, cure_min }];
  });
  if (rules < 4 || locked.length === 0) return [];
  const once = [...new Map(locked.map((part) => [part.id, part])).values()];
  return [
    step(
      {
        id: singleStep("cure"),
        phase: "rebuild",
        minutes: Math.max(...once.map((part) => part.cure_min)),
        mayOverride: true,
      },
      { kind: "cure", parts: once },
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

/** How hard it is pulled, and never harder. */
function pulls(fit: PartFit): { torque_Nm?: number; limit_Nm?: number } {
  const [torque, limit] = [torqueOf(fit), limitOf(fit)];
  return {
    ...(torque !== undefined && { torque_Nm: torque }),
    ...(limit !== undefined && { limit_Nm: limit }),
  };
}

/** What of it goes in new: all of it, or some pieces of a stack. */
function renewalOf({ renewals }: Context, { id }: Part): { renewal?: Renewal; fresh?: readonly number[] } {
  const renewal = renewals.find((each) => each.part === id);
  if (renewal === undefined) return {};
  const fresh = renewal.because === "policy" ? undefined : renewal.pieces;
  return fresh === undefined ? { renewal } : { fresh };
}

function fitStep(context: Context, part: Part, fit: PartFit, loose: boolean): StepOf<"fit"> {
  const { renewal, fresh } = renewalOf(context, part);
  const later = loose || patterned(part.quantity, fit.end);
  return step(
    {
      id: stepAbout("fit", part.id),
      phase: "rebuild",
      minutes: fit.minutes / (later ? 2 : 1),
      tools: toolsOf(context, fit.tools),
      ...(context.rules >= 5 && { forbidden: forbiddenAtFit(context.sheet, part) }),
      dangers: said(fit.cautions),
      part: part.id,
    },
    {
      kind: "fit",
      do: fit.do,
      ...(fit.why !== undefined && { why: fit.why }),
      ...(renewal !== undefined && { renewal: { ...renewal, name: part.name } }),
      end: fit.end,
      loose: later,
      rules: rulesOf(context, part, fit),
      count: part.quantity,
      pieces: part.pieces ?? [],
      ...(fresh !== undefined && { fresh }),
      ...(context.rules >= 5 && part.dryByDesign !== undefined && { wipe: true as const }),
      ...(part.standIn !== undefined && { standIn: part.standIn }),
      features: renewal === undefined ? [] : (part.features ?? []),
      ...(!later && pulls(fit)),
    },
  );
}

function tighten(context: Context, part: Part, fit: PartFit, waitedFor?: string): Step[] {
  const head = {
    id: stepAbout("tighten", part.id),
    phase: "rebuild" as const,
    minutes: fit.minutes / 2,
    tools: toolsOf(context, fit.tools),
    part: part.id,
  };
  if (!patterned(part.quantity, fit.end))
    return waitedFor === undefined
      ? []
      : [step(head, { kind: "tighten-one", name: part.name, waitedFor, end: fit.end, ...pulls(fit) })];
  const { stated, torque_Nm, pattern, passes_percent } = fit.end;
  const full = torqueOf(fit) ?? torque_Nm;
  const passes: Pass[] = [
    ...passes_percent.map((percent) => ({ percent, torque_Nm: (full * percent) / 100, circular: false })),
    { percent: 100, torque_Nm: full, circular: true },
  ];
  const limit = limitOf(fit);
  return [
    step(head, {
      kind: "tighten",
      name: part.name,
      bolts: part.quantity,
      order:
        pattern === "cross"
          ? crossingOrder(part.quantity)
          : Array.from({ length: part.quantity }, (_, index) => index),
      passes,
      size: [part.fastener?.thread, part.fastener?.drive].filter((each) => each !== undefined),
      condition: conditionOf(fit, stated),
      stated,
      stated_Nm: torque_Nm,
      ...(waitedFor !== undefined && { waitedFor }),
      ...(limit !== undefined && { limit_Nm: limit }),
    }),
  ];
}

/** How a flange gasket is cut, where that was chosen otherwise than usual. */
function otherCut({ inputs, sheet }: Context, part: Part): FitRule | undefined {
  const chosen = otherWay(inputs.schools, "gasket");
  const flange = flangeOf(sheet, part);
  return chosen === undefined || flange === undefined || cutOf(sheet, part) !== chosen.way
    ? undefined
    : {
        kind: "cut",
        as: chosen.way,
        bolts: flange.bolts.quantity,
        circle_mm: flange.circle_mm,
        outside_mm: part.shape.diameter_mm,
        why: chosen.why,
      };
}

/** Orientation, lubricant or dry, locker: one rule each, with its reason. */
function rulesOf(context: Context, part: Part, fit: PartFit): FitRule[] {
  const { sheet } = context;
  const supply = (id: string) => sheet.supplies.find((each) => each.id === id)?.name ?? id;
  const { orientation, surface, thread } = fit;
  const rules: FitRule[] = [];
  if (orientation !== undefined) rules.push({ kind: "orientation", says: orientation });
  if (fit.asNoted === true)
    for (const { id, about, right } of captures(context)) {
      const noted = context.progress.done.get(stepAbout("mark", id))?.entry;
      if (noted !== undefined) rules.push({ kind: "as-noted", about, noted: right ?? noted });
    }
  const cut = otherCut(context, part);
  if (cut !== undefined) rules.push(cut);
  if (surface?.kind === "lubricate") {
    const { medium } = sheet.isolation;
    const never = neverThere({
      material: part.material,
      medium,
      ...(part.potable === true && { potable: true }),
    });
    rules.push({
      kind: "lubricate",
      with: supply(surface.with),
      on: surface.where,
      ...(never.length > 0 && { never }),
    });
    if (surface.keepOff !== undefined) rules.push({ kind: "keep-off", what: surface.keepOff });
  }
  if (surface?.kind === "dry") rules.push({ kind: "stays-dry", why: surface.why });
  if (thread?.kind === "dry") rules.push({ kind: "thread-dry", why: thread.why });
  else if (thread !== undefined)
    rules.push({ kind: thread.kind, with: supply(thread.with), why: thread.why });
  return rules;
}
