"use client";

import { ChevronDown, ChevronUp, Plus, X } from "lucide-react";
import type { Problem } from "@/core/result";
import { Chips, IconButton, Messages, NumberField, Select, TextField } from "./fields";
import { blankOf, branchOf, type FieldSchema, kindsOf, labelOf, titleOf } from "./schema";

/** Where a field may only name what the document has: the ids to choose from, with their names. */
export type References = (
  field: string,
) => readonly { readonly id: string; readonly name: string }[] | undefined;

interface FieldProps {
  readonly name: string;
  readonly schema: FieldSchema;
  readonly value: unknown;
  /** Path in the document, as problems name it. */
  readonly path: string;
  readonly references: References;
  readonly problems: readonly Problem[];
  readonly onChange: (value: unknown) => void;
}

/** What is a sentence gets a box of several lines. */
const SENTENCE =
  /^(do|why|says|can|ask|summary|noLine|fitGauge|competence|loaded|dryByDesign|underPressure|workUnderPressure|oneUse|keep|lookAlike|odd|tag|allowedWhen)$/;

/** A form for any part of a document, made from its schema: fields, lists, choices, what may be added, what is wrong. */
export function SchemaForm(props: Omit<FieldProps, "name">) {
  return <Fields {...props} name="" />;
}

const at = (problems: readonly Problem[], path: string) =>
  problems.filter((problem) => problem.path === path).map((problem) => problem.message);

function Fields({ schema, value, path, references, problems, onChange }: FieldProps) {
  const branch = branchOf(schema, value);
  const entry = (value ?? {}) as Record<string, unknown>;
  const properties = Object.entries(branch.properties ?? {});
  const kinds = kindsOf(schema);
  const absent = properties.filter(([name]) => entry[name] === undefined);
  const set = (name: string, to: unknown) => onChange({ ...entry, [name]: to });
  const without = (name: string) => {
    const { [name]: _, ...rest } = entry;
    onChange(rest);
  };
  return (
    <div className="flex flex-col gap-3">
      {at(problems, path).map((message) => (
        <p key={message} role="alert" className="text-note text-stop">
          {message}
        </p>
      ))}
      {kinds.length > 0 && (
        <Select
          label="Kind"
          value={String(entry.kind)}
          options={kinds.map((kind) => ({ id: kind, name: kind.replaceAll("-", " ") }))}
          onChange={(kind) => onChange(keepShared(blankOf(branchOf(schema, { kind })), entry))}
        />
      )}
      <div className="grid gap-3 sm:grid-cols-2">
        {properties
          .filter(([name, each]) => entry[name] !== undefined && each.const === undefined)
          .map(([name, each]) => (
            <div key={name} className={wide(name, each) ? "sm:col-span-2" : ""}>
              <div className="flex items-start gap-1">
                <div className="min-w-0 flex-1">
                  <Field
                    name={name}
                    schema={each}
                    value={entry[name]}
                    path={`${path}/${name}`}
                    references={references}
                    problems={problems}
                    onChange={(to) => set(name, to)}
                  />
                </div>
                {!(branch.required ?? []).includes(name) && (
                  <button
                    type="button"
                    aria-label={`Take ${labelOf(name).toLowerCase()} away`}
                    className="grid size-11 shrink-0 place-items-center text-soft"
                    onClick={() => without(name)}
                  >
                    <X size={18} />
                  </button>
                )}
              </div>
            </div>
          ))}
      </div>
      {absent.length > 0 && (
        <div className="flex flex-wrap items-center gap-1.5">
          <span className="text-note text-soft">Add:</span>
          {absent.map(([name, each]) => (
            <button
              key={name}
              type="button"
              title={each.description}
              className="plate min-h-11 rounded border border-edge border-dashed px-2.5 text-note"
              onClick={() => set(name, blankOf(each))}
            >
              {labelOf(name)}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

/** Another kind of the same thing keeps what both have. */
function keepShared(blank: unknown, entry: Record<string, unknown>): unknown {
  const made = blank as Record<string, unknown>;
  return Object.fromEntries(
    Object.entries(made).map(([name, value]) => [
      name,
      name !== "kind" && typeof entry[name] === typeof value ? entry[name] : value,
    ]),
  );
}

const wide = (name: string, schema: FieldSchema) =>
  schema.type === "object" ||
  schema.oneOf !== undefined ||
  schema.type === "array" ||
  (schema.type === "string" && schema.enum === undefined && SENTENCE.test(name));

function Field(props: FieldProps) {
  const { name, schema, value, path, references, problems, onChange } = props;
  const messages = at(problems, path);
  const choices = references(name);
  if (schema.type === "array") return <List {...props} />;
  if (schema.type === "object" || schema.oneOf !== undefined)
    return (
      <fieldset className="rounded border-rule border-l-[4px] pl-3">
        <legend className="font-semibold">{labelOf(name)}</legend>
        <Fields {...props} />
      </fieldset>
    );
  if (schema.enum !== undefined)
    return (
      <Select
        label={labelOf(name)}
        value={String(value)}
        options={schema.enum.map((each) => ({ id: each, name: each }))}
        messages={messages}
        onChange={onChange}
      />
    );
  if (schema.type === "boolean")
    return (
      <label className="flex min-h-11 items-center gap-2 font-semibold">
        <input
          type="checkbox"
          className="size-5"
          checked={value === true}
          onChange={(event) => onChange(event.target.checked)}
        />
        {labelOf(name)}
      </label>
    );
  if (choices !== undefined)
    return (
      <Select
        label={labelOf(name)}
        value={String(value)}
        options={choices}
        messages={messages}
        onChange={onChange}
      />
    );
  return schema.type === "number" || schema.type === "integer" ? (
    <NumberField
      label={labelOf(name)}
      value={value}
      messages={messages}
      hint={schema.description}
      onChange={onChange}
    />
  ) : (
    <TextField
      label={labelOf(name)}
      value={String(value)}
      long={SENTENCE.test(name)}
      messages={messages}
      hint={schema.description}
      onChange={onChange}
    />
  );
}

function List(props: FieldProps) {
  const { name, schema, value, path, references, problems, onChange } = props;
  const items = Array.isArray(value) ? value : [];
  const item = schema.items ?? {};
  const choices = references(name);
  const put = (index: number, to: unknown) =>
    onChange(items.map((each, place) => (place === index ? to : each)));
  const drop = (index: number) => onChange(items.filter((_, place) => place !== index));
  const swap = (index: number, with_: number) =>
    onChange(
      items.map((each, place) => (place === index ? items[with_] : place === with_ ? items[index] : each)),
    );
  if (item.type === "string" && choices !== undefined)
    return (
      <Chips
        name={name}
        path={path}
        problems={problems}
        onChange={onChange}
        items={items as string[]}
        choices={choices}
      />
    );
  const simple = item.type !== "object" && item.oneOf === undefined;
  return (
    <fieldset>
      <legend className="font-semibold">{labelOf(name)}</legend>
      <Messages id={`${path}-says`} messages={at(problems, path)} hint={schema.description} />
      <ol className="mt-1 flex flex-col gap-2">
        {items.map((each, index) => {
          const here = `${path}/${index}`;
          const controls = (
            <span className="flex">
              <IconButton
                label={`Move ${labelOf(name)} ${index + 1} up`}
                disabled={index === 0}
                onClick={() => swap(index, index - 1)}
              >
                <ChevronUp size={18} />
              </IconButton>
              <IconButton
                label={`Move ${labelOf(name)} ${index + 1} down`}
                disabled={index === items.length - 1}
                onClick={() => swap(index, index + 1)}
              >
                <ChevronDown size={18} />
              </IconButton>
              <IconButton label={`Take ${labelOf(name)} ${index + 1} away`} onClick={() => drop(index)}>
                <X size={18} />
              </IconButton>
            </span>
          );
          return (
            <li key={index}>
              {simple ? (
                <div className="flex items-end gap-1">
                  <div className="flex-1">
                    <Field
                      {...props}
                      name={`${name} ${index + 1}`}
                      schema={item}
                      value={each}
                      path={here}
                      onChange={(to) => put(index, to)}
                    />
                  </div>
                  {controls}
                </div>
              ) : (
                <div className="flex items-start gap-1">
                  <details
                    className="card min-w-0 flex-1 px-3"
                    open={problems.some((one) => one.path.startsWith(`${here}/`))}
                  >
                    <summary className="min-h-11 cursor-pointer content-center truncate font-semibold">
                      {titleOf(each, index)}
                    </summary>
                    <div className="pb-3">
                      <Fields
                        {...props}
                        name=""
                        schema={item}
                        value={each}
                        path={here}
                        onChange={(to) => put(index, to)}
                      />
                    </div>
                  </details>
                  {controls}
                </div>
              )}
            </li>
          );
        })}
      </ol>
      <button
        type="button"
        className="plate mt-2 inline-flex min-h-11 items-center gap-1 rounded border border-edge border-dashed px-3 text-note"
        onClick={() => onChange([...items, blankOf(item)])}
      >
        <Plus size={16} aria-hidden="true" /> Add to {labelOf(name).toLowerCase()}
      </button>
    </fieldset>
  );
}
