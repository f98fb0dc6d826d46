import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { jobInputs } from "@/server/jobs/open-job";
import { services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { StartJob } from "./start-job";

export const metadata: Metadata = { title: "Start a job" };

/** Stands in the inputs a plan is tried on, until somebody starts the job in a name of the crew. */
const NOBODY_YET = "nobody yet";

export default async function StartPage({ params }: { params: Promise<{ tag: string }> }) {
  const tag = pathId((await params).tag);
  const { who } = await readSettings();
  const all = services();
  const valve = all.register.valve(tag);
  if (valve === undefined) notFound();
  const open = all.summaries.openOfValve(tag);
  if (open !== undefined) redirect(`/jobs/${encodeURIComponent(open.job)}`);
  const sheet = all.library.sheet(valve.sheet);
  const first = sheet?.symptoms.find((each) => each.says === valve.symptom) ?? sheet?.symptoms[0];
  const inputs = jobInputs(
    all,
    {
      valve: tag,
      reason:
        valve.symptom === undefined
          ? { kind: "due", says: sheet?.intervals[0]?.what ?? "Due" }
          : { kind: "symptom", says: valve.symptom },
      reach: first?.reach ?? [],
      policy: "on-condition",
      where: sheet?.traits?.includes("carried") === true && valve.line === undefined ? "carried" : "line",
    },
    who || NOBODY_YET,
  );
  if (!inputs.ok)
    return (
      <Page title={`Start a job on ${tag}`}>
        {inputs.error.map((each) => (
          <Notice key={each.path} tone="stop">
            {each.message}
          </Notice>
        ))}
      </Page>
    );
  return <StartJob inputs={inputs.value} />;
}
