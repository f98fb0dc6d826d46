"use client";

import Link from "next/link";
import { usePathname, useRouter } from "next/navigation";
import { useState } from "react";
import { call } from "@/edge/client";
import { ADD_PERSON } from "@/edge/contracts/here";
import { Asked, needed, useAsked } from "./kit/asked";
import { TextField } from "./kit/text-field";
import { Notice } from "./notice";
import { saveSettings, useCrew, useSettings, useSignedIn } from "./settings";

/** A longer crew is narrowed by typing. */
const MANY = 12;

/** Who is holding this device: chosen from the crew, never presumed. */
export function WhoPicker({ onChosen }: { onChosen?: (name: string) => void }) {
  const router = useRouter();
  const settings = useSettings();
  const crew = useCrew();
  const signedIn = useSignedIn();
  const [typed, setTyped] = useState("");
  const choose = (who: string) => {
    saveSettings({ ...settings, who });
    onChosen?.(who);
    router.refresh();
  };
  if (signedIn !== undefined) return <SomebodyElse name={signedIn.name} />;
  if (crew.length === 0) return <AddPerson onAdded={choose} first />;
  const shown = crew.filter((name) => name.toLowerCase().includes(typed.trim().toLowerCase()));
  return (
    <div className="flex flex-col gap-2">
      {crew.length > MANY && <TextField label="Part of the name" value={typed} onChange={setTyped} />}
      <div className="flex flex-wrap gap-2">
        {shown.map((name) => (
          <button
            key={name}
            type="button"
            aria-pressed={settings.who === name}
            onClick={() => choose(name)}
            className={`btn min-h-14 ${settings.who === name ? "border-2 border-ink bg-ink text-paper" : "btn-quiet"}`}
          >
            {name}
          </button>
        ))}
      </div>
      {shown.length === 0 && (
        <p className="text-soft">Nobody of the crew is called so. Somebody new is added in the Loft.</p>
      )}
    </div>
  );
}

/** Where one signs in nobody is chosen from a list: somebody else comes in as such. */
function SomebodyElse({ name }: { name: string }) {
  const path = usePathname();
  return (
    <div className="flex flex-wrap items-center gap-3">
      <b className="text-lead">{name}</b>
      <Link href={`/sign-in?to=${encodeURIComponent(path)}`} className="btn btn-quiet">
        Somebody else signs in
      </Link>
    </div>
  );
}

/** Adds one to the crew, told at the field when it cannot be. */
export function AddPerson({ onAdded, first = false }: { onAdded?: (name: string) => void; first?: boolean }) {
  const router = useRouter();
  const form = useAsked({ name: "", may: "" });
  const { isSubmitting } = form.formState;
  const add = form.handleSubmit(async (person) => {
    const added = await call(ADD_PERSON, { body: person });
    if (!added.ok) {
      form.setError("name", { message: added.error.problems[0]?.message ?? "It could not be added." });
      return;
    }
    form.reset();
    if (onAdded === undefined) router.refresh();
    else onAdded(added.value.name);
  });
  return (
    <form className="flex flex-col gap-3" onSubmit={add}>
      {first && <Notice tone="wait">Nobody is in the crew yet. Begin with yourself.</Notice>}
      <Asked form={form} name="name" refuse={needed("Write the name.")}>
        {(field) => <TextField label="Name" maxLength={80} autoComplete="name" {...field} />}
      </Asked>
      <Asked form={form} name="may">
        {(field) => (
          <TextField
            label="What this person may do"
            maxLength={200}
            placeholder="e.g. hydrants; gas"
            {...field}
          />
        )}
      </Asked>
      <button type="submit" className="btn btn-go" disabled={isSubmitting}>
        {isSubmitting ? "Adding …" : "Add to the crew"}
      </button>
    </form>
  );
}

/** A name as it is compared: however it was spaced and capitalised. */
const spoken = (name: string) => name.trim().replaceAll(/\s+/g, " ").toLowerCase();

/** A name written once more, where somebody answers for something; it has to be one of the crew. */
export function SignName({
  id,
  onSigned,
  children,
}: {
  /** Of the form, when the button stands elsewhere. */
  id?: string;
  onSigned: (name: string) => void;
  children?: React.ReactNode;
}) {
  const crew = useCrew();
  const form = useAsked({ name: "" });
  const signed = (typed: string) => crew.find((name) => spoken(name) === spoken(typed));
  const refuse = (typed: string) =>
    typed.trim() === ""
      ? "Write your name: it stands on the record."
      : signed(typed) === undefined
        ? "Nobody of the crew is called so. Write the name as it stands in the Loft."
        : undefined;
  return (
    <form
      {...(id !== undefined && { id })}
      className="flex flex-col gap-3"
      onSubmit={form.handleSubmit(({ name }) => onSigned(signed(name)!))}
    >
      <Asked form={form} name="name" refuse={refuse}>
        {(field) => (
          <TextField
            label="Write your name to sign"
            offered={crew.map((name) => ({ value: name }))}
            {...field}
          />
        )}
      </Asked>
      {children}
    </form>
  );
}
