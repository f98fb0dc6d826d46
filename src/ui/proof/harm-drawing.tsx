"use client";

import { useMemo } from "react";
import type { Line, Sheet } from "@/core/formats";
import type { Harm } from "@/core/world";
import type { Names } from "@/words";
import { Axis } from "../draw/axis";
import { untouched } from "../draw/axis-part";
import { LineDrawing } from "../draw/line-drawing";
import { lineView } from "../line-view";

const textAt = (harm: Harm, key: string): string | undefined => {
  const value = (harm as unknown as Readonly<Record<string, unknown>>)[key];
  return typeof value === "string" ? value : undefined;
};

/** Where a harm happens: a place or stop of the line, else a part of the valve; nothing where it has no place. */
export function placeOfHarm(
  harm: Harm,
  { sheet, line }: Names,
): { readonly on: "line"; readonly at: string } | { readonly on: "axis"; readonly part: string } | undefined {
  const at = [textAt(harm, "at"), textAt(harm, "node")].find(
    (id) =>
      id !== undefined &&
      (line?.nodes.some((node) => node.id === id) || line?.links.some((link) => link.id === id)),
  );
  if (at !== undefined) return { on: "line", at };
  const held = harm.kind === "cannot-be-done" && "part" in harm.why ? harm.why.part : undefined;
  const loose = harm.kind === "not-so" && "part" in harm.expected ? harm.expected.part : undefined;
  const part = [textAt(harm, "part"), held, loose].find((id) => sheet.parts.some((each) => each.id === id));
  return part === undefined ? undefined : { on: "axis", part };
}

/** The harm, drawn where it happens. */
export function HarmDrawing({ harm, names }: { harm: Harm; names: Names }) {
  const place = placeOfHarm(harm, names);
  if (place === undefined) return null;
  return (
    <div className="mt-2 h-56 overflow-hidden rounded border-[1.5px] border-rule bg-paper">
      {place.on === "axis" ? (
        <OnAxis sheet={names.sheet} part={place.part} />
      ) : (
        names.line !== undefined && <OnLine line={names.line} at={place.at} />
      )}
    </div>
  );
}

const OnAxis = ({ sheet, part }: { sheet: Sheet; part: string }) => (
  <Axis parts={untouched(sheet.parts)} lit={part} litSays="here" chosen={part} />
);

function OnLine({ line, at }: { line: Line; at: string }) {
  const view = useMemo(() => {
    const link = line.links.find((each) => each.id === at);
    const shut = new Set(
      line.links.flatMap((each) => ("normally" in each && each.normally === "shut" ? [each.id] : [])),
    );
    return lineView(line, { shut }, undefined, link === undefined ? { target: at } : { chosen: at });
  }, [line, at]);
  return <LineDrawing view={view} />;
}
