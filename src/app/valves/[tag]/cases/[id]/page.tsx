import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { services } from "@/server/services";
import { keptCase } from "@/server/trouble/kept-case";
import { Notice } from "@/ui/notice";
import { Page, ValveHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { Day } from "@/ui/when";
import { CustomerPage } from "../../trouble/customer-page";

export const metadata: Metadata = { title: "What is wrong, and what we do" };

/** A case that was kept, for whoever the valve belongs to. */
export default async function CasePage({ params }: { params: Promise<{ tag: string; id: string }> }) {
  const asked = await params;
  const all = services();
  const tag = pathId(asked.tag);
  const read = keptCase(all, tag, pathId(asked.id));
  if (read === undefined) notFound();
  if (!read.ok)
    return (
      <Page title={`“${read.error.of.says}”`}>
        <Notice tone="wait">{read.error.says}</Notice>
      </Page>
    );
  const { of, knowledge, facts, advice, answers, sheet } = read.value;
  const house = all.things.one("house", "house")?.name;
  return (
    <article className="mx-auto max-w-[940px] px-4 py-5 md:px-6 print:p-0">
      <ValveHead
        tag={tag}
        href={`/valves/${encodeURIComponent(tag)}`}
        title={`“${of.says}”`}
        says={[house, `${sheet.title}, ${all.register.anyValve(tag)?.place ?? ""}`]
          .filter(Boolean)
          .join(". ")}
        className="border-ink border-b-2 pb-3"
        action={<PrintButton />}
      />
      <p className="my-3 text-soft">
        <Day at={Date.parse(of.at)} />, {of.by}
      </p>
      <CustomerPage
        knowledge={knowledge}
        facts={facts}
        advice={advice}
        answers={answers}
        sheet={sheet}
        end={of.end}
        done={of.outcome === "cured"}
      />
    </article>
  );
}
