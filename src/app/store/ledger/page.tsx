import type { Metadata } from "next";
import Link from "next/link";
import { asked, type SearchParams } from "@/app/list-query";
import { readSettings } from "@/app/settings";
import { services } from "@/server/services";
import { Page, Panel } from "@/ui/page";
import { LedgerList } from "@/ui/store/ledger-list";
import { ledgerEntries } from "../ledger-entries";
import { StoreTabs } from "../store-tabs";

export const metadata: Metadata = { title: "The store’s ledger" };

const PAGE = 60;

export default async function LedgerPage({ searchParams }: { searchParams: SearchParams }) {
  const all = services();
  const { before } = asked(await searchParams);
  const from = typeof before === "string" && /^\d+$/.test(before) ? Number(before) : undefined;
  const entries = all.movements.recent(PAGE, from);
  const last = entries.at(-1);
  return (
    <Page
      title="Store"
      says="Everything that came, went, was moved, used or counted. It only grows: what was wrong is taken back by a contrary entry."
      action={
        <a className="btn btn-quiet" href="/api/v1/export/movements.csv" download>
          CSV
        </a>
      }
    >
      <StoreTabs at="/store/ledger" />
      <Panel title="Ledger">
        <LedgerList entries={ledgerEntries(all, entries, await readSettings())} />
      </Panel>
      {entries.length === PAGE && last !== undefined && (
        <nav aria-label="Pages" className="flex justify-center">
          <Link href={`/store/ledger?before=${last.seq}`} className="btn btn-quiet">
            Earlier
          </Link>
        </nav>
      )}
    </Page>
  );
}
