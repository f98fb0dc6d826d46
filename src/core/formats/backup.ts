import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, Instant, oneOf } from "./shared";

export const BACKUP_REASONS = ["by-hand", "daily", "before-update", "before-restore"] as const;
export type BackupReason = (typeof BACKUP_REASONS)[number];

/** What lies beside a backup of the database and says what is in it. */
export const BackupSchema = Type.Object(
  {
    format: Type.Literal("loftbell.backup"),
    version: Type.Literal(1),
    id: Id,
    made: Instant,
    why: oneOf(...BACKUP_REASONS),
    /** Steps of the database that this program knew. */
    step: Type.Integer({ minimum: 0 }),
    publicKey: Type.String(),
    sha256: Type.String({ pattern: "^[0-9a-f]{64}$" }),
    bytes: Type.Integer({ minimum: 0 }),
    /** The newest anchor in it; none where nothing was ever acknowledged. */
    newest: Type.Optional(Type.Object({ seq: Type.Integer(), hash: Type.String() }, closed)),
    counts: Type.Object(
      {
        valves: Type.Integer(),
        jobs: Type.Integer(),
        entries: Type.Integer(),
        readings: Type.Integer(),
        changes: Type.Integer(),
        movements: Type.Integer(),
        photographs: Type.Integer(),
      },
      closed,
    ),
  },
  { ...closed, $id: "loftbell.backup.json", title: "Backup", description: "What is in a backup." },
);
export type Backup = Static<typeof BackupSchema>;
