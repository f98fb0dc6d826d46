"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { call } from "@/edge/client";
import { ADD_PERSON } from "@/edge/contracts/here";
import { Notice } from "./notice";
import { saveSettings, useCrew, useSettings } from "./settings";

/** A longer crew is narrowed by typing. */
const MANY = 12;

/** Who is holding this device: chosen from the crew, never presumed. */
export function WhoPicker({ onChosen }: { onChosen?: (name: string) => void }) {
  const router = useRouter();
  const settings = useSettings();
  const crew = useCrew();
  const [typed, setTyped] = useState("");
  const choose = (who: string) => {
    saveSettings({ ...settings, who });
    onChosen?.(who);
    router.refresh();
  };
  if (crew.length === 0) return <AddPerson onAdded={choose} first />;
  const shown = crew.filter((name) => name.toLowerCase().includes(typed.trim().toLowerCase()));
  return (
    <div className="flex flex-col gap-2">
      {crew.length > MANY && (
        <label className="block">
          <span className="font-semibold">Part of the name</span>
          <input className="field mt-1" value={typed} onChange={(event) => setTyped(event.target.value)} />
        </label>
      )}
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

/** Adds one to the crew, told at the field when it cannot be. */
export function AddPerson({ onAdded, first = false }: { onAdded?: (name: string) => void; first?: boolean }) {
  const router = useRouter();
  const [name, setName] = useState("");
  const [may, setMay] = useState("");
  const [problem, setProblem] = useState<string>();
  const [sending, setSending] = useState(false);
  const add = async () => {
    setSending(true);
    const added = await call(ADD_PERSON, { body: { name, may } });
    setSending(false);
    if (!added.ok) {
      setProblem(added.error.problems[0]?.message);
      return;
    }
    setProblem(undefined);
    setName("");
    setMay("");
    if (onAdded === undefined) router.refresh();
    else onAdded(added.value.name);
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      {first && <Notice tone="wait">Nobody is in the crew yet. Begin with yourself.</Notice>}
      <label className="block">
        <span className="font-semibold">Name</span>
        <input
          className="field mt-1"
          value={name}
          maxLength={80}
          autoComplete="name"
          aria-invalid={problem !== undefined}
          onChange={(event) => setName(event.target.value)}
        />
        {problem !== undefined && (
          <span role="alert" className="text-stop">
            {problem}
          </span>
        )}
      </label>
      <label className="block">
        <span className="font-semibold">What this person may do</span>
        <input
          className="field mt-1"
          value={may}
          maxLength={200}
          placeholder="Hydrants; gas"
          onChange={(event) => setMay(event.target.value)}
        />
      </label>
      <button type="submit" className="btn btn-go" disabled={sending || name.trim() === ""}>
        {sending ? "Adding …" : "Add to the crew"}
      </button>
    </form>
  );
}

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
  const [typed, setTyped] = useState("");
  const [missing, setMissing] = useState(false);
  const signed = crew.find(
    (name) => name.toLowerCase() === typed.trim().replaceAll(/\s+/g, " ").toLowerCase(),
  );
  const refused = missing && signed === undefined;
  return (
    <form
      {...(id !== undefined && { id })}
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (signed === undefined) setMissing(true);
        else onSigned(signed);
      }}
    >
      <label className="block">
        <span className="font-semibold">Write your name to sign</span>
        <input
          className="field mt-1"
          list="crew-who-sign"
          autoComplete="off"
          value={typed}
          aria-invalid={refused}
          onChange={(event) => setTyped(event.target.value)}
        />
        <datalist id="crew-who-sign">
          {crew.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        {refused && (
          <span role="alert" className="text-stop">
            {typed.trim() === ""
              ? "Write your name: it stands on the record."
              : "Nobody of the crew is called so. Write the name as it stands in the Loft."}
          </span>
        )}
      </label>
      {children}
    </form>
  );
}
