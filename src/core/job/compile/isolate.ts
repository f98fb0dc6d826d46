import { releaseOf } from "../../build";
import type { Line, LineValve } from "../../formats";
import { type Act, type Closure, type IsolationPlan, type Turned, unfitness } from "../../isolation";
import { CO2_LIQUID_ABOVE_BAR, fed, mediumOf, network, standing, usuallyFed } from "../../line";
import { type Step, step } from "../step";
import type { Danger } from "../step-head";
import { singleStep, stepAbout } from "../step-id";
import { type Context, doorOf } from "./context";
import { waitForOthers } from "./others";
import { remembered } from "./remember";

/** What to shut and lock, and where the section drains. */
export function isolate(context: Context): Step[] {
  const { isolation, sheet } = context;
  const { medium, workUnderPressure, noLine } = sheet.isolation;
  if (workUnderPressure !== undefined)
    return [
      step(
        {
          id: singleStep("live"),
          phase: "isolate",
          minutes: 1,
          dangers: [{ kind: "medium-out", medium }, ...goesOut(context)],
        },
        { kind: "live", medium, allowed: workUnderPressure, says: noLine },
      ),
    ];
  return [
    ...waitForOthers("shared", context.others.shared),
    ...(isolation === undefined
      ? [
          step(
            {
              id: singleStep("shut-by-hand"),
              phase: "isolate",
              minutes: 15,
              dangers: [{ kind: "nothing-computed" }],
            },
            { kind: "shut-by-hand", says: noLine },
          ),
        ]
      : []),
    ...(isolation?.ok === false
      ? [
          step(
            { id: singleStep("no-isolation"), phase: "isolate", minutes: 0 },
            { kind: "blocked", why: { kind: "no-isolation", failure: isolation.error } },
          ),
        ]
      : []),
    ...earlierClosures(context),
    ...acts(context),
    ...draining(context),
  ];
}

/** Whoever is fed through the valve alone goes out while it is turned past shut. */
function goesOut({ inputs: { line, valve }, rules }: Context): Danger[] {
  const at = line?.nodes.find(({ id, asset }) => id === (valve.node ?? valve.tag) || asset === valve.tag);
  const through = line?.links.find(({ id }) => id === (valve.node ?? valve.tag) || id === valve.tag);
  const shut = through !== undefined ? [through.id] : at === undefined ? [] : linksAt(line!, at.id);
  if (rules < 4 || line === undefined || shut.length === 0) return [];
  const names = behind(line, JSON.stringify(shut));
  return names.length === 0 ? [] : [{ kind: "goes-out-behind", names }];
}

const linksAt = ({ links }: Line, node: string): string[] =>
  links.flatMap(({ id, from, to }) => (from === node || to === node ? [id] : []));

const behind = remembered((line: Line, ask): readonly string[] => {
  const net = network(standing(line, new Map()));
  const after = fed(net, new Set(JSON.parse(ask) as string[]));
  const before = usuallyFed(net);
  return net.nodes.flatMap((node, index) =>
    node.kind === "consumer" && before[index] === 1 && after[index] !== 1 ? [node.name ?? node.id] : [],
  );
});

/** Closures that were made before the plan changed and are in it no more: they are shut all the same. */
function earlierClosures({ isolation, inputs, progress }: Context): Step[] {
  const planned = new Set(isolation?.ok === true ? isolation.value.shutting.map((act) => act.id) : []);
  return [...progress.shut.keys()].flatMap((id) => {
    const link = inputs.line?.links.find(
      (each): each is LineValve => each.id === id && each.kind === "valve",
    );
    if (link === undefined || planned.has(id)) return [];
    const passes = unfitness(link, new Set(progress.passing), new Set()) === "passes";
    return [
      step(
        { id: stepAbout("shut", id), phase: "isolate", minutes: link.access_min },
        {
          kind: "shut",
          link: id,
          name: link.name ?? id,
          lockable: link.lockable,
          by: { kind: "shut-before", passes },
        },
      ),
    ];
  });
}

/** What makes the line dead, in the plan's order. */
function acts(context: Context): Step[] {
  const { isolation } = context;
  if (isolation?.ok !== true) return [];
  const plan = isolation.value;
  const later = letsOutByPower(context);
  const steps = plan.shutting
    .filter((act) => !later || act.kind !== "switch-off")
    .flatMap((act) => actSteps(context, plan, act));
  const last = steps.at(-1);
  const locked = plan.locked
    .filter((piece) => !piece.untilDrained || piece.medium !== "water")
    .map((piece): Danger => ({ kind: "locked-liquid", piece }));
  return last === undefined
    ? steps
    : [...steps.slice(0, -1), { ...last, dangers: [...last.dangers, ...locked, ...forOthers(context)] }];
}

/** Who reads what is shut for this valve alone would miss why there is more. */
function forOthers(context: Context): Danger[] {
  const names = shutFor(context);
  return names.length === 0 ? [] : [{ kind: "shut-for-others", names }];
}

/** Others of the same shut-down, by their tags. */
export const shutFor = ({ inputs: { line, together = [] } }: Context): string[] =>
  together.flatMap((id) => {
    const at = line?.nodes.find((each) => each.id === id);
    return at === undefined ? [] : [at.asset ?? at.name ?? id];
  });

/** The valve lets its pressure out by a cycle of its own: it keeps its power until that is done. */
export const letsOutByPower = ({ rules, sheet }: Context): boolean => {
  const release = releaseOf(sheet);
  return rules >= 3 && release?.kind === "rung" && release.rung.withPower === true;
};

/** Power that was left on to let the pressure out, switched off and locked once it is gone. */
export function powerOff(context: Context): Step[] {
  const { isolation } = context;
  if (isolation?.ok !== true || !letsOutByPower(context)) return [];
  const plan = isolation.value;
  return plan.shutting
    .filter((act) => act.kind === "switch-off")
    .flatMap((act) => actSteps(context, plan, act));
}

function actSteps(context: Context, plan: IsolationPlan, { kind, id, name, why }: Act): Step[] {
  const { sheet, rules, progress } = context;
  const { medium } = sheet.isolation;
  const out = comesOut(context);
  const head = { phase: "isolate" as const, dangers: [out] };
  switch (kind) {
    case "open-bypass":
      return [bypassStep(context, "open", { id, name, why })];
    case "stop-pump":
      return [
        step(
          { id: stepAbout("stop-pump", id), phase: "isolate", minutes: 3 },
          { kind: "stop-pump", link: id, name, lockable: true, why },
        ),
      ];
    case "hold-stem":
      // Jobs of before go on without a look at what stands so already.
      return rules < 3 ? [] : [turnStep(plan.turned.find((each) => each.node === id)!)];
    case "turn":
      return [turnStep(plan.turned.find((each) => each.node === id)!)];
    case "pump-out":
      return [
        ...(rules >= 3 && medium === "co2"
          ? [
              step(
                { ...head, id: stepAbout("liquid-out", id), minutes: 30 },
                { kind: "liquid-out", medium, node: id, name, above_bar: CO2_LIQUID_ABOVE_BAR },
              ),
            ]
          : []),
        step({ ...head, id: stepAbout("pump-out", id), minutes: 60 }, { kind: "pump-out", node: id, name }),
      ];
    case "open-bleed":
      return [
        step(
          { ...head, id: stepAbout("open-bleed", id), minutes: 2 },
          {
            kind: "open-bleed",
            node: id,
            name,
            between: plan.bleeds.find((each) => each.node === id)?.between ?? [],
          },
        ),
      ];
    default:
      return [
        {
          ...closureStep(
            plan.closures.find((each) => each.link === id)!,
            why,
            progress.heldAtFirst.get(id)?.valve,
          ),
          dangers: doorOf(context.inputs, id),
        },
      ];
  }
}

const closureStep = (closure: Closure, now: Act["why"], heldFor: string | undefined): Step =>
  step(
    { id: stepAbout("shut", closure.link), phase: "isolate", minutes: closure.minutes },
    {
      kind: "shut",
      link: closure.link,
      name: closure.name,
      lockable: closure.lockable,
      ...(closure.where !== undefined && { where: closure.where }),
      ...(closure.turns !== undefined && { turns: closure.turns }),
      by: {
        kind: "closure",
        medium: closure.medium,
        standsShut: closure.standsShut,
        outer: closure.barrier === "outer",
        confined: closure.confined,
        why: closure.why,
        now,
        ...(heldFor !== undefined && { heldFor }),
      },
    },
  );

const turnStep = (valve: Turned): Step =>
  step(
    { id: stepAbout("shut", valve.node), phase: "isolate", minutes: valve.minutes },
    {
      kind: "shut",
      link: valve.node,
      name: valve.name,
      lockable: valve.lockable,
      ...(valve.where !== undefined && { where: valve.where }),
      by: {
        kind: "turning",
        from: valve.from.name,
        to: valve.to.name,
        position: valve.to.id,
        ...(valve.capped === true && { capped: true }),
        ...(valve.stands === true && { stands: true }),
      },
    },
  );

/** The section runs out at its lowest drain, or at the valve itself. */
function draining(context: Context): Step[] {
  const { isolation, sheet, inputs } = context;
  if (isolation?.ok !== true) return [];
  const { drain, vent, volume_L } = isolation.value.section;
  const { drainsItself } = sheet.isolation;
  const name = (id: string) => inputs.line?.nodes.find((node) => node.id === id)?.name ?? id;
  if (drain !== undefined)
    return [
      step(
        {
          id: stepAbout("drain", drain.node),
          phase: "isolate",
          minutes: Math.max(1, Math.round(drain.minutes)),
          dangers: [comesOut(context, drain.node)],
        },
        {
          kind: "drain",
          node: drain.node,
          name: name(drain.node),
          runs_L: drain.runs_L,
          stays_L: drain.staysBelow_L,
          takes_min: drain.minutes,
          ...(vent !== undefined && { vent: name(vent.node), airAt: vent.node }),
        },
      ),
    ];
  return volume_L > 0 && !drainsItself && sheet.release === undefined
    ? [
        step(
          { id: singleStep("drain-at-valve"), phase: "isolate", minutes: 8 },
          { kind: "drain-at-valve", volume_L },
        ),
      ]
    : [];
}

/** A way round what is shut; opened before anything is, shut when all has come back. */
export function bypassStep(
  { inputs, isolation }: Context,
  how: "open" | "shut",
  { id, name, why }: Pick<Act, "id" | "name" | "why">,
): Step {
  const link = inputs.line?.links.find((each): each is LineValve => each.id === id && each.kind === "valve");
  const plan = isolation?.ok === true ? isolation.value : undefined;
  return step(
    {
      id: stepAbout(how === "open" ? "open-bypass" : "shut-bypass", id),
      phase: how === "open" ? "isolate" : "restore",
      minutes: link?.access_min ?? 3,
    },
    {
      kind: "bypass",
      link: id,
      name,
      how,
      keeps: plan?.bypasses.find((each) => each.link === id)?.keeps.map((each) => each.name) ?? [],
      why,
      ...(link?.where !== undefined && { where: link.where }),
      ...(link?.turns !== undefined && { turns: link.turns }),
    },
  );
}

/** What comes out of the section, at a point of the line where one is named; hot where a stop of it holds hot water back. */
export const comesOut = ({ isolation, sheet, rules, inputs: { line } }: Context, at?: string): Danger => {
  const point = rules < 4 ? undefined : line?.nodes.find(({ id }) => id === at);
  const medium = line === undefined || point === undefined ? sheet.isolation.medium : mediumOf(line, point);
  const hot =
    rules >= 4 &&
    isolation?.ok === true &&
    isolation.value.closures.some(({ stream }) => stream === "hot" || stream === "mixed");
  return { kind: "medium-out", medium, ...(hot && { hot: true as const }) };
};
