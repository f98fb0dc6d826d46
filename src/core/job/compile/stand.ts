import type { Flow, LineNode, Moves, Needs } from "../../formats";
import type { Closure } from "../../isolation";
import { flowOf } from "../../line";
import type { Carried, Moved, Stops } from "../steps/standing";
import type { Context } from "./context";
import { placesOf } from "./prove";

/** A card of the sheet in its own words, with what it needs and moves. */
interface SheetCard {
  readonly needs?: Needs;
  readonly moves?: Moves;
}

/** What runs through a stop of the plan. */
export function flowAt({ inputs: { line } }: Pick<Context, "inputs">, { link, stream }: Closure): Flow {
  const own = line?.links.find((each) => each.id === link);
  return line === undefined || own === undefined ? stream : flowOf(line, own);
}

type OnLine = Pick<Context, "isolation" | "inputs" | "others" | "rules">;

/** Closures of the plan that let this in when they are opened; those of another job that is waited for among them. */
export const stopsOf = (context: OnLine, flow: Flow): readonly Closure[] => {
  const { isolation, others, rules } = context;
  if (isolation?.ok !== true) return [];
  const waitedFor = [...others.first, ...others.later];
  const staysShut = ({ link, standsShut }: Closure) =>
    standsShut && (rules < 4 || waitedFor.every((each) => each.link !== link));
  return isolation.value.closures.filter((each) => !staysShut(each) && flowAt(context, each) === flow);
};

/** Stops that keep this out: of two barriers the outer one, for the inner one is opened first, into nothing. */
export const keepsOut = (context: OnLine, flow: Flow): readonly Closure[] =>
  stopsOf(context, flow).filter((each) => !betweenBarriers(context, each));

/** The inner one of two barriers with a bleed between them. */
export const betweenBarriers = (
  { isolation }: Pick<Context, "isolation">,
  { barrier, link }: Closure,
): boolean =>
  barrier === "inner" &&
  isolation?.ok === true &&
  isolation.value.bleeds.some((bleed) => bleed.between.includes(link));

/** What a card of the sheet needs and moves, by the links and points of this line. */
export function carried(context: Context, card: SheetCard): Carried {
  if (context.rules < 3) return {};
  const moves = movesIn(context, card.moves);
  return {
    ...(card.needs !== undefined && {
      needs: {
        in: (card.needs.in ?? []).map((flow) => comesIn(context, flow)),
        shut: (card.needs.shut ?? []).map((flow) => ({ flow, links: linksOf(keepsOut(context, flow)) })),
        off: present(context, card.needs.off),
        fitted: present(context, card.needs.fitted),
        loose: present(context, card.needs.loose),
      },
    }),
    ...(moves.length > 0 && { moves }),
  };
}

/** Vapour comes in by a hose or by whichever stop holds it: the place itself has to hold it. */
function comesIn(context: Context, flow: Flow): Stops {
  const node =
    flow === "vapour" ? placesOf(context).find((each) => each.node !== undefined)?.node : undefined;
  return { flow, links: linksOf(stopsOf(context, flow)), ...(node !== undefined && { node }) };
}

const linksOf = (closures: readonly Closure[]): string[] => closures.map(({ link }) => link);

/** Parts that this valve has. */
const present = ({ parts }: Context, ids: readonly string[] = []): string[] =>
  ids.filter((id) => parts.has(id));

function movesIn(context: Context, moves: Moves | undefined): Moved[] {
  if (moves === undefined || context.isolation?.ok !== true) return [];
  const { section } = context.isolation.value;
  const node = (id: string): LineNode | undefined =>
    context.inputs.line?.nodes.find((each) => each.id === id);
  const points = (moves.opens ?? []).flatMap((point): Moved[] => {
    const id = section[point]?.node ?? section.nodes.find((each) => node(each)?.kind === point);
    return id === undefined ? [] : [{ how: "open-point", at: id, name: node(id)?.name ?? id }];
  });
  const shut = (moves.shuts ?? []).flatMap((flow) =>
    stopsOf(context, flow).map(
      ({ link, name, medium }): Moved => ({
        how: medium === "electricity" ? "switch-off" : "shut",
        at: link,
        name,
      }),
    ),
  );
  return [...points, ...shut];
}
