import type { Flow } from "../../formats";
import type { Act } from "../../isolation";
import { MEDIA_RULES } from "../../line";
import type { Phase } from "../phases";
import { type Step, step } from "../step";
import { singleStep, stepAbout } from "../step-id";
import type { OpenFacts } from "../steps/open";
import { checksOf, isReached } from "./checks";
import { amongOpenings, byFlow, comingBack, type Opening } from "./coming-back";
import { type Context, doorOf, said } from "./context";
import { bypassStep, shutFor } from "./isolate";
import { checkAt } from "./sheet-card";
import { betweenBarriers } from "./stand";

/** How it comes live again: made ready, drain shut, opened in the order that hurts nobody, air out. */
export function restore(context: Context): Step[] {
  const [first, ...rest] = backLive(context);
  const names = shutFor(context);
  if (first === undefined || names.length === 0) return first === undefined ? [] : [first, ...rest];
  return [{ ...first, dangers: [...first.dangers, { kind: "opened-before-others", names }] }, ...rest];
}

function backLive(context: Context): Step[] {
  const { sheet, isolation, progress } = context;
  const live = sheet.isolation.workUnderPressure !== undefined;
  const wrote = progress.done.get(singleStep("shut-by-hand"))?.entry;
  if (context.rules >= 3)
    return isolation === undefined && !live
      ? byHand(context, wrote)
      : comingBack(context, pointsAndOpenings(context));
  return [
    ...ready(context, "before-opening"),
    ...acts(context).map((act) => actStep(context, act)),
    ...(isolation === undefined && !live
      ? [
          step(
            { id: singleStep("open-by-hand"), phase: "restore", minutes: 10 },
            { kind: "open-by-hand", ...(wrote !== undefined && { wrote }) },
          ),
        ]
      : []),
    ...ready(context, "after-opening"),
    ...(context.asBefore ? tellBack(context, "restore") : []),
  ];
}

const ready = ({ sheet }: Context, when: "before-opening" | "after-opening"): Step[] =>
  sheet.restore
    .filter((each) => each.when === when)
    .map((each) =>
      step(
        {
          id: stepAbout("ready", each.id),
          phase: "restore",
          minutes: each.minutes,
          dangers: said(each.cautions),
        },
        { kind: "ready", card: each.id, do: each.do, why: each.why },
      ),
    );

/** What brings the line back, in the plan's order; then what was shut before the plan changed. */
function acts(context: Context): readonly Act[] {
  const { isolation, inputs, progress } = context;
  const planned: readonly Act[] = isolation?.ok === true ? isolation.value.restoring : [];
  const order = planned.filter(
    ({ kind }) =>
      !(context.asBefore && kind === "shut-vent") && !(context.rules < 3 && kind === "leave-stem"),
  );
  const known = new Set(order.map((act) => act.id));
  const earlier = [...progress.shut.keys()]
    .filter((link) => !known.has(link))
    .map((id): Act => {
      const link = inputs.line?.links.find((each) => each.id === id);
      const leave = link !== undefined && "normally" in link && link.normally === "shut";
      return {
        kind: leave ? "leave-shut" : "open",
        id,
        name: link?.name ?? id,
        why: { kind: "shut-before" },
      };
    });
  const all = [...order, ...earlier];
  return context.rules < 3
    ? all
    : vented(
        context,
        all.map((act) => asHeldNow(context, act)),
      );
}

/** The vent that lets the air out stays open until what fills the line has filled it, whichever that is by now. */
function vented({ isolation }: Context, all: readonly Act[]): readonly Act[] {
  const vent = all.find(({ kind, why }) => kind === "shut-vent" && why.kind === "when-the-air-is-out");
  if (vent === undefined || isolation?.ok !== true || all.some(({ airOut }) => airOut !== undefined))
    return all;
  const { closures, bleeds } = isolation.value;
  const fills = all.find(({ kind, id }) => {
    const closure = closures.find(({ link }) => link === id);
    return (
      kind === "open" && closure?.medium === "water" && (bleeds.length === 0 || closure.barrier === "outer")
    );
  });
  if (fills === undefined) return all;
  return all.flatMap((act) =>
    act === fills ? [{ ...act, airOut: vent.id }, vent] : act === vent ? [] : [act],
  );
}

/** What another job holds still stays shut; what one held and does not any more stands again as on an ordinary day. */
function asHeldNow({ inputs: { line }, others, progress }: Context, act: Act): Act {
  if (!(act.kind in STAYS)) return act;
  const kind = act.kind as keyof typeof STAYS;
  const stays = others.first.some(({ link }) => link === act.id) ? undefined : others.held.get(act.id);
  if (stays !== undefined) {
    return { ...withoutVent(act), kind: STAYS[kind], why: { kind: "held-by-another", valve: stays.valve } };
  }
  const link = line?.links.find((each) => each.id === act.id);
  const stem = line?.nodes.find((each) => each.id === act.id)?.threeWay;
  if (kind === "leave-shut" && link?.kind === "valve" && link.normally === "open")
    return {
      ...act,
      kind: link.medium === "electricity" ? "switch-on" : "open",
      why: { kind: "as-it-stood" },
    };
  const stood = progress.heldAtFirst.get(act.id)?.position ?? stem?.normally;
  return kind === "leave-stem" && stood !== stem?.normally
    ? { ...act, kind: "turn-back", why: { kind: "as-it-stood" } }
    : act;
}

const STAYS = {
  open: "leave-shut",
  "switch-on": "leave-shut",
  "leave-shut": "leave-shut",
  "turn-back": "leave-stem",
  "leave-stem": "leave-stem",
} as const;

/** Points that lead outside, and what is opened; a vent that lets the air out is shut right behind what fills the line. */
function pointsAndOpenings(context: Context): { points: Step[]; openings: Opening[] } {
  const points: Step[] = [];
  const openings: Opening[] = [];
  // What fills only when others open is not let out at a vent that nobody stands at.
  const fills = context.others.later.length === 0;
  for (const each of acts(context)) {
    const act = fills ? each : withoutVent(each);
    const made = actStep(context, act);
    const last = openings.at(-1);
    if (!(act.kind in POINT)) openings.push({ act, steps: [made] });
    else if (last?.act.airOut === act.id)
      openings[openings.length - 1] = { ...last, steps: [...last.steps, made] };
    else points.push(made);
  }
  return { points, openings };
}

const withoutVent = ({ airOut: _, ...act }: Act): Act => act;

/** Without a line the order still holds: what the sheet's cards name comes in one by one, the rest last. */
function byHand(context: Context, wrote: string | undefined): Step[] {
  const card = (head: { id: string; minutes: number }, flow?: Flow) =>
    step(
      { ...head, phase: "restore" },
      {
        kind: "open-by-hand",
        ...(wrote !== undefined && { wrote }),
        ...(flow !== undefined && { flow }),
      },
    );
  return byFlow(
    context,
    (flow) => card({ id: stepAbout("open-flow", flow), minutes: 3 }, flow),
    card({ id: singleStep("open-by-hand"), minutes: 10 }),
  );
}

const POINT = { "shut-bleed": "bleed", "shut-drain": "drain", "shut-vent": "vent" } as const;

function actStep(context: Context, { kind, id, name, why, airOut }: Act): Step {
  switch (kind) {
    case "shut-bleed":
    case "shut-drain":
    case "shut-vent":
      return step(
        { id: stepAbout(kind, id), phase: "restore", minutes: 1 },
        {
          kind: "shut-point",
          point: POINT[kind],
          node: id,
          name,
          why,
          ...(context.rules >= 3 &&
            MEDIA_RULES[context.sheet.isolation.medium].refrigerant && { capped: true }),
        },
      );
    case "start-pump":
      return step(
        { id: stepAbout("start-pump", id), phase: "restore", minutes: 3 },
        { kind: "start-pump", link: id, name, why },
      );
    case "shut-bypass":
      return bypassStep(context, "shut", { id, name, why });
    case "turn-back":
    case "switch-on":
    case "leave-shut":
    case "leave-stem":
      return openStep(context, { kind: "open", link: id, name, how: kind, why, crack: false });
    default:
      return openStep(context, {
        kind: "open",
        link: id,
        name,
        how: "open",
        why,
        crack: true,
        ...(airOut !== undefined && { airOut }),
      });
  }
}

/** Steam into cold pipe: by a crack, and no further until it is warm and what condenses has run off. */
const WARM_UP_MIN = 5;

/** The opening that lets steam in is the warm-up; those behind it meet what is warm already. */
function warmUp(context: Context, { link, how }: OpenFacts): number | undefined {
  const { isolation, rules } = context;
  if (rules < 4 || how !== "open" || isolation?.ok !== true) return undefined;
  const { closures } = isolation.value;
  const own = closures.find((each) => each.link === link);
  return own?.medium === "steam" && !betweenBarriers(context, own) ? WARM_UP_MIN : undefined;
}

function openStep(context: Context, facts: OpenFacts): Step {
  const { inputs, isolation } = context;
  const link = inputs.line?.links.find((each) => each.id === facts.link);
  const valve = link?.kind === "valve" ? link : undefined;
  const stem = inputs.line?.nodes.find((each) => each.id === facts.link)?.threeWay;
  const turned =
    isolation?.ok === true ? isolation.value.turned.find((each) => each.node === facts.link) : undefined;
  const warm = warmUp(context, facts);
  return step(
    {
      id: stepAbout("open", facts.link),
      phase: "restore",
      minutes: (valve?.access_min ?? 3) + (warm ?? 0),
      dangers: doorOf(inputs, facts.link),
    },
    {
      ...facts,
      ...(warm !== undefined && { warm_min: warm }),
      ...(turned !== undefined && {
        position: context.rules < 3 ? turned.from.id : (stem?.normally ?? turned.from.id),
      }),
      ...(turned?.capped === true && { capped: true }),
      ...(valve?.where !== undefined && { where: valve.where }),
      ...(valve?.turns !== undefined && { turns: valve.turns }),
    },
  );
}

/** Tested, then told: whoever hears that it is back relies on it from then on. */
export const testAndSignOff = (context: Context): Step[] => [
  ...(context.rules < 3
    ? checksOf(context, "test")
    : context.sheet.checks
        .filter((check) => check.phase === "test" && !amongOpenings(check) && isReached(context, check))
        .flatMap((check) => checkAt(context, check, "test"))),
  ...(context.asBefore ? [] : tellBack(context, "sign-off")),
  ...signOff(context),
];

/** Marked on the valve, and signed. */
export const signOff = (context: Context): Step[] => [
  step(
    { id: singleStep("tag"), phase: "sign-off", minutes: 2, mayOverride: true },
    { kind: "tag", says: context.sheet.tag },
  ),
  ...secondSignature(context),
  step(
    { id: singleStep("sign-off"), phase: "sign-off", minutes: 1 },
    { kind: "sign-off", ...(context.others.notYet.length > 0 && { notYet: context.others.notYet }) },
  ),
];

function secondSignature({ sheet: { secondSignature: why } }: Context): Step[] {
  return why === undefined
    ? []
    : [
        step(
          { id: singleStep("second-signature"), phase: "sign-off", minutes: 3 },
          { kind: "second-signature", why },
        ),
      ];
}

function tellBack({ sheet, isolation, inputs, others }: Context, phase: Phase): Step[] {
  const live = sheet.isolation.workUnderPressure !== undefined;
  const notYet = new Set(others.notYet.map(({ node }) => node));
  const lost = (isolation?.ok === true ? isolation.value.lost : []).filter(({ node }) => !notYet.has(node));
  if (live || (lost.length === 0 && inputs.line !== undefined)) return [];
  return [
    step(
      { id: singleStep("tell"), phase, minutes: 3 },
      {
        kind: "tell",
        nodes: lost.map((each) => each.node),
        names: lost.length > 0 ? lost.map((each) => each.name) : [inputs.valve.name],
      },
    ),
  ];
}
