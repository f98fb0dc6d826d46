import { type Step, step } from "../step";
import { singleStep } from "../step-id";
import { type Context, said, toolsOf } from "./context";

/** What to bring and whom to tell, before anything is shut. */
export function prepare(context: Context): Step[] {
  const { sheet } = context;
  return [
    step(
      { id: singleStep("protect"), phase: "prepare", minutes: 1, dangers: said(sheet.hazards) },
      { kind: "protect", gear: sheet.protective, competence: sheet.competence },
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

function kit({ kits, renewals, parts, sheet }: Context): Step {
  const name = (id: string) => parts.get(id)?.name ?? id;
  return step(
    { id: singleStep("kit"), phase: "prepare", minutes: 2 },
    {
      kind: "kit",
      renewals: renewals.map((each) => ({ ...each, name: name(each.part) })),
      picks: kits.picks,
      missing: kits.missing.map(({ part, pieces }) => ({ name: name(part), pieces })),
      doNotTake: kits.doNotTake,
      leftovers: kits.leftovers,
      supplies: [...new Set(sheet.supplies.map((supply) => supply.name))],
      days: kits.days,
    },
  );
}

function toolsInOrder({ sheet, strip, rebuild, parts }: Context): string[] {
  const order = [
    ...strip.moves.flatMap((move) => (move.kind === "remove" ? move.way.tools : [])),
    ...rebuild.flatMap((move) => (move.kind === "fit" ? (parts.get(move.part)?.fit?.tools ?? []) : [])),
    ...sheet.checks.flatMap((check) => check.tools),
    ...(sheet.tasks ?? []).flatMap((task) => task.tools),
  ];
  return [...new Set(order)];
}

function permits({ isolation }: Context): Step[] {
  const asked = isolation?.ok === true ? isolation.value.permits : [];
  if (asked.length === 0) return [];
  return [
    step(
      {
        id: singleStep("permits"),
        phase: "prepare",
        minutes: 5,
        dangers: asked.map((permit) => ({ kind: "permit", permit })),
      },
      { kind: "permits", permits: asked },
    ),
  ];
}

/** Whoever relies on what goes out of service hears it before, not after. */
function notify({ isolation, inputs }: Context): Step[] {
  const lost = isolation?.ok === true ? isolation.value.lost : [];
  const hydrants = lost.filter((each) => each.hydrant).map((each) => each.name);
  const zones = lost.filter((each) => each.protects).map((each) => each.name);
  const others = lost.filter((each) => !each.hydrant && !each.protects).map((each) => each.name);
  const live = inputs.sheet.isolation.workUnderPressure !== undefined || inputs.where !== undefined;
  const itself = isolation === undefined && !live ? [inputs.valve.name] : [];
  if (hydrants.length + zones.length + others.length + itself.length === 0) return [];
  return [
    step(
      {
        id: singleStep("notify"),
        phase: "prepare",
        minutes: 4,
        dangers: zones.length > 0 ? [{ kind: "fire-meets-no-water", zones }] : [],
      },
      { kind: "notify", nodes: lost.map((each) => each.node), hydrants, zones, others, itself },
    ),
  ];
}
