import Link from "next/link";
import { grouped } from "@/core/quantity";
import { watched } from "@/server/proof/watch";
import { services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { Day } from "@/ui/when";

const MOST_SHOWN = 50;

/** What this installation signs with, how far its chain has come, and whatever does not fit it. */
export function ProofPanel() {
  const all = services();
  const { doubts, whole } = watched(all);
  const last = all.anchors.last();
  return (
    <div id="proof">
      <Panel
        title="Proof"
        note={last === undefined ? "" : `${grouped(last.seq)} ${last.seq === 1 ? "anchor" : "anchors"}`}
      >
        <p>
          Every log and every reading is anchored in a chain that this installation signs. Its public key, for
          whoever checks a record elsewhere:
        </p>
        <p className="my-2 select-all break-all rounded bg-sunk p-3 font-mono text-note">
          {all.installation.publicKey}
        </p>
        {last !== undefined && (
          <p className="break-all text-fine text-soft">
            Newest anchor {last.seq}, <Day at={Date.parse(last.at)} time />: {last.hash}
          </p>
        )}
        <div className="mt-3">
          {doubts.length === 0 ? (
            <Notice tone="go">
              {whole
                ? "Everything stored is as it was acknowledged."
                : "Everything stored is being looked through …"}
            </Notice>
          ) : (
            <Notice tone="stop" live>
              <b>Not as it was stored:</b>
              <ul className="mt-1 list-disc pl-5">
                {doubts.slice(0, MOST_SHOWN).map((doubt) => (
                  <li key={doubt.subject + doubt.id}>
                    {doubt.subject === "job" && (
                      <Link className="underline" href={`/jobs/${encodeURIComponent(doubt.id)}/record`}>
                        Job {doubt.id}
                      </Link>
                    )}
                    {doubt.subject === "readings" && (
                      <Link className="underline" href={`/valves/${encodeURIComponent(doubt.id)}`}>
                        Readings of {doubt.id}
                      </Link>
                    )}{" "}
                    {doubt.message}
                  </li>
                ))}
              </ul>
            </Notice>
          )}
        </div>
      </Panel>
    </div>
  );
}
