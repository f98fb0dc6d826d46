"use client";

import { useRouter } from "next/navigation";
import { toast } from "sonner";
import { call } from "@/edge/client";
import { END_SESSION } from "@/edge/contracts/people";
import { Empty } from "../notice";
import { Day } from "../when";

export interface ShownSession {
  readonly id: string;
  /** Whose, where it is not one's own. */
  readonly name?: string;
  readonly browser: string;
  readonly says: string;
  readonly shared: boolean;
  readonly openedAt: number;
  readonly seenAt: number;
  /** This one. */
  readonly here: boolean;
}

/** Who is signed in where; each can be ended. */
export function SessionList({ sessions }: { sessions: readonly ShownSession[] }) {
  const router = useRouter();
  const end = async ({ id, name, browser }: ShownSession) => {
    const done = await call(END_SESSION, { params: { id } });
    if (done.ok) toast(`${name ?? "You"} ${name === undefined ? "are" : "is"} signed out, on ${browser}.`);
    else toast.error(done.error.problems[0]?.message ?? "");
    router.refresh();
  };
  if (sessions.length === 0) return <Empty>Nobody is signed in.</Empty>;
  return (
    <ul className="dashed">
      {sessions.map((session) => (
        <li key={session.id} className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 py-2">
          <span className="min-w-0">
            {session.name !== undefined && <b>{session.name}, </b>}
            {session.browser}
            <span className="block text-note text-soft">
              {session.says}, <Day at={session.openedAt} time />
              {session.shared && ", a shared device"}; seen <Day at={session.seenAt} time />
            </span>
          </span>
          {session.here ? (
            <span className="plate rounded bg-go-bg px-2 text-ink">this one</span>
          ) : (
            <button type="button" className="btn btn-quiet" onClick={() => void end(session)}>
              End it
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
