import type { Sheet, Way } from "../formats";
import { err, ok, type Result } from "../result";
import { type Assembly, assembly, removable } from "./assembly";
import { PriorityQueue } from "./priority-queue";

/** Laying one tool down and taking another up, min. */
export const TOOL_CHANGE_MIN = 0.5;
/** Turning the body over in the vice, min. */
export const BODY_TURN_MIN = 1;
/** States looked at before the search settles for a good plan instead of the best. */
const MOST_STATES = 20_000;

export type StripMove =
  | { readonly kind: "remove"; readonly part: string; readonly way: Way }
  | { readonly kind: "position"; readonly to: string; readonly minutes: number };

export interface StripPlan {
  readonly moves: readonly StripMove[];
  /** Work, tool changes and body turns together. */
  readonly minutes: number;
  readonly toolChanges: number;
  readonly bodyTurns: number;
  /** False when the search stopped at its bound; then the best plan is at most `offBy` minutes shorter. */
  readonly exact: boolean;
  readonly offBy: number;
}

export type StripFailure =
  | { readonly kind: "unknown-part"; readonly part: string }
  | { readonly kind: "stays"; readonly part: string }
  | { readonly kind: "held-fast"; readonly part: string; readonly by: readonly string[] }
  | { readonly kind: "wrong-position"; readonly part: string; readonly position: string };

export interface StripDemand {
  readonly reach: readonly string[];
  readonly build?: string;
  /** Parts that are off already, and how the valve stands then. */
  readonly off?: readonly string[];
  readonly position?: string;
  readonly mostStates?: number;
}

interface State {
  readonly off: bigint;
  readonly tool: string;
  readonly up: string;
  readonly position: string;
  readonly cost: number;
  readonly toolChanges: number;
  readonly bodyTurns: number;
  readonly moves: readonly StripMove[];
}

/**
 * The least effort that brings the wanted parts off: which parts, by which way out, in which order. Effort is the
 * minutes of each removal, plus tool changes, turn-overs of the body and moves of the valve. Among equal plans the
 * one that follows the order of the sheet.
 *
 * A* over (parts off, tool in hand, face up, position). The estimate counts what has to come off whatever is chosen:
 * its quickest way, and a tool change for every tool not in hand that only such a part needs. It never overstates, so
 * the first goal taken from the queue is the best plan.
 */
export function planStrip(sheet: Sheet, demand: StripDemand): Result<StripPlan, StripFailure> {
  const each = assembly(sheet, demand.build);
  const refusal = refuse(each, demand);
  if (refusal !== undefined) return err(refusal);
  const order = [...each.parts.keys()];
  const bit = new Map(order.map((part, index) => [part, 1n << BigInt(index)]));
  const mask = (parts: Iterable<string>) => [...parts].reduce((sum, part) => sum | bit.get(part)!, 0n);
  const goal = mask(demand.reach);
  const mayCome = removable(each);
  const needed = withAlternatives(each, demand.reach, mayCome);
  const must = unavoidable(each, demand.reach, mayCome);
  const ways = new Map(
    order
      .filter((part) => needed.has(part))
      .map((part) => [
        part,
        each
          .ways(part)
          .filter((way) => way.heldBy.every((holder) => mayCome.has(holder)))
          .map((way) => ({ way, held: mask(way.heldBy), tool: [...way.tools].sort().join("+") })),
      ]),
  );
  const mover = sheet.position === undefined ? 0n : (bit.get(sheet.position.movedBy) ?? 0n);

  const estimate = (off: bigint, tool: string): number => {
    let minutes = 0;
    const tools = new Set<string>();
    for (const part of must) {
      if (off & bit.get(part)!) continue;
      const options = ways.get(part)!;
      minutes += Math.min(...options.map((option) => option.way.minutes));
      if (options.length === 1 && options[0]!.tool !== "" && options[0]!.tool !== tool)
        tools.add(options[0]!.tool);
    }
    return minutes + TOOL_CHANGE_MIN * tools.size;
  };

  const queue = new PriorityQueue<State>();
  const best = new Map<string, number>();
  const enter = (state: State) => {
    const key = `${state.off}|${state.tool}|${state.up}|${state.position}`;
    const known = best.get(key);
    if (known !== undefined && known <= state.cost + 1e-9) return;
    best.set(key, state.cost);
    queue.push(state.cost + estimate(state.off, state.tool), state);
  };
  enter({
    off: mask(demand.off ?? []),
    tool: "",
    up: "",
    position: demand.position ?? sheet.position?.start ?? "",
    cost: 0,
    toolChanges: 0,
    bodyTurns: 0,
    moves: [],
  });

  /** The state after taking one part off one way, or nothing where it is still held or stands wrong. */
  const take = (
    state: State,
    part: string,
    { way, held, tool }: { way: Way; held: bigint; tool: string },
  ): State | undefined => {
    if ((state.off & held) !== held) return undefined;
    const before = way.position?.before;
    const mustMove = before !== undefined && before !== state.position;
    const stands = before ?? state.position;
    const position = way.position?.after ?? stands;
    // Both the move before and a move that is itself the way out need what moves the valve.
    if ((mustMove || position !== stands) && (mover === 0n || state.off & mover)) return undefined;
    const toolChanges = tool !== "" && tool !== state.tool ? 1 : 0;
    const bodyTurns = way.bodyUp !== undefined && state.up !== "" && way.bodyUp !== state.up ? 1 : 0;
    const moving = mustMove ? (sheet.position?.minutes ?? 0) : 0;
    return {
      off: state.off | bit.get(part)!,
      tool: tool === "" ? state.tool : tool,
      up: way.bodyUp ?? state.up,
      position,
      // The first tool taken up is no change of tools, but costs the same to every plan.
      cost: state.cost + way.minutes + moving + toolChanges * TOOL_CHANGE_MIN + bodyTurns * BODY_TURN_MIN,
      toolChanges: state.toolChanges + toolChanges,
      bodyTurns: state.bodyTurns + bodyTurns,
      moves: [
        ...state.moves,
        ...(mustMove ? [{ kind: "position" as const, to: before, minutes: moving }] : []),
        { kind: "remove" as const, part, way },
      ],
    };
  };

  let stuckAt: { part: string; position: string } | undefined;
  let seen = 0;
  let lowestBound = 0;
  for (let next = queue.pop(); next !== undefined; next = queue.pop()) {
    const state = next.value;
    if ((state.off & goal) === goal) {
      const exact = seen <= (demand.mostStates ?? MOST_STATES);
      return ok({
        moves: state.moves,
        minutes: state.cost,
        toolChanges: state.toolChanges,
        bodyTurns: state.bodyTurns,
        exact,
        offBy: exact ? 0 : Math.max(0, state.cost - lowestBound),
      });
    }
    seen += 1;
    // Past the bound the search dives: the plan with most parts off is followed to its end.
    const diving = seen > (demand.mostStates ?? MOST_STATES);
    if (!diving) lowestBound = next.key;
    const successors: State[] = [];
    let free: State | undefined;
    for (const [part, options] of ways) {
      if (state.off & bit.get(part)!) continue;
      for (const option of options) {
        const after = take(state, part, option);
        if (after === undefined) {
          if ((state.off & option.held) === option.held)
            stuckAt = { part, position: option.way.position?.before ?? "" };
          continue;
        }
        // A part that must come off anyway, by its only way, with the tool in hand and nothing else disturbed, comes off
        // now: any plan that does it later can do it here for no more (tool and turn costs obey the triangle rule).
        const undisturbed =
          must.has(part) &&
          options.length === 1 &&
          bit.get(part) !== mover &&
          option.way.position === undefined;
        if (
          undisturbed &&
          after.cost - state.cost <= option.way.minutes + 1e-9 &&
          (option.way.bodyUp === undefined || option.way.bodyUp === state.up)
        )
          free ??= after;
        successors.push(after);
      }
      if (free !== undefined) break;
    }
    for (const after of free === undefined ? successors : [free]) {
      if (diving) queue.push(-partsOff(after.off), after);
      else enter(after);
    }
  }
  const at = stuckAt ?? { part: demand.reach[0] ?? "", position: "" };
  return err({ kind: "wrong-position", ...at });
}

/** Number of parts off. */
function partsOff(off: bigint): number {
  let count = 0;
  for (let rest = off; rest > 0n; rest &= rest - 1n) count += 1;
  return count;
}

function refuse(each: Assembly, demand: StripDemand): StripFailure | undefined {
  const can = removable(each);
  for (const part of [...demand.reach, ...(demand.off ?? [])]) {
    const found = each.parts.get(part);
    if (found === undefined) return { kind: "unknown-part", part };
    if (found.stays) return { kind: "stays", part };
    if (!can.has(part)) {
      const by = [
        ...new Set(each.ways(part).flatMap((way) => way.heldBy.filter((holder) => !can.has(holder)))),
      ];
      return { kind: "held-fast", part, by };
    }
  }
  return undefined;
}

/** Every part that any way to the wanted ones may need. */
function withAlternatives(
  each: Assembly,
  reach: readonly string[],
  mayCome: ReadonlySet<string>,
): Set<string> {
  const needed = new Set<string>();
  const visit = (part: string) => {
    if (needed.has(part) || !mayCome.has(part)) return;
    needed.add(part);
    for (const way of each.ways(part)) way.heldBy.forEach(visit);
  };
  reach.forEach(visit);
  return needed;
}

/** Parts that come off whatever way is chosen: held by every way of something that does. */
function unavoidable(each: Assembly, reach: readonly string[], mayCome: ReadonlySet<string>): Set<string> {
  const must = new Set<string>();
  const visit = (part: string) => {
    if (must.has(part)) return;
    must.add(part);
    const open = each.ways(part).filter((way) => way.heldBy.every((holder) => mayCome.has(holder)));
    const [first, ...others] = open;
    first?.heldBy.filter((holder) => others.every((way) => way.heldBy.includes(holder))).forEach(visit);
  };
  reach.forEach(visit);
  return must;
}
