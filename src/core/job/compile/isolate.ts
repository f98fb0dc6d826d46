import type { LineValve } from "../../formats";
import { isolationMessage, unfitness } from "../../isolation";
import { formatDuration, formatQuantity } from "../../quantity";
import { PROVE_STEPS } from "../progress";
import { type Step, step } from "../step";
import type { Context } from "./context";

/** What to shut and lock, where to drain, and the proof that it is dead. */
export function isolate(context: Context): Step[] {
  const { isolation, sheet, inputs } = context;
  const steps: Step[] = [];
  const litres = (volume_L: number) => formatQuantity(volume_L / 1000, "volume", context.system);
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
  } else {
    for (const pump of isolation.value.pumps)
      steps.push(
        step(
          {
            id: `pump-off:${pump.link}`,
            phase: "isolate",
            title: `Stop ${pump.name}, switch its isolator off and lock it.`,
            why: "Electricity and pumps first: a running pump makes pressure as fast as you drain it.",
            minutes: 3,
          },
          { kind: "shut", link: pump.link, lockable: true },
        ),
      );
  }
  steps.push(...closures(context));
  if (isolation?.ok === true) {
    const { drain, vent, volume_L } = isolation.value.section;
    if (drain !== undefined) {
      const ventName = vent === undefined ? undefined : nodeName(context, vent.node);
      steps.push(
        step(
          {
            id: `drain:${drain.node}`,
            phase: "isolate",
            title: `Open drain ${nodeName(context, drain.node)} and let ${litres(volume_L - drain.staysBelow_L)} run out.`,
            why: `It is the lowest drain of the shut-in section; about ${formatDuration(drain.minutes * 60)} through its bore.${ventName === undefined ? "" : ` Open ${ventName} to let air in.`}${drain.staysBelow_L > 5 ? ` About ${litres(drain.staysBelow_L)} lies lower and stays.` : ""}`,
            minutes: Math.max(1, Math.round(drain.minutes)),
            cautions: [
              {
                can: "Water from the drain ices or washes out the quay edge.",
                do: "Lead it to the gully. Keep people off.",
              },
            ],
          },
          { kind: "do" },
        ),
      );
    } else if (volume_L > 0 && !sheet.isolation.drainsItself) {
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
  const { zeroAt, fitGauge, zero_bar, hold_min } = sheet.isolation;
  return [
    ...steps,
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
      { kind: "gauge", zero_bar, again: false },
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
      { kind: "gauge", zero_bar, again: true },
    ),
  ];
}

/** The closures of the plan, and any that were made before the plan changed: they are shut all the same. */
function closures({ isolation, inputs, progress }: Context): Step[] {
  const planned = isolation?.ok === true ? isolation.value.closures : [];
  const known = new Set(planned.map((closure) => closure.link));
  const earlier = shutLinks(progress).filter((link) => !known.has(link));
  return [
    ...earlier.flatMap((id) => {
      const link = inputs.line?.links.find(
        (each): each is LineValve => each.id === id && each.kind === "valve",
      );
      if (link === undefined) return [];
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
    }),
    ...planned.map((closure) =>
      step(
        {
          id: `shut:${closure.link}`,
          phase: "isolate",
          title: closure.standsShut
            ? `Check that ${title(closure.link, closure.name)} stands shut, and lock it.`
            : `Shut ${title(closure.link, closure.name)} and lock it.`,
          why: closure.why,
          minutes: closure.minutes,
          cues: closure.turns === undefined ? [] : [`${closure.turns} turns, slowly at the end`],
        },
        {
          kind: "shut",
          link: closure.link,
          lockable: closure.lockable,
          ...(closure.where !== undefined && { where: closure.where }),
          ...(closure.turns !== undefined && { turns: closure.turns }),
        },
      ),
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
