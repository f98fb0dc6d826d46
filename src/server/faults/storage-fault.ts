/** Why the server cannot read or store, in words, with the way out. */
export interface StorageFault {
  readonly title: string;
  readonly message: string;
  /** Whether putting a backup back would help. */
  readonly restore: boolean;
}

const TITLE = "The server cannot store";

const FAULTS: readonly (readonly [code: RegExp, message: string])[] = [
  [
    /^SQLITE_FULL/,
    "The disk is full. Nothing was stored. Make room on the disk of the server; entries on the devices are kept and go in then.",
  ],
  [
    /^SQLITE_READONLY/,
    "The data folder can only be read. Nothing was stored. Give the server's user the right to write into it.",
  ],
  [
    /^SQLITE_CANTOPEN/,
    "The database cannot be opened. Look whether its folder is there and whether the server's user may write into it.",
  ],
  [
    /^SQLITE_(CORRUPT|NOTADB)/,
    "The database is damaged. Stop the server, keep a copy of the whole data folder as it is, and put back the newest copy that is whole.",
  ],
  [
    /^SQLITE_IOERR/,
    "The disk does not answer as it should. Nothing was stored. Look at the disk of the server.",
  ],
  [
    /^SQLITE_BUSY|^SQLITE_LOCKED/,
    "Another program holds the database. Nothing was stored. It is tried again; if it lasts, look what else runs on the data folder.",
  ],
];

/** A fault of the storage, told from a fault of the program; nothing for the latter. */
export function storageFault(thrown: unknown): StorageFault | undefined {
  const { code, cause } = (thrown ?? {}) as { code?: unknown; cause?: unknown };
  if (typeof code === "string") {
    const known = FAULTS.find(([pattern]) => pattern.test(code));
    if (known !== undefined)
      return { title: TITLE, message: known[1], restore: /^SQLITE_(CORRUPT|NOTADB)/.test(code) };
  }
  return cause === undefined ? undefined : storageFault(cause);
}
