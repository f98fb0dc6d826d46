"use client";

import { useEffect, useState } from "react";
import type { Sheet } from "@/core/formats";
import { Axis, untouched } from "./draw/axis";
import type { AxisForm } from "./draw/axis-layout";
import { PartCard } from "./part-card";

/** The axis of a sheet by itself: tap a part to read what goes on it and how far it is tightened. */
export function SheetAxis({ sheet, first }: { sheet: Sheet; first?: string }) {
  const form = useFormThatFits();
  const [chosen, setChosen] = useState<string | undefined>(first);
  const part = sheet.parts.find((each) => each.id === chosen);
  return (
    <>
      <div className="min-h-0 flex-1">
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

/** Branches beside the axis where the screen has room for them, below it on a phone. */
function useFormThatFits(): AxisForm {
  const [form, setForm] = useState<AxisForm>("narrow");
  useEffect(() => {
    const wide = matchMedia("(min-width: 1024px)");
    const set = () => setForm(wide.matches ? "wide" : "narrow");
    set();
    wide.addEventListener("change", set);
    return () => wide.removeEventListener("change", set);
  }, []);
  return form;
}
