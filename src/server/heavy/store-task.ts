import type { Role } from "@/core/people";
import type { Problem, Result } from "@/core/result";
import { undoEdit } from "../book/undo";
import { bringFrom, lookAtBundle } from "../bundle/look";
import type { Piece } from "../bundle/pieces";
import { type IncomingFile, importFiles, previewImport } from "../importing/import-files";
import { resetDemo } from "../reset-demo";
import { ownServices } from "../services";

/** What stores, or would store, so much that it takes seconds. */
export type StoreWork =
  | { readonly task: "preview-import"; readonly files: readonly IncomingFile[]; readonly role: Role }
  | {
      readonly task: "import";
      readonly files: readonly IncomingFile[];
      readonly by: string;
      readonly role: Role;
    }
  | { readonly task: "undo-edit"; readonly id: string; readonly by: string }
  | { readonly task: "bundle-look"; readonly path: string }
  | { readonly task: "bundle-piece"; readonly path: string; readonly piece: Piece; readonly by: string }
  | { readonly task: "reset-demo" };

/** What came of it; a fault keeps its code, which an error loses on its way between threads. */
export type StoreDone =
  | { readonly kind: "done"; readonly result: Result<unknown, Problem[]> }
  | { readonly kind: "fault"; readonly message: string; readonly code: string | undefined };

/** Does it on a connection of its own. */
export async function storeTask(work: StoreWork): Promise<StoreDone> {
  try {
    const services = ownServices();
    try {
      switch (work.task) {
        case "preview-import":
          return { kind: "done", result: previewImport(services, work.files, work.role) };
        case "import":
          return { kind: "done", result: importFiles(services, work.files, work.by, work.role) };
        case "undo-edit":
          return { kind: "done", result: undoEdit(services, work.id, work.by) };
        case "bundle-look":
          return { kind: "done", result: await lookAtBundle(services, work.path) };
        case "bundle-piece":
          return { kind: "done", result: await bringFrom(services, work.path, work.piece, work.by) };
        case "reset-demo":
          resetDemo(services);
          return { kind: "done", result: { ok: true, value: null } };
      }
    } finally {
      services.db.$client.close();
    }
  } catch (thrown) {
    const { code, message } = thrown as { code?: unknown; message?: string };
    return { kind: "fault", message: String(message), code: typeof code === "string" ? code : undefined };
  }
}
