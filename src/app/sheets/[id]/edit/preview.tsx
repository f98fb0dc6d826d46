"use client";

import { useMemo, useState } from "react";
import { dangersAt, forbiddenAt } from "@/core/build";
import { type JobInputs, PLAN_RULES, type Sheet, sheetNow } from "@/core/formats";
import { compile, type Phase, replay } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { ProofPanel } from "@/ui/proof/proof-panel";
import { useProof } from "@/ui/proof/use-proof";
import { useFigures } from "@/ui/use-figures";
import { useSpeaker } from "@/ui/use-speaker";
import { stepDangers, stepTitle, stripMessage } from "@/words";

const SHOWN: readonly Phase[] = ["strip", "inspect", "rebuild", "test"];

/** What the compiler makes of the sheet as it stands: the steps to reach a part and to put it all back. */
export function Preview({ sheet }: { sheet: Sheet }) {
  const { fixed } = useFigures();
  const words = useSpeaker();
  const [wanted, setWanted] = useState<string>();
  const [chosenBuild, setBuild] = useState<string>();
  const build = sheet.builds.find((each) => each.id === chosenBuild)?.id ?? sheet.builds[0]?.id;
  const moving = sheet.parts.filter((part) => part.stays !== true);
  const reach = moving.find((part) => part.id === wanted)?.id ?? sheet.symptoms[0]?.reach[0] ?? moving[0]?.id;
  const inputs = useMemo(
    () => (reach === undefined ? undefined : trial(sheet, reach, build)),
    [sheet, reach, build],
  );
  const plan = useMemo(() => inputs && compile(inputs, replay(inputs, [])), [inputs]);
  const proof = useProof(inputs);
  const follows = useMemo(() => whatFollows(sheet), [sheet]);
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
          {stripMessage(words, plan.error, sheet)}
        </p>
      )}
      {plan?.ok === true && (
        <>
          <ProofPanel answer={proof} names={{ sheet }} />
          <p className="text-soft">
            {plan.value.removed.length} parts come off.{" "}
            {plan.value.exact
              ? "No order is shorter."
              : `The search stopped at its bound: at most ${fixed(plan.value.offBy, 1)} min longer than the best.`}
          </p>
          <ol className="flex flex-col gap-1" aria-label="Steps">
            {plan.value.steps
              .filter((step) => SHOWN.includes(step.phase))
              .map((step, index, all) => (
                <li key={step.id}>
                  {step.phase !== all[index - 1]?.phase && (
                    <span className="caption mt-2 block">{words.say.common.phases[step.phase]}</span>
                  )}
                  <span className="grid grid-cols-[28px_1fr_auto] gap-1">
                    <span className="plate text-soft">{index + 1}</span>
                    <span>
                      {stepTitle(words, step)}
                      {step.forbidden.length > 0 && (
                        <small className="block text-fine text-stop">
                          {stepDangers(words, step)
                            .barred.map((each) => `no ${words.say.common.within(each.tool)}`)
                            .join(", ")}
                        </small>
                      )}
                    </span>
                    <span className="plate text-soft">{formatDuration(step.minutes * 60)}</span>
                  </span>
                </li>
              ))}
          </ol>
          <p className="text-note text-soft">
            {follows.forbidden} forbidden tools and {follows.dangers} cautions follow from material, weight,
            medium and position.
          </p>
        </>
      )}
    </div>
  );
}

/** How much is said beside the sheet because it follows from its parts. */
function whatFollows(given: Sheet): { forbidden: number; dangers: number } {
  const sheet = sheetNow(given);
  const ways = sheet.parts.flatMap((part) => part.ways.map((way) => ({ part, way })));
  return {
    forbidden: ways.flatMap(({ part, way }) => forbiddenAt(sheet, part, way)).length,
    dangers: ways.flatMap(({ part, way }) => dangersAt(sheet, part, way)).length,
  };
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
  rules: PLAN_RULES,
});
