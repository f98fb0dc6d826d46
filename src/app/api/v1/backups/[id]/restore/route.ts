import { RESTORE_BACKUP } from "@/edge/contracts/backups";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { putBack } from "@/server/backup/here";

export const POST = route(RESTORE_BACKUP, async ({ params: { id }, actor, services }) =>
  kept(await putBack(services, id, actor.name)),
);
