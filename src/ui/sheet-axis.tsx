"use client";

import { useState } from "react";
import type { Sheet } from "@/core/formats";
import { Axis } from "./draw/axis";
import { PartCard } from "./part-card";

/** The axis of a sheet by itself: tap a part to read what goes on it and how far it is tightened. */
export function SheetAxis({ sheet, first }: { sheet: Sheet; first?: string }) {
  const [chosen, setChosen] = useState<string | undefined>(first);
  const part = sheet.parts.find((each) => each.id === chosen);
  return (
    <>
      <div className="min-h-0 flex-1">
        <Axis
          parts={sheet.parts.map((each) => ({
            part: each,
            place: each.stays ? ("stays" as const) : ("in" as const),
            renew: false,
          }))}
          {...(chosen !== undefined && { chosen, lit: chosen })}
          litSays=""
          onChoose={setChosen}
        />
      </div>
      {part !== undefined && <PartCard part={part} sheet={sheet} onClose={() => setChosen(undefined)} />}
    </>
  );
}
