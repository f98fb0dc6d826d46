"use client";

import { useMemo, useState } from "react";
import { withSafeWork } from "@/core/build";
import type { JobInputs, Sheet } from "@/core/formats";
import { compile, PHASE_NAMES, type Phase, replay } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { useSettings } from "@/ui/settings";

const SHOWN: readonly Phase[] = ["strip", "inspect", "rebuild", "test"];

/** What the compiler makes of the sheet as it stands: the steps to reach a part and to put it all back. */
export function Preview({ sheet }: { sheet: Sheet }) {
  const { system } = useSettings();
  const [wanted, setWanted] = useState<string>();
  const [chosenBuild, setBuild] = useState<string>();
  const build = sheet.builds.find((each) => each.id === chosenBuild)?.id ?? sheet.builds[0]?.id;
  const moving = sheet.parts.filter((part) => part.stays !== true);
  const reach = moving.find((part) => part.id === wanted)?.id ?? sheet.symptoms[0]?.reach[0] ?? moving[0]?.id;
  const plan = useMemo(() => {
    if (reach === undefined) return undefined;
    const inputs = trial(sheet, reach, build);
    return compile(inputs, replay(inputs, []), system);
  }, [sheet, reach, build, system]);
  const held = useMemo(() => withSafeWork(sheet, system), [sheet, system]);
  return (
    <div className="flex flex-col gap-3">
      <div className="grid gap-2 sm:grid-cols-2">
        <label className="block">
          <span className="font-semibold">Reach</span>
          <select className="field mt-1" value={reach} onChange={(event) => setWanted(event.target.value)}>
            {moving.map((part) => (
              <option key={part.id} value={part.id}>
                {part.name}
              </option>
            ))}
          </select>
        </label>
        {sheet.builds.length > 0 && (
          <label className="block">
            <span className="font-semibold">Build</span>
            <select className="field mt-1" value={build} onChange={(event) => setBuild(event.target.value)}>
              {sheet.builds.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      {plan !== undefined && !plan.ok && (
        <p role="alert" className="rounded border-stop border-l-[6px] bg-stop-bg px-3 py-2">
          {plan.error}
        </p>
      )}
      {plan?.ok === true && (
        <>
          <p className="text-soft">
            {plan.value.removed.length} parts come off.{" "}
            {plan.value.exact
              ? "No order is shorter."
              : `The search stopped at its bound: at most ${plan.value.offBy.toFixed(1)} min longer than the best.`}
          </p>
          <ol className="flex flex-col gap-1" aria-label="Steps">
            {plan.value.steps
              .filter((step) => SHOWN.includes(step.phase))
              .map((step, index, all) => (
                <li key={step.id}>
                  {step.phase !== all[index - 1]?.phase && (
                    <span className="caption mt-2 block">{PHASE_NAMES[step.phase]}</span>
                  )}
                  <span className="grid grid-cols-[28px_1fr_auto] gap-1">
                    <span className="plate text-soft">{index + 1}</span>
                    <span>
                      {step.title}
                      {[...step.forbidden.map((each) => `no ${each.tool.toLowerCase()}`)].length > 0 && (
                        <small className="block text-fine text-stop">
                          {step.forbidden.map((each) => `no ${each.tool.toLowerCase()}`).join(", ")}
                        </small>
                      )}
                    </span>
                    <span className="plate text-soft">{formatDuration(step.minutes * 60)}</span>
                  </span>
                </li>
              ))}
          </ol>
          <p className="text-note text-soft">
            {held.parts.reduce(
              (sum, part) => sum + part.ways.flatMap((way) => way.forbidden ?? []).length,
              0,
            )}{" "}
            forbidden tools and{" "}
            {held.parts.reduce((sum, part) => sum + part.ways.flatMap((way) => way.cautions ?? []).length, 0)}{" "}
            cautions follow from material, weight, medium and position.
          </p>
        </>
      )}
    </div>
  );
}

/** A job on a valve that exists only here, to see the steps. */
const trial = (sheet: Sheet, reach: string, build: string | undefined): JobInputs => ({
  id: "preview",
  valve: {
    tag: "preview",
    name: "Preview",
    place: "Bench",
    sheet: sheet.id,
    ...(build !== undefined && { build }),
  },
  sheet,
  reason: { kind: "due", says: "Preview" },
  reach: [reach],
  policy: "what-was-disturbed",
  openedAt: "2026-01-01T00:00:00Z",
  openedBy: "Preview",
});
