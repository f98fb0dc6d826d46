"use client";

import { toast } from "sonner";
import { type Part, type Sheet, SheetSchema } from "@/core/formats";
import { renamePart, withoutPart } from "@/core/making";
import { Panel } from "@/ui/page";
import { blankOf, type FieldSchema } from "@/ui/schema-form/schema";
import { SchemaForm } from "@/ui/schema-form/schema-form";
import type { SheetEditing } from "./use-sheet-editor";

const PART = (SheetSchema as unknown as FieldSchema).properties!.parts!.items!;

/** One part of a sheet: its fields, its place in the list, a new one below it. */
export function PartsForm({ editing }: { editing: SheetEditing }) {
  const { sheet, part, given, change, setChosen } = editing;
  const index = sheet.parts.findIndex((each) => each.id === part?.id);
  const add = () => {
    const id = freeId(sheet, "part");
    const blank = blankOf(PART) as Part;
    const made: Part = {
      ...blank,
      id,
      name: "New part",
      shape: { kind: "ring", diameter_mm: 30, height_mm: 5 },
    };
    change({
      ...sheet,
      parts: [...sheet.parts.slice(0, index + 1), made, ...sheet.parts.slice(index + 1)],
    });
    setChosen(id);
  };
  const move = (by: -1 | 1) => {
    const parts = [...sheet.parts];
    const other = parts[index + by];
    if (part === undefined || other === undefined) return;
    parts[index + by] = part;
    parts[index] = other;
    change({ ...sheet, parts });
  };
  const drop = () => {
    if (part === undefined) return;
    change(withoutPart(sheet, part.id));
    setChosen(sheet.parts[Math.max(0, index - 1)]?.id ?? "");
    toast("Part taken out, with whatever was said of it. Undo brings it back.");
  };
  return (
    <Panel title={part === undefined ? "Choose a part" : part.name}>
      <div className="mb-3 flex flex-wrap gap-2">
        <button type="button" className="btn btn-quiet" onClick={add}>
          Add a part below
        </button>
        <button type="button" className="btn btn-quiet" disabled={index <= 0} onClick={() => move(-1)}>
          Up
        </button>
        <button
          type="button"
          className="btn btn-quiet"
          disabled={index === -1 || index === sheet.parts.length - 1}
          onClick={() => move(1)}
        >
          Down
        </button>
        <button type="button" className="btn btn-stop" disabled={part === undefined} onClick={drop}>
          Take it out
        </button>
      </div>
      {part !== undefined && (
        <SchemaForm
          key={index}
          {...given}
          schema={PART}
          value={part}
          path={`/parts/${index}`}
          onChange={(value, typedAt) => {
            const changed = value as Part;
            // Another id is written wherever the part is named; one that is taken would join two parts for good.
            const taken = sheet.parts.some((each) => each.id === changed.id);
            const renamed =
              changed.id !== part.id && changed.id !== "" && !taken
                ? renamePart(sheet, part.id, changed.id)
                : sheet;
            if (renamed !== sheet) setChosen(changed.id);
            const own = renamed.parts[index]!;
            const kept = renamed === sheet ? { ...changed, id: part.id } : { ...own };
            const parts = renamed.parts.map((each, at) => (at === index ? kept : each));
            change({ ...renamed, parts }, typedAt);
          }}
        />
      )}
    </Panel>
  );
}

function freeId(sheet: Sheet, of: string): string {
  for (let count = 1; ; count++)
    if (!sheet.parts.some((part) => part.id === `${of}-${count}`)) return `${of}-${count}`;
}
