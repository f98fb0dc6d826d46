"use client";

import { useState } from "react";
import { countUp, type Valve } from "@/core/formats";
import { err } from "@/core/result";
import { call } from "@/edge/client";
import { ADD_VALVES } from "@/edge/contracts/own";
import { TextField } from "@/ui/kit/text-field";
import type { OwnSection } from "@/ui/own/own-field";
import { OwnForm } from "@/ui/own/own-form";
import { Panel } from "@/ui/page";

const MOST = 200;

/** A new valve, or a row of equal ones whose tags count up. */
export function NewValve({
  row,
  sections,
  back,
}: {
  row: Partial<Valve>;
  sections: readonly OwnSection[];
  back: string;
}) {
  const [many, setMany] = useState("1");
  const count = Number(many);
  const wrong =
    Number.isInteger(count) && count >= 1 && count <= MOST ? undefined : `A whole number from 1 to ${MOST}.`;
  const save = async (valve: Valve) => {
    if (wrong !== undefined)
      return err({
        kind: "refused" as const,
        status: 422,
        title: "",
        problems: [{ path: "", message: `How many: ${wrong}` }],
      });
    const rows = countUp(valve.tag ?? "", count).map((tag, index): Valve => {
      // Only the first can have what is its own.
      const { serial: _, node: __, ...equal } = valve;
      return index === 0 ? { ...valve, tag } : { ...equal, tag };
    });
    return call(ADD_VALVES, { body: { rows } });
  };
  return (
    <OwnForm
      what="the new valve"
      verb={count > 1 && wrong === undefined ? `Register ${count} valves` : "Register this valve"}
      sections={sections}
      row={row as Valve}
      save={save}
      after={({ tag, place }) =>
        count > 1 ? `/valves?place=${encodeURIComponent(place)}` : `/valves/${encodeURIComponent(tag)}`
      }
      cancel={back}
      aside={
        <Panel title="A row of equal ones">
          <TextField label="How many" value={many} onChange={setMany} error={wrong} />
          <p className="mt-1 text-note text-soft">
            The figures at the end of the tag count up: H-09, H-10, H-11. Serial and place on the line belong
            to the first alone.
          </p>
        </Panel>
      }
    />
  );
}
