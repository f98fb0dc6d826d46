"use client";

import clsx from "clsx";
import { type ReactNode, useMemo, useState } from "react";
import type { Bring, Departure } from "@/core/bring";
import type { HowOneGoes, Trouble } from "@/core/formats";
import { asksOfSheet } from "@/core/job";
import { WhoMayDoIt } from "@/ui/job/sign-on";
import { SelectField } from "@/ui/kit/select-field";
import { Money } from "@/ui/money";
import { useSpeaker } from "@/ui/use-speaker";
import { inHundred, itemLine, type PackLine, packingNote, toolLine, uncoveredWords } from "@/words";
import { useBring } from "./use-bring";
import type { TroubleInHand } from "./use-trouble";

/** What to bring, before one goes there: the chance to finish on this visit, and what makes it, to be ticked off. */
export function BringCard({ trouble }: { trouble: TroubleInHand }) {
  const say = useSpeaker().say.bring;
  const [by, setBy] = useState<HowOneGoes["by"]>("van");
  const [days, setDays] = useState<number>();
  // What lies in somebody else's van is not at hand.
  const vans = trouble.stock.store?.places.filter(({ kind }) => kind === "van") ?? [];
  const [van, setVan] = useState(vans.length > 1 ? vans[0]!.id : undefined);
  const goes = useMemo((): HowOneGoes => ({ by, ...(van !== undefined && { van }) }), [by, van]);
  const bring = useBring(trouble, goes);
  return (
    <section className="card p-4" aria-label={say.title}>
      <div className="mb-3 flex flex-wrap items-center justify-between gap-3">
        <h2 className="caption">{say.title}</h2>
        <div className="flex gap-2">
          {(["van", "foot"] as const).map((id) => (
            <button
              key={id}
              type="button"
              aria-pressed={by === id}
              onClick={() => setBy(id)}
              className={clsx("btn", by === id ? "border-2 border-ink bg-ink text-paper" : "btn-quiet")}
            >
              {say.goes[id]}
            </button>
          ))}
        </div>
      </div>
      {van !== undefined && (
        <div className="mb-3">
          <SelectField label={say.van} value={van} options={vans} onChange={setVan} />
        </div>
      )}
      <div className="mb-3 empty:hidden">
        <WhoMayDoIt asked={asksOfSheet(trouble.sheet)} crew={trouble.crew} />
      </div>
      {bring === undefined ? (
        <p role="status" className="text-soft">
          {say.working}
        </p>
      ) : (
        <Packed bring={bring} days={days} onDays={setDays} trouble={trouble} />
      )}
    </section>
  );
}

function Packed({
  bring,
  days,
  onDays,
  trouble,
}: {
  bring: Bring;
  days: number | undefined;
  onDays: (days: number) => void;
  trouble: TroubleInHand;
}) {
  const words = useSpeaker();
  const say = words.say.bring;
  const { departures } = bring;
  const best = departures[bring.best]!;
  const chosen = departures.find((each) => each.days === days) ?? best;
  const now = departures[0]!;
  return (
    <>
      <p className="font-bold text-title leading-tight">{say.first(inHundred(words, chosen.chance))}</p>
      <Shares bring={bring} chosen={chosen} />
      {departures.length > 1 && (
        <>
          <div className="my-3 flex flex-wrap gap-2">
            {departures.map((each) => (
              <button
                key={each.days}
                type="button"
                aria-pressed={each === chosen}
                onClick={() => onDays(each.days)}
                className={clsx(
                  "btn grow",
                  each === chosen ? "border-2 border-ink bg-ink text-paper" : "btn-quiet",
                )}
              >
                {say.leave(each.days)}: {say.short(inHundred(words, each.chance))}
              </button>
            ))}
          </div>
          <p className="text-note text-soft">
            {best === now
              ? say.waiting(departures.at(-1)!.days, inHundred(words, departures.at(-1)!.chance))
              : say.worthWaiting(best.days, inHundred(words, now.chance))}
          </p>
        </>
      )}
      <PackingList departure={chosen} trouble={trouble} currency={bring.currency} />
      <NotCovered departure={chosen} knowledge={trouble.knowledge} />
      <p className="mt-3 border-rule border-t pt-2 text-fine text-soft">
        {packingNote(words, chosen, bring.condemned)}
      </p>
    </>
  );
}

/** All that may be met, drawn as one bar. */
function Shares({ bring: { others, unknown }, chosen }: { bring: Bring; chosen: Departure }) {
  const words = useSpeaker();
  const { shares } = words.say.bring;
  const all = [
    { id: "finished", chance: chosen.chance, ink: "var(--go)" },
    { id: "uncovered", chance: Math.max(0, 1 - chosen.chance - others - unknown), ink: "var(--stop)" },
    { id: "others", chance: others, ink: "var(--cold)" },
    { id: "unknown", chance: unknown, ink: "var(--edge)" },
  ] as const;
  const shown = all.filter(({ chance }) => chance > 0.0005);
  return (
    <>
      <div className="my-2 flex h-5 w-full overflow-hidden rounded-sm bg-sunk" aria-hidden="true">
        {shown.map(({ id, chance, ink }) => (
          <span key={id} style={{ width: `${100 * chance}%`, background: ink }} />
        ))}
      </div>
      <ul className="flex flex-wrap gap-x-4 gap-y-1 text-note">
        {shown.map(({ id, chance, ink }) => (
          <li key={id} className="flex items-center gap-1.5">
            <span
              className="inline-block size-2.5 rounded-sm"
              style={{ background: ink }}
              aria-hidden="true"
            />
            <b className="plate">{inHundred(words, chance)}</b> {shares[id]}
          </li>
        ))}
      </ul>
    </>
  );
}

function PackingList({
  departure: { items, tools },
  trouble,
  currency,
}: {
  departure: Departure;
  trouble: TroubleInHand;
  currency: string;
}) {
  const words = useSpeaker();
  const say = words.say.bring;
  const { knowledge, packed } = trouble;
  if (items.length + tools.length === 0) return <p className="mt-3">{say.none}</p>;
  const kit = items.map((item) => ({ item, line: itemLine(words, knowledge, item) }));
  const bag = tools.map((tool) => toolLine(words, tool));
  const keys = [...kit.map(({ line }) => line.key), ...bag.map(({ key }) => key)];
  const done = keys.filter((key) => packed.includes(key)).length;
  return (
    <>
      {kit.length > 0 && <h3 className="caption mt-4 mb-1 text-fine">{say.kit}</h3>}
      <ul className="dashed">
        {kit.map(({ item, line }) => (
          <PackRow key={line.key} line={line} trouble={trouble}>
            {item.days > 0 && <Money amount={item.price} currency={currency} />}
          </PackRow>
        ))}
      </ul>
      {bag.length > 0 && <h3 className="caption mt-4 mb-1 text-fine">{say.tools}</h3>}
      {alike(bag).map(([says, lines]) => (
        <div key={says}>
          <p className="text-note text-soft">{lines.length > 1 ? say.anyOf(says) : says}</p>
          <ul className="grid gap-x-6 sm:grid-cols-2">
            {lines.map((line) => (
              <PackRow key={line.key} line={line} trouble={trouble} told />
            ))}
          </ul>
        </div>
      ))}
      <p
        role="status"
        className={clsx(
          "mt-3 rounded px-4 py-2",
          done === keys.length ? "bg-go-bg font-semibold" : "bg-sunk",
        )}
      >
        {say.packed(done, keys.length)}
      </p>
    </>
  );
}

/** Lines of which the same is to be said: it is said once. */
function alike(lines: readonly PackLine[]): (readonly [string, readonly PackLine[]])[] {
  const bySays = new Map<string, PackLine[]>();
  for (const line of lines) bySays.set(line.says, [...(bySays.get(line.says) ?? []), line]);
  return [...bySays];
}

function PackRow({
  line: { key, name, says, for: what },
  trouble,
  told = false,
  children,
}: {
  line: PackLine;
  trouble: TroubleInHand;
  /** What is to be said of it stands above. */
  told?: boolean;
  children?: ReactNode;
}) {
  const is = trouble.packed.includes(key);
  return (
    <li>
      <label className="flex min-h-12 items-center gap-3 py-1">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-[var(--go)]"
          checked={is}
          onChange={(event) => trouble.pack(key, event.target.checked)}
        />
        <span className="min-w-0 flex-1 leading-tight">
          <b className="block">{name}</b>
          {!told && <small className="block text-note text-soft">{says}</small>}
          {what !== undefined && <small className="block text-note text-soft">{what}</small>}
        </span>
        {children}
      </label>
    </li>
  );
}

const MOST_UNCOVERED = 4;
/** A rarer one is not told: nobody packs for it. */
const WORTH_TELLING = 0.01;

function NotCovered({ departure: { uncovered }, knowledge }: { departure: Departure; knowledge: Trouble }) {
  const words = useSpeaker();
  const say = words.say.bring;
  const told = uncovered.filter(({ chance }) => chance >= WORTH_TELLING).slice(0, MOST_UNCOVERED);
  if (told.length === 0) return null;
  return (
    <>
      <h3 className="caption mt-4 mb-1 text-fine">{say.notCovered}</h3>
      <ul className="dashed">
        {told.map((each) => {
          const { ends, why } = uncoveredWords(words, knowledge, each);
          return (
            <li key={ends + why} className="flex items-baseline gap-3 py-1.5">
              <span className="min-w-0 flex-1 leading-tight">
                {ends}
                <small className="block text-note text-soft">{why}</small>
              </span>
              <b className="plate">{inHundred(words, each.chance)}</b>
            </li>
          );
        })}
      </ul>
    </>
  );
}
