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
  const drain = plan?.section.drain?.node;
  const drainName = inputs.line?.nodes.find((node) => node.id === drain)?.name ?? drain;
  const lost = plan?.lost.map((each) => each.name) ?? [];
  return [
    ...ready("before-opening"),
    ...(drain === undefined
      ? []
      : [
          step(
            {
              id: `drain-shut:${drain}`,
              phase: "restore",
              title: `Shut drain ${drainName}.`,
              why: "Before the water comes back, not after.",
              minutes: 1,
            },
            { kind: "do" },
          ),
        ]),
    ...openings(context),
    ...(plan?.pumps ?? []).map((pump) =>
      step(
        {
          id: `pump-on:${pump.link}`,
          phase: "restore",
          title: `Take your lock off ${pump.name} and start it.`,
          why: "Last: against a full line it makes no surge.",
          minutes: 3,
        },
        { kind: "do" },
      ),
    ),
    ...(isolation === undefined
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
    ...(lost.length === 0 && inputs.line !== undefined
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

function openings({ isolation, inputs, progress }: Context): Step[] {
  const plan = isolation?.ok === true ? isolation.value : undefined;
  const order = plan?.reopen ?? [];
  const known = new Set(order.map((each) => each.link));
  const earlier = shutLinks(progress)
    .filter((link) => !known.has(link))
    .map((link) => ({ link, why: "It was shut before the plan changed: it has to come open, too." }));
  return [...order, ...earlier].flatMap(({ link: id, why }) => {
    const link = inputs.line?.links.find((each) => each.id === id);
    if (link?.kind !== "valve") return [];
    const leaveShut = link.normally === "shut";
    const name = link.name === undefined ? id : `${id} ${link.name}`;
    const lock = progress.done.get(`shut:${id}`)?.entry;
    return [
      step(
        {
          id: `open:${id}`,
          phase: "restore",
          title: leaveShut
            ? `Take your lock off ${name}. Leave it shut.`
            : `Take your lock off ${name} and open it slowly.`,
          why: leaveShut ? "It stands shut on an ordinary day." : why,
          minutes: link.access_min,
          cues: [
            ...(lock ? [`lock ${lock}`] : []),
            ...(link.turns !== undefined && !leaveShut ? [`${link.turns} turns, all of them`] : []),
          ],
        },
        {
          kind: "open",
          link: id,
          leaveShut,
          ...(link.where !== undefined && { where: link.where }),
          ...(link.turns !== undefined && { turns: link.turns }),
        },
      ),
    ];
  });
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
