"use client";

import { Plus, X } from "lucide-react";
import { useState } from "react";
import { type Item, type ItemCard, idOfName, itemKey, plainNumber } from "@/core/formats";
import { err } from "@/core/result";
import { call } from "@/edge/client";
import { SAVE_ITEM } from "@/edge/contracts/store";
import { itemHref } from "@/server/find/item-href";
import { type Option, SelectField } from "@/ui/kit/select-field";
import { TextField } from "@/ui/kit/text-field";
import type { OwnSection } from "@/ui/own/own-field";
import { OwnForm } from "@/ui/own/own-form";
import { Panel } from "@/ui/page";

/** An item that a store has, as another may name it. */
export interface OtherItem extends Option {
  readonly item: Item;
}

export interface ItemChoices {
  readonly store: string;
  readonly currency: string;
  readonly places: readonly (Option & { readonly kind: string })[];
  readonly others: readonly OtherItem[];
}

/** An item's card as its form has it: other items by their keys, the places beside it. */
interface CardRow extends Omit<ItemCard, "item" | "lies" | "replacedBy" | "instead"> {
  readonly replacedBy?: string;
  readonly instead?: string;
}

/** A place of an item as it is filled in: figures are words until they are handed in. */
interface Lies {
  readonly place: string;
  readonly price: string;
  readonly least: string;
}

const sections = ({ places, others }: ItemChoices): OwnSection[] => [
  {
    title: "What it is",
    fields: [
      { kind: "words", name: "name", label: "Name" },
      { kind: "words", name: "code", label: "Label", mark: "what its code reads when scanned" },
    ],
  },
  {
    title: "Buying it",
    fields: [
      {
        kind: "choice",
        name: "supplier",
        label: "Ordered from",
        options: places.filter(({ kind }) => kind === "supplier"),
        none: "whoever has it for less",
      },
      { kind: "words", name: "order", label: "Order number" },
      { kind: "number", name: "pack", label: "Sold by", mark: "pcs, if not singly" },
    ],
  },
  {
    title: "In its place",
    fields: [
      {
        kind: "choice",
        name: "replacedBy",
        label: "Replaced by",
        hint: "It is ordered from now on, and serves on jobs that ask for this one.",
        options: others,
        none: "nothing, it is still sold",
      },
      {
        kind: "choice",
        name: "instead",
        label: "Serves as well",
        hint: "Offered on jobs where this one does not lie. Only what its maker, or yours, says fits.",
        options: others,
        none: "nothing",
      },
    ],
  },
];

function rowOf({ item: _, lies: __, replacedBy, instead = [], ...known }: ItemCard): CardRow {
  const [first] = instead;
  return {
    ...known,
    ...(replacedBy !== undefined && { replacedBy: itemKey(replacedBy) }),
    ...(first !== undefined && { instead: itemKey(first) }),
  };
}

const draftOf = ({ place, price, least }: ItemCard["lies"][number]): Lies => ({
  place,
  price: String(price),
  least: least === undefined ? "" : String(least),
});

/** An item of the store: what it is, where it lies and how many shall lie there, who sells it, what replaced it. */
export function EditItem({
  item,
  called = "",
  card,
  choices,
}: {
  /** Which one; of a supply that is new its name says it. */
  item: Item | undefined;
  /** What a new one is called by its sheet. */
  called?: string;
  /** Nothing for a new one. */
  card: ItemCard | undefined;
  choices: ItemChoices;
}) {
  const { store, places, others } = choices;
  const [lies, setLies] = useState<readonly Lies[]>(
    card?.lies.map(draftOf) ?? [{ place: places[0]?.id ?? "", price: "", least: "" }],
  );
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const made = (row: CardRow): ItemCard => {
    const { replacedBy, instead, ...known } = row;
    const other = (key: string | undefined) => others.find(({ id }) => id === key)?.item;
    const [newer, like] = [other(replacedBy), other(instead)];
    return {
      ...known,
      item: item ?? { kind: "supply", id: idOfName(row.name ?? "") },
      lies: lies.map(({ place, price, least }) => {
        const pieces = plainNumber(least);
        return { place, price: plainNumber(price) ?? 0, ...(pieces !== undefined && { least: pieces }) };
      }),
      ...(newer !== undefined && { replacedBy: newer }),
      ...(like !== undefined && { instead: [like, ...(card?.instead ?? []).slice(1)] }),
    };
  };
  return (
    <OwnForm
      what={card?.name ?? "the new item"}
      verb={card === undefined ? "Add this item" : "Save"}
      sections={sections(choices)}
      row={card === undefined ? ({ name: called } as CardRow) : rowOf(card)}
      save={async (row) => {
        const unread = liesUnread(lies);
        setWrong(unread);
        const problems = Object.entries(unread).map(([path, message]) => ({ path, message }));
        if (problems.length > 0)
          return err({ kind: "refused", status: 422, title: "It cannot be read", problems });
        const done = await call(SAVE_ITEM, {
          params: { id: store },
          body: card === undefined ? { row: made(row) } : { was: card, row: made(row) },
        });
        if (!done.ok)
          setWrong(
            Object.fromEntries(
              done.error.problems.map(({ path, message }) => [path.replace("/row", ""), message]),
            ),
          );
        return done;
      }}
      after={(row) => itemHref(store, made(row).item)}
      cancel={card === undefined ? "/store" : itemHref(store, card.item)}
      aside={<WhereItLies lies={lies} onLies={setLies} wrong={wrong} {...choices} />}
    />
  );
}

/** What of the places cannot be read, by its field. */
const liesUnread = (lies: readonly Lies[]): Record<string, string> =>
  Object.fromEntries(
    lies.flatMap(({ price, least }, index) => [
      ...(Number.isNaN(plainNumber(price))
        ? [[`/lies/${index}/price`, "Write the price of one as a number: 14.50."]]
        : []),
      ...(Number.isNaN(plainNumber(least))
        ? [[`/lies/${index}/least`, "Write whole pieces, 0 or more."]]
        : []),
    ]),
  );

function WhereItLies({
  lies,
  onLies,
  wrong,
  places,
  currency,
}: ItemChoices & {
  lies: readonly Lies[];
  onLies: (to: readonly Lies[]) => void;
  wrong: Readonly<Record<string, string>>;
}) {
  const put = (index: number, change: Partial<Lies>) =>
    onLies(lies.map((each, at) => (at === index ? { ...each, ...change } : each)));
  const error = (path: string) => (wrong[path] === undefined ? {} : { error: wrong[path] });
  return (
    <Panel title="Where it lies">
      <ul className="flex flex-col gap-3">
        {lies.map((each, index) => (
          <li key={index} className="grid grid-cols-2 items-start gap-2 border-rule border-l-[4px] pl-3">
            <div className="col-span-2 flex items-start gap-2">
              <div className="min-w-0 flex-1">
                <SelectField
                  label="Place"
                  value={each.place}
                  options={places}
                  onChange={(place) => put(index, { place })}
                  {...error(`/lies/${index}/place`)}
                />
              </div>
              <button
                type="button"
                aria-label={`Take the place ${places.find(({ id }) => id === each.place)?.name ?? ""} away`}
                className="btn btn-quiet mt-7 min-w-11 px-3"
                disabled={lies.length === 1}
                onClick={() => onLies(lies.filter((_, at) => at !== index))}
              >
                <X size={18} aria-hidden />
              </button>
            </div>
            <TextField
              label="Price"
              mark={`${currency} each`}
              value={each.price}
              onChange={(price) => put(index, { price })}
              {...error(`/lies/${index}/price`)}
            />
            {places.find(({ id }) => id === each.place)?.kind !== "supplier" && (
              <TextField
                label="At least"
                mark="pcs"
                value={each.least}
                onChange={(least) => put(index, { least })}
                {...error(`/lies/${index}/least`)}
              />
            )}
          </li>
        ))}
      </ul>
      {lies.length < places.length && (
        <button
          type="button"
          className="btn btn-quiet mt-3"
          onClick={() =>
            onLies([
              ...lies,
              {
                place: places.find(({ id }) => lies.every(({ place }) => place !== id))?.id ?? "",
                price: lies[0]?.price ?? "",
                least: "",
              },
            ])
          }
        >
          <Plus size={18} aria-hidden /> Add a place
        </button>
      )}
      <p className="mt-2 text-note text-soft">
        Pieces are not written here: they are booked in, counted, moved, so that the ledger tells of each.
      </p>
    </Panel>
  );
}
