"use client";

import clsx from "clsx";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { type Item, plainNumber } from "@/core/formats";
import { call } from "@/edge/client";
import { CLOSE_ORDER, RECEIVE_ORDER } from "@/edge/contracts/store";
import { DateField } from "@/ui/kit/date-field";
import { TextField } from "@/ui/kit/text-field";
import { newId } from "@/ui/new-id";
import { Notice } from "@/ui/notice";
import { useChanged } from "@/ui/own/use-changed";
import { useBooked } from "@/ui/store/use-booked";
import { Day } from "@/ui/when";

interface Line {
  readonly item: Item;
  readonly name: string;
  readonly to: string;
  readonly place: string;
  readonly ordered: number;
  readonly came: number;
  readonly price: number;
}

/** An order that is on its way: what came of it is booked in, with what it cost and how long it holds. */
export function ComingOrder({
  id,
  supplier,
  at,
  by,
  due,
  late,
  currency,
  lines,
}: {
  id: string;
  supplier: string;
  at: number;
  by: string;
  due: number;
  late: boolean;
  currency: string;
  lines: readonly Line[];
}) {
  const router = useRouter();
  const booked = useBooked();
  const changed = useChanged();
  const [came, setCame] = useState(
    lines.map(({ ordered, came, price }) => ({
      id: newId(),
      pieces: String(Math.max(0, ordered - came)),
      price: price.toFixed(2),
      until: "",
    })),
  );
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  /** What is wrong in a line, by line and field. */
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const put = (index: number, change: Partial<(typeof came)[number]>) =>
    setCame(came.map((each, place) => (place === index ? { ...each, ...change } : each)));
  const error = (field: string) => (wrong[field] === undefined ? {} : { error: wrong[field] });
  const tell = (problems: readonly { readonly message: string }[]) =>
    setRefused(problems.map(({ message }) => message).join(" "));
  const receive = async () => {
    setRefused(undefined);
    const some = [...lines.keys()].filter((index) => Number(came[index]!.pieces) > 0);
    if (some.length === 0) return setRefused("Write how many came of at least one line.");
    const unread = some.filter((index) => !((plainNumber(came[index]!.price) ?? 0) >= 0));
    setWrong(
      Object.fromEntries(unread.map((index) => [`${index}/price`, "Write the price as a number: 14.50."])),
    );
    if (unread.length > 0) return;
    const sent = some.map((index) => {
      const { item, to } = lines[index]!;
      const { id: own, pieces, price, until } = came[index]!;
      const cost = plainNumber(price);
      return {
        id: own,
        item,
        place: to,
        quantity: Number(pieces),
        ...(cost !== undefined && { price: cost }),
        ...(until !== "" && { until }),
      };
    });
    setBusy(true);
    const done = await call(RECEIVE_ORDER, { params: { id }, body: { lines: sent } });
    setBusy(false);
    if (!done.ok) {
      const at = (path: string) => /^\/(?:lines|movements)\/(\d+)\/(price|until)$/.exec(path);
      setWrong(
        Object.fromEntries(
          done.error.problems.flatMap(({ path, message }) => {
            const [, line, field] = at(path) ?? [];
            return line === undefined ? [] : [[`${some[Number(line)]}/${field}`, message]];
          }),
        ),
      );
      const others = done.error.problems.filter(({ path }) => at(path) === null);
      return others.length > 0 ? tell(others) : undefined;
    }
    booked(
      "What came is booked in.",
      done.value.entries.map(({ id }) => id),
    );
    router.refresh();
  };
  const close = async () => {
    setBusy(true);
    const done = await call(CLOSE_ORDER, { params: { id }, body: { closed: true } });
    setBusy(false);
    if (!done.ok) return tell(done.error.problems);
    changed(`Nothing more of ${id} is waited for.`, done.value.edit);
    router.refresh();
  };
  return (
    <section className="card p-4" aria-label={`Order ${id}`}>
      <h2 className="flex flex-wrap items-baseline justify-between gap-x-4">
        <span className="font-bold text-head">
          On its way: {id}, {supplier}
        </span>
        <span className={clsx(late ? "font-semibold text-stop" : "text-soft")}>
          {late ? "should have been here" : "should be here"} <Day at={due} />
        </span>
      </h2>
      <p className="text-note text-soft">
        Ordered <Day at={at} />, {by}
      </p>
      <ul className="dashed mt-1">
        {lines.map((line, index) => (
          <li
            key={`${line.name} ${line.to}`}
            className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 gap-y-2 py-2"
          >
            <span className="min-w-0">
              <b className="break-words">{line.name}</b>
              <small className="block text-note text-soft">for {line.place}</small>
            </span>
            <span className="plate text-right text-lead">
              {line.came} of {line.ordered} came
            </span>
            {open && line.came < line.ordered && (
              <span className="col-span-2 grid grid-cols-2 gap-3 md:grid-cols-[8rem_9rem_14rem]">
                <TextField
                  label="Came now"
                  mark="pcs"
                  value={came[index]!.pieces}
                  onChange={(pieces) => /^\d{0,6}$/.test(pieces) && put(index, { pieces })}
                />
                <TextField
                  label="Price of one"
                  mark={currency}
                  value={came[index]!.price}
                  onChange={(price) => put(index, { price })}
                  {...error(`${index}/price`)}
                />
                <DateField
                  label="May be used until"
                  mark="if it ages"
                  value={came[index]!.until}
                  onChange={(until) => put(index, { until })}
                  {...error(`${index}/until`)}
                />
              </span>
            )}
          </li>
        ))}
      </ul>
      {refused !== undefined && (
        <Notice tone="stop" live>
          <b>Nothing was booked.</b> {refused}
        </Notice>
      )}
      <div className="no-print mt-2 flex flex-wrap justify-end gap-3">
        <button type="button" className="btn btn-quiet" disabled={busy} onClick={() => void close()}>
          Nothing more is coming
        </button>
        {open ? (
          <button type="button" className="btn btn-go" disabled={busy} onClick={() => void receive()}>
            {busy ? "Booking …" : "Book it in"}
          </button>
        ) : (
          <button type="button" className="btn btn-go" onClick={() => setOpen(true)}>
            Something came
          </button>
        )}
      </div>
    </section>
  );
}
