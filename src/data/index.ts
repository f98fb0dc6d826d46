export { type Db, openDatabase } from "./database";
export { type JobRepository, jobRepository, type StoredJob } from "./job-repository";
export { type LibraryRepository, libraryRepository, type StoredReading } from "./library-repository";
