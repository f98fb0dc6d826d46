import type { Act } from "../../isolation";
import { type Step, step } from "../step";
import { checksOf } from "./checks";
import { type Context, listed } from "./context";
import { shutLinks } from "./isolate";

/** How it comes live again: made ready, drain shut, opened in the order that hurts nobody, air out, told. */
export function restore(context: Context): Step[] {
  const { sheet, isolation, inputs, progress } = context;
  const ready = (when: "before-opening" | "after-opening") =>
    sheet.restore
      .filter((each) => each.when === when)
      .map((each) =>
        step(
          {
            id: `restore:${each.id}`,
            phase: "restore",
            title: each.do,
            why: each.why,
            minutes: each.minutes,
            cautions: each.cautions ?? [],
          },
          { kind: "do" },
        ),
      );
  const plan = isolation?.ok === true ? isolation.value : undefined;
  const lost = plan?.lost.map((each) => each.name) ?? [];
  const live = sheet.isolation.workUnderPressure !== undefined;
  return [
    ...ready("before-opening"),
    ...acts(context),
    ...(isolation === undefined && !live
      ? [
          step(
            {
              id: "restore:by-hand",
              phase: "restore",
              title: "Open what you shut, slowly, lowest first. Take every lock off.",
              why: `You wrote: ${progress.done.get("isolate:by-hand")?.entry ?? "nothing"}`,
              minutes: 10,
            },
            { kind: "write-down", ask: "Which valves are open again?" },
          ),
        ]
      : []),
    ...ready("after-opening"),
    ...(live || (lost.length === 0 && inputs.line !== undefined)
      ? []
      : [
          step(
            {
              id: "restore:tell",
              phase: "restore",
              title: `Tell those you told: ${listed(lost.length > 0 ? lost : [inputs.valve.name])} ${lost.length > 1 ? "are" : "is"} back in service.`,
              why: "Until they know, they plan without it.",
              minutes: 3,
            },
            { kind: "write-down", ask: "Who was told?" },
          ),
        ]),
  ];
}

/** What brings the line back, in the plan's order; then what was shut before the plan changed. */
function acts(context: Context): Step[] {
  const { isolation, inputs, progress } = context;
  const order: readonly Act[] = isolation?.ok === true ? isolation.value.restoring : [];
  const known = new Set(order.map((act) => act.id));
  const earlier = shutLinks(progress)
    .filter((link) => !known.has(link))
    .map((id): Act => {
      const link = inputs.line?.links.find((each) => each.id === id);
      const leave = link !== undefined && "normally" in link && link.normally === "shut";
      return {
        kind: leave ? "leave-shut" : "open",
        id,
        name: link?.name ?? id,
        why: "It was shut before the plan changed: it has to come back, too.",
      };
    });
  return [...order, ...earlier].map((act) => actStep(context, act));
}

function actStep(context: Context, act: Act): Step {
  const { why } = act;
  const named = act.name === act.id ? act.id : `${act.id} ${act.name}`;
  const plain = (id: string, title: string, minutes: number): Step =>
    step({ id, phase: "restore", title, why, minutes }, { kind: "do" });
  switch (act.kind) {
    case "shut-bleed":
      return plain(`bleed-shut:${act.id}`, `Shut ${act.name}.`, 1);
    case "shut-drain":
      return plain(`drain-shut:${act.id}`, `Shut drain ${act.name}.`, 1);
    case "start-pump":
      return plain(`pump-on:${act.id}`, `Take your lock off ${act.name} and start it.`, 3);
    case "turn-back":
      return openStep(context, act, `Take your lock off and turn back ${act.name}.`);
    case "switch-on":
      return openStep(context, act, `Take your lock off ${named} and switch it on.`);
    case "leave-shut":
      return openStep(context, act, `Take your lock off ${named}. Leave it shut.`);
    default:
      return openStep(context, act, `Take your lock off ${named} and open it slowly.`);
  }
}

function openStep({ inputs, progress }: Context, act: Act, title: string): Step {
  const link = inputs.line?.links.find((each) => each.id === act.id);
  const valve = link?.kind === "valve" ? link : undefined;
  const leaveShut = act.kind === "leave-shut";
  const lock = progress.done.get(`shut:${act.id}`)?.entry;
  const turns = valve?.turns;
  return step(
    {
      id: `open:${act.id}`,
      phase: "restore",
      title,
      why: act.why,
      minutes: valve?.access_min ?? 3,
      cues: [
        ...(lock ? [`lock ${lock}`] : []),
        ...(turns !== undefined && act.kind === "open" ? [`${turns} turns, all of them`] : []),
      ],
    },
    {
      kind: "open",
      link: act.id,
      leaveShut,
      ...(valve?.where !== undefined && { where: valve.where }),
      ...(turns !== undefined && { turns }),
    },
  );
}

export function testAndSignOff(context: Context): Step[] {
  return [
    ...checksOf(context, "test"),
    step(
      {
        id: "tag",
        phase: "sign-off",
        title: context.sheet.tag,
        why: "The next person reads the tag, not the computer.",
        minutes: 2,
        mayOverride: true,
      },
      { kind: "do" },
    ),
    step(
      {
        id: "sign-off",
        phase: "sign-off",
        title: "Sign off: back in service.",
        why: "Your name stands under what was found, done and measured.",
        minutes: 1,
      },
      { kind: "sign-off" },
    ),
  ];
}
