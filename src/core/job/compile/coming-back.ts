import type { Check, Flow, RestoreCard } from "../../formats";
import { type Act, type Closure, rankOf } from "../../isolation";
import type { Step } from "../step";
import { isReached } from "./checks";
import type { Context } from "./context";
import { waitForOthers } from "./others";
import { inOrder } from "./placing";
import { isLetOut } from "./prove";
import { type Item, refrigerantReturn } from "./refrigerant";
import { checkAt, readyStep } from "./sheet-card";
import { betweenBarriers, flowAt, stopsOf } from "./stand";

/** What is opened, by its link, stem or pump, with the cards of it and of what follows it at once. */
export interface Opening {
  readonly act: Act;
  readonly steps: readonly Step[];
}

/** Tests and cards of the sheet that stand among the openings, because they need some of them shut or in. */
export const amongOpenings = ({ needs }: Check | RestoreCard): boolean =>
  needs?.in !== undefined || needs?.shut !== undefined;

/** A card of the sheet with its steps: among the openings where it needs some of them, else before or after them all. */
interface SheetCard {
  readonly key: string;
  readonly card: Check | RestoreCard;
  readonly steps: readonly Step[];
}

interface SheetCards {
  readonly first: readonly SheetCard[];
  readonly among: readonly SheetCard[];
  readonly last: readonly SheetCard[];
}

function sheetCards(context: Context): SheetCards {
  const { sheet } = context;
  const of = (when: RestoreCard["when"]) =>
    sheet.restore
      .filter((card) => card.when === when && (card.afterRelease !== true || isLetOut(context)))
      .map((card): SheetCard => ({ key: `card ${card.id}`, card, steps: readyStep(context, card) }));
  const tests = sheet.checks
    .filter((check) => check.phase === "test" && amongOpenings(check) && isReached(context, check))
    .map(
      (check): SheetCard => ({
        key: `test ${check.id}`,
        card: check,
        steps: checkAt(context, check, "restore"),
      }),
    );
  const [first, last] = [of("before-opening"), of("after-opening")];
  return {
    first: first.filter(({ card }) => !amongOpenings(card)),
    among: [...first, ...last, ...tests].filter(({ card }) => amongOpenings(card)),
    last: last.filter(({ card }) => !amongOpenings(card)),
  };
}

/** Cards that this flow waits for. */
const waitedFor = (among: readonly SheetCard[], flow: Flow): string[] =>
  among.filter(({ card }) => card.needs?.shut?.includes(flow) === true).map(({ key }) => key);

const item = (key: string, steps: readonly Step[], after: Iterable<string> = []): Item => ({
  key,
  steps,
  after: new Set(after),
});

/**
 * From how things stand to how service wants them: everything in the plan's own order, but behind what it needs. Points
 * that lead outside are shut first; a stop that a card needs shut waits for that card.
 */
export function comingBack(
  context: Context,
  { points, openings }: { readonly points: readonly Step[]; readonly openings: readonly Opening[] },
): Step[] {
  const gas = refrigerantReturn(context);
  const { first, among, last } = sheetCards(context);
  const stops = (flow: Flow) =>
    flow === "vapour" ? (gas?.vapour ?? []) : stopsOf(context, flow).map((each) => each.link);
  const before = ({ act }: Opening): string[] => {
    const closure = closureOf(context, act.id);
    if (act.kind === "turn-back" || act.kind === "leave-stem") return [...(gas?.beforeStems ?? [])];
    return closure === undefined
      ? []
      : [
          ...(betweenBarriers(context, closure) ? [] : waitedFor(among, flowAt(context, closure))),
          ...(gas?.before(closure) ?? []),
          ...gentlyBefore(context, openings, closure),
        ];
  };
  const { first: waitedFirst, later: waitedLater } = context.others;
  const waits = waitForOthers("first", waitedFirst).map((wait) => item(wait.id, [wait]));
  const outside = [
    ...waits,
    ...first.map(({ key, steps }) => item(key, steps)),
    ...points.map((point) => item(point.id, [point])),
  ];
  const opened = openings.map((each) => item(each.act.id, each.steps, before(each)));
  const cards = new Set(among.map(({ key }) => key));
  const laterWait = waitForOthers("later", waitedLater).map((wait) =>
    item(
      wait.id,
      [wait],
      opened.filter(({ after }) => [...after].every((key) => !cards.has(key))).map(({ key }) => key),
    ),
  );
  const whenAllIsIn = laterWait.map(({ key }) => key);
  const inside = [
    ...among.map(({ key, card, steps }) =>
      item(key, steps, [...(card.needs?.in ?? []).flatMap(stops), ...whenAllIsIn]),
    ),
    ...laterWait,
    ...(gas?.items ?? []),
    ...opened,
    ...last.map(({ key, steps }) => item(key, steps, [...opened.map((each) => each.key), ...whenAllIsIn])),
  ];
  const names = outside.map(({ key }) => key);
  return inOrder([
    ...outside,
    ...inside.map(({ key, steps, after }) => item(key, steps, [...names, ...after])),
  ]).flatMap(({ steps }) => steps);
}

/** The order of what is opened by hand, where no line is drawn: by what the sheet's cards wait for. */
export function byFlow(context: Context, open: (flow: Flow) => Step, rest: Step): Step[] {
  const { first, among, last } = sheetCards(context);
  const flows = [
    ...new Set(among.flatMap(({ card }) => [...(card.needs?.in ?? []), ...(card.needs?.shut ?? [])])),
  ]
    .filter((flow) => flow !== "vapour")
    .sort((a, b) => rankOf(b) - rankOf(a));
  const between = inOrder([
    ...among.map(({ key, card, steps }) => item(key, steps, card.needs?.in)),
    ...flows.map((flow) => item(flow, [open(flow)], waitedFor(among, flow))),
  ]);
  const cards = (each: readonly SheetCard[]) => each.flatMap(({ steps }) => steps);
  return [...cards(first), ...between.flatMap(({ steps }) => steps), rest, ...cards(last)];
}

const closureOf = ({ isolation }: Context, link: string): Closure | undefined =>
  isolation?.ok === true ? isolation.value.closures.find((each) => each.link === link) : undefined;

/**
 * Hot after cold, so that no mixer sends hot alone; the mixed outlet after everything that feeds the mixer; what a fire
 * actuator holds back after the air that holds it.
 */
function gentlyBefore(context: Context, openings: readonly Opening[], closure: Closure): string[] {
  const ofStream = (wanted: (each: Closure) => boolean) =>
    openings.flatMap(({ act }) => {
      const each = closureOf(context, act.id);
      return each !== undefined && wanted(each) ? [act.id] : [];
    });
  switch (flowAt(context, closure)) {
    case "hot":
      return ofStream((each) => flowAt(context, each) === "cold");
    case "mixed":
      return ofStream((each) => flowAt(context, each) !== "mixed");
    default:
      return context.sheet.traits?.includes("fire-actuator") === true && closure.medium === "water"
        ? ofStream((each) => each.medium === "air")
        : [];
  }
}
