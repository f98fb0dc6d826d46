"use client";

import { useState } from "react";
import { type FoundFeature, judgeNewPart, marksOf } from "@/core/build";
import type { Feature, Part } from "@/core/formats";
import { parseQuantity, preferredUnit, quantityMessage } from "@/core/quantity";
import { PartIcon } from "../draw/part";
import { Notice } from "../notice";
import { Choices, Field } from "./step-form";
import type { JobLog } from "./use-job-log";

/** What was typed or chosen for each feature of the new part. */
export function useComparison(
  log: JobLog,
  part: Part | undefined,
  features: readonly Feature[],
  step: string,
) {
  const [said, setSaid] = useState<Readonly<Record<string, string>>>({});
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const length = preferredUnit("length", log.job.system);
  const known = part === undefined ? undefined : log.job.progress.compared.get(part.id);
  const verdict = part === undefined || known === undefined ? undefined : judgeNewPart(part, known);
  const set = (name: string, value: string) => {
    setSaid((now) => ({ ...now, [name]: value }));
    setErrors((now) => ({ ...now, [name]: "" }));
  };
  /** Reads all fields; messages stand at the fields that cannot be read. */
  const compare = () => {
    if (part === undefined) return;
    const problems: Record<string, string> = {};
    const found = features.flatMap((feature): (FoundFeature & { typed?: string })[] => {
      const text = said[feature.name] ?? "";
      if (feature.nominal_mm === undefined) {
        if (text === "") problems[feature.name] = `Look at its ${feature.name} and choose.`;
        return [{ name: feature.name, said: text }];
      }
      const read = parseQuantity(text, "length", length);
      if (!read.ok) {
        problems[feature.name] = quantityMessage(read.error);
        return [];
      }
      const typed = /[a-z"']/i.test(text) ? text.trim() : `${text.trim()} ${length.label}`;
      return [{ name: feature.name, si: read.value.si, typed: typed.slice(0, 80) }];
    });
    setErrors(problems);
    if (Object.keys(problems).length === 0) log.add({ kind: "part-compared", step, part: part.id, found });
  };
  return { said, errors, verdict, set, compare, length };
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
  const { said, errors, verdict, set } = comparison;
  return (
    <section aria-label="Compare the new part" className="flex flex-col gap-3">
      <div className="flex items-center gap-3">
        <PartIcon part={part} size={56} lit />
        <p className="text-body">
          Before it goes in: <b>is the new one in your hand the right one?</b>
        </p>
      </div>
      {verdict?.kind !== "right" &&
        features.map((feature) =>
          feature.nominal_mm === undefined ? (
            <div key={feature.name}>
              <Choices
                label={`Its ${feature.name}`}
                options={marksOf(part, feature).map((each) => ({ id: each, label: each }))}
                chosen={said[feature.name]}
                onChoose={(value) => set(feature.name, value)}
              />
              {errors[feature.name] && (
                <p role="alert" className="mt-1 text-stop">
                  {errors[feature.name]}
                </p>
              )}
            </div>
          ) : (
            <Field
              key={feature.name}
              label={`Its ${feature.name}, measured`}
              hint={`In ${comparison.length.label} unless you type a unit.`}
              value={said[feature.name] ?? ""}
              onChange={(value) => set(feature.name, value)}
              error={errors[feature.name] || undefined}
              inputMode="decimal"
              measure
            />
          ),
        )}
      {verdict !== undefined && verdict.kind !== "not-compared" && (
        <Notice tone={verdict.kind === "right" ? "go" : "stop"} live>
          {verdict.kind === "right" ? (
            <b>It is the right one.</b>
          ) : (
            <>
              <b>{verdict.kind === "look-alike" ? "A look-alike. " : "Not the right one. "}</b>
              {verdict.says} Put it aside, take another and compare that.
            </>
          )}
        </Notice>
      )}
    </section>
  );
}
