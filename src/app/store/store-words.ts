import type { Item } from "@/core/formats";
import { grouped } from "@/core/quantity";

export const ITEM_KINDS: Readonly<Record<Item["kind"], string>> = {
  kit: "kit",
  part: "single part",
  supply: "supply",
};

export const PLACE_KINDS = {
  van: "Van",
  shop: "Shop or shed",
  supplier: "Supplier",
} as const;

export const pcs = (count: number): string => `${grouped(count)} ${count === 1 ? "pc" : "pcs"}`;

export const inDays = (days: number): string =>
  days === 0 ? "in hand" : `${days} ${days === 1 ? "day" : "days"}`;
