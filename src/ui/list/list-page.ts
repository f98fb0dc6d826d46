import type { ReactNode } from "react";
import type { ListAsk } from "./list-address";

/** A column: how it is headed, what it is sorted by, from which width it is shown, and what stands in it. */
export interface ListColumn<Row, Id extends string> {
  readonly id: Id;
  readonly title: string;
  /** The word by which the address sorts by it. */
  readonly sort?: string;
  readonly from?: "md" | "lg";
  readonly align?: "right";
  readonly cell: (row: Row) => ReactNode;
}

export interface ListFilter {
  readonly name: string;
  readonly label: string;
  readonly options: readonly (readonly [value: string, label: string])[];
}

/** What the server gives of a list: what was asked, one page of rows, and what it can be narrowed by. */
export interface ListPage<Row> {
  readonly ask: ListAsk & {
    readonly find?: string | undefined;
    readonly columns?: string | undefined;
    readonly sort: string;
    readonly page: number;
  };
  readonly rows: readonly Row[];
  readonly total: number;
  readonly pageSize: number;
  readonly filters: readonly ListFilter[];
}
