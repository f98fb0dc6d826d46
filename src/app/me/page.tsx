import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { openSessions } from "@/server/access/sessions";
import { services } from "@/server/services";
import { Page, Panel } from "@/ui/page";
import { SessionList } from "@/ui/people/session-list";
import { speaker } from "@/words";
import { readEntered } from "../settings";
import { ChangePassword } from "./change-password";
import { MyPasskeys } from "./my-passkeys";
import { MyPin } from "./my-pin";
import { SignOut } from "./sign-out";

export const metadata: Metadata = { title: "Your sign-in" };

export default async function MePage() {
  const all = services();
  const entered = await readEntered();
  // Where one need not sign in there is nothing of one's own.
  if (entered === undefined) redirect("/loft");
  const { roles } = speaker().say.access;
  const sessions = openSessions(all).filter(({ person }) => person === entered.person);
  return (
    <Page
      title={entered.name}
      says={`You are a ${roles[entered.role].name}. ${roles[entered.role].may}`}
      action={<SignOut />}
    >
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <Panel title="A PIN on this device">
          <MyPin has={all.access.pin(entered.device, entered.person) !== undefined} />
        </Panel>
        <Panel title="Signed in on" note={String(sessions.length)}>
          <SessionList
            sessions={sessions.map(({ id, browser, how, openedAt, seenAt, shared }) => ({
              id,
              browser,
              shared,
              openedAt,
              seenAt,
              says: `by ${speaker().say.access.by[how]}`,
              here: id === entered.session,
            }))}
          />
        </Panel>
        <Panel title="Passkeys">
          <MyPasskeys
            keys={all.access
              .passkeysOf(entered.person)
              .map(({ id, name, madeAt }) => ({ id, name, at: madeAt }))}
          />
        </Panel>
        <Panel title="Another password">
          <ChangePassword name={entered.name} />
        </Panel>
      </div>
    </Page>
  );
}
