import type { Act } from "../../isolation";
import { type Step, step } from "../step";
import { singleStep, stepAbout } from "../step-id";
import type { OpenFacts } from "../steps/open";
import { checksOf } from "./checks";
import { type Context, said } from "./context";

/** How it comes live again: made ready, drain shut, opened in the order that hurts nobody, air out, told. */
export function restore(context: Context): Step[] {
  const { sheet, isolation, inputs, progress } = context;
  const live = sheet.isolation.workUnderPressure !== undefined;
  const lost = isolation?.ok === true ? isolation.value.lost.map((each) => each.name) : [];
  const wrote = progress.done.get(singleStep("shut-by-hand"))?.entry;
  return [
    ...ready(context, "before-opening"),
    ...acts(context),
    ...(isolation === undefined && !live
      ? [
          step(
            { id: singleStep("open-by-hand"), phase: "restore", minutes: 10 },
            { kind: "open-by-hand", ...(wrote !== undefined && { wrote }) },
          ),
        ]
      : []),
    ...ready(context, "after-opening"),
    ...(live || (lost.length === 0 && inputs.line !== undefined)
      ? []
      : [
          step(
            { id: singleStep("tell"), phase: "restore", minutes: 3 },
            { kind: "tell", names: lost.length > 0 ? lost : [inputs.valve.name] },
          ),
        ]),
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
        { kind: "ready", do: each.do, why: each.why },
      ),
    );

/** What brings the line back, in the plan's order; then what was shut before the plan changed. */
function acts(context: Context): Step[] {
  const { isolation, inputs, progress } = context;
  const order: readonly Act[] = isolation?.ok === true ? isolation.value.restoring : [];
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
  return [...order, ...earlier].map((act) => actStep(context, act));
}

function actStep(context: Context, { kind, id, name, why }: Act): Step {
  switch (kind) {
    case "shut-bleed":
    case "shut-drain":
      return step(
        { id: stepAbout(kind, id), phase: "restore", minutes: 1 },
        { kind: "shut-point", point: kind === "shut-bleed" ? "bleed" : "drain", node: id, name, why },
      );
    case "start-pump":
      return step(
        { id: stepAbout("start-pump", id), phase: "restore", minutes: 3 },
        { kind: "start-pump", link: id, name, why },
      );
    case "turn-back":
    case "switch-on":
    case "leave-shut":
      return openStep(context, { kind: "open", link: id, name, how: kind, why });
    default:
      return openStep(context, { kind: "open", link: id, name, how: "open", why });
  }
}

function openStep({ inputs, progress }: Context, facts: OpenFacts): Step {
  const link = inputs.line?.links.find((each) => each.id === facts.link);
  const valve = link?.kind === "valve" ? link : undefined;
  const lock = progress.shut.get(facts.link)?.entry;
  return step(
    { id: stepAbout("open", facts.link), phase: "restore", minutes: valve?.access_min ?? 3 },
    {
      ...facts,
      ...(lock !== undefined && { lock }),
      ...(valve?.where !== undefined && { where: valve.where }),
      ...(valve?.turns !== undefined && { turns: valve.turns }),
    },
  );
}

export const testAndSignOff = (context: Context): Step[] => [
  ...checksOf(context, "test"),
  step(
    { id: singleStep("tag"), phase: "sign-off", minutes: 2, mayOverride: true },
    { kind: "tag", says: context.sheet.tag },
  ),
  step({ id: singleStep("sign-off"), phase: "sign-off", minutes: 1 }, { kind: "sign-off" }),
];
