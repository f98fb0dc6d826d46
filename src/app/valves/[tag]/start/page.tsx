import type { Metadata } from "next";
import Link from "next/link";
import { notFound, redirect } from "next/navigation";
import { pathId } from "@/app/path-id";
import { certificatesOf, type JobInputs, type Sheet, type Valve } from "@/core/formats";
import { dues, reportedOf } from "@/core/rounds";
import { sealOffer } from "@/server/jobs/begun-away";
import { offerOf } from "@/server/jobs/open-job";
import { services } from "@/server/services";
import { jobOfCase } from "@/server/trouble/job-of-case";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { StartJob } from "./start-job";

export const metadata: Metadata = { title: "Start a job" };

export default async function StartPage({
  params,
  searchParams,
}: {
  params: Promise<{ tag: string }>;
  searchParams: Promise<{ case?: string | string[]; with?: string | string[] }>;
}) {
  const tag = pathId((await params).tag);
  const { case: asked, with: beside } = await searchParams;
  const together = typeof beside === "string" && beside !== "" ? { together: beside.split(",") } : {};
  const all = services();
  const valve = all.register.valve(tag);
  if (valve === undefined) notFound();
  const open = all.summaries.openOfValve(tag);
  if (open !== undefined) redirect(`/jobs/${encodeURIComponent(open.job)}`);
  const sheet = all.library.sheet(valve.sheet);
  const of = typeof asked === "string" ? jobOfCase(all, asked, tag) : undefined;
  const first = of ?? (sheet && beginsWith(valve, sheet, all.now()));
  const offer = offerOf(all, { valve: tag, ...together, ...(of !== undefined && { case: of.case }) });
  if (!offer.ok)
    return (
      <Page title={`Start a job on ${tag}`}>
        {offer.error.map((each) => (
          <Notice key={each.path} tone="stop">
            {each.message}
          </Notice>
        ))}
        {"together" in together && (
          <p>
            <Link href={`/valves/${encodeURIComponent(tag)}/start`} className="btn btn-go min-h-14">
              Start {tag} by itself
            </Link>
          </p>
        )}
      </Page>
    );
  const crew = new Map(all.library.crew().map((person) => [person.name, certificatesOf(person)]));
  return (
    <StartJob
      offer={offer.value}
      seal={sealOffer(all, offer.value)}
      {...together}
      first={{
        reason: first?.reason ?? offer.value.reason,
        reach: first?.reach ?? [],
        ...(of !== undefined && { renew: of.renew }),
        where: sheet?.traits?.includes("carried") === true && valve.line === undefined ? "carried" : "line",
      }}
      crew={crew}
    />
  );
}

/** The reason and the parts that are offered first: what is reported of it, else what rings first. */
function beginsWith(
  valve: Valve,
  sheet: Sheet,
  now: number,
): Pick<JobInputs, "reason"> & { readonly reach: readonly string[] } {
  const reported = reportedOf(valve, sheet);
  const rings = dues(valve, sheet, now)[0];
  const chosen = reported ?? sheet.symptoms.find(({ interval }) => interval === rings?.interval);
  const named = chosen && { symptom: chosen.id };
  return {
    reason:
      valve.symptom === undefined
        ? { kind: "due", says: chosen?.says ?? rings?.what ?? "Due", ...named }
        : { kind: "symptom", says: valve.symptom, ...named },
    reach: (chosen ?? sheet.symptoms[0])?.reach ?? [],
  };
}
