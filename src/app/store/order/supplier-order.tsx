"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { type Item, isDay } from "@/core/formats";
import { call } from "@/edge/client";
import { PLACE_ORDER } from "@/edge/contracts/store";
import { DateField } from "@/ui/kit/date-field";
import { Money } from "@/ui/money";
import { Notice } from "@/ui/notice";
import { useChanged } from "@/ui/own/use-changed";
import { inDays } from "../store-words";

interface Line {
  readonly item: Item;
  readonly name: string;
  readonly insteadOf?: string;
  readonly href: string;
  readonly to: { readonly id: string; readonly name: string };
  readonly pieces: number;
  readonly price: number;
  readonly pack: number;
  readonly order?: string;
  readonly says: string;
}

/** What to order of one supplier: how many can be changed, then it is written down as ordered. */
export function SupplierOrder({
  store,
  currency,
  supplier,
  due: expected,
  lines,
}: {
  store: string;
  currency: string;
  supplier?: {
    readonly id: string;
    readonly name: string;
    readonly days: number;
    readonly contact: string | undefined;
  };
  due: string;
  lines: readonly Line[];
}) {
  const router = useRouter();
  const changed = useChanged();
  const [pieces, setPieces] = useState(lines.map((line) => String(line.pieces)));
  const [due, setDue] = useState(expected);
  const [busy, setBusy] = useState(false);
  const [dueWrong, setDueWrong] = useState<string>();
  const [refused, setRefused] = useState<string>();
  const counts = pieces.map(Number);
  const sum = lines.reduce((total, { price }, index) => total + price * (counts[index] || 0), 0);
  const wanted = lines.flatMap((line, index) =>
    (counts[index] ?? 0) > 0 ? [{ line, quantity: counts[index]! }] : [],
  );
  const order = async () => {
    if (!isDay(due)) return setDueWrong("Write the date as year-month-day: 2027-03-12.");
    setDueWrong(undefined);
    if (wanted.length === 0) return setRefused("Nothing is left on it. Write at least one number of pieces.");
    setBusy(true);
    const done = await call(PLACE_ORDER, {
      body: {
        store,
        ...(supplier !== undefined && { supplier: supplier.id }),
        due,
        lines: wanted.map(({ line, quantity }) => ({
          item: line.item,
          name: line.name,
          to: line.to.id,
          quantity,
          price: line.price,
          ...(line.order !== undefined && { order: line.order }),
        })),
      },
    });
    setBusy(false);
    if (!done.ok) return setRefused(done.error.problems.map(({ message }) => message).join(" "));
    setRefused(undefined);
    changed(`Order ${done.value.id} is written down.`, done.value.edit);
    router.refresh();
  };
  return (
    <section className="card p-4" aria-label={supplier?.name ?? "No supplier is known"}>
      <h2 className="flex flex-wrap items-baseline justify-between gap-x-4">
        <span className="font-bold text-head">{supplier?.name ?? "No supplier is known"}</span>
        <span className="text-soft">
          {supplier === undefined
            ? "say at each item who sells it"
            : [supplier.contact, `${inDays(supplier.days)} to come`].filter(Boolean).join(", ")}
        </span>
      </h2>
      <ul className="dashed mt-1">
        {lines.map((line, index) => (
          <li
            key={`${line.name} ${line.to.id}`}
            className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 py-2 md:grid-cols-[minmax(0,1fr)_9rem_auto_8rem]"
          >
            <span className="min-w-0">
              <Link href={line.href} className="break-words font-semibold underline underline-offset-4">
                {line.name}
              </Link>
              <small className="block text-note text-soft">
                {[
                  line.order && `number ${line.order}`,
                  line.insteadOf && `replaces ${line.insteadOf}`,
                  `for ${line.to.name}`,
                  line.says,
                  line.pack > 1 && `sold by ${line.pack}`,
                ]
                  .filter(Boolean)
                  .join(", ")}
              </small>
            </span>
            <span className="hidden text-right text-soft md:block">
              <Money amount={line.price} currency={currency} /> each
            </span>
            <label className="flex items-center gap-2">
              <input
                className="field plate w-20 text-center text-head"
                inputMode="numeric"
                aria-label={`${line.name}, pieces for ${line.to.name}`}
                value={pieces[index]}
                onChange={({ target: { value } }) =>
                  /^\d{0,6}$/.test(value) &&
                  setPieces(pieces.map((each, place) => (place === index ? value : each)))
                }
              />
              pcs
            </label>
            <span className="plate col-start-2 text-right text-lead md:col-start-4">
              <Money amount={line.price * (counts[index] || 0)} currency={currency} />
            </span>
          </li>
        ))}
      </ul>
      {refused !== undefined && (
        <Notice tone="stop" live>
          <b>Nothing was written down.</b> {refused}
        </Notice>
      )}
      <div className="mt-2 flex flex-wrap items-end justify-between gap-4">
        <div className="w-[208px] max-w-full">
          <DateField label="Should be here on" value={due} onChange={setDue} error={dueWrong} />
        </div>
        <span className="plate mb-2 text-title">
          <Money amount={sum} currency={currency} />
        </span>
        <button
          type="button"
          className="btn btn-go no-print min-h-14 px-8 text-lead"
          disabled={busy}
          onClick={() => void order()}
        >
          {busy ? "Writing it down …" : "It is ordered"}
        </button>
      </div>
    </section>
  );
}
