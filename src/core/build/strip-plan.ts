import type { Sheet, Way } from "../formats";
import { err, ok, type Result } from "../result";
import { type Assembly, assembly, removable } from "./assembly";
import { leastLeft, type Option } from "./least-left";
import { PriorityQueue } from "./priority-queue";

/** Laying one tool down and taking another up, min. */
export const TOOL_CHANGE_MIN = 0.5;
/** Turning the body over in the vice, min. */
export const BODY_TURN_MIN = 1;
/** States looked at before the search settles for a good plan instead of the best. */
const MOST_STATES = 200_000;

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
  /** What was done to come here, newest first. */
  readonly last: Trail | undefined;
}
interface Trail {
  readonly moves: readonly StripMove[];
  readonly before: Trail | undefined;
}

/**
 * The least effort that brings the wanted parts off: which parts, by which way out, in which order. Effort is the
 * minutes of each removal, plus tool changes, turn-overs of the body and moves of the valve. Among equal plans the
 * one that follows the order of the sheet.
 *
 * A* over (parts off, tool in hand, face up, position). The estimate (see `leastLeft`) never overstates, so the first
 * goal taken from the queue is the best plan. Two rules keep the search small without losing it: a part that must
 * come off anyway comes off now when now costs its least minutes and nothing else; and a state is dropped when another
 * with the same parts off is cheaper by more than it takes to change its tool and turn the body.
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
  const needed = withAlternatives(each, demand.reach, mayCome, sheet.position?.under ?? []);
  const must = unavoidable(each, demand.reach, mayCome);
  const ways = new Map(
    order
      .filter((part) => needed.has(part))
      .map((part) => [
        part,
        each
          .ways(part)
          .filter((way) => way.heldBy.every((holder) => mayCome.has(holder)))
          .map((way): Option => ({ way, held: mask(way.heldBy), tool: [...way.tools].sort().join("+") })),
      ]),
  );
  const mover = sheet.position === undefined ? 0n : (bit.get(sheet.position.movedBy) ?? 0n);
  const covers = mask((sheet.position?.under ?? []).filter((part) => bit.has(part)));
  const estimate = leastLeft(must, ways, bit, {
    toolChange_min: TOOL_CHANGE_MIN,
    bodyTurn_min: BODY_TURN_MIN,
  });

  const queue = new PriorityQueue<State>();
  const reached = new Map<string, { tool: string; up: string; cost: number }[]>();
  const enter = (state: State) => {
    const key = `${state.off}|${state.position}`;
    const others = reached.get(key) ?? [];
    const beaten = others.some(
      ({ tool, up, cost }) =>
        cost + (tool === state.tool ? 0 : TOOL_CHANGE_MIN) + turning(up, state.up) <= state.cost + 1e-9,
    );
    if (beaten) return;
    others.push({ tool: state.tool, up: state.up, cost: state.cost });
    reached.set(key, others);
    queue.push(state.cost + estimate(state), state);
  };
  enter({
    off: mask(demand.off ?? []),
    tool: "",
    up: "",
    position: demand.position ?? sheet.position?.start ?? "",
    cost: 0,
    toolChanges: 0,
    bodyTurns: 0,
    last: undefined,
  });

  /** The state after taking one part off one way, or nothing where it is still held or stands wrong. */
  const take = (state: State, part: string, { way, held, tool }: Option): State | undefined => {
    if ((state.off & held) !== held) return undefined;
    const before = way.position?.before;
    const mustMove = before !== undefined && before !== state.position;
    const stands = before ?? state.position;
    const position = way.position?.after ?? stands;
    // Both the move before and a move that is itself the way out need what moves the valve.
    if (
      (mustMove || position !== stands) &&
      (mover === 0n || state.off & mover || (state.off & covers) !== covers)
    )
      return undefined;
    const toolChanges = tool !== "" && tool !== state.tool ? 1 : 0;
    const bodyTurns = way.bodyUp !== undefined && state.up !== "" && way.bodyUp !== state.up ? 1 : 0;
    const moving = mustMove ? (sheet.position?.minutes ?? 0) : 0;
    const moves: StripMove[] = [
      ...(mustMove ? [{ kind: "position" as const, to: before, minutes: moving }] : []),
      { kind: "remove" as const, part, way },
    ];
    return {
      off: state.off | bit.get(part)!,
      tool: tool === "" ? state.tool : tool,
      up: way.bodyUp ?? state.up,
      position,
      // The first tool taken up is no change of tools, but costs the same to every plan.
      cost: state.cost + way.minutes + moving + toolChanges * TOOL_CHANGE_MIN + bodyTurns * BODY_TURN_MIN,
      toolChanges: state.toolChanges + toolChanges,
      bodyTurns: state.bodyTurns + bodyTurns,
      last: { moves, before: state.last },
    };
  };
  /** Its least minutes, nothing else moved, turned or changed: any plan that does it later can do it here for no more. */
  const free = (state: State, part: string, option: Option, options: readonly Option[]) =>
    must.has(part) &&
    bit.get(part) !== mover &&
    options.every((other) => other.way.position === undefined && other.way.minutes >= option.way.minutes) &&
    (option.tool === "" || option.tool === state.tool) &&
    (option.way.bodyUp === undefined || option.way.bodyUp === state.up);

  let stuckAt: { part: string; position: string } | undefined;
  let seen = 0;
  let lowestBound = 0;
  const most = demand.mostStates ?? MOST_STATES;
  for (let next = queue.pop(); next !== undefined; next = queue.pop()) {
    const state = next.value;
    if ((state.off & goal) === goal) {
      const exact = seen <= most;
      return ok({
        moves: trailOf(state),
        minutes: state.cost,
        toolChanges: state.toolChanges,
        bodyTurns: state.bodyTurns,
        exact,
        offBy: exact ? 0 : Math.max(0, state.cost - lowestBound),
      });
    }
    seen += 1;
    // Past the bound the search dives: the plan with most parts off is followed to its end.
    const diving = seen > most;
    if (!diving) lowestBound = next.key;
    const successors: State[] = [];
    let now: State | undefined;
    for (const [part, options] of ways) {
      if (state.off & bit.get(part)!) continue;
      for (const option of options) {
        const after = take(state, part, option);
        if (after === undefined) {
          if ((state.off & option.held) === option.held)
            stuckAt = { part, position: option.way.position?.before ?? "" };
          continue;
        }
        if (free(state, part, option, options)) now ??= after;
        successors.push(after);
      }
      if (now !== undefined) break;
    }
    for (const after of now === undefined ? successors : [now]) {
      if (diving) queue.push(after.cost + estimate(after) - DIVE * partsOff(after.off), after);
      else enter(after);
    }
  }
  const at = stuckAt ?? { part: demand.reach[0] ?? "", position: "" };
  return err({ kind: "wrong-position", ...at });
}

/** Past the bound a part off is worth more than any minutes: the search goes down, the cheaper way first. */
const DIVE = 1e6;

const turning = (from: string, to: string) => (from === "" || from === to ? 0 : BODY_TURN_MIN);

function trailOf(state: State): StripMove[] {
  const moves: StripMove[] = [];
  for (let at = state.last; at !== undefined; at = at.before) moves.unshift(...at.moves);
  return moves;
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
  covers: readonly string[],
): Set<string> {
  const needed = new Set<string>();
  const visit = (part: string) => {
    if (needed.has(part) || !mayCome.has(part)) return;
    needed.add(part);
    for (const way of each.ways(part)) {
      way.heldBy.forEach(visit);
      // What covers the spindle comes off before the valve is moved.
      if (way.position !== undefined) covers.forEach(visit);
    }
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
