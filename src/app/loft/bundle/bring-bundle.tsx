"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { BundlePart } from "@/core/formats";
import { grouped } from "@/core/quantity";
import { call } from "@/edge/client";
import type { AnswerTo } from "@/edge/contract";
import { BRING_BUNDLE, BUNDLE_PROGRESS, LOOK_AT_BUNDLE } from "@/edge/contracts/bundle";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { Day } from "@/ui/when";

type Look = AnswerTo<typeof LOOK_AT_BUNDLE>;
type Progress = AnswerTo<typeof BUNDLE_PROGRESS>;

const NAMES: Readonly<Record<BundlePart, string>> = {
  house: "The house and its rules",
  crew: "The crew",
  places: "Places",
  instruments: "Instruments",
  map: "The map",
  sheets: "Sheets",
  lines: "Lines",
  stores: "Stores, with ledger and orders",
  jobs: "Jobs, with logs and photographs",
  valves: "Valves",
  readings: "Readings",
  papers: "Papers and photographs of things",
  columns: "Columns that were matched",
  trouble: "What may be wrong, in one's own words",
  cases: "Trouble that was looked into",
  rounds: "Rounds, as planned and published",
  changes: "The book of changes",
};

const ASKED_EVERY_MS = 400;
const wait = () => new Promise((resolve) => setTimeout(resolve, ASKED_EVERY_MS));

/** A bundle of another installation: read, told part by part, and brought in as far as one wants. */
export function BringBundle() {
  const router = useRouter();
  const [look, setLook] = useState<Look>();
  const [left, setLeft] = useState<ReadonlySet<BundlePart>>(new Set());
  const [progress, setProgress] = useState<Progress>();
  const [refused, setRefused] = useState<string>();
  const [reading, setReading] = useState(false);

  const choose = async (file: File | undefined) => {
    if (file === undefined) return;
    setLook(undefined);
    setProgress(undefined);
    setRefused(undefined);
    setReading(true);
    const looked = await call(LOOK_AT_BUNDLE, { body: new Blob([file], { type: "application/zip" }) });
    setReading(false);
    if (!looked.ok) return setRefused(looked.error.problems.map(({ message }) => message).join(" "));
    setLeft(new Set());
    setLook(looked.value);
  };
  const bring = async ({ id, parts }: Look) => {
    setRefused(undefined);
    const chosen = parts.map(({ part }) => part).filter((part) => !left.has(part));
    let now = await call(BRING_BUNDLE, { params: { id }, body: { parts: chosen } });
    while (now.ok && now.value.state === "coming-in") {
      setProgress(now.value);
      await wait();
      now = await call(BUNDLE_PROGRESS, { params: { id } });
    }
    if (!now.ok) return setRefused(now.error.problems.map(({ message }) => message).join(" "));
    setProgress(now.value);
    router.refresh();
  };
  const busy = reading || progress?.state === "coming-in";
  return (
    <Panel title="Bring one in">
      <label className="block">
        <span className="font-semibold">The file, as it was taken out</span>
        <input
          type="file"
          accept=".zip,application/zip"
          className="field mt-1"
          disabled={busy}
          onChange={(event) => void choose(event.target.files?.[0])}
        />
      </label>
      {reading && (
        <p className="mt-3" role="status">
          Reading all of it …
        </p>
      )}
      {refused !== undefined && (
        <div className="mt-3">
          <Notice tone="stop" live>
            {refused}
          </Notice>
        </div>
      )}
      {look !== undefined && (
        <>
          <p className="mt-3">
            <b>{look.house ?? "A Loft Bell without a name"}</b>, packed{" "}
            <Day at={Date.parse(look.made)} time />.{" "}
            {look.ours
              ? "It is of this installation."
              : "It is of another installation: its logs are marked as made elsewhere."}{" "}
            Every file is as it was packed.
          </p>
          <ul className="dashed mt-2">
            {look.parts.map(({ part, entries, fresh, changed, alike }) => (
              <li key={part}>
                <label className="flex min-h-12 items-center gap-3 py-1">
                  <input
                    type="checkbox"
                    className="size-6 accent-current"
                    checked={!left.has(part)}
                    disabled={busy}
                    onChange={() => {
                      const next = new Set(left);
                      if (!next.delete(part)) next.add(part);
                      setLeft(next);
                    }}
                  />
                  <span className="min-w-0 flex-1">
                    {NAMES[part]}
                    <small className="block text-soft">
                      {[
                        fresh > 0 ? `${grouped(fresh)} new` : "",
                        changed > 0 ? `${grouped(changed)} would be as in the file` : "",
                        alike > 0 ? `${grouped(alike)} here already` : "",
                      ]
                        .filter(Boolean)
                        .join(", ")}
                    </small>
                  </span>
                  <b className="plate text-lead">{grouped(entries)}</b>
                </label>
              </li>
            ))}
          </ul>
          {progress === undefined && (
            <button
              type="button"
              className="btn btn-go mt-3 w-full"
              disabled={busy || left.size === look.parts.length}
              onClick={() => void bring(look)}
            >
              Bring {left.size === 0 ? "all of it" : "the chosen parts"} in
            </button>
          )}
        </>
      )}
      {progress !== undefined && <HowFar progress={progress} />}
    </Panel>
  );
}

function HowFar({ progress: { state, done, of, changes, problems = [] } }: { progress: Progress }) {
  return (
    <div className="mt-3" role="status">
      <progress
        className="h-4 w-full accent-go"
        value={done}
        max={Math.max(1, of)}
        aria-label="Pieces brought in"
      />
      <p>
        {grouped(done)} of {grouped(of)} pieces, {grouped(changes)} things that were not so already.
      </p>
      {state === "in" && (
        <Notice tone="go">It is in. Each piece stands in the book of changes (Loft, Changes).</Notice>
      )}
      {state === "stopped" && (
        <Notice tone="stop" live>
          <b>It stopped here.</b> What came in before stays, and can be undone in the book of changes.{" "}
          {problems.map(({ path, message }) => `${path} ${message}`).join(" ")}
        </Notice>
      )}
    </div>
  );
}
