"use client";

import { useState } from "react";
import { type Line, type LineLink, type LineNode, NODE_KINDS } from "@/core/formats";
import { Panel } from "@/ui/page";
import { linkOfKind } from "./edit-line";
import { type ItemField, LINK_KINDS, linkFields, nodeFields } from "./fields";
import { Choice, Text } from "./inputs";
import { ThreeWayForm } from "./three-way-form";

type Fields = Readonly<Record<string, unknown>>;

/** Everything about the place or link in hand. */
export function ItemForm({
  line,
  item,
  onChange,
  onRemove,
}: {
  line: Line;
  item:
    | { readonly kind: "node"; readonly node: LineNode }
    | { readonly kind: "link"; readonly link: LineLink };
  onChange: (to: LineNode | LineLink) => void;
  onRemove: () => void;
}) {
  const value = item.kind === "node" ? item.node : item.link;
  const fields = item.kind === "node" ? nodeFields(item.node.kind) : linkFields(item.link.kind);
  const set = (name: string, to: unknown) => {
    const { [name]: _, ...rest } = value as unknown as Fields;
    onChange((to === undefined ? rest : { ...rest, [name]: to }) as unknown as LineNode | LineLink);
  };
  return (
    <Panel title={`${item.kind === "node" ? "Place" : "Link"} ${value.id}`}>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <Text label="Id" value={value.id} onChange={(id) => set("id", id)} />
        <Choice
          label="Kind"
          value={value.kind}
          options={item.kind === "node" ? NODE_KINDS : LINK_KINDS}
          onChange={(kind) =>
            item.kind === "node"
              ? set("kind", kind)
              : onChange(linkOfKind(item.link, (kind ?? "pipe") as LineLink["kind"]))
          }
        />
        {fields.map((field) => (
          <FieldInput
            key={`${value.id} ${field.name}`}
            line={line}
            field={field}
            value={(value as unknown as Fields)[field.name]}
            onChange={(to) => set(field.name, to)}
          />
        ))}
      </div>
      {item.kind === "node" && item.node.kind === "three-way" && (
        <ThreeWayForm line={line} node={item.node} onChange={(threeWay) => set("threeWay", threeWay)} />
      )}
      <button type="button" className="btn btn-stop mt-3 w-full" onClick={onRemove}>
        Remove {value.id}
      </button>
    </Panel>
  );
}

function FieldInput({
  line,
  field,
  value,
  onChange,
}: {
  line: Line;
  field: ItemField;
  value: unknown;
  onChange: (to: unknown) => void;
}) {
  switch (field.kind) {
    case "text":
      return (
        <Text
          label={field.label}
          value={typeof value === "string" ? value : ""}
          onChange={(text) => onChange(text === "" ? undefined : text)}
        />
      );
    case "number":
      return (
        <Figure
          label={field.label}
          value={typeof value === "number" ? value : undefined}
          onChange={onChange}
        />
      );
    case "list":
      return (
        <Text
          label={field.label}
          value={Array.isArray(value) ? value.join(", ") : ""}
          onChange={(text) => {
            const ids = text.split(/[\s,]+/).filter((each) => each !== "");
            onChange(ids.length === 0 ? undefined : ids);
          }}
        />
      );
    case "yes-no":
      return (
        <Choice
          label={field.label}
          value={value === true ? "yes" : "no"}
          options={["yes", "no"]}
          onChange={(text) =>
            onChange(
              text === "yes" || (field.name === "operable" || field.name === "lockable" ? false : undefined),
            )
          }
        />
      );
    case "choice":
      return (
        <Choice
          label={field.label}
          value={typeof value === "string" ? value : ""}
          options={field.options}
          empty={field.name !== "normally"}
          onChange={onChange}
        />
      );
    case "place":
      return (
        <Choice
          label={field.label}
          value={typeof value === "string" ? value : ""}
          options={line.nodes.map((node) => node.id)}
          empty={field.empty}
          onChange={onChange}
        />
      );
  }
}

function Figure({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number | undefined;
  onChange: (to: number | undefined) => void;
}) {
  const [error, setError] = useState<string>();
  return (
    <div className="min-w-0">
      <Text
        label={label}
        value={value === undefined ? "" : String(value)}
        onChange={(text) => {
          const figure = Number(text.replace(",", "."));
          if (text === "") onChange(undefined);
          else if (Number.isFinite(figure)) onChange(figure);
          setError(text !== "" && !Number.isFinite(figure) ? `"${text}" is not a number.` : undefined);
        }}
      />
      {error !== undefined && (
        <p role="alert" className="text-fine text-stop">
          {error}
        </p>
      )}
    </div>
  );
}
