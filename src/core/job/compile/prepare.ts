import { type ListLine, type Step, step } from "../step";
import { type Context, listed, toolsOf } from "./context";

/** What to bring and whom to tell, before anything is shut. */
export function prepare(context: Context): Step[] {
  const { sheet } = context;
  return [
    step(
      {
        id: "prepare:protect",
        phase: "prepare",
        title: `Put on ${listed(sheet.protective.map((each) => each.toLowerCase()))}.`,
        why: sheet.competence,
        minutes: 1,
        cautions: sheet.hazards.map((hazard) => ({ can: hazard.can, do: hazard.do })),
      },
      { kind: "do" },
    ),
    step(
      { id: "prepare:kit", phase: "prepare", title: kitTitle(context), why: kitWhy(context), minutes: 2 },
      { kind: "collect", lines: kitLines(context) },
    ),
    step(
      {
        id: "prepare:tools",
        phase: "prepare",
        title: "Lay out the tools in the order you will need them.",
        why: "A second trip costs more than any kit.",
        minutes: 3,
      },
      { kind: "collect", lines: toolLines(context) },
    ),
    ...permits(context),
    ...notify(context),
  ];
}

/** Permits that this work calls for: reminders; the site's rules and the local code decide. */
function permits({ isolation }: Context): Step[] {
  const asked = isolation?.ok === true ? isolation.value.permits : [];
  if (asked.length === 0) return [];
  return [
    step(
      {
        id: "prepare:permits",
        phase: "prepare",
        title: `Ask for the permits: ${listed(asked.map((each) => each.title.toLowerCase()))}.`,
        why: "The site's rules and the local code decide whether, and by whom, this may be done.",
        minutes: 5,
        cautions: asked.map((each) => ({ can: `${each.title}.`, do: each.says })),
      },
      { kind: "write-down", ask: "Permit numbers, or who said none is needed?" },
    ),
  ];
}

function kitTitle({ renewals, kits }: Context): string {
  if (renewals.length === 0) return "No parts are needed so far.";
  if (kits.picks.length === 0) return "No stock has the parts this strip will spoil.";
  return `Take ${listed(kits.picks.map((pick) => pick.name))}.`;
}

function kitWhy({ kits, renewals }: Context): string {
  if (renewals.length === 0) return "Nothing is renewed unless you find a reason.";
  const late = kits.days > 0 ? ` In hand in ${kits.days} days.` : "";
  const missing =
    kits.missing.length > 0 ? " Some parts are missing: see below. Get them before you shut anything." : "";
  return `It covers what this strip spoils.${late}${missing}`;
}

function kitLines({ kits, renewals, parts, sheet }: Context): ListLine[] {
  const name = (id: string) => parts.get(id)?.name ?? id;
  const supplies = new Set(
    renewals.length === 0 && sheet.supplies.length === 0 ? [] : sheet.supplies.map((supply) => supply.name),
  );
  return [
    ...kits.picks.map((pick) => ({
      name: `${pick.name}${pick.pieces > 1 ? ` × ${pick.pieces}` : ""}`,
      note: pick.place,
    })),
    ...renewals.map((renewal) => ({ name: name(renewal.part), note: `renew: ${renewal.why}` })),
    ...kits.missing.map(({ part, pieces }) => ({
      name: pieces > 1 ? `${name(part)} × ${pieces}` : name(part),
      note: "MISSING: no stock place has it",
    })),
    ...kits.doNotTake.map((kit) => ({ name: `Not ${kit.name}`, note: kit.why })),
    ...kits.leftovers.map((left) => ({
      name: `${left.name} × ${left.quantity}`,
      note: `will be left over: ${left.why}`,
    })),
    ...[...supplies].map((supply) => ({ name: supply, note: "for the rebuild" })),
  ];
}

function toolLines(context: Context): ListLine[] {
  const { sheet, strip, rebuild, parts } = context;
  const order = [
    ...strip.moves.flatMap((move) => (move.kind === "remove" ? move.way.tools : [])),
    ...rebuild.flatMap((move) => (move.kind === "fit" ? (parts.get(move.part)?.fit?.tools ?? []) : [])),
    ...sheet.checks.flatMap((check) => check.tools),
    ...(sheet.tasks ?? []).flatMap((task) => task.tools),
  ];
  return toolsOf(context, [...new Set(order)]).map((tool) => ({
    name: tool.name,
    note: tool.substitutes.length > 0 ? `stand-in: ${tool.substitutes.join("; ")}` : "",
  }));
}

/** Whoever relies on what goes out of service hears it before, not after. */
function notify({ isolation, inputs }: Context): Step[] {
  const lost = isolation?.ok === true ? isolation.value.lost : [];
  const hydrants = lost.filter((each) => each.hydrant).map((each) => each.name);
  const zones = lost.filter((each) => each.protects).map((each) => each.name);
  const others = lost.filter((each) => !each.hydrant && !each.protects).map((each) => each.name);
  const fire = [...hydrants, ...zones];
  const live = inputs.sheet.isolation.workUnderPressure !== undefined;
  const itself = isolation === undefined && !live ? [inputs.valve.name] : [];
  if (fire.length + others.length + itself.length === 0) return [];
  return [
    step(
      {
        id: "prepare:notify",
        phase: "prepare",
        title: `Tell ${fire.length + itself.length > 0 ? "the fire service and the duty officer" : "the users"}: ${listed([...fire, ...others, ...itself])} will be out of service.`,
        why: "An engine that connects to a dead hydrant loses the minutes that count.",
        minutes: 4,
        cautions:
          zones.length > 0
            ? [
                {
                  can: `A fire at ${listed(zones)} meets no water.`,
                  do: "Agree a fire watch with the duty officer. Your local authority sets after how many hours one must stand.",
                },
              ]
            : [],
      },
      { kind: "write-down", ask: "Who was told?" },
    ),
  ];
}
