"use client";

import clsx from "clsx";
import { Check, Minus, Plus } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import type { Item } from "@/core/formats";
import { askOrKeep } from "@/device/acts";
import { deviceStore } from "@/device/store";
import { DraftFound } from "@/ui/draft-found";
import { SelectField } from "@/ui/kit/select-field";
import { newId } from "@/ui/new-id";
import { Notice } from "@/ui/notice";
import { useBooked } from "@/ui/store/use-booked";
import { Unsaved } from "@/ui/unsaved";
import { useDraft } from "@/ui/use-draft";
import { Day } from "@/ui/when";
import { pcs } from "../store-words";

interface Countable {
  readonly item: Item;
  readonly key: string;
  readonly name: string;
}
interface CountRow extends Countable {
  readonly quantity: number;
  readonly says: string;
  /** What its labels read. */
  readonly labels: readonly string[];
  /** ms: when it was last counted here. */
  readonly last?: number;
}

/** What was counted so far, by item, and how many the books had then. */
type Counts = Readonly<Record<string, { readonly found: number; readonly was: number }>>;
const NONE: Counts = {};

/** What lies at one place, item after item, counted in the hand; kept on the device until it is handed in. */
export function CountList({
  store,
  place,
  rows,
  others,
}: {
  store: string;
  place: string;
  rows: readonly CountRow[];
  /** What lies elsewhere in this store, and may be found here. */
  others: readonly Countable[];
}) {
  const router = useRouter();
  const booked = useBooked();
  const [counts, setCounts] = useState<Counts>(NONE);
  const [ids, setIds] = useState<Readonly<Record<string, string>>>({});
  const [find, setFind] = useState("");
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const draft = useDraft(`count.${store}.${place}`, NONE, counts);
  const also = others.filter(({ key }) => counts[key] !== undefined);
  const all: readonly CountRow[] = [
    ...rows,
    ...also.map((each) => ({ ...each, quantity: 0, says: "was not here on the books", labels: [] })),
  ];
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = all.filter(({ name, says, labels }) => {
    const text = [name, says, ...labels].join(" ").toLowerCase();
    return words.every((word) => text.includes(word));
  });
  const counted = Object.keys(counts);
  const other = all.filter(
    ({ key, quantity }) => counts[key] !== undefined && counts[key].found !== quantity,
  );
  const set = (row: Countable & { readonly quantity?: number }, found: number) => {
    setRefused(undefined);
    setCounts((before) => ({
      ...before,
      [row.key]: { found: Math.max(0, found), was: row.quantity ?? 0 },
    }));
    // A count sent twice is booked once.
    setIds((before) => ({ ...before, [row.key]: newId() }));
  };
  const clear = (key: string) =>
    setCounts((before) => Object.fromEntries(Object.entries(before).filter(([each]) => each !== key)));
  const handIn = async () => {
    setBusy(true);
    const asked = {
      params: { id: store },
      body: {
        movements: all.flatMap(({ item, key, name }) => {
          const count = counts[key];
          if (count === undefined) return [];
          return [
            {
              id: ids[key] ?? newId(),
              kind: "counted" as const,
              item,
              name,
              place,
              quantity: count.found,
              was: count.was,
            },
          ];
        }),
      },
    };
    const says = `${counted.length} ${counted.length === 1 ? "item" : "items"} counted`;
    const done = await askOrKeep(deviceStore(), "moveStock", asked, { id: newId(), says, at: Date.now() });
    setBusy(false);
    if (done.kind === "waits") {
      // It lies among what is sent: the draft would count it twice.
      setCounts(NONE);
      draft.forget();
      toast(`${says}. On this device until there is a signal.`);
      return;
    }
    if (done.kind === "refused") {
      // What was moved meanwhile is seen beside the count.
      router.refresh();
      return setRefused(done.error.problems.map(({ message }) => message).join(" "));
    }
    setCounts(NONE);
    draft.forget();
    booked(
      `${counted.length} ${counted.length === 1 ? "item" : "items"} counted.`,
      done.value.entries.map(({ id }) => id),
    );
    router.push("/store/order");
    router.refresh();
  };
  return (
    <div className="flex flex-col gap-3">
      <Unsaved unsaved={counted.length > 0 && !busy} what="this count" />
      <DraftFound draft={draft} onTake={setCounts} />
      <label className="block">
        <span className="caption block">Find in this place</span>
        <input
          type="search"
          className="field"
          placeholder="Name, number, label"
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
      </label>
      <ul className="flex flex-col gap-2">
        {shown.map((row) => (
          <CountCard
            key={row.key}
            row={row}
            found={counts[row.key]?.found}
            onCount={(found) => set(row, found)}
            onClear={() => clear(row.key)}
          />
        ))}
      </ul>
      {shown.length === 0 && <p className="text-soft">Nothing of that name is on the books here.</p>}
      {others.length > also.length && (
        <SelectField
          label="Something else lies here"
          value=""
          options={others
            .filter(({ key }) => counts[key] === undefined)
            .map(({ key, name }) => ({ id: key, name }))
            .sort((a, b) => a.name.localeCompare(b.name))}
          onChange={(key) => {
            const found = others.find((each) => each.key === key);
            if (found !== undefined) set(found, 1);
          }}
        />
      )}
      {refused !== undefined && (
        <Notice tone="stop" live>
          <b>Nothing was booked.</b> {refused}
        </Notice>
      )}
      <div className="sticky bottom-0 z-10 flex flex-wrap items-center gap-3 border-rule border-t-[1.5px] bg-paper py-3">
        <span className="min-w-0 flex-1">
          <b>
            {counted.length} of {all.length}
          </b>{" "}
          counted{other.length > 0 && `, ${other.length} otherwise than on the books`}
        </span>
        <button
          type="button"
          className="btn btn-go min-h-14 flex-1 text-lead sm:flex-none sm:px-8"
          disabled={busy || counted.length === 0}
          onClick={() => void handIn()}
        >
          {busy ? "Booking …" : "Hand it in"}
        </button>
      </div>
    </div>
  );
}

function CountCard({
  row: { name, says, quantity, last },
  found,
  onCount,
  onClear,
}: {
  row: CountRow;
  found: number | undefined;
  onCount: (found: number) => void;
  onClear: () => void;
}) {
  const step = "btn btn-quiet size-14 px-0";
  const off = found !== undefined && found !== quantity;
  return (
    <li
      className={clsx(
        "card grid grid-cols-1 items-center gap-x-4 gap-y-2 px-4 py-3 sm:grid-cols-[minmax(0,1fr)_auto]",
        found !== undefined && (off ? "border-wait! border-l-[7px]!" : "border-go! border-l-[7px]!"),
      )}
    >
      <span className="min-w-0">
        <b className="break-words text-lead">{name}</b>
        <small className="block text-note text-soft">{says}</small>
        <small className="block text-note text-soft">
          {last === undefined ? (
            "never counted here"
          ) : (
            <>
              counted <Day at={last} />
            </>
          )}
        </small>
      </span>
      <span className="flex flex-wrap items-center gap-2">
        <button
          type="button"
          className={step}
          aria-label={`${name}: one less`}
          disabled={(found ?? quantity) <= 0}
          onClick={() => onCount((found ?? quantity) - 1)}
        >
          <Minus size={22} />
        </button>
        <input
          className="field plate w-16 px-1! text-center text-figure"
          inputMode="numeric"
          aria-label={`${name}: pieces that lie here`}
          placeholder={String(quantity)}
          value={found ?? ""}
          onChange={({ target: { value } }) => {
            if (value === "") onClear();
            else if (/^\d{1,6}$/.test(value)) onCount(Number(value));
          }}
        />
        <button
          type="button"
          className={step}
          aria-label={`${name}: one more`}
          onClick={() => onCount((found ?? quantity) + 1)}
        >
          <Plus size={22} />
        </button>
        {found === undefined ? (
          <button
            type="button"
            className="btn btn-quiet min-h-14 flex-1 px-3"
            aria-label={`${name}: ${pcs(quantity)}, right`}
            onClick={() => onCount(quantity)}
          >
            <Check size={20} aria-hidden /> Right
          </button>
        ) : (
          <span className={clsx("min-w-[6.5rem] flex-1", off ? "font-semibold text-wait" : "text-go-text")}>
            {off ? `books say ${quantity}` : "as on the books"}
          </span>
        )}
      </span>
    </li>
  );
}
