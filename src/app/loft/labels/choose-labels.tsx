"use client";

import { Printer } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { LABEL_SHEETS } from "@/core/papers";
import { addressOf } from "@/edge/client";
import { LABELS_PDF } from "@/edge/contracts/papers";
import type { LabelsOf } from "@/server/papers/labels";
import { SelectField } from "@/ui/kit/select-field";
import { SheetDrawn } from "./sheet-drawn";

const KINDS: readonly (readonly [LabelsOf, string, string])[] = [
  ["valves", "Valves", "Place"],
  ["lock-points", "Lock points", "Line"],
  ["store-items", "Kits and parts", "Store"],
];

interface Listed {
  readonly id: string;
  readonly plate: string;
  readonly name: string;
  readonly place: string;
}

/** What gets a label, on which sheet, from which place of it on. */
export function ChooseLabels({
  of,
  where,
  chosen,
  all,
  more,
  some,
}: {
  of: LabelsOf;
  where: readonly { readonly id: string; readonly name: string }[];
  chosen: string | undefined;
  all: readonly Listed[];
  /** How many there are besides those listed; true where nobody counted them. */
  more: number | boolean;
  /** Only these were asked for, not all that is there. */
  some: boolean;
}) {
  const router = useRouter();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [sheetId, setSheetId] = useState(LABEL_SHEETS[0]!.id);
  const [skip, setSkip] = useState(0);
  const sheet = LABEL_SHEETS.find(({ id }) => id === sheetId)!;
  const on = sheet.columns * sheet.rows;
  const printed = all.filter(({ id }) => !left.has(id));
  const go = (next: { of: LabelsOf; in?: string }) =>
    router.push(`/loft/labels?${new URLSearchParams(next)}`, { scroll: false });
  const toggle = (id: string) => {
    const next = new Set(left);
    if (!next.delete(id)) next.add(id);
    setLeft(next);
  };
  const count = printed.length + (left.size === 0 && typeof more === "number" ? more : 0);
  const href = addressOf(LABELS_PDF, {
    query: {
      of,
      in: chosen,
      sheet: sheetId,
      skip: skip === 0 ? undefined : skip,
      only: left.size === 0 && !some ? undefined : printed.map(({ id }) => id),
    },
  });
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[1fr_22rem]">
      <section className="card flex flex-col gap-3 p-4">
        <div className="flex flex-wrap gap-2">
          {KINDS.map(([kind, name]) => (
            <button
              key={kind}
              type="button"
              aria-pressed={kind === of}
              onClick={() => go({ of: kind })}
              className={`btn ${kind === of ? "border-2 border-ink bg-ink text-paper" : "btn-quiet"}`}
            >
              {name}
            </button>
          ))}
        </div>
        {where.length > 0 && (
          <SelectField
            label={KINDS.find(([kind]) => kind === of)![2]}
            value={chosen ?? ""}
            onChange={(id) => go({ of, ...(id !== "" && { in: id }) })}
            options={[...(of === "valves" ? [{ id: "", name: "All" }] : []), ...where]}
          />
        )}
        {all.length === 0 ? (
          <p className="text-soft">
            {more === true
              ? "More than are printed at once. Choose a place."
              : of === "lock-points"
                ? "No point of this line is marked as one that takes a lock."
                : "There is nothing here to label yet."}{" "}
            {of === "valves" && more !== true && (
              <Link className="underline underline-offset-4" href="/valves/new">
                Add a valve
              </Link>
            )}
          </p>
        ) : (
          <ul className="dashed max-h-[46vh] overflow-y-auto" tabIndex={0} aria-label="What gets a label">
            {all.map(({ id, plate, name, place }) => (
              <li key={id}>
                <label className="flex min-h-12 items-center gap-3 py-1">
                  <input
                    type="checkbox"
                    className="size-6 accent-current"
                    checked={!left.has(id)}
                    onChange={() => toggle(id)}
                  />
                  <b className="plate min-w-24">{plate}</b>
                  <span className="min-w-0">
                    {name}
                    <small className="block text-soft">{place}</small>
                  </span>
                </label>
              </li>
            ))}
          </ul>
        )}
        {typeof more === "number" && more > 0 && (
          <p className="text-soft">
            And {more} more: they are printed with these as long as none of these is left out.
          </p>
        )}
      </section>
      <section className="card flex flex-col gap-3 p-4">
        <SelectField
          label="Sheet or roll"
          value={sheetId}
          onChange={(id) => {
            setSheetId(id);
            setSkip(0);
          }}
          options={LABEL_SHEETS}
        />
        {on > 1 && (
          <SelectField
            label="Begin at label"
            value={String(skip)}
            onChange={(places) => setSkip(Number(places))}
            options={Array.from({ length: on }, (_, place) => ({
              id: String(place),
              name: place === 0 ? "1: the sheet is new" : String(place + 1),
            }))}
          />
        )}
        {count > 0 && (
          <a href={href} className="btn btn-go" target="_blank" rel="noreferrer">
            <Printer size={20} aria-hidden="true" /> {count === 1 ? "1 label" : `${count} labels`}
          </a>
        )}
        <SheetDrawn sheet={sheet} skip={skip} plates={printed.map(({ plate }) => plate)} onSkip={setSkip} />
        <p className="text-note text-soft">
          Print it at 100 %, not fitted to the page: each label lies where its sheet has it.
        </p>
      </section>
    </div>
  );
}
