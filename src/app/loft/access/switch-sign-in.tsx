"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { call } from "@/edge/client";
import { SWITCH_SIGN_IN } from "@/edge/contracts/people";
import { Asked, needed, useAsked } from "@/ui/kit/asked";
import { Notice } from "@/ui/notice";
import { NewPassword } from "@/ui/people/new-password";
import { useSettings } from "@/ui/settings";
import { WhoPicker } from "@/ui/who-picker";

/** Whether one has to sign in on this machine, too. */
export function SwitchSignIn({ on, fixed, first }: { on: boolean; fixed: boolean; first: boolean }) {
  const router = useRouter();
  const [refused, setRefused] = useState<string>();
  if (fixed)
    return (
      <Notice tone="go">
        <b>Everybody signs in.</b> The server was started so that others reach it: there it is always so.
      </Notice>
    );
  const off = async () => {
    const done = await call(SWITCH_SIGN_IN, { body: { on: false } });
    if (!done.ok) setRefused(done.error.problems[0]?.message);
    router.refresh();
  };
  if (on)
    return (
      <Notice tone="go">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <span>
            <b>Everybody signs in.</b> It was switched on; this server is reached from this machine alone.
          </span>
          <button type="button" className="btn btn-quiet" onClick={() => void off()}>
            Switch it off
          </button>
        </div>
        {refused !== undefined && <p role="alert">{refused}</p>}
      </Notice>
    );
  return <SwitchOn first={first} />;
}

function SwitchOn({ first }: { first: boolean }) {
  const { who } = useSettings();
  const form = useAsked({ password: "" });
  const { isSubmitting } = form.formState;
  const switchOn = form.handleSubmit(async ({ password }) => {
    const done = await call(SWITCH_SIGN_IN, { body: { on: true, ...(first && { password }) } });
    if (!done.ok) return form.setError("password", { message: done.error.problems[0]?.message ?? "" });
    // Everything is drawn anew for who came in.
    location.assign(first ? "/loft/access" : "/sign-in?to=/loft/access");
  });
  return (
    <section className="card flex flex-col gap-3 border-wait border-l-[6px] p-4">
      <h2 className="font-bold text-head">Nobody signs in here.</h2>
      <p>
        This server is reached from this machine alone: whoever holds it chooses a name, and can do
        everything. Where several people use it, switch sign-in on.
      </p>
      {first && (
        <div>
          <h3 className="mb-1 font-semibold">Who you are: you will be the first keeper</h3>
          <WhoPicker />
        </div>
      )}
      <form className="flex max-w-md flex-col gap-3" onSubmit={switchOn}>
        {first && (
          <>
            <input type="text" hidden readOnly autoComplete="username" value={who} />
            <Asked form={form} name="password" refuse={needed("Choose a password.")}>
              {(field) => <NewPassword label="Your password" {...field} />}
            </Asked>
          </>
        )}
        <button type="submit" className="btn btn-go self-start" disabled={isSubmitting || who === ""}>
          {isSubmitting ? "Switching …" : "Switch sign-in on"}
        </button>
      </form>
    </section>
  );
}
