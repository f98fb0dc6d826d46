"use client";

import { X } from "lucide-react";
import type { Problem } from "@/core/result";
import { Says } from "../kit/labelled";
import { type Option, SelectField } from "../kit/select-field";
import { TextField } from "../kit/text-field";
import { Chips } from "./chips";
import { IconButton, List } from "./list";
import { MapField } from "./map-field";
import { blankOf, branchOf, entryOf, type FieldSchema, kindsOf, labelOf } from "./schema";
import { StoredFigure } from "./stored-figure";

/**
 * Where a field may only name what the document has: the ids to choose from, with their names. Keys of a map are asked for
 * by its name with a colon.
 */
export type References = (field: string) => readonly Option[] | undefined;

/** What a form is given whatever part of the document it shows. */
interface Given {
  readonly references: References;
  readonly problems: readonly Problem[];
  /** Told when what stands in a field cannot be read, and when it can again. */
  readonly onUnread: (path: string, message: string | undefined) => void;
}

interface FieldProps extends Given {
  readonly name: string;
  readonly schema: FieldSchema;
  readonly value: unknown;
  /** Path in the document, as problems name it. */
  readonly path: string;
  /** @param typedAt the path of the field that is being typed into, so that its letters are one step of undo */
  readonly onChange: (value: unknown, typedAt?: string) => void;
}

/** What is a sentence gets a box of several lines. */
const SENTENCE =
  /^(do|why|says|can|ask|summary|noLine|fitGauge|competence|loaded|dryByDesign|underPressure|workUnderPressure|oneUse|keep|lookAlike|odd|tag|allowedWhen|hardToReach)$/;

/** A form for any part of a document, made from its schema: fields, lists, choices, what may be added, what is wrong. */
export function SchemaForm(props: Omit<FieldProps, "name">) {
  return <Fields {...props} name="" />;
}

const at = (problems: readonly Problem[], path: string) =>
  problems.filter((problem) => problem.path === path).map((problem) => problem.message);
const said = (messages: readonly string[]) => (messages.length > 0 ? messages.join(" ") : undefined);

function Fields({ name: _, schema, value, path, onChange, ...given }: FieldProps) {
  const branch = branchOf(schema, value);
  const entry = (value ?? {}) as Record<string, unknown>;
  const properties = Object.entries(branch.properties ?? {});
  const kinds = kindsOf(schema);
  const absent = properties.filter(([name]) => entry[name] === undefined);
  const takeAway = (name: string) => {
    const { [name]: _, ...rest } = entry;
    onChange(rest);
  };
  return (
    <div className="@container flex flex-col gap-3">
      {at(given.problems, path).map((message) => (
        <Says key={message} error={message} />
      ))}
      {kinds.length > 0 && (
        <SelectField
          label="Kind"
          value={String(entry.kind)}
          options={kinds.map((kind) => ({ id: kind, name: kind.replaceAll("-", " ") }))}
          onChange={(kind) => onChange(keepShared(blankOf(branchOf(schema, { kind })), entry))}
        />
      )}
      <div className="grid @xs:grid-cols-2 gap-3">
        {properties
          .filter(([name, each]) => entry[name] !== undefined && each.const === undefined)
          .map(([name, each]) => (
            <div key={name} className={`relative min-w-0 ${wide(name, each) ? "@xs:col-span-2" : ""}`}>
              <Field
                {...given}
                name={name}
                schema={each}
                value={entry[name]}
                path={`${path}/${name}`}
                onChange={(to, typedAt) => onChange({ ...entry, [name]: to }, typedAt)}
              />
              {!(branch.required ?? []).includes(name) && (
                <div className="absolute -top-3 -right-2">
                  <IconButton
                    label={`Take ${labelOf(name, each).toLowerCase()} away`}
                    onClick={() => takeAway(name)}
                  >
                    <X size={18} />
                  </IconButton>
                </div>
              )}
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
              onClick={() => onChange({ ...entry, [name]: blankOf(each) })}
            >
              {labelOf(name, each)}
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
  entryOf(schema) !== undefined ||
  (schema.type === "string" && schema.enum === undefined && SENTENCE.test(name));

function Field(props: FieldProps) {
  const { name, schema, value, path, onChange, ...given } = props;
  const label = labelOf(name, schema);
  const error = said(at(given.problems, path));
  const choices =
    schema.enum?.map((each) => ({ id: each, name: each.replaceAll("-", " ") })) ?? given.references(name);
  if (schema.type === "array") return <ListField {...props} />;
  const entry = entryOf(schema);
  if (entry !== undefined) {
    const map = (value ?? {}) as Readonly<Record<string, unknown>>;
    return (
      <MapField
        label={label}
        hint={schema.description}
        messages={at(given.problems, path)}
        value={map}
        choices={given.references(`${name}:`)}
        blank={() => blankOf(entry)}
        onChange={onChange}
      >
        {(key, title, each) => (
          <Field
            {...given}
            name={key}
            schema={{ ...entry, title }}
            value={each}
            path={`${path}/${key}`}
            onChange={(to, typedAt) => onChange({ ...map, [key]: to }, typedAt)}
          />
        )}
      </MapField>
    );
  }
  if (schema.type === "object" || schema.oneOf !== undefined)
    return (
      <fieldset className="rounded border-rule border-l-[4px] pl-3">
        <legend className="font-semibold">{label}</legend>
        <Fields {...props} />
      </fieldset>
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
        {label}
      </label>
    );
  if (choices !== undefined)
    return (
      <SelectField label={label} value={String(value)} options={choices} error={error} onChange={onChange} />
    );
  const labels = { label, hint: schema.description, error };
  return schema.type === "number" || schema.type === "integer" ? (
    <StoredFigure
      {...labels}
      name={name}
      value={value}
      onChange={(to) => onChange(to, path)}
      onUnread={(message) => given.onUnread(path, message)}
    />
  ) : (
    <TextField
      {...labels}
      value={String(value)}
      long={SENTENCE.test(name)}
      onChange={(to) => onChange(to, path)}
    />
  );
}

function ListField({ name, schema, value, path, onChange, ...given }: FieldProps) {
  const items: readonly unknown[] = Array.isArray(value) ? value : [];
  const item = schema.items ?? {};
  const label = labelOf(name, schema);
  const choices = given.references(name);
  if (item.type === "string" && choices !== undefined)
    return (
      <Chips
        label={label}
        items={items as string[]}
        choices={choices}
        messages={given.problems
          .filter((each) => each.path === path || each.path.startsWith(`${path}/`))
          .map((each) => each.message)}
        onChange={onChange}
      />
    );
  const folded = item.type === "object" || item.oneOf !== undefined;
  return (
    <List
      label={label}
      hint={schema.description}
      messages={at(given.problems, path)}
      items={items}
      folded={folded}
      opens={(index) => given.problems.some((one) => one.path.startsWith(`${path}/${index}/`))}
      blank={() => blankOf(item)}
      onChange={onChange}
    >
      {(each, index) => {
        const here = {
          ...given,
          value: each,
          path: `${path}/${index}`,
          onChange: (to: unknown, typedAt?: string) =>
            onChange(
              items.map((other, place) => (place === index ? to : other)),
              typedAt,
            ),
        };
        return folded ? (
          <Fields {...here} name="" schema={item} />
        ) : (
          // A list in a list names the same things as the outer one.
          <Field {...here} name={name} schema={{ ...item, title: `${label} ${index + 1}` }} />
        );
      }}
    </List>
  );
}
