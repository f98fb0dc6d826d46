"use client";

import { KeyRound } from "lucide-react";
import Link from "next/link";
import { useEffect, useState } from "react";
import type { Problem, Result } from "@/core/result";
import { type CallFailure, call } from "@/edge/client";
import {
  FIRST_KEEPER,
  PASSKEY_TO_USE,
  SIGN_IN,
  SIGN_IN_BY_CODE,
  SIGN_IN_BY_PASSKEY,
  SIGN_IN_BY_PIN,
} from "@/edge/contracts/people";
import { BellShape } from "@/ui/draw/rope";
import { Asked, needed, useAsked } from "@/ui/kit/asked";
import { TextField } from "@/ui/kit/text-field";
import { Notice } from "@/ui/notice";
import { NewPassword } from "@/ui/people/new-password";
import { passkeysWork } from "@/ui/people/passkeys";
import { PinPad } from "@/ui/people/pin-pad";

interface Known {
  readonly person: string;
  readonly name: string;
}
type Way = { readonly by: "password" } | { readonly by: "code" } | ({ readonly by: "pin" } & Known);

/** The way in: a PIN for those who were here before, a name and a password, a code the first time. */
export function ComeIn({
  to,
  known,
  first,
  here,
}: {
  /** Where it leads to. */
  to: string;
  known: readonly Known[];
  /** Nobody can sign in yet. */
  first: boolean;
  /** Who is signed in on this device already. */
  here: string | undefined;
}) {
  const [way, setWay] = useState<Way>({ by: first ? "code" : "password" });
  // Everything is drawn anew for whoever came in.
  const goOn = () => location.assign(to);
  return (
    <div className="mx-auto flex min-h-dvh max-w-[460px] flex-col md:justify-center md:py-8">
      <header className="flex items-center gap-3 bg-[var(--rope-bg)] px-5 py-4 text-[var(--rope-ink)] md:rounded-t-md">
        <svg width={48} height={60} className="shrink-0" viewBox="20 8 64 74" aria-hidden="true">
          <BellShape ringing={false} />
        </svg>
        <div>
          <h1 className="plate text-title leading-tight">Loft Bell</h1>
          <p>{first ? "Nobody can sign in yet: you are the first keeper." : "Sign in to work here."}</p>
        </div>
      </header>
      <div className="card flex flex-1 flex-col gap-4 rounded-t-none p-5 md:flex-none">
        {here !== undefined && (
          <Notice tone="wait">
            {here} is signed in on this device, and stays so.{" "}
            <Link href={to} className="underline underline-offset-4">
              Go on as {here}
            </Link>
          </Notice>
        )}
        {known.length > 0 && way.by !== "pin" && (
          <div>
            <h2 className="caption mb-2">On this device</h2>
            <div className="grid gap-2">
              {known.map((each) => (
                <button
                  key={each.person}
                  type="button"
                  className="btn btn-quiet min-h-14 justify-start text-lead"
                  onClick={() => setWay({ by: "pin", ...each })}
                >
                  {each.name}
                </button>
              ))}
            </div>
          </div>
        )}
        {way.by === "pin" && <ByPin {...way} onIn={goOn} onElse={() => setWay({ by: "password" })} />}
        {way.by === "password" && <ByPassword onIn={goOn} />}
        {way.by === "code" && <ByCode first={first} onIn={goOn} />}
        {way.by === "password" && <ByPasskey onIn={goOn} />}
        {!first && way.by !== "pin" && (
          <button
            type="button"
            className="btn btn-quiet"
            onClick={() => setWay({ by: way.by === "code" ? "password" : "code" })}
          >
            {way.by === "code" ? "I have a password" : "I have a code from a keeper"}
          </button>
        )}
      </div>
    </div>
  );
}

type CameIn = Result<{ readonly name: string }, CallFailure>;

/** Tells each problem at its field; what belongs to none is told at the last one. */
const tellAt =
  <F extends string>(set: (field: F, error: { message: string }) => void, fields: readonly F[]) =>
  (problems: readonly Problem[]) => {
    for (const { path, message } of problems)
      set(fields.find((field) => path === `/${field}`) ?? fields.at(-1)!, { message });
  };

function Shared({ on, onChange }: { on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-6"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
      />
      Several people use this device: sign me out after a shift
    </label>
  );
}

function ByPassword({ onIn }: { onIn: () => void }) {
  const form = useAsked({ name: "", password: "" });
  const [shared, setShared] = useState(false);
  const { isSubmitting } = form.formState;
  const come = form.handleSubmit(async (said) => {
    const came: CameIn = await call(SIGN_IN, { body: { ...said, shared } });
    if (came.ok) onIn();
    else tellAt(form.setError, ["name", "password"])(came.error.problems);
  });
  return (
    <form className="flex flex-col gap-3" onSubmit={come}>
      <Asked form={form} name="name" refuse={needed("Write your name as it stands on records.")}>
        {(field) => <TextField label="Name" autoComplete="username" maxLength={80} {...field} />}
      </Asked>
      <Asked form={form} name="password" refuse={needed("Write your password.")}>
        {(field) => (
          <TextField label="Password" secret autoComplete="current-password" maxLength={300} {...field} />
        )}
      </Asked>
      <Shared on={shared} onChange={setShared} />
      <button type="submit" className="btn btn-go min-h-14 text-lead" disabled={isSubmitting}>
        {isSubmitting ? "Looking …" : "Sign in"}
      </button>
    </form>
  );
}

function ByCode({ first, onIn }: { first: boolean; onIn: () => void }) {
  const form = useAsked({ name: "", code: "", password: "" });
  const { isSubmitting } = form.formState;
  const come = form.handleSubmit(async (said) => {
    const came: CameIn = await call(first ? FIRST_KEEPER : SIGN_IN_BY_CODE, { body: said });
    if (came.ok) onIn();
    else tellAt(form.setError, ["name", "code", "password"])(came.error.problems);
  });
  return (
    <form className="flex flex-col gap-3" onSubmit={come}>
      <Asked form={form} name="code" refuse={needed("Write the code: ten letters and figures.")}>
        {(field) => (
          <TextField
            label="Code"
            hint={
              first
                ? "The server wrote it where it was started. It is another one with every start."
                : "From a keeper: good once, for three days."
            }
            autoComplete="one-time-code"
            maxLength={40}
            {...field}
          />
        )}
      </Asked>
      <Asked form={form} name="name" refuse={needed("Write your name as it shall stand on records.")}>
        {(field) => <TextField label="Your name" autoComplete="username" maxLength={80} {...field} />}
      </Asked>
      <Asked form={form} name="password" refuse={needed("Choose a password.")}>
        {(field) => <NewPassword label="A password of your own" {...field} />}
      </Asked>
      <button type="submit" className="btn btn-go min-h-14 text-lead" disabled={isSubmitting}>
        {isSubmitting ? "Looking …" : first ? "Become the first keeper" : "Choose it and sign in"}
      </button>
    </form>
  );
}

function ByPin({ person, name, onIn, onElse }: Known & { onIn: () => void; onElse: () => void }) {
  const [pin, setPin] = useState("");
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const come = async () => {
    setBusy(true);
    const came: CameIn = await call(SIGN_IN_BY_PIN, { body: { person, pin } });
    setBusy(false);
    if (came.ok) return onIn();
    setPin("");
    setRefused(came.error.problems[0]?.message);
  };
  return (
    <div className="flex flex-col gap-3">
      <h2 className="font-bold text-head">{name}</h2>
      {refused !== undefined && (
        <Notice tone="stop" live>
          {refused}
        </Notice>
      )}
      <PinPad value={pin} onChange={setPin} onDone={() => void come()} verb="Sign in" busy={busy} />
      <button type="button" className="btn btn-quiet" onClick={onElse}>
        Somebody else, or by password
      </button>
    </div>
  );
}

function ByPasskey({ onIn }: { onIn: () => void }) {
  const [works, setWorks] = useState(false);
  const [refused, setRefused] = useState<string>();
  // Only the browser knows.
  useEffect(() => setWorks(passkeysWork()), []);
  if (!works) return null;
  const come = async () => {
    setRefused(undefined);
    const options = await call(PASSKEY_TO_USE, { body: {} });
    if (!options.ok) return setRefused(options.error.problems[0]?.message);
    const { startAuthentication } = await import("@simplewebauthn/browser");
    const answer = await startAuthentication({ optionsJSON: options.value as never }).catch(() => undefined);
    if (answer === undefined)
      return setRefused("No passkey was given. Try again, or sign in with your password.");
    const came: CameIn = await call(SIGN_IN_BY_PASSKEY, { body: { answer: answer as never } });
    if (came.ok) onIn();
    else setRefused(came.error.problems[0]?.message);
  };
  return (
    <>
      <button type="button" className="btn btn-quiet gap-2" onClick={() => void come()}>
        <KeyRound size={20} aria-hidden /> Sign in by passkey
      </button>
      {refused !== undefined && (
        <Notice tone="stop" live>
          {refused}
        </Notice>
      )}
    </>
  );
}
