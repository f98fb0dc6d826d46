"use client";

import clsx from "clsx";
import { useRouter } from "next/navigation";
import { type ReactNode, useMemo, useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import type { Role } from "@/core/people";
import type { Problem, Result } from "@/core/result";
import type { CallFailure } from "@/edge/client";
import { Asked, useAsked } from "../kit/asked";
import { DateField } from "../kit/date-field";
import { SelectField } from "../kit/select-field";
import { TextField } from "../kit/text-field";
import { Notice } from "../notice";
import { Panel } from "../page";
import { NotForYou } from "../people/not-for-you";
import { useMay } from "../settings";
import { Unsaved } from "../unsaved";
import { at, type Box, boxesOf, type OwnField, type OwnSection, readBox, shownIn, withAt } from "./own-field";
import { type Pair, Pairs } from "./pairs";
import { useChanged } from "./use-changed";

/** What came of a saving: by `edit` it is undone. */
interface Kept {
  readonly edit?: string | undefined;
}

type Values = { boxes: string[]; pairs: Pair[][] };

/**
 * A form over one row of own data. What is wrong is said at its field; what the form does not ask stays as it is; after
 * saving it can be undone.
 */
export function OwnForm<Row extends object>({
  sections,
  row,
  save,
  after,
  verb = "Save",
  what,
  aside,
  cancel,
  asks = "planner",
}: {
  sections: readonly OwnSection[];
  row: Row;
  save: (row: Row) => Promise<Result<Kept, CallFailure>>;
  /** Where it leads to when it is saved. */
  after: (row: Row) => string;
  verb?: string;
  /** What is being filled in, in a word. */
  what: string;
  aside?: ReactNode;
  /** Where one goes without saving. */
  cancel: string;
  /** As what one saves it, at least. */
  asks?: Role;
}) {
  const may = useMay(asks);
  const router = useRouter();
  const changed = useChanged();
  const fields = useMemo(() => sections.flatMap((section) => section.fields), [sections]);
  const boxes = useMemo(() => fields.flatMap(boxesOf), [fields]);
  const pairs = useMemo(
    () => fields.filter((field): field is Extract<OwnField, { kind: "pairs" }> => field.kind === "pairs"),
    [fields],
  );
  const rowNow = row as Record<string, unknown>;
  const form = useAsked<Values>({
    boxes: boxes.map((box) => shownIn(box, at(rowNow, box.path))),
    pairs: pairs.map(({ name }) =>
      Object.entries((rowNow[name] ?? {}) as Record<string, string>).map(([first, second]) => ({
        first,
        second,
      })),
    ),
  });
  const [others, setOthers] = useState<readonly Problem[]>([]);
  const { isSubmitting, isDirty } = form.formState;
  const [kept, setKept] = useState(false);

  const tell = (problems: readonly Problem[]) => {
    let first = true;
    const left = problems.filter(({ path: told, message }) => {
      // A field of the row, wherever the row stands in what was sent.
      const path = told.replace(/^\/(row|rows\/\d+)(?=\/)/, "");
      const box = boxes.findIndex((each) => each.path === path || path.startsWith(`${each.path}/`));
      const pair = pairs.findIndex(({ name }) => path === `/${name}` || path.startsWith(`/${name}/`));
      if (box === -1 && pair === -1) return true;
      form.setError(box === -1 ? `pairs.${pair}` : `boxes.${box}`, { message }, { shouldFocus: first });
      first = false;
      return false;
    });
    setOthers(left);
  };

  const submit = form.handleSubmit(async (values) => {
    let made: Record<string, unknown> = rowNow;
    const unread: Problem[] = [];
    for (const [index, box] of boxes.entries()) {
      const typed = values.boxes[index] ?? "";
      // What nobody touched stays as it is, the time of a day with it.
      if (typed === shownIn(box, at(rowNow, box.path))) continue;
      const read = readBox(box, typed);
      if (read.ok) made = withAt(made, box.path, read.value);
      else unread.push({ path: box.path, message: read.message });
    }
    for (const [index, { name }] of pairs.entries()) {
      const entries = (values.pairs[index] ?? []).filter(
        ({ first, second }) => first !== "" || second !== "",
      );
      made = withAt(
        made,
        `/${name}`,
        entries.length === 0
          ? undefined
          : Object.fromEntries(entries.map(({ first, second }) => [first, second])),
      );
    }
    if (unread.length > 0) return tell(unread);
    const done = await save(made as Row);
    if (!done.ok) return tell(done.error.problems);
    setOthers([]);
    setKept(true);
    form.reset(values);
    changed("It is saved.", done.value.edit);
    router.push(after(made as Row));
    router.refresh();
  });

  return (
    <form onSubmit={submit} className="flex flex-col gap-4" noValidate>
      <Unsaved unsaved={isDirty && !kept} what={what} />
      <NotForYou asks={asks} />
      {others.length > 0 && (
        <Notice tone="stop" live>
          <b>Nothing was changed.</b>
          <ul className="mt-1 list-disc pl-5">
            {others.map((each) => (
              <li key={each.path + each.message}>{each.message}</li>
            ))}
          </ul>
        </Notice>
      )}
      <div
        className={clsx(
          "grid grid-cols-1 items-start gap-4",
          aside !== undefined && "lg:grid-cols-[1fr_380px]",
        )}
      >
        <div className="flex min-w-0 flex-col gap-4">
          {sections
            .filter(({ fields: own }) => own.length > 0)
            .map((section) => (
              <Section
                key={section.title}
                section={section}
                boxes={boxes}
                pairs={pairs}
                form={form}
                row={rowNow}
              />
            ))}
        </div>
        {aside}
      </div>
      <div className="sticky bottom-0 z-10 flex flex-wrap gap-3 border-rule border-t-[1.5px] bg-paper py-3">
        <button
          type="submit"
          disabled={isSubmitting || !may}
          className="btn btn-go min-h-14 flex-1 text-lead sm:flex-none sm:px-10"
        >
          {isSubmitting ? "Saving …" : verb}
        </button>
        <a href={cancel} className="btn btn-quiet min-h-14">
          Leave
        </a>
      </div>
    </form>
  );
}

function Section({
  section,
  boxes,
  pairs,
  form,
  row,
}: {
  section: OwnSection;
  boxes: readonly Box[];
  pairs: readonly Extract<OwnField, { kind: "pairs" }>[];
  form: UseFormReturn<Values>;
  row: Readonly<Record<string, unknown>>;
}) {
  const body = (
    <div className="grid grid-cols-1 gap-x-4 gap-y-2 sm:grid-cols-2">
      {section.fields.map((field) =>
        field.kind === "pairs" ? (
          <div key={field.name} className="sm:col-span-2">
            <Asked form={form} name={`pairs.${pairs.indexOf(field)}`}>
              {(asked) => <Pairs {...field} {...asked} />}
            </Asked>
          </div>
        ) : (
          <Boxes key={`${field.kind} ${field.name}`} field={field} boxes={boxes} form={form} />
        ),
      )}
    </div>
  );
  const note = section.note === undefined ? {} : { note: section.note };
  if (section.folded !== true || section.fields.some(({ name }) => row[name] !== undefined))
    return (
      <Panel title={section.title} {...note}>
        {body}
      </Panel>
    );
  return (
    <details className="card px-4">
      <summary className="caption min-h-14 cursor-pointer content-center">{section.title}</summary>
      <div className="pb-4">{body}</div>
    </details>
  );
}

function Boxes({
  field,
  boxes,
  form,
}: {
  field: Exclude<OwnField, { kind: "pairs" }>;
  boxes: readonly Box[];
  form: UseFormReturn<Values>;
}) {
  const own = boxes.flatMap((box, index) => (box.name === field.name ? [{ box, index }] : []));
  const each = own.map(({ box, index }) => (
    <div key={box.path} className={clsx("min-w-0", box.line.kind === "sentence" && "sm:col-span-2")}>
      <Asked form={form} name={`boxes.${index}`}>
        {(asked) => <OneBox box={box} {...asked} />}
      </Asked>
    </div>
  ));
  if (field.kind !== "entries") return each;
  if (own.length === 0) return null;
  return (
    <fieldset className="sm:col-span-2">
      <legend className="mb-1 font-semibold">{field.label}</legend>
      {field.hint !== undefined && <p className="mb-2 text-note text-soft">{field.hint}</p>}
      <div className="grid grid-cols-1 gap-x-4 gap-y-2 border-rule border-l-[4px] pl-3 sm:grid-cols-2">
        {each}
      </div>
    </fieldset>
  );
}

function OneBox({
  box: { label, hint, mark, line },
  value,
  onChange,
  error,
  inputRef,
}: {
  box: Box;
  value: string;
  onChange: (to: string) => void;
  error: string | undefined;
  inputRef: (element: HTMLElement | null) => void;
}) {
  const labels = { label, hint, mark, error };
  switch (line.kind) {
    case "choice": {
      const options = line.none === undefined ? line.options : [{ id: "", name: line.none }, ...line.options];
      return (
        <SelectField {...labels} value={value} options={options} onChange={onChange} inputRef={inputRef} />
      );
    }
    case "day":
      return <DateField {...labels} value={value} onChange={onChange} />;
    case "sentence":
      return <TextField {...labels} long value={value} onChange={onChange} inputRef={inputRef} />;
    case "number":
    case "words":
      return (
        <TextField
          {...labels}
          value={value}
          onChange={onChange}
          inputRef={inputRef}
          {...(line.kind === "words" && line.placeholder !== undefined && { placeholder: line.placeholder })}
          {...(line.kind === "words" && line.offered !== undefined && { offered: line.offered })}
        />
      );
  }
}
