import { ok } from "@/core/result";
import { BACKUPS, MAKE_BACKUP } from "@/edge/contracts/backups";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { listBackups } from "@/server/backup/backups";
import { makeOne } from "@/server/backup/here";
import { folders } from "@/server/services";

export const GET = route(BACKUPS, () => ok({ backups: listBackups(folders()) }));

export const POST = route(MAKE_BACKUP, async ({ services }) => kept(await makeOne(services)));
