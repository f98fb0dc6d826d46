import { type LineLink, linksFromRows } from "@/core/formats";
import type { Problem, Result } from "@/core/result";
import { checkDocument } from "./check-document";

/**
 * Documents are checked here, not on the page: the schema's validator is made by compiling text, which no page of ours
 * is allowed to do.
 */
export type CheckAsk =
  | { readonly kind: "document"; readonly id: number; readonly document: unknown }
  | {
      readonly kind: "links";
      readonly id: number;
      readonly rows: readonly Record<string, string>[];
      readonly known: readonly LineLink[];
    };

export type CheckAnswer =
  | { readonly kind: "document"; readonly id: number; readonly problems: readonly Problem[] }
  | { readonly kind: "links"; readonly id: number; readonly links: Result<LineLink[], Problem[]> };

addEventListener("message", ({ data }: MessageEvent<CheckAsk>) => {
  postMessage(
    (data.kind === "document"
      ? { kind: "document", id: data.id, problems: checkDocument(data.document) }
      : {
          kind: "links",
          id: data.id,
          links: linksFromRows([...data.rows], [...data.known]),
        }) satisfies CheckAnswer,
  );
});
