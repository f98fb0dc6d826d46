import { mayCondemn } from "../../findings";
import type { JobInputs } from "../../formats";
import type { LostConsumer } from "../../isolation";
import { awayFrom } from "../away-from";
import { type Step, step } from "../step";
import type { Danger } from "../step-head";
import { singleStep } from "../step-id";
import type { Pocket } from "../steps/kit";
import type { Told } from "../steps/notify";
import { type Context, doorOf, kitsOf, said, toolsOf } from "./context";
import { linesToBring } from "./kit-lines";
import { insteadOf, toolsBesides } from "./other-way";

/** What to bring and whom to tell, before anything is shut. */
export function prepare(context: Context): Step[] {
  const { sheet } = context;
  const { medium } = sheet.isolation;
  const hazards = sheet.hazards.filter(({ media }) => media?.includes(medium) ?? true);
  const more = (sheet.protectiveOf ?? []).flatMap((each) => (each.medium === medium ? each.gear : []));
  return [
    step(
      { id: singleStep("protect"), phase: "prepare", minutes: 1, dangers: said(hazards) },
      { kind: "protect", gear: [...more, ...sheet.protective], competence: sheet.competence },
    ),
    kit(context),
    step(
      { id: singleStep("tools"), phase: "prepare", minutes: 3 },
      { kind: "tools", bring: toolsOf(context, toolsInOrder(context)) },
    ),
    ...permits(context),
    ...notify(context),
  ];
}

function kit(context: Context): Step {
  const { kits, renewals, parts, sheet } = context;
  const inCase = context.rules < 4 ? undefined : pocketOf(context);
  const lines = context.rules < 5 ? [] : linesToBring(context, inCase?.picks ?? []);
  const name = (id: string) => parts.get(id)?.name ?? id;
  return step(
    {
      id: singleStep("kit"),
      phase: "prepare",
      minutes: 2,
      // What nobody has is said with a reason; the card then waits for nobody.
      ...(lines.length > 0 && { mayOverride: true }),
    },
    {
      kind: "kit",
      renewals: renewals.map((each) => ({ ...each, name: name(each.part) })),
      picks: kits.picks,
      missing: kits.missing.map(({ part: _, ...each }) => each),
      doNotTake: kits.doNotTake,
      leftovers: kits.leftovers,
      supplies: [...new Set(sheet.supplies.map((supply) => supply.name))],
      days: kits.days,
      ...(inCase !== undefined && { inCase }),
      ...(lines.length > 0 && { lines }),
    },
  );
}

/** Parts that come off and that a look of this job can condemn; none where that cannot be. */
function pocketOf({ inputs, progress, sheet, removed, renewals }: Context): Pocket | undefined {
  const needs = mayCondemn(sheet, removed, new Set(renewals.map(({ part }) => part)));
  if (needs.length === 0) return undefined;
  const { picks, missing } = kitsOf(inputs, progress, needs);
  return {
    picks,
    missing: missing.map(({ part: _, ...each }) => each),
  };
}

function toolsInOrder(context: Context): string[] {
  const { sheet, strip, rebuild, parts } = context;
  const order = [
    ...strip.moves.flatMap((move) => (move.kind === "remove" ? move.way.tools : [])),
    ...rebuild.flatMap((move) => (move.kind === "fit" ? (parts.get(move.part)?.fit?.tools ?? []) : [])),
    ...sheet.checks.flatMap((check) => check.tools),
    ...(sheet.tasks ?? []).flatMap((task) =>
      insteadOf(context, task, "strip").kind === "as-written" ? task.tools : [],
    ),
    ...toolsBesides(context),
  ];
  return [...new Set(order)];
}

function permits({ isolation, inputs }: Context): Step[] {
  const asked = isolation?.ok === true ? isolation.value.permits : [];
  const doors =
    isolation?.ok === true ? isolation.value.closures.flatMap(({ link }) => doorOf(inputs, link)) : [];
  if (asked.length + doors.length === 0) return [];
  return [
    step(
      {
        id: singleStep("permits"),
        phase: "prepare",
        minutes: 5,
        dangers: [...asked.map((permit) => ({ kind: "permit" as const, permit })), ...doors],
      },
      { kind: "permits", permits: asked },
    ),
  ];
}

/** Consumers that must not be without, and are: no way round was found. */
const withoutAllTheSame = ({ line }: JobInputs, lost: readonly LostConsumer[]): Danger[] =>
  lost.flatMap(({ node, name }): Danger[] => {
    const why = line?.nodes.find((each) => each.id === node)?.mustKeep;
    return why === undefined ? [] : [{ kind: "must-not-be-without", name, why }];
  });

/** Who is told of a consumer, where its line says so. */
function toldOf({ line }: JobInputs, node: string, name: string): Told[] {
  const tell = line?.nodes.find((each) => each.id === node)?.tell;
  if (tell === undefined) return [];
  const { who, phone, notice_days: days } = tell;
  return [{ name, who, ...(phone !== undefined && { phone }), ...(days !== undefined && { days }) }];
}

/** Whoever relies on what goes out of service hears it before, not after. */
function notify({ isolation, inputs }: Context): Step[] {
  const lost = isolation?.ok === true ? isolation.value.lost : [];
  const hydrants = lost.filter((each) => each.hydrant).map((each) => each.name);
  const zones = lost.filter((each) => each.protects).map((each) => each.name);
  const users = lost.filter((each) => !each.hydrant && !each.protects);
  const others = users.filter(({ left }) => left === undefined).map((each) => each.name);
  const coldAlone = users.filter(({ left }) => left === "cold").map((each) => each.name);
  const live = inputs.sheet.isolation.workUnderPressure !== undefined || awayFrom(inputs) !== undefined;
  const itself = isolation === undefined && !live ? [inputs.valve.name] : [];
  if (lost.length + itself.length === 0) return [];
  const told = lost.flatMap(({ node, name }) => toldOf(inputs, node, name));
  return [
    step(
      {
        id: singleStep("notify"),
        phase: "prepare",
        minutes: 4,
        dangers: [
          ...(zones.length > 0 ? [{ kind: "fire-meets-no-water" as const, zones }] : []),
          ...withoutAllTheSame(inputs, lost),
        ],
      },
      {
        kind: "notify",
        nodes: lost.map((each) => each.node),
        hydrants,
        zones,
        others,
        itself,
        ...(coldAlone.length > 0 && { coldAlone }),
        ...(told.length > 0 && { told }),
      },
    ),
  ];
}
