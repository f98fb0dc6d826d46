import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { certificatesOf } from "@/core/formats";
import { stockFor } from "@/core/store";
import { services } from "@/server/services";
import { freeStores } from "@/server/store/held";
import { knownFacts } from "@/server/trouble/facts";
import { troubleOf } from "@/server/trouble/knowledge";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { TroubleScreen } from "./trouble-screen";

export const metadata: Metadata = { title: "Something is wrong" };

export default async function TroublePage({ params }: { params: Promise<{ tag: string }> }) {
  const tag = pathId((await params).tag);
  const all = services();
  const valve = all.register.valve(tag);
  if (valve === undefined) notFound();
  const sheet = all.library.sheet(valve.sheet);
  const knowledge = sheet && troubleOf(all, sheet.family);
  if (sheet === undefined || knowledge === undefined)
    return (
      <Page title={`Something is wrong with ${tag}`}>
        <Notice tone="wait">
          {sheet === undefined
            ? `The sheet “${valve.sheet}” is missing. Bring it in, and it can be judged what is wrong.`
            : `Nothing is written yet of what may be wrong with this family. Bring it in as loftbell.trouble, or start a job.`}
        </Notice>
      </Page>
    );
  const store = stockFor(sheet, freeStores(all));
  return (
    <TroubleScreen
      knowledge={knowledge}
      known={knownFacts(all, valve, sheet, knowledge)}
      sheet={sheet}
      valve={valve}
      stock={{
        ...(store !== undefined && { store }),
        ...(valve.generation !== undefined && { generation: valve.generation }),
      }}
      crew={new Map(all.library.crew().map((person) => [person.name, certificatesOf(person)]))}
      currency={all.library.stores()[0]?.currency ?? ""}
      {...(all.summaries.openOfValve(tag) !== undefined && { openJob: all.summaries.openOfValve(tag)!.job })}
    />
  );
}
