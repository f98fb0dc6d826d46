"use client";

import { type FoundFeature, judgeNewPart, marksOf } from "@/core/build";
import type { Feature, Part } from "@/core/formats";
import { preferredUnit } from "@/core/quantity";
import { markWords, newPartWords } from "@/words";
import { PartIcon } from "../draw/part";
import { Asked, needed, useAsked } from "../kit/asked";
import { AskedFigure } from "../kit/asked-figure";
import { Choices } from "../kit/choices";
import { blankFigure, readFigure } from "../kit/figure";
import { Notice } from "../notice";
import { useSettings } from "../settings";
import { useSpeaker } from "../use-speaker";
import type { JobLog } from "./use-job-log";

/** What was measured or chosen for each feature of the new part, by the feature's place. */
export function useComparison(
  log: JobLog,
  part: Part | undefined,
  features: readonly Feature[],
  step: string,
) {
  const { system } = useSettings();
  const length = preferredUnit("length", system);
  const form = useAsked({
    marks: features.map(() => ""),
    figures: features.map(() => blankFigure(length.id)),
  });
  const known = part === undefined ? undefined : log.job.progress.compared.get(part.id);
  const verdict = part === undefined || known === undefined ? undefined : judgeNewPart(part, known);
  const compare = form.handleSubmit(({ marks, figures }) => {
    if (part === undefined) return;
    const found = features.flatMap((feature, place): (FoundFeature & { typed?: string })[] => {
      if (feature.nominal_mm === undefined) return [{ name: feature.name, said: marks[place]! }];
      const read = readFigure(figures[place]!, "length");
      return read.ok ? [{ name: feature.name, si: read.value.si, typed: read.value.typed }] : [];
    });
    log.add({ kind: "part-compared", step, part: part.id, found });
  });
  return { form, verdict, compare, length };
}

/** The new part in the hand, compared by what can be seen and measured before it goes in. */
export function ComparePart({
  part,
  features,
  comparison,
}: {
  part: Part;
  features: readonly Feature[];
  comparison: ReturnType<typeof useComparison>;
}) {
  const { form, verdict } = comparison;
  const words = useSpeaker();
  const { compare } = words.say.card;
  return (
    <section aria-label={compare.title} className="flex flex-col gap-3">
      <div className="flex items-center gap-3">
        <PartIcon part={part} size={56} lit />
        <p className="text-body">
          {compare.before} <b>{compare.ask}</b>
        </p>
      </div>
      {verdict?.kind !== "right" &&
        features.map((feature, place) =>
          feature.nominal_mm === undefined ? (
            <Asked
              key={feature.name}
              form={form}
              name={`marks.${place}`}
              refuse={needed(compare.missing(feature.name))}
            >
              {(field) => (
                <Choices
                  label={compare.its(feature.name)}
                  options={marksOf(part, feature).map((each) => ({
                    id: each,
                    label: markWords(words, each),
                  }))}
                  {...field}
                />
              )}
            </Asked>
          ) : (
            <AskedFigure
              key={feature.name}
              form={form}
              name={`figures.${place}`}
              large
              measure
              label={compare.measured(feature.name)}
              hint={compare.hint(comparison.length.label)}
              dimension="length"
              inputMode="decimal"
            />
          ),
        )}
      {verdict !== undefined && verdict.kind !== "not-compared" && (
        <Notice tone={verdict.kind === "right" ? "go" : "stop"} live>
          {verdict.kind === "right" ? (
            <b>{compare.right}</b>
          ) : (
            <>
              <b>{verdict.kind === "look-alike" ? compare.lookAlike : compare.wrong}</b>{" "}
              {newPartWords(words, verdict)} {compare.putAside}
            </>
          )}
        </Notice>
      )}
    </section>
  );
}
