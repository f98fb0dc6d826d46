export { type Anchor, type AnchoredHead, type AnchorRepository, anchorRepository } from "./anchor-repository";
export { type Db, MIGRATION_COUNT, migrationsIn, openDatabase, openToRead } from "./database";
export { AT_ONCE, type KeptDue, NEVER } from "./due";
export {
  FINDABLE_KINDS,
  type Findable,
  type FindableKind,
  type FindRepository,
  type Found,
  findRepository,
} from "./find-repository";
export {
  type ImportChange,
  type ImportedKind,
  type ImportRepository,
  importRepository,
  type StoredImport,
} from "./import-repository";
export {
  type JobRepository,
  jobRepository,
  type LogHead,
  type StoredJob,
  type StoredPhoto,
} from "./job-repository";
export type { HeldLink, JobOrigin, LostService } from "./job-summary";
export {
  type LibraryRepository,
  type LineSummary,
  libraryRepository,
  type StoredReading,
} from "./library-repository";
export {
  type FromSheet,
  type RegisterRepository,
  registerRepository,
  type ValveQuery,
  type ValveRow,
} from "./register-repository";
export {
  type JobQuery,
  type JobSummary,
  type Rows,
  type SummaryRepository,
  summaryRepository,
} from "./summary-repository";
