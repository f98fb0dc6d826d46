"use client";

import clsx from "clsx";
import { PlugZap } from "lucide-react";
import type { TakenWith } from "@/core/formats";
import { type Offer, offerOf, reads, type Wanted } from "@/core/instruments";
import { fromSI, unit, unitNamed } from "@/core/quantity";
import { timeNow } from "@/edge/clock";
import { doubtWords, noReadingWords, shownFigure } from "@/words";
import { useFigures } from "../use-figures";
import { useSpeaker } from "../use-speaker";
import { Day, useNow } from "../when";
import { instruments, usePlugged } from "./connected";

type Reading = Extract<Offer, { kind: "reading" }>;

/** What is connected and reads what this field asks for: one touch takes its figure over; what is wrong with it is said here. */
export function AtField({
  label,
  wanted,
  taken,
  onTake,
}: {
  label: string;
  wanted: Wanted;
  /** With what the figure in the field was read. */
  taken: TakenWith | undefined;
  onTake: (offer: Reading) => void;
}) {
  const words = useSpeaker();
  const { field } = words.say.instruments;
  const plugged = usePlugged();
  // What goes silent says nothing: it is looked at by the clock.
  useNow(1000);
  const now = timeNow();
  const known = plugged.filter((each) => reads(each, wanted));
  if (known.length === 0) return null;
  return (
    <ul aria-label={field.label(label)} className="mt-2 flex flex-col gap-2">
      {known.map((one) => (
        <li key={one.id}>
          <One
            real={one.by === "simulated" && isReal()}
            offer={offerOf(one, wanted, instruments.register(), plugged, now)}
            wanted={wanted}
            onTake={onTake}
          />
        </li>
      ))}
      {taken !== undefined && (
        <li className="text-note text-soft">
          {field.from(`${taken.name} ${taken.serial}`)} <Day at={Date.parse(taken.at)} time />
        </li>
      )}
    </ul>
  );
}

/** Whether the job in hand is on a sheet for real equipment. */
function isReal(): boolean {
  const job = instruments.lookedAt();
  return job !== undefined && job.inputs.sheet.demonstration !== true;
}

function One({
  real,
  offer,
  wanted,
  onTake,
}: {
  /** It is simulated, and what is read here is not. */
  real: boolean;
  offer: Offer;
  wanted: Wanted;
  onTake: (offer: Reading) => void;
}) {
  const words = useSpeaker();
  const { inUnit } = useFigures();
  const { field } = words.say.instruments;
  if (real || offer.kind === "none")
    return (
      <div className="rounded border-wait border-l-[6px] bg-wait-bg px-3 py-2 text-body">
        <b>{offer.name}.</b>{" "}
        {real || offer.kind === "reading"
          ? words.say.refusals.simulatedProvesNothing
          : noReadingWords(words, offer.why, (si) => wide(si, offer, wanted, inUnit))}
      </div>
    );
  const figure = shownFigure(words, offer.value, offer.unit);
  const serious = offer.doubts.filter(({ kind }) => kind !== "simulated" && kind !== "battery-low");
  return (
    <div className={clsx("rounded-md border-2", serious.length > 0 ? "border-wait" : "border-edge")}>
      <button
        type="button"
        aria-label={field.takeFrom(offer.name, figure)}
        className="flex min-h-14 w-full touch-manipulation flex-wrap items-center gap-x-3 px-3 py-1 text-left"
        onClick={() => onTake(offer)}
      >
        <PlugZap size={22} aria-hidden className="shrink-0 text-go" />
        <span className="plate text-head tabular-nums">{figure}</span>
        <span className="min-w-0 flex-1 text-note leading-tight text-soft">
          {offer.name} <span className="plate">{offer.serial}</span>
        </span>
        <span className="font-semibold text-body underline underline-offset-4">{field.take}</span>
      </button>
      {offer.doubts.length > 0 && (
        <ul className="border-rule border-t px-3 py-1.5 text-note leading-snug">
          {offer.doubts.map((doubt) => (
            <li
              key={doubtWords(words, doubt)}
              className={serious.includes(doubt) ? "font-semibold text-wait" : "text-soft"}
            >
              {doubtWords(words, doubt)}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** The end of a range in the unit of the instrument. */
function wide(
  si: number,
  { why }: Extract<Offer, { kind: "none" }>,
  { dimension }: Wanted,
  inUnit: ReturnType<typeof useFigures>["inUnit"],
): string {
  const own = why.kind === "out-of-range" ? unitNamed(why.unit, dimension) : undefined;
  return own === undefined ? String(fromSI(si, unit(""))) : inUnit(si, own);
}
