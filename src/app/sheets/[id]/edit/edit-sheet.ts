import { type Needs, type Sheet, withVerdicts } from "@/core/formats";
import type { References } from "@/ui/schema-form/schema-form";
import { type Speaker, toolName } from "@/words";

/** Fields that name something of the sheet, and what they may name. */
export function referencesOf(sheet: Sheet, words: Speaker): References {
  const named = (list: readonly { readonly id: string; readonly name: string }[]) =>
    list.map(({ id, name }) => ({ id, name: name === "" ? id : name }));
  const parts = named(sheet.parts);
  const positions = named(sheet.position?.names ?? []);
  const tools = sheet.tools.map((tool) => ({ id: tool.id, name: toolName(words, tool) }));
  const by: Readonly<Record<string, readonly { id: string; name: string }[]>> = {
    heldBy: parts,
    spoils: parts,
    part: parts,
    needsOff: parts,
    off: parts,
    fitted: parts,
    loose: parts,
    under: parts,
    rebuild: parts,
    afterFit: parts,
    looseUntil: parts,
    reach: parts,
    renews: parts,
    alsoRenew: parts,
    movedBy: parts,
    confirmAfter: parts,
    singles: parts,
    tools,
    with: named(sheet.supplies),
    builds: named(sheet.builds),
    generations: sheet.generations.map((each) => ({ id: each, name: each })),
    before: positions,
    after: positions,
    start: positions,
    finish: positions,
  };
  return (field) => by[field];
}

/** The first part holds the second from now on: it is written into the second's first way out. */
export function hold(sheet: Sheet, holder: string, held: string): Sheet {
  return changeWays(sheet, held, (way, index) =>
    index !== 0 || way.heldBy.includes(holder) ? way : { ...way, heldBy: [...way.heldBy, holder] },
  );
}

export function free(sheet: Sheet, holder: string, held: string, wayIndex: number): Sheet {
  return changeWays(sheet, held, (way, index) =>
    index === wayIndex ? { ...way, heldBy: way.heldBy.filter((each) => each !== holder) } : way,
  );
}

type Way = Sheet["parts"][number]["ways"][number];

function changeWays(sheet: Sheet, part: string, change: (way: Way, index: number) => Way): Sheet {
  return {
    ...sheet,
    parts: sheet.parts.map((each) => (each.id === part ? { ...each, ways: each.ways.map(change) } : each)),
  };
}

/** A part by another id, everywhere it is named; an id that is taken is refused by the check, not here. */
export function renamePart(sheet: Sheet, from: string, to: string): Sheet {
  const swap = (id: string) => (id === from ? to : id);
  const list = (ids: readonly string[]) => ids.map(swap);
  const needing = <C extends { needs?: Needs }>(card: C): C =>
    card.needs === undefined ? card : { ...card, needs: renamedNeeds(card.needs, list) };
  const verdict = <V extends { alsoRenew?: string[]; reach?: string[] }>(each: V): V => ({
    ...each,
    ...(each.alsoRenew !== undefined && { alsoRenew: list(each.alsoRenew) }),
    ...(each.reach !== undefined && { reach: list(each.reach) }),
  });
  return {
    ...sheet,
    parts: sheet.parts.map((part) => ({
      ...part,
      id: swap(part.id),
      ways: part.ways.map((way) => ({
        ...way,
        heldBy: list(way.heldBy),
        ...(way.spoils !== undefined && { spoils: list(way.spoils) }),
      })),
      ...(part.fit?.looseUntil !== undefined && {
        fit: { ...part.fit, looseUntil: swap(part.fit.looseUntil) },
      }),
    })),
    checks: sheet.checks.map((check) => {
      const named = {
        ...needing(check),
        ...(check.part !== undefined && { part: swap(check.part) }),
        ...(check.needsOff !== undefined && { needsOff: list(check.needsOff) }),
        ...(check.afterFit !== undefined && { afterFit: swap(check.afterFit) }),
      };
      const asked = withVerdicts(named, verdict);
      return asked.kind === "pieces" ? { ...asked, part: swap(asked.part) } : asked;
    }),
    kits: sheet.kits.map((kit) => ({
      ...kit,
      contents: kit.contents.map((item) => ({ ...item, part: swap(item.part) })),
    })),
    singles: list(sheet.singles),
    ...(sheet.depths !== undefined && {
      depths: sheet.depths.map((depth) => ({
        ...depth,
        reach: list(depth.reach),
        renews: list(depth.renews),
      })),
    }),
    ...(sheet.rechecks !== undefined && {
      rechecks: sheet.rechecks.map((each) => ({
        ...each,
        ...(each.afterFit !== undefined && { afterFit: list(each.afterFit) }),
      })),
    }),
    intervals: sheet.intervals.map((interval) => ({
      ...interval,
      ...(interval.renews !== undefined && { renews: list(interval.renews) }),
      ...(interval.opens !== undefined && { opens: list(interval.opens) }),
    })),
    symptoms: sheet.symptoms.map((symptom) => ({
      ...symptom,
      reach: list(symptom.reach),
      ...(symptom.renews !== undefined && { renews: list(symptom.renews) }),
    })),
    connections: sheet.connections.map((end) =>
      end.part === undefined ? end : { ...end, part: swap(end.part) },
    ),
    capture: sheet.capture.map((each) => ({
      ...each,
      ...(each.confirmAfter !== undefined && { confirmAfter: swap(each.confirmAfter) }),
      ...(each.needsOff !== undefined && { needsOff: list(each.needsOff) }),
    })),
    ...(sheet.position !== undefined && {
      position: {
        ...sheet.position,
        movedBy: swap(sheet.position.movedBy),
        ...(sheet.position.under !== undefined && { under: list(sheet.position.under) }),
      },
    }),
    ...(sheet.rebuild !== undefined && { rebuild: list(sheet.rebuild) }),
    restore: sheet.restore.map(needing),
    ...(sheet.tasks !== undefined && {
      tasks: sheet.tasks.map((task) => ({
        ...needing(task),
        ...(task.part !== undefined && { part: swap(task.part) }),
        ...(task.needsOff !== undefined && { needsOff: list(task.needsOff) }),
      })),
    }),
  };
}

const renamedNeeds = (needs: Needs, list: (ids: readonly string[]) => string[]): Needs => ({
  ...needs,
  ...(needs.off !== undefined && { off: list(needs.off) }),
  ...(needs.fitted !== undefined && { fitted: list(needs.fitted) }),
  ...(needs.loose !== undefined && { loose: list(needs.loose) }),
});
