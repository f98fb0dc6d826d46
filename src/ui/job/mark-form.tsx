"use client";

import type { ReactNode } from "react";
import type { Part, TakenWith } from "@/core/formats";
import { type NotedFigure, unitOfFigure } from "@/core/job";
import { drawnChoices } from "../draw/shape-picture";
import { Asked, needed, useAsked } from "../kit/asked";
import { AskedFigure } from "../kit/asked-figure";
import { Choices } from "../kit/choices";
import { blankFigure, readFigure, readWith } from "../kit/figure";
import { useSpeaker } from "../use-speaker";
import { PhotoStrip } from "./photo-strip";
import { StepForm } from "./step-form";
import type { JobLog } from "./use-job-log";

/** One of some choices, or a figure: as it stands now. */
export function MarkForm({
  choices,
  figure,
  shapes,
  dials,
  label,
  missing,
  photos,
  log,
  onNoted,
  children,
}: {
  choices: readonly string[];
  figure?: NotedFigure;
  shapes?: Readonly<Record<string, Part["shape"]>>;
  dials?: Readonly<Record<string, number>>;
  label: string;
  missing: string;
  photos: { readonly step: string; readonly take?: true; readonly asked?: boolean };
  log: JobLog;
  onNoted: (entry: string, read: { readonly with?: TakenWith }) => void;
  children?: ReactNode;
}) {
  const { look } = useSpeaker().say.card;
  const form = useAsked({
    seen: "",
    figure: blankFigure(figure === undefined ? "" : unitOfFigure(figure).id),
  });
  const dimension = figure?.dimension ?? "number";
  const noted = form.handleSubmit(({ seen, figure: typed }) => {
    if (figure === undefined) return onNoted(seen, {});
    const read = readFigure(typed, dimension);
    if (read.ok) onNoted(read.value.typed, readWith(read.value));
  });
  const asksPhoto =
    photos.asked === true && !log.job.progress.photos.some(({ step }) => step === photos.step);
  return (
    <StepForm onDone={noted}>
      {children}
      {asksPhoto && (
        <p className="rounded border-wait border-l-[6px] bg-wait-bg px-4 py-2.5">{look.photographFirst}</p>
      )}
      {photos.take === true && photos.asked === true && <PhotoStrip log={log} step={photos.step} take />}
      {figure === undefined ? (
        <Asked form={form} name="seen" refuse={needed(missing)}>
          {(field) => <Choices label={label} options={drawnChoices(choices, shapes, dials)} {...field} />}
        </Asked>
      ) : (
        <AskedFigure
          form={form}
          name="figure"
          large
          label={label}
          hint={look.figure(figure)}
          dimension={dimension}
        />
      )}
      {photos.asked !== true && (
        <PhotoStrip log={log} step={photos.step} {...(photos.take === true && { take: true })} />
      )}
    </StepForm>
  );
}
