import type { Tool } from "../../formats";
import { ticked } from "../step-rule";

/** Tools in the order in which they are needed. */
export interface ToolsFacts {
  readonly kind: "tools";
  readonly bring: readonly Tool[];
}

export const tools = ticked;
