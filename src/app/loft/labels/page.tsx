import type { Metadata } from "next";
import { type LabelsAsked, type LabelsOf, labelsOf } from "@/server/papers/labels";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { ChooseLabels } from "./choose-labels";

export const metadata: Metadata = { title: "Labels" };

const OF: readonly LabelsOf[] = ["valves", "lock-points", "store-items"];

/** More than these are not listed to choose from: one takes all of a place. */
const MOST_LISTED = 400;

type Query = Readonly<Record<string, string | string[] | undefined>>;
const one = (query: Query, key: string): string | undefined => [query[key] ?? []].flat()[0];

/** Labels for valves, lock points and what lies in the store: chosen, seen as they lie, printed. */
export default async function LabelsPage({ searchParams }: { searchParams: Promise<Query> }) {
  const query = await searchParams;
  const { register, library, things } = services();
  const of = OF.find((each) => each === one(query, "of")) ?? "valves";
  const where = {
    valves: things.all("place").map(({ name }) => ({ id: name, name })),
    "lock-points": library.lineSummaries().map(({ id, name }) => ({ id, name })),
    "store-items": library.stores().map(({ id, name }) => ({ id, name })),
  };
  const only = [query.only ?? []].flat();
  const all = only.length > 0 || (of === "valves" && register.count() <= MOST_LISTED);
  const chosen = one(query, "in") ?? (all ? undefined : where[of][0]?.id);
  const asked: LabelsAsked = { of, only, ...(chosen !== undefined && { in: chosen }) };
  const labels = labelsOf(services(), asked, "");
  const listed = labels.ok ? labels.value.slice(0, MOST_LISTED) : [];
  return (
    <Page
      title="Labels"
      says="A code that opens what it stands on, with the tag to read. Scanned with any camera, or in Find."
    >
      <ChooseLabels
        key={JSON.stringify(asked)}
        of={of}
        where={where[of]}
        chosen={chosen}
        all={listed.map(({ id, plate, name, place }) => ({ id, plate, name, place }))}
        more={labels.ok ? labels.value.length - listed.length : labels.error === "too-many"}
        some={only.length > 0}
      />
    </Page>
  );
}
