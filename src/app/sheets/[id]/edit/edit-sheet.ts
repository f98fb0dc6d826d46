import type { Sheet } from "@/core/formats";
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
