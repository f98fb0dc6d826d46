import { LOOK_AT_BACKUP, REMOVE_BACKUP } from "@/edge/contracts/backups";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { lookAt, takeAway } from "@/server/backup/here";

export const GET = route(LOOK_AT_BACKUP, async ({ params: { id } }) => kept(await lookAt(id)));

export const DELETE = route(REMOVE_BACKUP, async ({ params: { id } }) => kept(await takeAway(id)));
