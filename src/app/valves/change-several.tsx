"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Valve } from "@/core/formats";
import { grouped } from "@/core/quantity";
import type { Result } from "@/core/result";
import { type CallFailure, call } from "@/edge/client";
import { BRING_BACK_VALVES, CHANGE_VALVES, RETIRE_VALVES } from "@/edge/contracts/own";
import { VALVE_TAGS } from "@/edge/contracts/register";
import { DateField } from "@/ui/kit/date-field";
import { type Option, SelectField } from "@/ui/kit/select-field";
import { TextField } from "@/ui/kit/text-field";
import type { ListAsk } from "@/ui/list/list-address";
import { Modal } from "@/ui/modal";
import { Notice } from "@/ui/notice";
import { useChanged } from "@/ui/own/use-changed";

/** What valves can be given, by its name. */
export interface BulkChoices {
  readonly sheets: readonly { readonly id: string; readonly title: string }[];
  readonly lines: readonly { readonly id: string; readonly name: string }[];
  readonly places: readonly string[];
}

const FIELDS = {
  place: "Place",
  sheet: "Sheet",
  line: "Line",
  installed: "Built in",
  serviced: "Last service",
  note: "Note",
  symptom: "Reported fault",
} as const;
type Field = keyof typeof FIELDS;
const CAN_BE_EMPTY: readonly Field[] = ["line", "installed", "serviced", "note", "symptom"];
const RETIRE = "retire";
const OPTIONS: readonly Option[] = [
  ...Object.entries(FIELDS).map(([id, name]) => ({ id, name })),
  { id: RETIRE, name: "Out of service for good" },
];

/** The same change for several valves, as one: seen in numbers before, undone as one after. */
export function ChangeSeveral({
  tags,
  ask,
  total,
  retired,
  choices,
  onDone,
}: {
  tags: readonly string[];
  ask: ListAsk;
  /** How many fit what the list is narrowed to. */
  total: number;
  retired: boolean;
  choices: BulkChoices;
  onDone: () => void;
}) {
  const router = useRouter();
  const changed = useChanged();
  const [open, setOpen] = useState(false);
  // All that fit, as long as neither what the list is narrowed to nor what is ticked changes.
  const [whole, setWhole] = useState<{ readonly of: string; readonly tags: readonly string[] }>();
  const { page: _, columns: __, sort: ___, down: ____, ...query } = ask;
  const chosen = JSON.stringify([query, tags]);
  const [what, setWhat] = useState<Field | typeof RETIRE>("place");
  const [value, setValue] = useState("");
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const all = whole?.of === chosen ? whole.tags : tags;
  const many = `${grouped(all.length)} ${all.length === 1 ? "valve" : "valves"}`;

  const chooseWhole = async () => {
    const found = await call(VALVE_TAGS, { query });
    if (found.ok) setWhole({ of: chosen, tags: found.value.tags });
    else setRefused(found.error.problems.map(({ message }) => message));
  };
  const does = (): Promise<Result<{ readonly edit?: string | undefined }, CallFailure>> => {
    if (retired) return call(BRING_BACK_VALVES, { body: { tags: [...all] } });
    if (what === RETIRE) return call(RETIRE_VALVES, { body: { tags: [...all], why: value.trim() } });
    return call(CHANGE_VALVES, {
      body:
        value.trim() === ""
          ? { tags: [...all], clear: what === "line" ? ["line", "node"] : [what] }
          : {
              tags: [...all],
              set: { [what]: value.trim() } as Partial<Valve>,
              // On another line each stands under its own tag, not where it stood on the old one.
              ...(what === "line" && { clear: ["node"] }),
            },
    });
  };
  const change = async () => {
    if (!retired && value.trim() === "" && (what === RETIRE || !CAN_BE_EMPTY.includes(what)))
      return setRefused([what === RETIRE ? "Say why." : `Fill in the ${FIELDS[what].toLowerCase()}.`]);
    setBusy(true);
    const done = await does();
    setBusy(false);
    if (!done.ok)
      return setRefused([...new Set(done.error.problems.map(({ message }) => message))].slice(0, 8));
    setOpen(false);
    changed(`${many} changed.`, done.value.edit);
    onDone();
    router.refresh();
  };
  return (
    <div className="no-print sticky bottom-0 z-20 flex flex-wrap items-center gap-3 border-ink border-t-[3px] bg-paper py-3">
      <b className="plate text-lead">{many} chosen</b>
      {all === tags && total > tags.length && total <= 2000 && (
        <button type="button" className="btn btn-quiet" onClick={() => void chooseWhole()}>
          Choose all {grouped(total)} that fit
        </button>
      )}
      <button
        type="button"
        className="btn btn-go ml-auto"
        disabled={all.length === 0}
        onClick={() => {
          setRefused([]);
          setOpen(true);
        }}
      >
        {retired ? "Bring them back" : "Change them"}
      </button>
      <Modal
        open={open}
        onOpenChange={setOpen}
        title={retired ? `Bring ${many} back into service?` : `Change ${many}`}
        says={all.slice(0, 12).join(", ") + (all.length > 12 ? " …" : "")}
      >
        {refused.length > 0 && (
          <Notice tone="stop" live>
            <b>Nothing was changed.</b> {refused.join(" ")}
          </Notice>
        )}
        {!retired && (
          <>
            <SelectField
              label="What"
              value={what}
              options={OPTIONS}
              onChange={(to) => {
                setWhat(to as typeof what);
                setValue("");
              }}
            />
            <ValueField what={what} value={value} onChange={setValue} choices={choices} />
          </>
        )}
        <div className="flex justify-end gap-3">
          <button type="button" className="btn btn-quiet" onClick={() => setOpen(false)}>
            Leave them
          </button>
          <button type="button" className="btn btn-go" disabled={busy} onClick={() => void change()}>
            {busy ? "Changing …" : retired ? "Bring them back" : `Change ${many}`}
          </button>
        </div>
      </Modal>
    </div>
  );
}

function ValueField({
  what,
  value,
  onChange,
  choices,
}: {
  what: Field | typeof RETIRE;
  value: string;
  onChange: (to: string) => void;
  choices: BulkChoices;
}) {
  switch (what) {
    case "sheet":
      return (
        <SelectField
          label="Sheet"
          value={value}
          options={choices.sheets.map(({ id, title }) => ({ id, name: title }))}
          onChange={onChange}
        />
      );
    case "line":
      return (
        <SelectField
          label="Line"
          hint="Each stands there under its own tag."
          value={value}
          options={[{ id: "", name: "on no drawn line" }, ...choices.lines]}
          onChange={onChange}
        />
      );
    case "installed":
    case "serviced":
      return (
        <DateField
          label={FIELDS[what]}
          hint="Left empty it is taken out."
          value={value}
          onChange={onChange}
        />
      );
    case "place":
      return (
        <TextField
          label="Place"
          value={value}
          onChange={onChange}
          offered={choices.places.map((each) => ({ value: each }))}
        />
      );
    case "retire":
      return <TextField label="Why" value={value} onChange={onChange} />;
    case "note":
    case "symptom":
      return (
        <TextField
          label={FIELDS[what]}
          hint="Left empty it is taken out."
          long
          value={value}
          onChange={onChange}
        />
      );
  }
}
