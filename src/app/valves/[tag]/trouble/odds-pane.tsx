"use client";

import clsx from "clsx";
import { useState } from "react";
import { ELSE, type Trouble } from "@/core/formats";
import type { Advice, Odds } from "@/core/trouble";
import { useSpeaker } from "@/ui/use-speaker";
import { causeName, inHundred, oddsReasons } from "@/words";

/** How likely each cause is: bars that move with every answer, with where they stood before anybody looked. */
export function OddsPane({
  knowledge,
  advice,
  unknown,
}: {
  knowledge: Trouble;
  advice: Advice;
  unknown: string;
}) {
  const words = useSpeaker();
  const { trouble } = words.say;
  const [open, setOpen] = useState<string>();
  const isValve = ({ cause }: Odds) => knowledge.causes.find(({ id }) => id === cause)?.where === "this-part";
  const groups = [
    [trouble.notTheValve, advice.odds.filter((each) => each.cause !== ELSE && !isValve(each))],
    [trouble.theValve, advice.odds.filter(isValve)],
    [trouble.other, advice.odds.filter((each) => each.cause === ELSE)],
  ] as const;
  const most = Math.max(...advice.odds.map(({ chance }) => chance));
  return (
    <section className="card p-4" aria-labelledby="odds-head">
      <h2 id="odds-head" className="caption mb-2 flex justify-between">
        <span>What it may be</span>
        <span>{trouble.inHundred}</span>
      </h2>
      {groups.map(([title, all]) =>
        all.length === 0 ? null : (
          <div key={title} className="mb-3">
            <h3 className="caption mb-1 text-fine">{title}</h3>
            <ul className="flex flex-col gap-1">
              {all.map((odds) => (
                <OddsRow
                  key={odds.cause}
                  odds={odds}
                  knowledge={knowledge}
                  leads={odds.chance === most}
                  open={open === odds.cause}
                  onOpen={() => setOpen(open === odds.cause ? undefined : odds.cause)}
                  unknown={unknown}
                />
              ))}
            </ul>
          </div>
        ),
      )}
      {advice.pair !== undefined && advice.pair.chance > 0.05 && (
        <p className="border-rule border-t pt-2 text-note text-soft">
          {trouble.both(
            causeName(words, knowledge, advice.pair.causes[0]!),
            causeName(words, knowledge, advice.pair.causes[1]!).toLowerCase(),
            inHundred(words, advice.pair.chance),
          )}
        </p>
      )}
    </section>
  );
}

function OddsRow({
  odds,
  knowledge,
  leads,
  open,
  onOpen,
  unknown,
}: {
  odds: Odds;
  knowledge: Trouble;
  leads: boolean;
  open: boolean;
  onOpen: () => void;
  unknown: string;
}) {
  const words = useSpeaker();
  const name = causeName(words, knowledge, odds.cause);
  const share = inHundred(words, odds.chance);
  const reasons = oddsReasons(words, knowledge, odds, unknown);
  return (
    <li>
      <button
        type="button"
        aria-expanded={open}
        onClick={onOpen}
        className="block min-h-12 w-full rounded px-1 py-1 text-left"
      >
        <span className="flex items-baseline justify-between gap-3">
          <span className={clsx("leading-tight", leads ? "font-bold" : "")}>{name}</span>
          <span className="plate shrink-0 text-head">
            {share}
            <span className="sr-only"> {words.say.trouble.inHundred}</span>
          </span>
        </span>
        <Bar now={odds.chance} before={odds.before} leads={leads} />
      </button>
      {open && (
        <ul className="mt-1 mb-2 border-rule border-l-4 pl-3 text-note">
          <li className="text-soft">{words.say.trouble.before(inHundred(words, odds.before))}</li>
          {reasons.map(({ says, makes, up }) => (
            <li key={says}>
              {says}
              {makes !== "" && (
                <b className={clsx("block", up ? "text-brass" : "text-go-text")}>
                  {up ? "▲" : "▼"} {makes}
                </b>
              )}
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

const Bar = ({ now, before, leads }: { now: number; before: number; leads: boolean }) => (
  <svg viewBox="0 0 100 6" preserveAspectRatio="none" className="mt-0.5 h-3 w-full" aria-hidden="true">
    <rect width={100} height={6} fill="var(--sunk)" />
    <rect
      width={100 * now}
      height={6}
      fill={leads ? "var(--brass-line)" : "var(--edge)"}
      className="transition-[width] duration-300 motion-reduce:transition-none"
    />
    <path
      d={`M${100 * before} 0V6`}
      stroke="var(--ink)"
      strokeWidth={2}
      strokeDasharray="2 2"
      vectorEffect="non-scaling-stroke"
    />
  </svg>
);
