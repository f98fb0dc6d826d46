import type { Plan } from "@/core/job";
import type { Notation } from "@/core/quantity";
import type { KitChoice, Pick, Purchase } from "@/core/store";
import { Money } from "@/ui/money";
import { Panel } from "@/ui/page";
import { useSpeaker } from "@/ui/use-speaker";
import { moneyWords, promisedWords, renewalWhy } from "@/words";

/** What is renewed, what to bring for it, from where, for how much, and what to bring if that is not there. */
export function BringPanel({ plan, name }: { plan: Plan; name: (part: string) => string }) {
  const words = useSpeaker();
  const { kits, renewals } = plan;
  return (
    <Panel title="Renew and bring">
      {renewals.length === 0 && <p className="text-soft">Nothing, unless a check fails.</p>}
      <ul className="dashed">
        {renewals.map((each) => (
          <li key={each.part} className="py-1.5">
            {name(each.part)}
            <small className="block text-fine text-soft">{renewalWhy(words, each)}</small>
          </li>
        ))}
        {kits.picks.map((pick) => (
          <Bring key={`${pick.id} ${pick.place}`} pick={pick} currency={kits.currency} />
        ))}
        {kits.missing.map(({ part, pieces, promised }) => (
          <li key={part} className="py-1.5 text-stop">
            {pieces > 1 ? `${name(part)} × ${pieces}` : name(part)}:{" "}
            {promised === undefined ? "no stock" : promisedWords(words, promised)}
          </li>
        ))}
      </ul>
      {kits.picks.length > 0 && <Sum kits={kits} />}
    </Panel>
  );
}

function Bring({ pick, currency }: { pick: Pick; currency: string }) {
  return (
    <li className="flex justify-between gap-3 py-1.5 font-semibold">
      <span>
        {named(pick)}, {pick.place}
        {pick.days > 0 ? `, in ${pick.days} days` : ""}
        {pick.insteadOf !== undefined && (
          <small className="block font-normal text-fine text-soft">in place of {pick.insteadOf}</small>
        )}
      </span>
      <span className="shrink-0">
        <Money amount={pick.price} currency={currency} />
      </span>
    </li>
  );
}

function Sum({ kits }: { kits: KitChoice }) {
  const notation = useSpeaker();
  const { second, currency } = kits;
  return (
    <div className="mt-2 text-note text-soft">
      <p>
        <Money amount={kits.price} currency={currency} /> in all:{" "}
        {kits.exact
          ? "nothing cheaper is in hand as soon."
          : "the cheapest that was found; it is not proven that nothing is cheaper."}
      </p>
      {second !== undefined && (
        <p>
          Second best: {second.picks.map((pick) => `${named(pick)}, ${pick.place}`).join("; ")}:{" "}
          {difference(notation, kits, second)}.
        </p>
      )}
    </div>
  );
}

function difference(notation: Notation, { price, days, currency }: KitChoice, second: Purchase): string {
  const more = Math.round((second.price - price) * 100) / 100;
  const other =
    more === 0
      ? "the same price"
      : `${moneyWords(notation, Math.abs(more), currency)} ${more > 0 ? "dearer" : "cheaper"}`;
  return second.days > days ? `${other}, in ${second.days} days` : other;
}

const named = (pick: Pick) => (pick.pieces > 1 ? `${pick.pieces} × ${pick.name}` : pick.name);
