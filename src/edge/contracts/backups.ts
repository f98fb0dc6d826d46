import { Type } from "@sinclair/typebox";
import { BackupSchema } from "@/core/formats";
import { type Contract, contract } from "../contract";
import { nameless } from "./owned";

const closed = { additionalProperties: false };
const OneBackup = Type.Object({ id: Type.String({ minLength: 1, maxLength: 100 }) }, closed);
const refuses = {
  404: "There is no such backup.",
  422: "Why it was not done, and what to do; nothing was changed.",
};

export const BACKUPS = contract({
  id: "backups",
  method: "GET",
  path: "/api/v1/backups",
  chapter: "This installation",
  role: "keeper",
  says: "Backups of the data, the newest first.",
  answer: Type.Object({ backups: Type.Array(nameless(BackupSchema)) }, closed),
});

export const MAKE_BACKUP = contract({
  id: "makeBackup",
  method: "POST",
  path: "/api/v1/backups",
  chapter: "This installation",
  role: "keeper",
  says: "Makes a backup while others work on; it is opened and looked through before it counts.",
  asker: "crew-if-any",
  ownTurn: true,
  body: Type.Object({}, closed),
  status: 201,
  answer: nameless(BackupSchema),
  refuses,
});

export const LOOK_AT_BACKUP = contract({
  id: "lookAtBackup",
  method: "GET",
  path: "/api/v1/backups/{id}",
  chapter: "This installation",
  role: "keeper",
  says: "Whether a backup is whole, and what putting it back would lose.",
  params: OneBackup,
  answer: Type.Object(
    {
      backup: nameless(BackupSchema),
      fault: Type.Optional(Type.String()),
      lost: Type.String({ description: "In words." }),
    },
    closed,
  ),
  refuses,
});

export const RESTORE_BACKUP = contract({
  id: "restoreBackup",
  method: "POST",
  path: "/api/v1/backups/{id}/restore",
  chapter: "This installation",
  role: "keeper",
  says: "Puts a backup back, by one transaction; what is there now is backed up first.",
  asker: "crew-if-any",
  ownTurn: true,
  params: OneBackup,
  body: Type.Object({}, closed),
  answer: Type.Object({ before: Type.String({ description: "The backup of what was there." }) }, closed),
  refuses,
});

export const REMOVE_BACKUP = contract({
  id: "removeBackup",
  method: "DELETE",
  path: "/api/v1/backups/{id}",
  chapter: "This installation",
  role: "keeper",
  says: "Takes a backup away for good; the last good one stays.",
  asker: "crew-if-any",
  params: OneBackup,
  answer: Type.Object({}, closed),
  refuses,
});

export const CARE: readonly Contract[] = [
  BACKUPS,
  MAKE_BACKUP,
  LOOK_AT_BACKUP,
  RESTORE_BACKUP,
  REMOVE_BACKUP,
] as unknown as readonly Contract[];
