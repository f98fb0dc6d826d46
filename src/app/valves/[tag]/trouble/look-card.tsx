"use client";

import { type FormEvent, useState } from "react";
import { calculatorNamed } from "@/core/calculators";
import { type Look, UNKNOWN } from "@/core/formats";
import { type Dimension, unitNamed } from "@/core/quantity";
import { limitsOf, type Next } from "@/core/trouble";
import { LookPicture } from "@/ui/draw/look-picture";
import { blankFigure, type Figure, readFigure } from "@/ui/kit/figure";
import { FigureField } from "@/ui/kit/figure-field";
import { useFigures } from "@/ui/use-figures";
import { useSpeaker } from "@/ui/use-speaker";
import { answerWords, inHundred, leadWords, minutesWords, needsWords } from "@/words";
import { OnlyWhoMay } from "./only-who-may";
import type { TroubleInHand } from "./use-trouble";

/** One look at a time: what is asked, why this one, how to do it, its drawing, its answers and what follows from each. */
export function LookCard({
  trouble,
  look,
  next,
  unknown,
}: {
  trouble: TroubleInHand;
  look: Look;
  /** Nothing where somebody picked it instead of what was advised. */
  next: Extract<Next, { kind: "look" }> | undefined;
  unknown: string;
}) {
  const words = useSpeaker();
  const say = words.say.trouble;
  const rank = trouble.advice?.looks.find((each) => each.look === look.id);
  const barred = trouble.inHand?.from === "site" && trouble.barred.has(look.id);
  const onTelephone = trouble.inHand?.from === "telephone" && look.caller !== undefined;
  return (
    <section className="flex min-w-0 flex-col gap-3" aria-label="The next look">
      <h2 className="font-bold text-title leading-tight">{onTelephone ? look.caller : look.ask}</h2>
      <p className="text-soft">
        {onTelephone
          ? say.takes(minutesWords(1), say.nothingShut)
          : say.takes(minutesWords(look.minutes), needsWords(words, look.needs))}{" "}
        {rank !== undefined && rank.saves > 0 && next !== undefined && say.spares(minutesWords(rank.saves))}
      </p>
      {barred && <OnlyWhoMay trouble={trouble} looks={[look]} />}
      {look.hazard !== undefined && !onTelephone && (
        <p role="note" className="rounded border-stop border-l-[6px] bg-stop-bg px-4 py-3">
          <b>{look.hazard.can}</b> {look.hazard.do}
        </p>
      )}
      <div className="card p-3">
        <LookPicture drawn={look.drawn} />
        {!onTelephone && <p className="mt-1 text-lead">{look.do}</p>}
        {look.tools !== undefined && !onTelephone && (
          <p className="text-note text-soft">{look.tools.join(", ")}</p>
        )}
      </div>
      {barred ? (
        <button type="button" className="btn btn-quiet min-h-[58px]" onClick={() => trouble.unknown(look.id)}>
          {unknown}
        </button>
      ) : look.kind === "choice" ? (
        <div className="grid gap-2 sm:grid-cols-[repeat(auto-fit,minmax(140px,1fr))]">
          {look.answers.map(({ id, label }) => (
            <AnswerButton
              key={id}
              label={label}
              lead={next?.leads.find(({ answer }) => answer === id)}
              trouble={trouble}
              onAnswer={() => trouble.answer(look.id, id)}
            />
          ))}
          <button
            type="button"
            className="btn btn-quiet min-h-[58px] font-normal text-soft"
            onClick={() => trouble.unknown(look.id)}
          >
            {unknown}
          </button>
        </div>
      ) : (
        <MeasureForm key={look.id} trouble={trouble} look={look} next={next} unknown={unknown} />
      )}
    </section>
  );
}

function AnswerButton({
  label,
  lead,
  trouble,
  onAnswer,
}: {
  label: string;
  lead: Extract<Next, { kind: "look" }>["leads"][number] | undefined;
  trouble: TroubleInHand;
  onAnswer: () => void;
}) {
  const words = useSpeaker();
  return (
    <button
      type="button"
      onClick={onAnswer}
      className="flex min-h-[74px] flex-col items-start justify-center rounded-md border-2 border-edge bg-card px-3.5 py-2 text-left"
    >
      <span className="font-bold text-lead leading-tight">{label}</span>
      {lead !== undefined && (
        <span className="text-note text-soft leading-snug">
          {inHundred(words, lead.chance)} {words.say.trouble.inHundred},{" "}
          {leadWords(words, trouble.knowledge, lead)}
        </span>
      )}
    </button>
  );
}

type Measured = Extract<Look, { kind: "measure" }>;

/** A figure, and what its sum asks besides; what it means is said before it is taken. */
function MeasureForm({
  trouble,
  look,
  next,
  unknown,
}: {
  trouble: TroubleInHand;
  look: Measured;
  next: Extract<Next, { kind: "look" }> | undefined;
  unknown: string;
}) {
  const words = useSpeaker();
  const figures = useFigures();
  const fields = fieldsOf(look);
  const [typed, setTyped] = useState<Readonly<Record<string, Figure>>>({});
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const { low, high } = limitsOf(look, trouble.sheet);
  const take = (event: FormEvent) => {
    event.preventDefault();
    const read = trouble.measured(
      look.id,
      Object.fromEntries(
        fields.map(({ name, unit, dimension }) => [
          name,
          asTyped(typed[name] ?? blankFigure(unit), dimension),
        ]),
      ),
      Object.fromEntries(
        fields.flatMap(({ name }) => {
          const source = typed[name]?.source;
          return source?.kind === "instrument" ? [[name, source.taken]] : [];
        }),
      ),
    );
    setErrors(
      read.ok
        ? {}
        : Object.fromEntries(read.error.map(({ path, message }) => [path.replace("/typed/", ""), message])),
    );
  };
  return (
    <form className="card flex flex-col gap-3 p-4" onSubmit={take}>
      {fields.map(({ name, label, dimension, unit, hint }) => (
        <FigureField
          key={name}
          label={label}
          dimension={dimension}
          figure={typed[name] ?? blankFigure(unit)}
          onFigure={(to) => setTyped({ ...typed, [name]: to })}
          error={errors[name]}
          mark={name === "reading" && dimension === "number" ? look.unit : undefined}
          {...(hint !== undefined && { hint })}
        />
      ))}
      <p className="text-note text-soft">
        {[low, high]
          .map((limit, which) =>
            limit === undefined ? "" : `${which === 0 ? "from" : "to"} ${figures.digits(limit)} ${look.unit}`,
          )
          .filter((text) => text !== "")
          .join(" ")}
        : {look.says.within}
      </p>
      <ul className="text-note text-soft">
        {next?.leads.map((lead) => (
          <li key={lead.answer}>
            <b className="text-ink">{answerWords(look, lead.answer, unknown)}</b>,{" "}
            {inHundred(words, lead.chance)} {words.say.trouble.inHundred},{" "}
            {leadWords(words, trouble.knowledge, lead)}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-3">
        <button type="submit" className="btn btn-go min-h-14 flex-1">
          Take this figure
        </button>
        <button
          type="button"
          className="btn btn-quiet min-h-14"
          onClick={() => trouble.answer(look.id, UNKNOWN)}
        >
          {unknown}
        </button>
      </div>
    </form>
  );
}

interface Field {
  readonly name: string;
  readonly label: string;
  readonly dimension: Dimension;
  readonly unit: string;
  readonly hint?: string;
}

function fieldsOf({ what, dimension, unit, sum }: Measured): Field[] {
  const calculator = sum && calculatorNamed(sum.calculator);
  const besides = (sum?.asks ?? []).flatMap((name): Field[] => {
    const input = calculator?.inputs.find((each) => each.name === name);
    return input?.kind === "measured"
      ? [
          {
            name,
            label: input.label,
            dimension: input.dimension,
            unit: input.units.metric,
            hint: input.help ?? "",
          },
        ]
      : [];
  });
  return [
    { name: "reading", label: what, dimension, unit: unitNamed(unit, dimension)?.id ?? "" },
    ...besides,
  ];
}

/** As typed, with the unit of its field where none was; what cannot be read as it stands. */
function asTyped(figure: Figure, dimension: Dimension): string {
  // In the words of the instrument, whatever mark and unit the field writes it with.
  if (figure.source.kind === "instrument") return figure.source.taken.read;
  const read = readFigure(figure, dimension);
  return read.ok ? read.value.typed : figure.text;
}
