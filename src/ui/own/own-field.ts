import { plainNumber } from "@/core/formats";
import type { Option } from "../kit/select-field";

interface Said {
  /** The field of the row, as messages name it. */
  readonly name: string;
  readonly label: string;
  readonly hint?: string;
  readonly mark?: string;
}

type Line =
  | { readonly kind: "words"; readonly placeholder?: string; readonly offered?: readonly { value: string }[] }
  | { readonly kind: "sentence" }
  | { readonly kind: "day" }
  /** A plain number; its unit stands in the mark. */
  | { readonly kind: "number" }
  | { readonly kind: "choice"; readonly options: readonly Option[]; readonly none?: string };

/** One field of a form of own data: what is typed in it is one field of the row. */
export type OwnField =
  | (Said & Line)
  /** Several entries under names that are known: a date for each interval, a last day for each competence. */
  | (Said & {
      readonly kind: "entries";
      readonly keys: readonly Option[];
      readonly each: "words" | "day" | "number" | "yes-no";
    })
  /** Several entries under names that are typed, too: a day and what it is, a day and until when. */
  | (Said & {
      readonly kind: "pairs";
      readonly first: string;
      readonly second: string;
      readonly secondIs: "words" | "day";
    });

export interface OwnSection {
  readonly title: string;
  readonly note?: string;
  readonly fields: readonly OwnField[];
  /** Folded away until it is opened, or something in it is filled in. */
  readonly folded?: boolean;
}

/** One box of the form. */
export interface Box extends Said {
  readonly path: string;
  readonly line: Line;
}

const YES_NO = [
  { id: "yes", name: "yes" },
  { id: "no", name: "no" },
];

/** The boxes that a field is asked in. */
export function boxesOf(field: OwnField): readonly Box[] {
  if (field.kind === "pairs") return [];
  if (field.kind !== "entries") {
    const { name, label, hint, mark, ...line } = field;
    return [
      {
        name,
        label,
        ...(hint !== undefined && { hint }),
        ...(mark !== undefined && { mark }),
        path: `/${name}`,
        line: line as Line,
      },
    ];
  }
  return field.keys.map(({ id, name }) => ({
    name: field.name,
    label: name,
    ...(field.mark !== undefined && { mark: field.mark }),
    path: `/${field.name}/${id}`,
    line:
      field.each === "yes-no"
        ? { kind: "choice" as const, options: YES_NO, none: "not known" }
        : { kind: field.each },
  }));
}

type Row = Readonly<Record<string, unknown>>;

/** What stands in the row at a path of one or two names. */
export function at(row: Row, path: string): unknown {
  const [name = "", key] = path.slice(1).split(/\/(.*)/s);
  const value = row[name];
  return key === undefined ? value : (value as Row | undefined)?.[key];
}

/** The row with this at the path; what is nothing is taken out, and so is a record that is empty then. */
export function withAt(row: Row, path: string, value: unknown): Row {
  const [name = "", key] = path.slice(1).split(/\/(.*)/s);
  const { [name]: was, ...rest } = row;
  if (key === undefined) return value === undefined ? rest : { ...row, [name]: value };
  const { [key]: _, ...others } = (was ?? {}) as Row;
  const inner = value === undefined ? others : { ...(was as Row | undefined), [key]: value };
  return Object.keys(inner).length === 0 ? rest : { ...row, [name]: inner };
}

export type Read =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly message: string };

/** What is typed in a box, as the row has it; an empty box is nothing. */
export function readBox({ line }: Box, typed: string): Read {
  const text = typed.trim();
  if (text === "") return { ok: true, value: undefined };
  if (line.kind !== "number") return { ok: true, value: text };
  const value = plainNumber(text);
  return Number.isFinite(value)
    ? { ok: true, value }
    : { ok: false, message: `"${text}" is no number. Write it in figures, as 12 or 0.5.` };
}

/** A day is asked for: the time of day that the row may have is kept as long as the day is not changed. */
export function shownIn({ line }: Box, value: unknown): string {
  if (value === undefined) return "";
  return line.kind === "day" ? String(value).slice(0, "2026-11-28".length) : String(value);
}
