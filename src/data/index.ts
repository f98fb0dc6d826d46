export {
  ACCESS_TABLES,
  type AccessRepository,
  accessRepository,
} from "./access-repository";
export { type Anchor, type AnchorRepository, anchorRepository } from "./anchor-repository";
export {
  type Db,
  MIGRATION_COUNT,
  migrationsIn,
  openDatabase,
  openToLook,
  openToRead,
  throwIfDamaged,
} from "./database";
export { AT_ONCE, NEVER } from "./due";
export {
  type EditChange,
  type EditRepository,
  editRepository,
} from "./edit-repository";
export {
  type Findable,
  type FindRepository,
  type Found,
  findRepository,
} from "./find-repository";
export {
  type JobRepository,
  jobRepository,
  type StoredJob,
  type StoredPhoto,
} from "./job-repository";
export type { HeldLink, JobOrigin } from "./job-summary";
export {
  type LibraryRepository,
  libraryRepository,
  type StoredReading,
} from "./library-repository";
export { type ListedMovement, type MovementRepository, movementRepository } from "./movement-repository";
export { photoPieceRepository } from "./photo-piece-repository";
export {
  type FromSheet,
  type RegisterRepository,
  registerRepository,
  type ValveRow,
} from "./register-repository";
export {
  type AnchoredHead,
  FINDABLE_KINDS,
  type FindableKind,
} from "./stored";
export {
  type JobSummary,
  type Rows,
  type SummaryRepository,
  summaryRepository,
} from "./summary-repository";
export { type SmallThings, type ThingRepository, thingRepository } from "./thing-repository";
