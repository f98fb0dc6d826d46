import type { JobDocument, Line, Person, Sheet, Store } from "@/core/formats";
import type { StoredReading } from "@/data";
import type { RegisterRow } from "./read-csv";

/** A file as it arrives: its name and its text. */
export interface IncomingFile {
  readonly name: string;
  readonly text: string;
}

/** What one file holds, read and checked. */
export type Incoming =
  | { readonly kind: "sheet"; readonly value: Sheet }
  | { readonly kind: "line"; readonly value: Line }
  | { readonly kind: "store"; readonly value: Store }
  | { readonly kind: "job"; readonly value: JobDocument }
  | { readonly kind: "register"; readonly value: readonly RegisterRow[] }
  | { readonly kind: "readings"; readonly value: readonly StoredReading[] }
  | { readonly kind: "crew"; readonly value: readonly Person[] };

/** A file with what it holds. */
export interface ReadFile {
  readonly file: string;
  readonly incoming: Incoming;
}
