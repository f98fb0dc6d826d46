import type { Role } from "@/core/people";
import type { Problem, Result } from "@/core/result";
import { undoEdit } from "../book/undo";
import { doneElsewhere, storedElsewhere } from "../heavy/store-elsewhere";
import type { Services } from "../services";
import { type ImportPreview, type IncomingFile, importFiles, previewImport } from "./import-files";

/** Characters that are read and stored within a moment; what is more has a worker of its own. */
const SMALL = 50_000;
/** Changes that are taken back within a moment. */
const FEW = 200;

const isSmall = (files: readonly IncomingFile[]): boolean =>
  files.reduce((sum, { text }) => sum + text.length, 0) <= SMALL;

/** Says what the files would change; a large set is read by a worker. */
export const foretell = async (
  services: Services,
  files: readonly IncomingFile[],
  role: Role,
): Promise<Result<ImportPreview, Problem[]>> =>
  isSmall(files)
    ? services.turns.shared(() => previewImport(services, files, role))
    : doneElsewhere(services, { task: "preview-import", files, role });

/** Brings the files in; a large set is stored by a worker, and nobody who only reads waits for it. */
export const bringIn = async (
  services: Services,
  files: readonly IncomingFile[],
  by: string,
  role: Role,
): Promise<Result<ImportPreview, Problem[]>> =>
  isSmall(files)
    ? services.turns.shared(() => importFiles(services, files, by, role))
    : storedElsewhere(services, { task: "import", files, by, role });

/** Takes an edit back; a large one by a worker. */
export const takeBackEdit = async (
  services: Services,
  id: string,
  by: string,
): Promise<Result<{ readonly changes: number }, Problem[]>> =>
  services.edits.changeCount(id) <= FEW
    ? services.turns.shared(() => undoEdit(services, id, by))
    : storedElsewhere(services, { task: "undo-edit", id, by });
