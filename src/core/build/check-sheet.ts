import { type Sheet, sheetNow, verdictsOf } from "../formats";
import { unitNamed } from "../quantity";
import type { Problem } from "../result";
import { checkBuild } from "./check-build";
import { checkFluids } from "./check-fluids";
import { checkGaskets } from "./check-gaskets";
import { checkIntervals } from "./check-intervals";
import { checkPieces } from "./check-pieces";
import { checkStanding } from "./check-standing";
import { checkSums } from "./check-sums";
import { threadClash } from "./compatibility";
import { neverOff } from "./never-off";
import { forbiddenAt } from "./safe-work";

/** What a schema cannot see: names that lead nowhere, parts held in a ring, contradictions of lubricant and material. */
export function checkSheet(given: Sheet): Problem[] {
  const sheet = sheetNow(given);
  const problems: Problem[] = [];
  const say = (path: string, message: string) => problems.push({ path, message });
  const parts = new Map(sheet.parts.map((part) => [part.id, part]));
  const tools = new Map(sheet.tools.map((tool) => [tool.id, tool]));
  const supplies = new Map(sheet.supplies.map((supply) => [supply.id, supply]));
  const positions = new Set(sheet.position?.names.map((each) => each.id));

  const known = (id: string, path: string) => {
    if (!parts.has(id)) say(path, `There is no part "${id}". Add it or correct the name.`);
  };
  const knownAll = (ids: readonly string[] | undefined, path: string) =>
    ids?.forEach((id, index) => {
      known(id, `${path}/${index}`);
    });
  const knownTools = (ids: readonly string[], path: string) =>
    ids.forEach((id, index) => {
      if (!tools.has(id))
        say(`${path}/${index}`, `There is no tool "${id}" in this sheet. Add it to the tools.`);
    });
  const knownPosition = (id: string | undefined, path: string) => {
    if (id !== undefined && !positions.has(id)) say(path, `There is no position "${id}" in this sheet.`);
  };
  const unique = (ids: readonly string[], path: string) =>
    ids.forEach((id, index) => {
      if (ids.indexOf(id) !== index)
        say(`${path}/${index}/id`, `"${id}" is used twice. Give each its own id.`);
    });

  sheet.tools.forEach(({ name, least_Nm, most_Nm }, index) => {
    if (least_Nm !== undefined && (most_Nm === undefined || least_Nm >= most_Nm))
      say(
        `/tools/${index}/most_Nm`,
        `${name} has to pull up to more than it pulls from. Give the most it pulls to, above the least.`,
      );
  });

  for (const list of ["parts", "tools", "supplies", "checks", "kits", "restore", "symptoms"] as const)
    unique(
      sheet[list].map((each) => each.id),
      `/${list}`,
    );

  sheet.parts.forEach((part, index) => {
    const at = `/parts/${index}`;
    if (part.stays === true) return;
    if (part.ways.length === 0)
      say(
        `${at}/ways`,
        `${part.name} has no way off and is not marked as staying. Say how it comes off, or that it stays.`,
      );
    if (part.fit === undefined)
      say(
        `${at}/fit`,
        `${part.name} comes off but nothing says how it goes back. Add its fit and end condition.`,
      );
    part.ways.forEach((way, number) => {
      const here = `${at}/ways/${number}`;
      knownAll(way.heldBy, `${here}/heldBy`);
      knownAll(way.spoils, `${here}/spoils`);
      knownTools(way.tools, `${here}/tools`);
      knownPosition(way.position?.before, `${here}/position/before`);
      knownPosition(way.position?.after, `${here}/position/after`);
      if (part.fastener !== undefined && way.tools.length === 0)
        say(
          `${here}/tools`,
          `${part.name} is a fastener (${part.fastener.drive}): name the tool that turns it.`,
        );
      if (way.stayUntilCracked !== undefined && way.stayUntilCracked >= part.quantity)
        say(
          `${here}/stayUntilCracked`,
          `${way.stayUntilCracked} of ${part.quantity} cannot stay in: at least one has to come out.`,
        );
      for (const build of way.builds ?? [])
        if (!sheet.builds.some((each) => each.id === build))
          say(`${here}/builds`, `There is no build "${build}" in this sheet.`);
      way.tools.forEach((tool, place) => {
        const kind = tools.get(tool)?.class;
        if (part.brittle === true && (kind === "hammer" || kind === "impact-driver"))
          say(
            `${here}/tools/${place}`,
            `${part.name} is brittle: a hammer or an impact tool breaks it. Use heat, oil and a steady pull.`,
          );
        const barred = forbiddenAt(sheet, part, way).find(
          (each) => kind !== undefined && (each.kind === "said" ? each.class : each.tool) === kind,
        );
        if (barred !== undefined)
          say(
            `${here}/tools/${place}`,
            `${tools.get(tool)?.name} is used on ${part.name}, where it is forbidden${barred.kind === "said" ? `: ${barred.why}` : ""}. Name another tool.`,
          );
      });
    });
    const fit = part.fit;
    if (fit === undefined) return;
    knownTools(fit.tools, `${at}/fit/tools`);
    knownPosition(fit.position?.before, `${at}/fit/position/before`);
    knownPosition(fit.position?.after, `${at}/fit/position/after`);
    if (fit.looseUntil !== undefined) known(fit.looseUntil, `${at}/fit/looseUntil`);
    const supply = (id: string, path: string) => {
      if (!supplies.has(id)) say(path, `There is no supply "${id}" in this sheet. Add it to the supplies.`);
    };
    if (fit.surface?.kind === "lubricate") {
      supply(fit.surface.with, `${at}/fit/surface/with`);
    }
    if (fit.thread !== undefined && fit.thread.kind !== "dry") {
      supply(fit.thread.with, `${at}/fit/thread/with`);
      const clash = threadClash(fit.thread.kind, supplies.get(fit.thread.with));
      if (clash !== undefined) say(`${at}/fit/thread/with`, `${part.name}: ${clash}`);
    }
    if (fit.joint?.includes("lock") && fit.joint.includes("release"))
      say(
        `${at}/fit/joint`,
        `${part.name} is to lock and to release: decide which; locker and anti-seize on one thread undo each other.`,
      );
    if (fit.joint?.includes("release") && fit.thread?.kind === "locker")
      say(
        `${at}/fit/thread`,
        `${part.name} has to release, but locker goes on its thread. Use anti-seize, or let it lock.`,
      );
    if (fit.joint?.includes("lock") && fit.thread?.kind === "anti-seize")
      say(
        `${at}/fit/thread`,
        `${part.name} has to lock, but anti-seize goes on its thread. Use locker, or let it release.`,
      );
    if (
      fit.end.kind === "torque" &&
      fit.end.maximum_Nm !== undefined &&
      fit.end.torque_Nm > fit.end.maximum_Nm
    )
      say(
        `${at}/fit/end/torque_Nm`,
        `${fit.end.torque_Nm} N·m is above this part's limit of ${fit.end.maximum_Nm} N·m.`,
      );
  });

  problems.push(...neverOff(sheet), ...checkIntervals(sheet), ...checkSums(sheet));
  if (sheet.position !== undefined) {
    known(sheet.position.movedBy, "/position/movedBy");
    knownPosition(sheet.position.start, "/position/start");
    knownPosition(sheet.position.finish, "/position/finish");
  }
  sheet.checks.forEach((check, index) => {
    const at = `/checks/${index}`;
    if (check.part !== undefined) known(check.part, `${at}/part`);
    knownAll(check.needsOff, `${at}/needsOff`);
    if (check.afterFit !== undefined) known(check.afterFit, `${at}/afterFit`);
    knownTools(check.tools, `${at}/tools`);
    for (const { path, verdict } of verdictsOf(check)) {
      knownAll(verdict.alsoRenew, `${at}${path}/alsoRenew`);
      knownAll(verdict.reach, `${at}${path}/reach`);
    }
    if (check.kind === "measure") {
      if (check.dimension !== "number" && unitNamed(check.unit, check.dimension) === undefined)
        say(
          `${at}/unit`,
          `"${check.unit}" is not a unit of ${check.dimension}. Write one that is, e.g. mm, bar g, °C.`,
        );
      if (check.low === undefined && check.high === undefined)
        say(at, "A measurement needs a low or a high limit.");
      if (check.low !== undefined && check.high !== undefined && check.low >= check.high)
        say(`${at}/low`, "The low limit is not below the high one.");
      if (check.low !== undefined && check.below === undefined)
        say(`${at}/below`, "Say what a reading under the low limit means.");
      if (check.high !== undefined && check.above === undefined)
        say(`${at}/above`, "Say what a reading over the high limit means.");
    }
  });
  sheet.kits.forEach((kit, index) => {
    kit.contents.forEach((item, number) => {
      const path = `/kits/${index}/contents/${number}`;
      known(item.part, `${path}/part`);
      const part = parts.get(item.part);
      if (part?.keep !== undefined) say(path, `${part.name} is marked as in no kit, yet this kit has it.`);
      if (part !== undefined && item.piece === undefined && item.quantity < part.quantity)
        say(
          `${path}/quantity`,
          `The valve has ${part.quantity} of ${part.name}; this kit brings ${item.quantity}.`,
        );
    });
    for (const generation of kit.generations ?? [])
      if (!sheet.generations.includes(generation))
        say(`/kits/${index}/generations`, `There is no generation "${generation}" in this sheet.`);
  });
  knownAll(sheet.singles, "/singles");
  sheet.depths?.forEach((depth, index) => {
    knownAll(depth.reach, `/depths/${index}/reach`);
    knownAll(depth.renews, `/depths/${index}/renews`);
    depth.symptoms?.forEach((id, number) => {
      if (!sheet.symptoms.some((symptom) => symptom.id === id))
        say(`/depths/${index}/symptoms/${number}`, `There is no reason "${id}" in this sheet.`);
    });
  });
  sheet.rechecks?.forEach(({ afterFit }, index) => {
    knownAll(afterFit, `/rechecks/${index}/afterFit`);
  });
  sheet.parts.forEach(({ option }, index) => {
    if (option !== undefined && !(sheet.options ?? []).some(({ id }) => id === option))
      say(`/parts/${index}/option`, `There is no option "${option}" in this sheet.`);
  });
  sheet.symptoms.forEach((symptom, index) => {
    knownAll(symptom.reach, `/symptoms/${index}/reach`);
    knownAll(symptom.renews, `/symptoms/${index}/renews`);
    if (symptom.reach.length === 0 && symptom.looks === undefined)
      say(`/symptoms/${index}/reach`, "Say which part is reached, or what is looked at.");
    symptom.looks?.forEach((id, number) => {
      const check = sheet.checks.find((each) => each.id === id);
      const path = `/symptoms/${index}/looks/${number}`;
      if (check === undefined) say(path, `There is no check "${id}" in this sheet.`);
      else if (check.phase === "inspect" || check.phase === "rebuild" || check.needs?.shut !== undefined)
        say(path, `"${id}" needs the valve opened or shut off: a look alone cannot ask it.`);
    });
  });
  const supplied = new Set([
    ...sheet.kits.flatMap((kit) => kit.contents.map((item) => item.part)),
    ...sheet.singles,
  ]);
  sheet.parts.forEach((part, index) => {
    if (part.oneUse !== undefined && !supplied.has(part.id))
      say(
        `/parts/${index}/oneUse`,
        `${part.name} is used once, but no kit brings it and it is not sold singly.`,
      );
  });
  problems.push(
    ...checkBuild(sheet),
    ...checkStanding(sheet),
    ...checkPieces(sheet),
    ...checkFluids(sheet),
    ...checkGaskets(sheet),
  );
  return problems;
}
