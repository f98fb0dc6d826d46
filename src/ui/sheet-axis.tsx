"use client";

import { useEffect, useRef, useState } from "react";
import type { Sheet } from "@/core/formats";
import { Axis } from "./draw/axis";
import { type AxisForm, layAxis } from "./draw/axis-layout";
import { untouched } from "./draw/axis-part";
import { PartCard } from "./part-card";

/** The axis of a sheet by itself: tap a part to read what goes on it and how far it is tightened. */
export function SheetAxis({ sheet, first }: { sheet: Sheet; first?: string }) {
  const { box, form } = useFormThatFits(sheet.parts);
  const [chosen, setChosen] = useState<string | undefined>(first);
  const part = sheet.parts.find((each) => each.id === chosen);
  return (
    <>
      <div ref={box} className="min-h-0 min-w-0 flex-1">
        <Axis
          parts={untouched(sheet.parts)}
          {...(chosen !== undefined && { chosen, lit: chosen })}
          litSays=""
          form={form}
          onChoose={setChosen}
        />
      </div>
      {part !== undefined && <PartCard part={part} sheet={sheet} onClose={() => setChosen(undefined)} />}
    </>
  );
}

/** Branches beside the axis where the box has room for all of them, below it where it has not. */
function useFormThatFits(parts: Sheet["parts"]) {
  const box = useRef<HTMLDivElement>(null);
  const [form, setForm] = useState<AxisForm>("narrow");
  useEffect(() => {
    if (box.current === null) return;
    const { width } = layAxis(parts, "wide");
    const observer = new ResizeObserver(([entry]) =>
      setForm(entry !== undefined && entry.contentRect.width >= width ? "wide" : "narrow"),
    );
    observer.observe(box.current);
    return () => observer.disconnect();
  }, [parts]);
  return { box, form };
}
