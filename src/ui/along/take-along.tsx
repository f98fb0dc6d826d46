"use client";

import { useLiveQuery } from "dexie-react-hooks";
import { useState } from "react";
import { takeAlong, type What } from "@/device/along";
import { deviceStore } from "@/device/store";
import { Panel } from "../page";
import { useFigures } from "../use-figures";
import { Day } from "../when";

type State =
  | { readonly kind: "quiet" }
  | { readonly kind: "taking"; readonly share: number }
  | { readonly kind: "told"; readonly says: string; readonly wrong: boolean };

/** Takes a day, a valve, a place or a line along, so that it opens without signal. */
export function TakeAlong({ what, of = "", label }: { what: What; of?: string; label: string }) {
  const [state, setState] = useState<State>({ kind: "quiet" });
  const taken = useLiveQuery(() => deviceStore().along.get(of === "" ? what : `${what}:${of}`), [what, of]);
  const megabytes = useMegabytes();
  const take = async () => {
    setState({ kind: "taking", share: 0 });
    const answer = await takeAlong(
      {
        store: deviceStore(),
        now: Date.now,
        onProgress: (share) => setState({ kind: "taking", share }),
      },
      what,
      of,
    ).catch((fault: unknown) => (fault instanceof Error ? fault : new Error(String(fault))));
    if (answer instanceof Error)
      return setState({ kind: "told", says: `This device did not keep it: ${answer.message}`, wrong: true });
    if (!answer.ok)
      return setState({
        kind: "told",
        says: answer.error.problems.map(({ message }) => message).join(" "),
        wrong: true,
      });
    const { along, missing, left } = answer.value;
    const short = [
      missing.length > 0
        ? `${missing.length} of ${along.pages.length} pages did not come: take it again.`
        : "",
      left > 0 ? `${left} valves are not among it: take a smaller place.` : "",
    ].filter(Boolean);
    setState({
      kind: "told",
      says:
        short.length > 0
          ? short.join(" ")
          : `${along.pages.length} pages, ${megabytes(along.bytes)}: here without signal.`,
      wrong: short.length > 0,
    });
  };
  const busy = state.kind === "taking";
  return (
    <div className="flex flex-col gap-1">
      <button type="button" className="btn btn-quiet min-h-12" disabled={busy} onClick={() => void take()}>
        {busy ? `Taking along … ${Math.round(state.share * 100)} %` : label}
      </button>
      <p
        role="status"
        className={`text-note ${state.kind === "told" && state.wrong ? "text-stop" : "text-soft"}`}
      >
        {state.kind === "told" ? (
          state.says
        ) : taken !== undefined && !busy ? (
          <>
            Taken along <Day at={taken.at} time />
          </>
        ) : null}
      </p>
    </div>
  );
}

/** Bytes as megabytes, in the reader's figures. */
export function useMegabytes(): (bytes: number) => string {
  const { fixed } = useFigures();
  return (bytes) => `${fixed(bytes / 1e6, bytes < 1e7 ? 1 : 0)} MB`;
}

/** The way to take along what a screen is about. */
export function TakeAlongPanel(props: { what: What; of: string; label: string }) {
  return (
    <Panel title="Without signal">
      <TakeAlong {...props} />
    </Panel>
  );
}
