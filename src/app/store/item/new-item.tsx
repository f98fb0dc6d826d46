"use client";

import { useState } from "react";
import type { Item } from "@/core/formats";
import { type Option, SelectField } from "@/ui/kit/select-field";
import { Panel } from "@/ui/page";
import { EditItem, type ItemChoices } from "./edit-item";

/** A kit or part with what it is called on the shelf. */
interface Offered extends Option {
  readonly called: string;
}
/** A sheet with what can be had for it. */
export interface SheetItems {
  readonly id: string;
  readonly title: string;
  readonly kits: readonly Offered[];
  readonly parts: readonly Offered[];
}

/** Which kit, part or supply it is; then what is known of it. */
export function NewItem({ choices, sheets }: { choices: ItemChoices; sheets: readonly SheetItems[] }) {
  const [kind, setKind] = useState<Item["kind"]>("kit");
  const [sheet, setSheet] = useState("");
  const [id, setId] = useState("");
  const from = sheets.find((each) => each.id === sheet);
  const offered = (kind === "kit" ? from?.kits : from?.parts) ?? [];
  const chosen = offered.find((each) => each.id === id);
  const supply = kind === "supply";
  return (
    <div className="flex flex-col gap-4">
      <Panel title="Which one">
        <div className="grid grid-cols-1 gap-2 sm:grid-cols-3">
          <SelectField
            label="Kind"
            value={kind}
            options={[
              { id: "kit", name: "Kit of a sheet" },
              { id: "part", name: "Single part of a sheet" },
              { id: "supply", name: "Supply: grease, tape, cleaner" },
            ]}
            onChange={(to) => {
              setKind(to as Item["kind"]);
              setId("");
            }}
          />
          {!supply && (
            <>
              <SelectField
                label="For"
                value={sheet}
                options={sheets.map((each) => ({ id: each.id, name: each.title }))}
                onChange={(to) => {
                  setSheet(to);
                  setId("");
                }}
              />
              <SelectField
                label={kind === "kit" ? "Which kit" : "Which part"}
                value={id}
                options={offered}
                onChange={setId}
              />
            </>
          )}
        </div>
      </Panel>
      {supply || chosen !== undefined ? (
        <EditItem
          key={`${kind} ${sheet} ${id}`}
          item={supply ? undefined : { kind, id, sheet }}
          called={chosen?.called ?? ""}
          card={undefined}
          choices={choices}
        />
      ) : (
        <p className="text-soft">Choose the sheet and which one of it: then its name, price and places.</p>
      )}
    </div>
  );
}
