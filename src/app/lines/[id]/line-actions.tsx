"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Line } from "@/core/formats";
import { idOfName } from "@/core/formats";
import type { Problem, Result } from "@/core/result";
import { type CallFailure, call } from "@/edge/client";
import { COPY_LINE, GET_LINE, JOIN_LINE, SPLIT_LINE } from "@/edge/contracts/documents";
import { type Option, SelectField } from "@/ui/kit/select-field";
import { TextField } from "@/ui/kit/text-field";
import { Modal } from "@/ui/modal";
import { Notice } from "@/ui/notice";
import { TakeAway } from "@/ui/own/take-away";
import { useChanged } from "@/ui/own/use-changed";
import { Panel } from "@/ui/page";

type Asking = "copy" | "split" | "join";

const named = ({ id, name }: { readonly id: string; readonly name?: string }): Option => ({
  id,
  name: name === undefined ? id : `${id}, ${name}`,
});

/** What can be done with a line as a whole. */
export function LineActions({
  line,
  others,
}: {
  line: Pick<Line, "id" | "name" | "nodes" | "links">;
  others: readonly { readonly id: string; readonly name: string }[];
}) {
  const router = useRouter();
  const changed = useChanged();
  const [asking, setAsking] = useState<Asking>();
  const [name, setName] = useState("");
  const [at, setAt] = useState("");
  const [other, setOther] = useState("");
  const [place, setPlace] = useState("");
  const [places, setPlaces] = useState<readonly Option[]>([]);
  const [refused, setRefused] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const ask = (what: Asking | undefined) => {
    setAsking(what);
    setRefused([]);
    setName("");
    setAt("");
    setOther("");
    setPlace("");
  };
  const params = { id: line.id };
  const done = async (
    doing: Promise<Result<{ readonly id: string; readonly edit?: string | undefined }, CallFailure>>,
    says: string,
  ) => {
    setBusy(true);
    const did = await doing;
    setBusy(false);
    if (!did.ok) return setRefused(did.error.problems);
    ask(undefined);
    changed(says, did.value.edit);
    router.push(`/lines/${encodeURIComponent(did.value.id)}`);
    router.refresh();
  };
  const chooseOther = async (id: string) => {
    setOther(id);
    setPlace("");
    const found = await call(GET_LINE, { params: { id } });
    if (!found.ok) return setRefused(found.error.problems);
    // What feeds it is where it most likely hangs on.
    const first = (kind: string) => (kind === "source" || kind === "boundary" ? 0 : 1);
    setPlaces([...found.value.nodes].sort((a, b) => first(a.kind) - first(b.kind)).map(named));
  };
  const head = { id: idOfName(name), name: name.trim() };
  const needsName = () => setRefused([{ path: "/name", message: "Give it a name." }]);
  const go = () => {
    if (asking !== "join" && head.name === "") return needsName();
    if (asking === "copy")
      return done(call(COPY_LINE, { params, body: head }), `${head.name} is a copy of it.`);
    if (asking === "split")
      return done(
        call(SPLIT_LINE, { params, body: { ...head, at } }),
        `${head.name} is a line of its own now.`,
      );
    return done(call(JOIN_LINE, { params, body: { at, other, place } }), "The two are one line now.");
  };
  const TITLES = {
    copy: "Copy this line",
    split: "Split this line",
    join: "Join another line to this one",
  } as const;
  return (
    <Panel title="This line">
      <div className="grid grid-cols-2 gap-2">
        <button type="button" className="btn btn-quiet" onClick={() => ask("copy")}>
          Copy
        </button>
        <button type="button" className="btn btn-quiet" onClick={() => ask("split")}>
          Split
        </button>
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() => ask("join")}
          disabled={others.length === 0}
        >
          Join
        </button>
        <TakeAway kind="line" id={line.id} name={line.name} to="/lines" />
        <Link href={`/valves/new?line=${encodeURIComponent(line.id)}`} className="btn btn-quiet col-span-2">
          Register a valve on it
        </Link>
        <Link
          href={`/loft/labels?${new URLSearchParams({ of: "lock-points", in: line.id })}`}
          className="btn btn-quiet col-span-2"
        >
          Labels for its lock points
        </Link>
      </div>
      <Modal
        open={asking !== undefined}
        onOpenChange={(open) => !open && ask(undefined)}
        title={asking === undefined ? "" : TITLES[asking]}
        says={
          asking === "copy"
            ? "The same piping; no valve of the register stands on the copy."
            : asking === "split"
              ? "What lies beyond the link becomes a line of its own, and its valves move there."
              : "The two places become one; the valves of the other line come along."
        }
      >
        {refused.length > 0 && (
          <Notice tone="stop" live>
            <b>Nothing was changed.</b> {refused.map(({ message }) => message).join(" ")}
          </Notice>
        )}
        {asking !== "join" && <TextField label="Name of the new line" value={name} onChange={setName} />}
        {asking === "split" && (
          <SelectField label="Cut at" value={at} options={line.links.map(named)} onChange={setAt} />
        )}
        {asking === "join" && (
          <>
            <SelectField
              label="Place of this line"
              value={at}
              options={line.nodes.map(named)}
              onChange={setAt}
            />
            <SelectField
              label="Other line"
              value={other}
              options={others}
              onChange={(id) => void chooseOther(id)}
            />
            <SelectField label="Place of the other line" value={place} options={places} onChange={setPlace} />
          </>
        )}
        <div className="flex justify-end gap-3">
          <button type="button" className="btn btn-quiet" onClick={() => ask(undefined)}>
            Leave it
          </button>
          <button
            type="button"
            className="btn btn-go"
            disabled={
              busy || (asking === "split" && at === "") || (asking === "join" && (at === "" || place === ""))
            }
            onClick={() => void go()}
          >
            {busy ? "Doing it …" : asking === undefined ? "" : TITLES[asking].split(" ")[0]}
          </button>
        </div>
      </Modal>
    </Panel>
  );
}
