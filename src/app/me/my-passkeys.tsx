"use client";

import { KeyRound } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { toast } from "sonner";
import { call } from "@/edge/client";
import { KEEP_PASSKEY, PASSKEY_TO_MAKE, REMOVE_PASSKEY } from "@/edge/contracts/people";
import { Asked, needed, useAsked } from "@/ui/kit/asked";
import { TextField } from "@/ui/kit/text-field";
import { Empty, Notice } from "@/ui/notice";
import { passkeysWork } from "@/ui/people/passkeys";
import { Day } from "@/ui/when";

interface Key {
  readonly id: string;
  readonly name: string;
  readonly at: number;
}

/** Passkeys: the device's own lock lets in, nothing is typed. */
export function MyPasskeys({ keys }: { keys: readonly Key[] }) {
  const router = useRouter();
  const [works, setWorks] = useState<boolean>();
  useEffect(() => setWorks(passkeysWork()), []);
  const remove = async ({ id, name }: Key) => {
    const done = await call(REMOVE_PASSKEY, { params: { id } });
    if (done.ok) toast(`${name} lets in no more.`);
    else toast.error(done.error.problems[0]?.message ?? "");
    router.refresh();
  };
  return (
    <div className="flex flex-col gap-3">
      {keys.length === 0 ? (
        <Empty>None yet. With one the lock of your own device signs you in.</Empty>
      ) : (
        <ul className="dashed">
          {keys.map((key) => (
            <li key={key.id} className="flex flex-wrap items-center justify-between gap-3 py-2">
              <span>
                <b>{key.name}</b>{" "}
                <span className="text-soft">
                  since <Day at={key.at} />
                </span>
              </span>
              <button type="button" className="btn btn-quiet" onClick={() => void remove(key)}>
                Take away
              </button>
            </li>
          ))}
        </ul>
      )}
      {works === false && (
        <Notice tone="wait">
          This browser makes none here: it takes TLS and a name, as https://loft.works.example. An address of
          figures has none.
        </Notice>
      )}
      {works === true && <NewPasskey onMade={() => router.refresh()} />}
    </div>
  );
}

function NewPasskey({ onMade }: { onMade: () => void }) {
  const form = useAsked({ name: "" });
  const { isSubmitting } = form.formState;
  const make = form.handleSubmit(async ({ name }) => {
    const refuse = (message: string) => form.setError("name", { message });
    const options = await call(PASSKEY_TO_MAKE, { body: {} });
    if (!options.ok) return refuse(options.error.problems[0]?.message ?? "");
    const { startRegistration } = await import("@simplewebauthn/browser");
    const answer = await startRegistration({ optionsJSON: options.value as never }).catch(() => undefined);
    if (answer === undefined) return refuse("The device made none. Try again, or leave it.");
    const kept = await call(KEEP_PASSKEY, { body: { name, answer: answer as never } });
    if (!kept.ok) return refuse(kept.error.problems[0]?.message ?? "");
    form.reset();
    toast("From now on this device signs you in by its own lock.");
    onMade();
  });
  return (
    <form className="flex flex-col gap-3" onSubmit={make}>
      <Asked form={form} name="name" refuse={needed("Give it a name, as: my phone.")}>
        {(field) => (
          <TextField label="Name of the device" placeholder="e.g. my phone" maxLength={60} {...field} />
        )}
      </Asked>
      <button type="submit" className="btn btn-go gap-2 self-start" disabled={isSubmitting}>
        <KeyRound size={20} aria-hidden /> {isSubmitting ? "Making …" : "Make a passkey"}
      </button>
    </form>
  );
}
