export { type Db, openDatabase } from "./database";
export { type JobRepository, jobRepository, type StoredJob, type StoredPhoto } from "./job-repository";
export {
  type LibraryRepository,
  type LineSummary,
  libraryRepository,
  type StoredReading,
} from "./library-repository";
