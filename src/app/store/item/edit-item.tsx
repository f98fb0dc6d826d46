"use client";

import { Plus, X } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { type Item, type ItemCard, idOfName, sameItem } from "@/core/formats";
import { call } from "@/edge/client";
import { SAVE_ITEM } from "@/edge/contracts/store";
import { type Option, SelectField } from "@/ui/kit/select-field";
import { TextField } from "@/ui/kit/text-field";
import { Notice } from "@/ui/notice";
import { useChanged } from "@/ui/own/use-changed";
import { Panel } from "@/ui/page";
import { Unsaved } from "@/ui/unsaved";

/** An item that a store has, as another may name it. */
export interface OtherItem extends Option {
  readonly item: Item;
}
/** A sheet with what can be had for it. */
export interface SheetItems {
  readonly id: string;
  readonly title: string;
  /** Each with what it is called on the shelf. */
  readonly kits: readonly (Option & { readonly called: string })[];
  readonly parts: readonly (Option & { readonly called: string })[];
}

interface Lies {
  readonly place: string;
  readonly price: string;
  readonly least: string;
}

const figure = (text: string) => Number(text.trim().replace(",", "."));

/** An item of the store: what it is, where it lies and how many shall lie there, who sells it, what replaced it. */
export function EditItem({
  store,
  card,
  places,
  currency,
  others,
  sheets,
  itemPage,
}: {
  store: string;
  /** Nothing for a new one. */
  card: ItemCard | undefined;
  places: readonly { readonly id: string; readonly name: string; readonly kind: string }[];
  currency: string;
  others: readonly OtherItem[];
  sheets: readonly SheetItems[];
  itemPage: string;
}) {
  const router = useRouter();
  const changed = useChanged();
  const [kind, setKind] = useState<Item["kind"]>(card?.item.kind ?? "kit");
  const [sheet, setSheet] = useState(card?.item.sheet ?? "");
  const [id, setId] = useState(card?.item.id ?? "");
  const [name, setName] = useState(card?.name ?? "");
  const [lies, setLies] = useState<readonly Lies[]>(
    card?.lies.map(({ place, price, least }) => ({
      place,
      price: String(price),
      least: least === undefined ? "" : String(least),
    })) ?? [{ place: places[0]?.id ?? "", price: "", least: "" }],
  );
  const [supplier, setSupplier] = useState(card?.supplier ?? "");
  const [order, setOrder] = useState(card?.order ?? "");
  const [pack, setPack] = useState(card?.pack === undefined ? "" : String(card.pack));
  const [code, setCode] = useState(card?.code ?? "");
  const keyed = (item: Item | undefined) =>
    others.find((each) => item !== undefined && sameItem(each.item, item))?.id ?? "";
  const [replacedBy, setReplacedBy] = useState(keyed(card?.replacedBy));
  const [instead, setInstead] = useState(keyed(card?.instead?.[0]));
  const [busy, setBusy] = useState(false);
  const [touched, setTouched] = useState(false);
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const from = sheets.find((each) => each.id === sheet);
  const offered = kind === "kit" ? (from?.kits ?? []) : kind === "part" ? (from?.parts ?? []) : [];
  const error = (field: string) => (wrong[field] === undefined ? {} : { error: wrong[field] });
  const touch =
    <T,>(set: (to: T) => void) =>
    (to: T) => {
      setTouched(true);
      set(to);
    };
  const put = (index: number, change: Partial<Lies>) => {
    setTouched(true);
    setLies(lies.map((each, at) => (at === index ? { ...each, ...change } : each)));
  };
  const save = async () => {
    const own = kind === "supply" ? idOfName(name) : id;
    const asks: Record<string, string> = {
      ...(kind !== "supply" && sheet === "" && { sheet: "Choose the sheet it is for." }),
      ...(kind !== "supply" && sheet !== "" && id === "" && { id: "Choose which one it is." }),
      ...(name.trim() === "" && { name: "Write what it is called." }),
      ...(pack.trim() !== "" && !(figure(pack) >= 1) && { pack: "Write whole pieces, 1 or more." }),
      ...Object.fromEntries(
        lies.flatMap(({ price, least }, index) => [
          ...(price.trim() === "" || figure(price) >= 0
            ? []
            : [[`lies/${index}/price`, "Write the price of one as a number: 14.50."]]),
          ...(least.trim() === "" || Number.isInteger(figure(least))
            ? []
            : [[`lies/${index}/least`, "Write whole pieces, 0 or more."]]),
        ]),
      ),
    };
    setWrong(asks);
    if (Object.keys(asks).length > 0) return;
    const other = (key: string) => others.find((each) => each.id === key)?.item;
    const [newer, like] = [other(replacedBy), other(instead)];
    const row: ItemCard = {
      item: { kind, id: own, ...(kind !== "supply" && { sheet }) },
      name: name.trim(),
      lies: lies.map(({ place, price, least }) => ({
        place,
        price: price.trim() === "" ? 0 : figure(price),
        ...(least.trim() !== "" && { least: figure(least) }),
      })),
      ...(supplier !== "" && { supplier }),
      ...(order.trim() !== "" && { order: order.trim() }),
      ...(pack.trim() !== "" && { pack: figure(pack) }),
      ...(code.trim() !== "" && { code: code.trim() }),
      ...(newer !== undefined && { replacedBy: newer }),
      ...(like !== undefined && { instead: [like, ...(card?.instead ?? []).slice(1)] }),
    };
    setBusy(true);
    const done = await call(SAVE_ITEM, {
      params: { id: store },
      body: card === undefined ? { row } : { was: card, row },
    });
    setBusy(false);
    if (!done.ok)
      return setWrong(
        Object.fromEntries(
          done.error.problems.map(({ path, message }) => {
            const field = path.replace(/^\/row\//, "");
            return [field in FIELDS || field.startsWith("lies/") ? field : "", message];
          }),
        ),
      );
    setTouched(false);
    changed("It is saved.", done.value.edit);
    const { item } = row;
    router.push(
      `/store/item?${new URLSearchParams({ store, kind: item.kind, id: item.id, ...(item.sheet !== undefined && { sheet: item.sheet }) })}`,
    );
    router.refresh();
  };
  return (
    <div className="flex flex-col gap-4">
      <Unsaved unsaved={touched} what={name || "the new item"} />
      {wrong[""] !== undefined && (
        <Notice tone="stop" live>
          <b>Nothing was changed.</b> {wrong[""]}
        </Notice>
      )}
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-2">
        <Panel title="What it is">
          <div className="flex flex-col gap-2">
            {card === undefined && (
              <>
                <SelectField
                  label="Kind"
                  value={kind}
                  options={[
                    { id: "kit", name: "Kit of a sheet" },
                    { id: "part", name: "Single part of a sheet" },
                    { id: "supply", name: "Supply: grease, tape, cleaner" },
                  ]}
                  onChange={touch((to) => {
                    setKind(to as Item["kind"]);
                    setId("");
                  })}
                />
                {kind !== "supply" && (
                  <>
                    <SelectField
                      label="For"
                      value={sheet}
                      options={sheets.map((each) => ({ id: each.id, name: each.title }))}
                      onChange={touch((to) => {
                        setSheet(to);
                        setId("");
                      })}
                      {...error("sheet")}
                    />
                    <SelectField
                      label={kind === "kit" ? "Which kit" : "Which part"}
                      value={id}
                      options={offered}
                      onChange={touch((to) => {
                        setId(to);
                        setName(offered.find((each) => each.id === to)?.called ?? "");
                      })}
                      {...error("id")}
                    />
                  </>
                )}
              </>
            )}
            <TextField label="Name" value={name} onChange={touch(setName)} {...error("name")} />
            <TextField
              label="Label"
              mark="what its code reads when scanned"
              value={code}
              onChange={touch(setCode)}
              {...error("code")}
            />
          </div>
        </Panel>
        <Panel title="Where it lies">
          <ul className="flex flex-col gap-3">
            {lies.map((each, index) => (
              <li
                key={index}
                className="grid grid-cols-[1fr_1fr_auto] items-start gap-2 border-rule border-l-[4px] pl-3 sm:grid-cols-[minmax(0,1.4fr)_1fr_1fr_auto]"
              >
                <div className="col-span-3 sm:col-span-1">
                  <SelectField
                    label="Place"
                    value={each.place}
                    options={places}
                    onChange={(place) => put(index, { place })}
                    {...error(`lies/${index}/place`)}
                  />
                </div>
                <TextField
                  label="Price"
                  mark={`${currency} each`}
                  value={each.price}
                  onChange={(price) => put(index, { price })}
                  {...error(`lies/${index}/price`)}
                />
                {places.find(({ id }) => id === each.place)?.kind === "supplier" ? (
                  <span />
                ) : (
                  <TextField
                    label="At least"
                    mark="pcs"
                    value={each.least}
                    onChange={(least) => put(index, { least })}
                    {...error(`lies/${index}/least`)}
                  />
                )}
                <button
                  type="button"
                  aria-label={`Take the place ${places.find(({ id }) => id === each.place)?.name ?? ""} away`}
                  className="btn btn-quiet mt-7 min-w-11 px-3"
                  disabled={lies.length === 1}
                  onClick={() => touch(setLies)(lies.filter((_, at) => at !== index))}
                >
                  <X size={18} aria-hidden />
                </button>
              </li>
            ))}
          </ul>
          {lies.length < places.length && (
            <button
              type="button"
              className="btn btn-quiet mt-3"
              onClick={() =>
                touch(setLies)([
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
        <Panel title="Buying it">
          <div className="grid grid-cols-1 gap-2 sm:grid-cols-2">
            <div className="sm:col-span-2">
              <SelectField
                label="Ordered from"
                value={supplier}
                options={[
                  { id: "", name: "whoever has it for less" },
                  ...places.filter((place) => place.kind === "supplier"),
                ]}
                onChange={touch(setSupplier)}
                {...error("supplier")}
              />
            </div>
            <TextField label="Order number" value={order} onChange={touch(setOrder)} {...error("order")} />
            <TextField
              label="Sold by"
              mark="pcs, if not singly"
              value={pack}
              onChange={touch(setPack)}
              {...error("pack")}
            />
          </div>
        </Panel>
        <Panel title="In its place">
          <div className="flex flex-col gap-2">
            <SelectField
              label="Replaced by"
              hint="It is ordered from now on, and serves on jobs that ask for this one."
              value={replacedBy}
              options={[{ id: "", name: "nothing, it is still sold" }, ...others]}
              onChange={touch(setReplacedBy)}
              {...error("replacedBy")}
            />
            <SelectField
              label="Serves as well"
              hint="Offered on jobs where this one does not lie. Only what its maker, or yours, says fits."
              value={instead}
              options={[{ id: "", name: "nothing" }, ...others]}
              onChange={touch(setInstead)}
              {...error("instead")}
            />
          </div>
        </Panel>
      </div>
      <div className="sticky bottom-0 z-10 flex flex-wrap gap-3 border-rule border-t-[1.5px] bg-paper py-3">
        <button
          type="button"
          className="btn btn-go min-h-14 flex-1 text-lead sm:flex-none sm:px-10"
          disabled={busy}
          onClick={() => void save()}
        >
          {busy ? "Saving …" : card === undefined ? "Add this item" : "Save"}
        </button>
        <a href={itemPage} className="btn btn-quiet min-h-14">
          Leave
        </a>
      </div>
    </div>
  );
}

const FIELDS = {
  name: true,
  code: true,
  supplier: true,
  order: true,
  pack: true,
  replacedBy: true,
  instead: true,
  sheet: true,
  id: true,
};
