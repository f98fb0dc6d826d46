import { releaseOf } from "../../build";
import type { LineValve } from "../../formats";
import {
  type Closure,
  isolationMessage,
  lockedWords,
  storedWords,
  type Turned,
  unfitness,
} from "../../isolation";
import { MEDIA_RULES, releaseCaution } from "../../line";
import { formatDuration, formatQuantity } from "../../quantity";
import { PROVE_STEPS } from "../progress";
import { type Step, step } from "../step";
import type { Context } from "./context";

/** What to shut and lock, where to drain, and the proof that it is dead. */
export function isolate(context: Context): Step[] {
  const { isolation, sheet, inputs } = context;
  const steps: Step[] = [];
  const litres = (volume_L: number) => formatQuantity(volume_L / 1000, "volume", context.system);
  const live = sheet.isolation.workUnderPressure;
  if (live !== undefined)
    return [
      step(
        {
          id: "isolate:live",
          phase: "isolate",
          title: `Nothing is shut: ${MEDIA_RULES[sheet.isolation.medium].name} stays in the pipe. Is that right, here and now?`,
          why: sheet.isolation.noLine,
          minutes: 1,
          cautions: [releaseCaution(sheet.isolation.medium, context.system)],
        },
        { kind: "ask-twice", allowed: live },
      ),
    ];
  if (isolation === undefined) {
    steps.push(
      step(
        {
          id: "isolate:by-hand",
          phase: "isolate",
          title: "Shut and lock every way in, by the site's drawing.",
          why: sheet.isolation.noLine,
          minutes: 15,
          cautions: [
            {
              can: "No line is drawn for this valve, so nothing here was computed.",
              do: "Have a second person check your list of closures.",
            },
          ],
        },
        { kind: "write-down", ask: "Which valves are shut, with which locks?" },
      ),
    );
  } else if (!isolation.ok) {
    steps.push(
      step(
        {
          id: "isolate:blocked",
          phase: "isolate",
          title: "There is no safe isolation as the line stands.",
          why: "Nothing may be opened until every way in can be shut.",
          minutes: 0,
        },
        { kind: "blocked", reason: isolationMessage(isolation.error) },
      ),
    );
  }
  steps.push(...earlierClosures(context), ...acts(context));
  if (isolation?.ok === true) {
    const { drain, vent, volume_L } = isolation.value.section;
    if (drain !== undefined) {
      const ventName = vent === undefined ? undefined : nodeName(context, vent.node);
      steps.push(
        step(
          {
            id: `drain:${drain.node}`,
            phase: "isolate",
            // The title is kept with the job for everybody's lists, whatever their units: the amount stands beside it.
            title: `Open drain ${nodeName(context, drain.node)} and let it run out.`,
            cues: [litres(volume_L - drain.staysBelow_L)],
            why: `It is the lowest drain of the shut-in section; about ${formatDuration(drain.minutes * 60)} through its bore.${ventName === undefined ? "" : ` Open ${ventName} to let air in.`}${drain.staysBelow_L > 5 ? ` About ${litres(drain.staysBelow_L)} lies lower and stays.` : ""}`,
            minutes: Math.max(1, Math.round(drain.minutes)),
            cautions: [releaseCaution(sheet.isolation.medium, context.system)],
          },
          { kind: "do" },
        ),
      );
    } else if (volume_L > 0 && !sheet.isolation.drainsItself && sheet.release === undefined) {
      steps.push(
        step(
          {
            id: "drain:none",
            phase: "isolate",
            title: "Release slowly at the valve itself: this section has no drain.",
            why: `${litres(volume_L)} stand in it. Crack the cap, stand to the side, stop when it spits hard.`,
            minutes: 8,
          },
          { kind: "do" },
        ),
      );
    }
  }
  const { zeroAt, fitGauge, zero_bar, hold_min, medium } = sheet.isolation;
  const temperature = MEDIA_RULES[medium].standsWithTemperature;
  return [
    ...steps,
    ...storedEnergy(context),
    ...electricallyDead(context),
    ...letOut(context),
    step(
      {
        id: PROVE_STEPS.gauge,
        phase: "prove",
        title: `Prove zero at the ${zeroAt}.`,
        why: fitGauge,
        minutes: 3,
        cautions: [
          {
            can: "A gauge that is blocked or broken reads zero, too.",
            do: "Look that its needle moved when you shut in, or try it on a live outlet first.",
          },
        ],
      },
      { kind: "gauge", zero_bar, again: false, temperature },
    ),
    step(
      {
        id: PROVE_STEPS.hold,
        phase: "prove",
        title: `Shut in and wait ${hold_min} minutes.`,
        why: "A valve that passes a little fills the section again. Only time shows it.",
        minutes: hold_min,
      },
      { kind: "wait", lookAt: `Read the gauge at the ${zeroAt} again.` },
    ),
    step(
      {
        id: PROVE_STEPS.again,
        phase: "prove",
        title: "Read the gauge again: still zero?",
        why: `If it climbed, a closure passes: ${inputs.line === undefined ? "find it" : "name it, and the plan finds another"}. Then the wait starts anew.`,
        minutes: 1,
      },
      { kind: "gauge", zero_bar, again: true, temperature },
    ),
  ];
}

/** Pressure that is left is let out on the gentlest rung the valve has; where none may be used, nothing is opened. */
function letOut({ sheet, system }: Context): Step[] {
  const release = releaseOf(sheet);
  // On the last rung, the cover, nothing is done here: the strip cracks it with bolts left in.
  if (release === undefined || (release.kind === "rung" && release.rung.rung === "cover")) return [];
  const { name } = MEDIA_RULES[sheet.isolation.medium];
  const caution = releaseCaution(sheet.isolation.medium, system);
  if (release.kind === "barred")
    return [
      step(
        {
          id: "release:barred",
          phase: "isolate",
          title: `There is no safe way to let ${name} out of this valve.`,
          why: "Nothing may be opened until the pressure has a way out.",
          minutes: 0,
        },
        { kind: "blocked", reason: release.says },
      ),
    ];
  return [
    step(
      {
        id: "release",
        phase: "isolate",
        title: release.rung.do,
        why: "The gentlest way out this valve has; the cover itself is the last.",
        minutes: 3,
        cautions: [caution],
      },
      { kind: "do" },
    ),
  ];
}

/** Closures that were made before the plan changed and are in it no more: they are shut all the same. */
function earlierClosures({ isolation, inputs, progress }: Context): Step[] {
  const planned = new Set(isolation?.ok === true ? isolation.value.shutting.map((act) => act.id) : []);
  return shutLinks(progress).flatMap((id) => {
    const link = inputs.line?.links.find(
      (each): each is LineValve => each.id === id && each.kind === "valve",
    );
    if (link === undefined || planned.has(id)) return [];
    const unfit = unfitness(link, new Set(progress.passing), new Set());
    return [
      step(
        {
          id: `shut:${id}`,
          phase: "isolate",
          title: `Shut ${title(id, link.name)} and lock it.`,
          why:
            unfit === "passes"
              ? "It was found to pass: it stays shut, but is no barrier."
              : "Shut before the plan changed; it stays shut.",
          minutes: link.access_min,
        },
        { kind: "shut", link: id, lockable: link.lockable },
      ),
    ];
  });
}

/** What makes the line dead, in the plan's order. */
function acts(context: Context): Step[] {
  const { isolation } = context;
  if (isolation?.ok !== true) return [];
  const plan = isolation.value;
  const steps = plan.shutting.map((act): Step => {
    switch (act.kind) {
      case "stop-pump":
        return step(
          {
            id: `pump-off:${act.id}`,
            phase: "isolate",
            title: `Stop ${act.name}, switch its isolator off and lock it.`,
            why: act.why,
            minutes: 3,
          },
          { kind: "shut", link: act.id, lockable: true },
        );
      case "turn":
        return turnStep(plan.turned.find((each) => each.node === act.id)!);
      case "pump-out":
        return step(
          {
            id: `pump-out:${act.id}`,
            phase: "isolate",
            title: `Pump ${act.name} down until it holds at zero gauge.`,
            why: `${act.why} It has one relief valve: while that is off, nothing may be in it that could boil.`,
            minutes: 60,
            cautions: [releaseCaution(context.sheet.isolation.medium, context.system)],
          },
          { kind: "write-down", ask: "Pressure it was pumped down to, and when?" },
        );
      case "open-bleed":
        return step(
          {
            id: `bleed:${act.id}`,
            phase: "isolate",
            title: `Open ${act.name} and leave it open.`,
            why: act.why,
            minutes: 2,
            cautions: [releaseCaution(context.sheet.isolation.medium, context.system)],
          },
          { kind: "do" },
        );
      default:
        return closureStep(plan.closures.find((each) => each.link === act.id)!, act.why);
    }
  });
  const last = steps.at(-1);
  const cautions = plan.locked
    .filter((piece) => !piece.untilDrained || piece.medium !== "water")
    .map((piece) => ({
      can: "Liquid locked between shut valves bursts its pipe when it warms.",
      do: lockedWords(piece, context.system),
    }));
  return last === undefined || cautions.length === 0
    ? steps
    : [...steps.slice(0, -1), { ...last, cautions: [...last.cautions, ...cautions] }];
}

function closureStep(closure: Closure, now: string): Step {
  const name = title(closure.link, closure.name);
  const electric = closure.medium === "electricity";
  return step(
    {
      id: `shut:${closure.link}`,
      phase: "isolate",
      title: closure.standsShut
        ? `Check that ${name} stands shut, and lock it.`
        : electric
          ? `Switch ${name} off and lock it.`
          : `Shut ${name} and lock it.`,
      why: `${closure.why} ${now}`.trim(),
      minutes: closure.minutes,
      cues: [
        ...(closure.turns === undefined ? [] : [`${closure.turns} turns, slowly at the end`]),
        ...(closure.barrier === "outer" ? ["second barrier"] : []),
        ...(closure.confined ? ["in a confined space"] : []),
      ],
    },
    {
      kind: "shut",
      link: closure.link,
      lockable: closure.lockable,
      ...(closure.where !== undefined && { where: closure.where }),
      ...(closure.turns !== undefined && { turns: closure.turns }),
    },
  );
}

const turnStep = (valve: Turned): Step =>
  step(
    {
      id: `shut:${valve.node}`,
      phase: "isolate",
      title: `Turn ${valve.name} to: ${valve.to.name}.`,
      why: `${valve.why} It stood: ${valve.from.name}.`,
      minutes: valve.minutes,
    },
    {
      kind: "shut",
      link: valve.node,
      lockable: valve.lockable,
      ...(valve.where !== undefined && { where: valve.where }),
    },
  );

/** What closures do not take away: springs, heat, charge. Let out before zero is proven. */
function storedEnergy({ isolation, system }: Context): Step[] {
  const stored =
    isolation?.ok === true
      ? isolation.value.stored.filter((each) => each.kind !== "head" && each.kind !== "cold")
      : [];
  if (stored.length === 0) return [];
  return [
    step(
      {
        id: "isolate:stored",
        phase: "isolate",
        title: "Let out what is stored, or wait it out.",
        why: "Closing valves does not take it away.",
        minutes: Math.max(2, ...stored.map((each) => each.wait_min ?? 0)),
        cautions: stored.map((each) => ({ can: `${each.at}: ${each.kind}.`, do: storedWords(each, system) })),
      },
      { kind: "write-down", ask: "What was let out, and how do you know?" },
    ),
  ];
}

function electricallyDead(context: Context): Step[] {
  const point =
    context.isolation?.ok === true
      ? context.isolation.value.prove.find((each) => each.how === "tester")
      : undefined;
  if (point?.node === undefined) return [];
  return [
    step(
      {
        id: `prove:dead:${point.node}`,
        phase: "prove",
        title: `Prove ${nodeName(context, point.node)} electrically dead.`,
        why: point.says,
        minutes: 3,
        cautions: [releaseCaution("electricity", context.system)],
      },
      { kind: "write-down", ask: "Which tester, and what did it show: live point, here, live point?" },
    ),
  ];
}

const title = (id: string, name: string | undefined) =>
  name === undefined || name === id ? id : `${id} ${name}`;

/** Links whose closing was ticked. */
export const shutLinks = (progress: Context["progress"]): string[] =>
  [...progress.done.keys()].flatMap((id) => (id.startsWith("shut:") ? [id.slice("shut:".length)] : []));

const nodeName = ({ inputs }: Context, id: string) =>
  inputs.line?.nodes.find((node) => node.id === id)?.name ?? id;
