import type { Metadata } from "next";
import { ROLES } from "@/core/people";
import { accessBefore } from "@/server/access/access-log";
import { hasKeeper, isAlwaysNeeded, signInNeeded } from "@/server/access/needed";
import { openSessions } from "@/server/access/sessions";
import { services } from "@/server/services";
import { Empty, Notice } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";
import { SessionList } from "@/ui/people/session-list";
import { Day } from "@/ui/when";
import { speaker } from "@/words";
import { ForKeepers } from "../../for-keepers";
import { readEntered } from "../../settings";
import { Accounts } from "./accounts";
import { SwitchSignIn } from "./switch-sign-in";

export const metadata: Metadata = { title: "Who may come in" };

export default function AccessPage() {
  return (
    <ForKeepers title="Who may come in">
      <Access />
    </ForKeepers>
  );
}

async function Access() {
  const all = services();
  const entered = await readEntered();
  const crew = all.library.crew();
  const accounts = new Map(all.access.accounts().map((account) => [account.person, account]));
  const names = new Map(all.library.people().map(({ id, name }) => [id, name]));
  const { access } = speaker().say;
  const sessions = openSessions(all);
  const log = accessBefore(all);
  return (
    <Page
      title="Who may come in"
      says="Who signs in, as what, and where. What each is competent for stands with the crew."
    >
      <SwitchSignIn on={signInNeeded(all)} fixed={isAlwaysNeeded()} first={!hasKeeper(all)} />
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div className="flex flex-col gap-4">
          <Panel title="The crew" note={`${accounts.size} of ${crew.length} may sign in`}>
            {crew.length === 0 ? (
              <Empty>Nobody yet. Add yourself to the crew first.</Empty>
            ) : (
              <Accounts
                me={entered?.person}
                people={crew.map(({ id, name, may }) => {
                  const account = accounts.get(id);
                  return {
                    id,
                    name,
                    may,
                    ...(account !== undefined && {
                      role: account.role,
                      chosen: account.password !== null,
                      waits: account.codeUntil !== null && account.codeUntil > all.now(),
                    }),
                  };
                })}
              />
            )}
          </Panel>
          <Panel title="Signed in now" note={String(sessions.length)}>
            <SessionList
              sessions={sessions.map(({ id, person, browser, how, openedAt, seenAt, shared }) => ({
                id,
                name: names.get(person) ?? person,
                browser,
                shared,
                openedAt,
                seenAt,
                says: `by ${access.by[how]}`,
                here: id === entered?.session,
              }))}
            />
          </Panel>
        </div>
        <div className="flex flex-col gap-4">
          <Panel title="What each may do">
            <dl className="flex flex-col gap-2">
              {ROLES.map((role) => (
                <div key={role}>
                  <dt className="font-semibold first-letter:uppercase">{access.roles[role].name}</dt>
                  <dd className="text-soft">{access.roles[role].may}</dd>
                </div>
              ))}
            </dl>
          </Panel>
          <Panel title="What happened">
            {log.length === 0 ? (
              <Empty>Nothing yet.</Empty>
            ) : (
              <ul className="dashed max-h-[28rem] overflow-y-auto" tabIndex={-1}>
                {log.map(({ seq, at, by, says }) => (
                  <li key={seq} className="py-1.5 text-note">
                    <b>{by}</b> {says}
                    <span className="block text-soft">
                      <Day at={at} time />
                    </span>
                  </li>
                ))}
              </ul>
            )}
            <a
              href="/api/v1/export/access.csv"
              download
              className="mt-2 inline-block min-h-11 content-center underline underline-offset-4"
            >
              All of it as CSV
            </a>
          </Panel>
        </div>
      </div>
      {!hasKeeper(all) && signInNeeded(all) && (
        <Notice tone="stop">Nobody could let anybody in: make somebody a keeper.</Notice>
      )}
    </Page>
  );
}
