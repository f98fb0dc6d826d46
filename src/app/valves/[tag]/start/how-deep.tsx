"use client";

import clsx from "clsx";
import { format } from "date-fns";
import { type CostOf, margins, mostly, type Weighed, type Weighing } from "@/core/depth";
import type { Sheet } from "@/core/formats";
import { fixed, formatDuration } from "@/core/quantity";
import { MarginTrack } from "@/ui/draw/margin-track";
import { Folded } from "@/ui/kit/folded";
import { TextField } from "@/ui/kit/text-field";
import { Money } from "@/ui/money";
import { useSpeaker } from "@/ui/use-speaker";
import { cheapestWords, marginWords, moneyWords, otherDepth, type Speaker } from "@/words";
import type { Deep } from "./use-depth";

const INK: Record<CostOf, string> = {
  time: "var(--cold)",
  parts: "var(--brass-line)",
  outage: "var(--live-vapour)",
  "coming-back": "var(--stop)",
};
const KINDS: readonly CostOf[] = ["time", "parts", "outage", "coming-back"];

/** How deep the job goes: each depth weighed, drawn as what it costs all told, the one that is left with why. */
export function HowDeep({ deep, sheet }: { deep: Deep; sheet: Sheet }) {
  const words = useSpeaker();
  const { depth: say } = words.say;
  const { candidates, weighing, chosen, condition, until, currency } = deep;
  if (candidates.length === 0) return null;
  const all = weighing === undefined ? [] : [weighing.best, ...weighing.others];
  const most = Math.max(...all.map(({ cost }) => cost), 1);
  const cheapest = weighing && cheapestWords(words, weighing, currency);
  const name = (id: string) => sheet.parts.find((part) => part.id === id)?.name ?? id;
  const lowest = weighing?.best.depth.id === chosen;
  return (
    <section className="card p-4" aria-label={say.title}>
      <h2 className="caption mb-2">{say.title}</h2>
      <Asked
        of={["none", "seeps", "runs"]}
        value={condition.leak}
        says={say.leak}
        onChoose={(leak) => deep.setCondition({ ...condition, leak })}
      />
      <Asked
        of={["easy", "hard"]}
        value={condition.access}
        says={say.access}
        onChoose={(access) => deep.setCondition({ ...condition, access })}
      />
      {weighing !== undefined && cheapest !== undefined && <p className="my-2 text-lead">{cheapest}</p>}
      {weighing === undefined && <p className="my-2 text-note text-soft">{say.noRates}</p>}
      <ul className="mt-2 flex flex-col gap-2">
        {candidates.map((each) => {
          const weighed = all.find(({ depth }) => depth.id === each.depth.id);
          const is = chosen === each.depth.id;
          return (
            <li key={each.depth.id}>
              <button
                type="button"
                aria-pressed={is}
                onClick={() => deep.choose(each.depth.id)}
                className={clsx(
                  "w-full rounded-md border-2 px-3 py-2 text-left",
                  is ? "border-ink bg-lit-bg" : "border-edge bg-paper",
                )}
              >
                <span className="flex items-baseline justify-between gap-3">
                  <b className="text-lead">{each.depth.name}</b>
                  <span className="plate text-body">{formatDuration(each.minutes * 60)}</span>
                </span>
                <span className="block text-note">
                  {each.parts.length === 0
                    ? say.renewsNothing
                    : say.renews(words.say.common.and(each.parts.map(name)))}
                </span>
                {weighed !== undefined && <Bar weighed={weighed} most={most} currency={currency} />}
                {weighed === undefined && (
                  <small className="text-note text-soft">
                    <Money amount={each.price} currency={currency} />
                  </small>
                )}
                {weighed !== undefined && (
                  <small className="block text-note text-soft" suppressHydrationWarning>
                    {weighed === weighing?.best
                      ? say.least
                      : otherDepth(
                          words,
                          {
                            id: weighed.depth.id,
                            name: weighed.depth.name,
                            dearer: weighed.cost - weighing!.best.cost,
                            mostly: mostly(weighed, weighing!.best),
                          },
                          currency,
                        )}
                    . {took(say, weighed)}.{" "}
                    {say.comesBack(
                      Math.round(weighed.figures.comesBack * 100),
                      until && format(until.at, "MMM yyyy"),
                    )}
                    .
                  </small>
                )}
              </button>
            </li>
          );
        })}
      </ul>
      {weighing !== undefined && weighing.others.length > 0 && (
        <Margins weighing={weighing} currency={currency} />
      )}
      {weighing !== undefined && chosen !== undefined && !lowest && (
        <div className="mt-3">
          <TextField label={say.whyDearer} value={deep.reason} maxLength={400} onChange={deep.setReason} />
        </div>
      )}
    </section>
  );
}

const took = (say: Speaker["say"]["depth"], { figures: { minutes, outage_min } }: Weighed) =>
  say.takes(
    formatDuration(Math.round(minutes) * 60),
    outage_min > 0 ? formatDuration(Math.round(outage_min) * 60) : undefined,
  );

/** How far each figure may move before another depth is cheaper, drawn: the brass part is where the advice stands. */
function Margins({ weighing, currency }: { weighing: Weighing; currency: string }) {
  const words = useSpeaker();
  const say = words.say.depth.margins;
  const all = margins(weighing);
  const names = new Map([weighing.best, ...weighing.others].map(({ depth }) => [depth.id, depth.name]));
  return (
    <div className="mt-3 border-rule border-t pt-1">
      <Folded title={say.title} says={`${all.length}`}>
        <p className="mb-2 text-note text-soft">{all.length === 0 ? say.never : say.says}</p>
        <ul className="flex flex-col gap-3">
          {all.map((margin) => {
            const { figure, now, turns } = marginWords(words, margin, (id) => names.get(id) ?? id, currency);
            return (
              <li key={figure}>
                <span className="flex justify-between gap-3">
                  <b>{figure}</b>
                  <span className="plate">{now}</span>
                </span>
                <MarginTrack margin={margin} />
                <span className="block text-note text-soft">{turns.join("; ")}</span>
              </li>
            );
          })}
        </ul>
      </Folded>
    </div>
  );
}

/** A depth by what it costs, part by part. */
function Bar({ weighed, most, currency }: { weighed: Weighed; most: number; currency: string }) {
  const speaker = useSpeaker();
  const { depth: say } = speaker.say;
  return (
    <span className="my-1.5 block">
      <span className="flex h-4 w-full overflow-hidden rounded-sm bg-sunk" aria-hidden="true">
        {KINDS.map((kind) => (
          <span
            key={kind}
            style={{ width: `${(100 * weighed.costs[kind]) / most}%`, background: INK[kind] }}
          />
        ))}
      </span>
      <span className="mt-1 flex flex-wrap gap-x-3 text-note">
        <b>{say.all(moneyWords(speaker, weighed.cost, currency))}</b>
        {KINDS.filter((kind) => weighed.costs[kind] >= 0.005).map((kind) => (
          <span key={kind} className="whitespace-nowrap">
            <span className="mr-1 inline-block size-2.5 rounded-sm" style={{ background: INK[kind] }} />
            {say.costs[kind]} {fixed(weighed.costs[kind], 2, speaker.mark)}
          </span>
        ))}
      </span>
    </span>
  );
}

function Asked<Id extends string>({
  of,
  value,
  says,
  onChoose,
}: {
  of: readonly Id[];
  value: Id;
  says: Readonly<Record<Id, string>>;
  onChoose: (id: Id) => void;
}) {
  return (
    <div className="mb-2 flex flex-wrap gap-2">
      {of.map((id) => (
        <button
          key={id}
          type="button"
          aria-pressed={value === id}
          onClick={() => onChoose(id)}
          className={clsx("btn grow", value === id ? "border-2 border-ink bg-ink text-paper" : "btn-quiet")}
        >
          {says[id]}
        </button>
      ))}
    </div>
  );
}
