"use client";

import { Plus, X } from "lucide-react";
import { useState } from "react";
import { idOfName, plainNumber, type StoreHead, type StorePlace } from "@/core/formats";
import { err } from "@/core/result";
import { call } from "@/edge/client";
import { SAVE_STORE } from "@/edge/contracts/store";
import { SelectField } from "@/ui/kit/select-field";
import { TextField } from "@/ui/kit/text-field";
import { Notice } from "@/ui/notice";
import type { OwnSection } from "@/ui/own/own-field";
import { OwnForm } from "@/ui/own/own-form";
import { Panel } from "@/ui/page";
import { PLACE_KINDS, pcs } from "./store-words";

const SECTIONS: readonly OwnSection[] = [
  {
    title: "The store",
    fields: [
      { kind: "words", name: "name", label: "Name", placeholder: "e.g. Works store" },
      {
        kind: "words",
        name: "currency",
        label: "Currency",
        hint: "All prices are in it.",
        placeholder: "e.g. SHP",
      },
    ],
  },
  {
    title: "What time costs",
    note: "how deep to go is weighed by it",
    fields: [
      {
        kind: "entries",
        name: "rates",
        label: "In the currency of the prices",
        hint: "All three or none: without them no depth is recommended.",
        each: "number",
        keys: [
          { id: "hour", name: "An hour of work" },
          { id: "trip", name: "One more trip" },
          { id: "outage_hour", name: "An hour somebody goes without" },
        ],
      },
    ],
  },
];

const BLANK: StoreHead = {
  format: "loftbell.store",
  version: 1,
  id: "",
  name: "",
  currency: "",
  places: [
    { id: "van-1", name: "Van 1", kind: "van", days: 0 },
    { id: "shop", name: "Shop", kind: "shop", days: 0 },
  ],
};

/** A place as it is filled in: days are words until they are handed in. */
type PlaceDraft = Omit<StorePlace, "days" | "contact"> & { readonly days: string; readonly contact: string };

const draftOf = ({ days, contact = "", ...place }: StorePlace): PlaceDraft => ({
  ...place,
  days: String(days),
  contact,
});

/** The place as it shall be; nothing while its days cannot be read. */
function placeOf({ days, contact, ...place }: PlaceDraft): StorePlace | undefined {
  const count = plainNumber(days);
  if (count === undefined || !(count >= 0)) return undefined;
  return { ...place, days: count, ...(contact.trim() !== "" && { contact: contact.trim() }) };
}

/** A store's name, currency, rates and places, new or known. */
export function EditStore({
  store,
  lying = {},
  currency = "",
}: {
  store: StoreHead | undefined;
  /** Pieces that lie at a place, by its id. */
  lying?: Readonly<Record<string, number>>;
  /** That of the other stores: prices of two cannot be added up. */
  currency?: string;
}) {
  const first = store ?? { ...BLANK, currency };
  const [places, setPlaces] = useState<readonly PlaceDraft[]>(first.places.map(draftOf));
  const [wrong, setWrong] = useState<string>();
  return (
    <OwnForm
      what={store?.name ?? "the new store"}
      verb={store === undefined ? "Set it up" : "Save"}
      sections={SECTIONS}
      row={first}
      save={async (made) => {
        const read = places.map(placeOf);
        const unread = places.find((place, index) => place.name.trim() === "" || read[index] === undefined);
        if (unread !== undefined) {
          const message =
            unread.name.trim() === ""
              ? "Give each place a name, or take it away."
              : `${unread.name}: write the days until in hand as a number: 0, or 3.`;
          setWrong(message);
          return err({
            kind: "refused",
            status: 422,
            title: "It cannot be read",
            problems: [{ path: "/places", message }],
          });
        }
        setWrong(undefined);
        const row = { ...made, places: read as StorePlace[], id: store?.id ?? idOfName(made.name ?? "") };
        return call(SAVE_STORE, {
          params: { id: row.id || "store" },
          body: store === undefined ? { row } : { was: store, row },
        });
      }}
      after={() => (store === undefined ? "/store" : "/store/places")}
      cancel="/store"
      aside={<Places places={places} onPlaces={setPlaces} lying={lying} wrong={wrong} />}
    />
  );
}

function Places({
  places,
  onPlaces,
  lying,
  wrong,
}: {
  places: readonly PlaceDraft[];
  onPlaces: (to: readonly PlaceDraft[]) => void;
  lying: Readonly<Record<string, number>>;
  wrong: string | undefined;
}) {
  const put = (index: number, change: Partial<PlaceDraft>) =>
    onPlaces(places.map((place, at) => (at === index ? { ...place, ...change } : place)));
  const free = () => {
    let number = places.length + 1;
    while (places.some(({ id }) => id === `place-${number}`)) number += 1;
    return `place-${number}`;
  };
  return (
    <Panel title="Places" note="vans, shops, suppliers">
      <ul className="flex flex-col gap-4">
        {places.map((place, index) => {
          const pieces = lying[place.id] ?? 0;
          return (
            <li key={place.id} className="flex flex-col gap-2 border-rule border-l-[4px] pl-3">
              <div className="flex items-end gap-2">
                <div className="flex-1">
                  <TextField label="Name" value={place.name} onChange={(name) => put(index, { name })} />
                </div>
                {pieces === 0 ? (
                  <button
                    type="button"
                    aria-label={`Take ${place.name || "this place"} away`}
                    className="btn btn-quiet mb-0.5 min-w-11 px-3"
                    onClick={() => onPlaces(places.filter((_, at) => at !== index))}
                  >
                    <X size={18} aria-hidden />
                  </button>
                ) : (
                  <span className="mb-3 text-note text-soft">{pcs(pieces)} lie there</span>
                )}
              </div>
              <div className="grid grid-cols-2 gap-2">
                <SelectField
                  label="Kind"
                  value={place.kind}
                  options={Object.entries(PLACE_KINDS).map(([id, name]) => ({ id, name }))}
                  onChange={(kind) => put(index, { kind: kind as StorePlace["kind"] })}
                />
                <TextField
                  label={place.kind === "supplier" ? "Comes in" : "In hand in"}
                  mark="days"
                  value={place.days}
                  onChange={(days) => put(index, { days })}
                />
              </div>
              {place.kind === "supplier" && (
                <TextField
                  label="How to reach them"
                  mark="phone, customer number"
                  value={place.contact}
                  onChange={(contact) => put(index, { contact })}
                />
              )}
            </li>
          );
        })}
      </ul>
      {wrong !== undefined && (
        <Notice tone="stop" live>
          {wrong}
        </Notice>
      )}
      <button
        type="button"
        className="btn btn-quiet mt-3"
        onClick={() =>
          onPlaces([...places, { id: free(), name: "", kind: "supplier", days: "3", contact: "" }])
        }
      >
        <Plus size={18} aria-hidden /> Add a place
      </button>
    </Panel>
  );
}
