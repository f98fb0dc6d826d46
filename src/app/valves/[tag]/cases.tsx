"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Case } from "@/core/formats";
import { call } from "@/edge/client";
import { CLOSE_CASE } from "@/edge/contracts/trouble";
import { TextField } from "@/ui/kit/text-field";
import { useChanged } from "@/ui/own/use-changed";
import { Panel } from "@/ui/page";
import { useSpeaker } from "@/ui/use-speaker";
import { Day } from "@/ui/when";

/** Trouble that was looked into, with what it came to; what others have, or what is watched, until somebody says what came of it. */
export function Cases({ cases }: { cases: readonly Case[] }) {
  const say = useSpeaker().say.trouble.customer;
  if (cases.length === 0) return null;
  return (
    <Panel title="Trouble">
      <ul className="dashed">
        {cases.map((each) => (
          <li key={each.id} className="py-2">
            <b>“{each.says}”</b>
            <span className="block">{each.ended}</span>
            <span className="block text-note text-soft">
              <Day at={Date.parse(each.at)} />, {each.by}
              {each.with !== undefined && ` with ${each.with}`}
              {each.to !== undefined && `; handed to ${each.to}`}
              {each.due !== undefined && each.closed === undefined && (
                <>
                  ; due <Day at={Date.parse(each.due)} />
                </>
              )}
            </span>
            <Link
              href={`/valves/${encodeURIComponent(each.valve)}/cases/${encodeURIComponent(each.id)}`}
              className="btn btn-quiet mt-2 mr-2"
            >
              {say.open}
            </Link>
            {each.outcome === "job" && each.job === undefined && (
              <Link
                href={`/valves/${encodeURIComponent(each.valve)}/start?case=${encodeURIComponent(each.id)}`}
                className="btn btn-quiet mt-2"
              >
                Start its job
              </Link>
            )}
            {each.closed !== undefined ? (
              <span className="block text-note">
                <Day at={Date.parse(each.closed.at)} />, {each.closed.by}: {each.closed.says}
              </span>
            ) : (
              (each.outcome === "handed-over" || each.outcome === "watched") && <CloseCase id={each.id} />
            )}
          </li>
        ))}
      </ul>
    </Panel>
  );
}

function CloseCase({ id }: { id: string }) {
  const router = useRouter();
  const changed = useChanged();
  const [open, setOpen] = useState(false);
  const [says, setSays] = useState("");
  const [refused, setRefused] = useState<string>();
  const close = async () => {
    if (says.trim() === "") return setRefused("Say what came of it.");
    const done = await call(CLOSE_CASE, { params: { id }, body: { says: says.trim() } });
    if (!done.ok) return setRefused(done.error.problems.map(({ message }) => message).join(" "));
    changed("Written down.", done.value.edit);
    router.refresh();
  };
  return open ? (
    <div className="mt-2 flex flex-col gap-2">
      <TextField label="What came of it" value={says} onChange={setSays} error={refused} maxLength={400} />
      <button type="button" className="btn btn-go" onClick={() => void close()}>
        Write it down
      </button>
    </div>
  ) : (
    <button type="button" className="btn btn-quiet mt-2" onClick={() => setOpen(true)}>
      What came of it
    </button>
  );
}
