import type { LineValve, Way } from "../../formats";
import type { Step } from "../step";
import type { Drawn, Turning } from "../step-head";
import type { Context } from "./context";

const OTHER = { left: "right", right: "left" } as const;

/** What of a card can be drawn: which way it is turned and how far, where a lever goes, where an arrow or a mark points. */
export function withDrawing(context: Context, step: Step): Step {
  const drawn = drawnOf(context, step);
  const assembly = assemblyOf(context, step);
  return {
    ...step,
    ...(drawn.length > 0 && { drawn }),
    ...(assembly !== undefined && { assembly }),
  };
}

/** Which piece it is of what is put together by itself; coming apart it counts down. */
function assemblyOf({ sheet }: Context, step: Step): Step["assembly"] {
  if (step.kind !== "strip" && step.kind !== "fit") return undefined;
  for (const { name, parts } of sheet.assemblies ?? []) {
    const piece = parts.indexOf(step.part ?? "") + 1;
    if (piece > 0) return { name, piece, of: parts.length };
  }
  return undefined;
}

/** The body is turned over where the card before it lay otherwise. */
export function turnedOver(steps: readonly Step[]): Step[] {
  let up: string | undefined;
  return steps.map((step) => {
    const lies = step.drawn?.find((each) => each.kind === "face-up");
    if (lies === undefined) return step;
    const over = up !== undefined && up !== lies.face;
    up = lies.face;
    return over
      ? {
          ...step,
          drawn: step.drawn?.map((each) => (each === lies ? { ...lies, over: true as const } : each)),
        }
      : step;
  });
}

function drawnOf(context: Context, step: Step): Drawn[] {
  switch (step.kind) {
    case "strip":
    case "crack":
      return [
        ...boltSets(context, step.part),
        ...turned(offWay(context, step.part)),
        ...stemTurned(context, step),
        ...faceUp(wayOf(context, step.part)?.bodyUp),
      ];
    case "fit":
      return [
        ...boltSets(context, step.part),
        ...faceUp(context.parts.get(step.part ?? "")?.fit?.bodyUp),
        ...turned(onWay(context, step.part)),
        ...stemTurned(context, step),
        ...pointed(context, step.part),
      ];
    case "tighten":
    case "tighten-one":
      return [...boltSets(context, step.part), ...turned(onWay(context, step.part))];
    case "position":
      return [...stemTurned(context, step), ...lever(context, step.stands?.before, step.to)];
    case "shut":
      return step.by.kind === "closure" && !step.by.standsShut ? handled(context, step.link, "shut") : [];
    case "open":
      return step.how === "open" ? handled(context, step.link, "open") : [];
    case "bypass":
      return handled(context, step.link, step.how);
    default:
      return [];
  }
}

const turned = (way: Turning | undefined): Drawn[] => (way === undefined ? [] : [{ kind: "turn", ...way }]);

/** As its sheet says; a fastener that says nothing has a right-hand thread. */
function offWay(context: Context, id: string | undefined): Turning | undefined {
  const own = wayOf(context, id)?.turn;
  if (own !== undefined) return own;
  return context.parts.get(id ?? "")?.fastener === undefined ? undefined : { way: "left" };
}

/** The way it came off in this job. */
function wayOf({ strip }: Context, id: string | undefined): Way | undefined {
  const move = strip.moves.find((each) => each.kind === "remove" && each.part === id);
  return move?.kind === "remove" ? move.way : undefined;
}

const faceUp = (face: string | undefined): Drawn[] => (face === undefined ? [] : [{ kind: "face-up", face }]);

/** Where several sets of bolts hold one body, all of them are drawn. */
function boltSets({ sheet, parts }: Context, id: string | undefined): Drawn[] {
  const now = parts.get(id ?? "")?.fastener?.set?.letter;
  if (now === undefined) return [];
  return [{ kind: "sets", now, sets: sheet.parts.flatMap(({ fastener }) => fastener?.set ?? []) }];
}

function onWay(context: Context, id: string | undefined): Turning | undefined {
  const off = offWay(context, id);
  return off && { ...off, way: OTHER[off.way] };
}

function pointed({ parts }: Context, id: string | undefined): Drawn[] {
  const points = parts.get(id ?? "")?.fit?.points;
  if (points === undefined) return [];
  return [points.kind === "clock" ? { kind: "clock", at: points.at } : { kind: "arrow", to: points.to }];
}

/** The valve is moved on this card by its stem. */
function stemTurned({ sheet }: Context, { stands }: Step): Drawn[] {
  if (stands === undefined || stands.before === stands.after) return [];
  const turn = sheet.position?.names.find(({ name }) => name === stands.after)?.turn;
  return turn === undefined ? [] : [{ kind: "stem", to: stands.after, ...turn }];
}

function lever({ sheet }: Context, before: string | undefined, to: string): Drawn[] {
  const names = sheet.position?.names ?? [];
  const from = names.find(({ name }) => name === before)?.angle_deg;
  const wanted = names.find(({ id }) => id === to)?.angle_deg;
  return wanted === undefined
    ? []
    : [{ kind: "lever", to_deg: wanted, ...(from !== undefined && from !== wanted && { from_deg: from }) }];
}

/** A valve of the line that says which way it opens. */
function handled({ inputs }: Context, id: string, how: "open" | "shut"): Drawn[] {
  const link = inputs.line?.links.find((each): each is LineValve => each.id === id && each.kind === "valve");
  if (link?.opens === undefined) return [];
  return [
    {
      kind: "turn",
      way: how === "open" ? link.opens : OTHER[link.opens],
      ...(link.turns !== undefined && { turns: link.turns }),
    },
  ];
}
