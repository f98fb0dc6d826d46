import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { readSettings } from "@/app/settings";
import { jobInputs } from "@/server/jobs/open-job";
import { services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { StartJob } from "./start-job";

export const metadata: Metadata = { title: "Start a job" };

export default async function StartPage({ params }: { params: Promise<{ tag: string }> }) {
  const { tag } = await params;
  const { who } = await readSettings();
  const all = services();
  const valve = all.library.valve(tag);
  if (valve === undefined) notFound();
  const open = all.jobs.openOfValve(tag);
  if (open !== undefined) redirect(`/jobs/${open.inputs.id}`);
  const sheet = all.library.sheet(valve.sheet);
  const first = sheet?.symptoms.find((each) => each.says === valve.symptom) ?? sheet?.symptoms[0];
  const inputs = jobInputs(all, {
    valve: tag,
    reason:
      valve.symptom === undefined
        ? { kind: "due", says: sheet?.intervals[0]?.what ?? "Due" }
        : { kind: "symptom", says: valve.symptom },
    reach: first?.reach ?? [],
    policy: "on-condition",
    by: who || (all.library.people()[0]?.name ?? "me"),
  });
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
  return <StartJob inputs={inputs.value} people={all.library.people().map((person) => person.name)} />;
}
