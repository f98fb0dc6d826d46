"use client";

import type { Which } from "@/core/begin";
import type { Sheet, Valve } from "@/core/formats";
import { buildThatShows, generationThatShows } from "@/core/job";
import { drawnChoices } from "@/ui/draw/shape-picture";
import { Choices } from "@/ui/kit/choices";
import type { Start } from "./use-start";

type Capture = Sheet["capture"][number];

/** What a choice tells of a valve. */
function told(sheet: Sheet, capture: Capture, choice: string): Which {
  const build = buildThatShows(sheet, capture, choice);
  const generation = generationThatShows(capture, choice);
  const { tellsOption: option } = capture;
  return {
    ...(build !== undefined && { build: build.id }),
    ...(generation !== undefined && { generation }),
    ...(option !== undefined && { fitted: { [option.option]: choice === option.yes ? "yes" : "no" } }),
  };
}

/** The choice that the register, or what was told here, stands for. */
const chosenOf = (sheet: Sheet, capture: Capture, valve: Valve, which: Which): string =>
  (capture.choices ?? []).find((choice) => {
    const { build, generation, fitted = {} } = told(sheet, capture, choice);
    const is = { ...valve, ...which, fitted: { ...valve.fitted, ...which.fitted } };
    const [option] = Object.keys(fitted);
    return (
      (build !== undefined && build === is.build) ||
      (generation !== undefined && generation === is.generation) ||
      (option !== undefined && is.fitted[option] === fitted[option])
    );
  }) ?? "";

/** What can be seen or asked before the trip: it decides what to bring and what to strip, and is looked at again at the valve. */
export function WhichOne({ start, valve }: { start: Start; valve: Valve }) {
  const { sheet, which, setWhich } = start;
  const asked = sheet.capture.filter(
    ({ byBuild, byGeneration, tellsOption }) =>
      byBuild !== undefined || byGeneration !== undefined || tellsOption !== undefined,
  );
  if (asked.length === 0) return null;
  return (
    <section className="card p-4" aria-label="Which one is it">
      <h2 className="caption mb-1">Which one is it</h2>
      <p className="mb-2 text-note text-soft">
        What you know or can ask before the trip. It decides what to bring and what to strip, and is looked at
        again at the valve.
      </p>
      <div className="flex flex-col gap-3">
        {asked.map((capture) => (
          <Choices
            key={capture.id}
            label={capture.ask}
            options={drawnChoices(capture.choices ?? [], capture.drawn, capture.dials)}
            value={chosenOf(sheet, capture, valve, which)}
            onChange={(choice) => {
              const tells = told(sheet, capture, choice);
              setWhich({
                ...which,
                ...tells,
                ...(tells.fitted !== undefined && { fitted: { ...which.fitted, ...tells.fitted } }),
              });
            }}
          />
        ))}
      </div>
    </section>
  );
}
