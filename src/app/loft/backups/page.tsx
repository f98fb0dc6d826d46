import type { Metadata } from "next";
import { grouped } from "@/core/quantity";
import { listBackups } from "@/server/backup/backups";
import { dailyFault } from "@/server/backup/schedule";
import { BACKUP_WHY } from "@/server/backup/words";
import { folders, isDemo, services } from "@/server/services";
import { Empty, Notice } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";
import { ForKeepers } from "../../for-keepers";
import { BackupList, MakeBackup } from "./backup-list";

export const metadata: Metadata = { title: "Backups" };

const DAY_MS = 86_400_000;

export default function BackupsPage() {
  return (
    <ForKeepers title="Backups">
      <Backups />
    </ForKeepers>
  );
}

function Backups() {
  const all = services();
  const backups = listBackups(folders());
  const fault = dailyFault(folders());
  const [newest] = backups;
  const old = newest === undefined || all.now() - Date.parse(newest.made) > 2 * DAY_MS;
  return (
    <Page
      title="Backups"
      says="Whole copies of the data, made while everybody works on, each opened and looked through."
      action={<MakeBackup />}
    >
      {fault !== undefined && (
        <Notice tone="stop" live>
          <b>The last backup of the day was not made.</b> {fault}
        </Notice>
      )}
      {isDemo() ? (
        <Notice tone="wait">The demo is not backed up by itself. Your own data is, once a day.</Notice>
      ) : (
        old && <Notice tone="wait">The newest is older than two days, or there is none. Make one now.</Notice>
      )}
      <Panel title="Kept" note={`${backups.length}`}>
        {backups.length === 0 ? (
          <Empty>No backup yet. Make one: it takes a moment, and nobody has to stop.</Empty>
        ) : (
          <BackupList
            backups={backups.map(({ id, made, why, bytes, counts }) => ({
              id,
              at: Date.parse(made),
              why: BACKUP_WHY[why],
              megabytes: bytes / 1e6,
              says: `${grouped(counts.valves)} valves, ${grouped(counts.jobs)} jobs, ${grouped(counts.readings)} readings`,
            }))}
          />
        )}
      </Panel>
      <Panel title="Where they lie">
        <p>
          In <code className="break-all">{folders().backups}</code> on the server. A disk that breaks takes
          both: let another machine fetch that folder, or name a place on another disk with{" "}
          <code>LOFTBELL_BACKUPS</code>. The key in it signs in this installation’s name: keep it secret.
        </p>
        <p className="mt-2 text-soft">
          Kept are the newest five, one of each of the last 14 days, 8 weeks and 24 months, and those made by
          hand. When the server cannot start: <code>./loftbell doctor</code> says what is wrong,{" "}
          <code>./loftbell restore</code> puts one back.
        </p>
      </Panel>
    </Page>
  );
}
