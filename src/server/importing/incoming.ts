import type {
  Ground,
  House,
  Instrument,
  JobDocument,
  Line,
  Person,
  Place,
  Sheet,
  Store,
  Trouble,
  Valve,
} from "@/core/formats";
import type { StoredReading } from "@/data";
import type { RowOver } from "./row-over";

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
  | { readonly kind: "house"; readonly value: House }
  | { readonly kind: "trouble"; readonly value: Trouble }
  | { readonly kind: "ground"; readonly value: Ground }
  | { readonly kind: "register"; readonly value: readonly RowOver<Valve>[] }
  | { readonly kind: "crew"; readonly value: readonly RowOver<Person>[] }
  | { readonly kind: "places"; readonly value: readonly RowOver<Place>[] }
  | { readonly kind: "instruments"; readonly value: readonly RowOver<Instrument>[] }
  | { readonly kind: "readings"; readonly value: readonly StoredReading[] };

/** A file with what it holds. */
export interface ReadFile {
  readonly file: string;
  readonly incoming: Incoming;
}
