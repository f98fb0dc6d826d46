import type { Metadata } from "next";
import Link from "next/link";
import { readSettings } from "@/app/settings";
import { services } from "@/server/services";
import { allTrouble, type KnownTrouble } from "@/server/trouble/all-trouble";
import { CalibrationPlot } from "@/ui/draw/calibration-plot";
import { Empty } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";
import { inHundred, speaker } from "@/words";

export const metadata: Metadata = { title: "What may be wrong" };

/** What is known of each family, and whether what was said of it came true here. */
export default async function KnowledgePage() {
  const words = speaker(await readSettings());
  const { families, calibration } = allTrouble(services());
  const { cases, likeliest, bands } = calibration;
  return (
    <Page
      title="What may be wrong"
      says="What trouble is judged by: complaints, causes, looks and ends of each family. Whether it held is counted from signed jobs and cures here."
    >
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_420px]">
        <Panel title="Families" note={`${families.length}`}>
          <ul className="dashed">
            {families.map((each) => (
              <FamilyRow key={each.knowledge.family} of={each} />
            ))}
          </ul>
        </Panel>
        <Panel title="Said and was" note={cases === 1 ? "1 case" : `${cases} cases`}>
          {cases === 0 ? (
            <Empty>
              No cause was found yet. A job that is signed, or a cure that helped, is the first that counts.
            </Empty>
          ) : (
            <>
              <p className="mb-2 text-lead">
                The likeliest was it in {likeliest} of {cases}.
              </p>
              <CalibrationPlot
                calibration={calibration}
                label="How often it was what was said to be likely"
              />
              <p className="text-note text-soft">
                Across: in 100, how likely something was said to be. Up: in 100, how often it was that. On the
                brass line both are the same; the upright lines hold the truth in 19 of 20.
              </p>
              <ul className="dashed mt-2 text-note">
                {bands.map(({ from, said, was, given }) => (
                  <li key={from} className="flex justify-between gap-3 py-1">
                    <span>
                      Said {inHundred(words, said)} in 100, {given} times
                    </span>
                    <b className="plate">was {inHundred(words, was)}</b>
                  </li>
                ))}
              </ul>
            </>
          )}
        </Panel>
      </div>
    </Page>
  );
}

function FamilyRow({ of: { knowledge, own, learnt } }: { of: KnownTrouble }) {
  const { family, title, complaints, causes, looks, demonstration } = knowledge;
  return (
    <li>
      <Link
        href={`/loft/trouble/${encodeURIComponent(family)}`}
        className="grid min-h-14 grid-cols-[1fr_auto] items-center gap-3 py-1.5"
      >
        <span>
          <b>{title}</b>
          <small className="block text-note text-soft">
            {complaints.length} complaints, {causes.length} causes, {looks.length} looks.{" "}
            {own ? "Written here." : "As it ships."} {demonstration ? "Made up." : "Vouched for."}
          </small>
        </span>
        <span className="plate text-note">{learnt.length === 0 ? "" : `${learnt.length} found`}</span>
      </Link>
    </li>
  );
}
