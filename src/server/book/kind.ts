import type { TSchema } from "@sinclair/typebox";
import type { Clash, Line, Person, Sheet, Store, ThingKind, Valve } from "@/core/formats";
import type { Problem, Result } from "@/core/result";
import type { SmallThings, StoredReading } from "@/data";
import type { Ledger } from "../proof/ledger";
import type { Services } from "../services";
import type { BroughtJob } from "./brought-job";

/** What each kind of thing is. */
export interface Things extends SmallThings {
  readonly valve: Valve;
  readonly line: Line;
  readonly sheet: Sheet;
  readonly store: Store;
  readonly person: Person;
  readonly reading: StoredReading;
  readonly job: BroughtJob;
}

/** A change that is wanted: the thing as it shall be, or nothing when it shall go. */
export type Wanted = { readonly [K in ThingKind]: WantedOf<K> }[ThingKind];
export interface WantedOf<K extends ThingKind> {
  readonly kind: K;
  readonly id: string;
  readonly after: Things[K] | undefined;
  /** What goes, where the book knows more of it than can be found. */
  readonly gone?: Things[K];
}

/** How things of one kind are found, kept and let go of, and what of them cannot be. */
export interface Kind<T> {
  /** What a row of it has to be by itself, looked at before it is kept. */
  readonly shape?: TSchema;
  readonly find: (services: Services, id: string) => T | undefined;
  readonly keep: (services: Services, thing: T, ledger: Ledger) => void;
  readonly remove: (services: Services, id: string, ledger: Ledger, thing: T) => void;
  /** What is wrong with it as everything stands now, at its field. */
  readonly faults?: (services: Services, thing: T) => readonly Problem[];
  /** What hangs on it, so that it has to stay; asked when it is gone already. */
  readonly hanging?: (services: Services, id: string, thing: T) => readonly string[];
  /** What has to change with it, so that nothing is half. */
  readonly along?: (services: Services, before: T | undefined, after: T | undefined) => readonly Wanted[];
  /** How what two people made of it is put together, where that is not field by field. */
  readonly merge?: (was: T | undefined, mine: T, now: T | undefined) => Result<T, Clash[]>;
  /** What is written down elsewhere of a change of it: in the store's ledger. */
  readonly noted?: (services: Services, before: T | undefined, after: T | undefined, by: string) => void;
  /** A document whose parts lean on each other: no change of it is joined with another one. */
  readonly whole?: true;
}
