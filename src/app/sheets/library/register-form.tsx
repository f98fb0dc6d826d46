"use client";

import { useActionState } from "react";
import { type Registered, registerAction } from "./actions";

export function RegisterForm({
  sheet,
  builds,
  generations,
}: {
  sheet: string;
  builds: readonly { id: string; name: string }[];
  generations: readonly string[];
}) {
  const [shown, submit, waiting] = useActionState<Registered, FormData>(registerAction, { kind: "none" });
  const problem = (name: string) =>
    shown.kind === "refused" ? shown.problems.find((each) => each.path === `/${name}`)?.message : undefined;
  const typed = (name: string) => (shown.kind === "refused" ? shown.typed[name] : "");
  return (
    <form action={submit} className="grid gap-3 sm:grid-cols-2">
      <input type="hidden" name="sheet" value={sheet} />
      {(
        [
          ["tag", "Tag", "e.g. H-12"],
          ["name", "Where it stands", "e.g. Hydrant by the gate"],
          ["place", "Place", "e.g. North yard"],
        ] as const
      ).map(([name, label, hint]) => (
        <label key={name} className="block">
          <span className="font-semibold">{label}</span>
          <input
            className="field mt-1"
            name={name}
            placeholder={hint}
            defaultValue={typed(name)}
            aria-invalid={problem(name) !== undefined}
          />
          {problem(name) && <span className="text-[15px] text-stop">{problem(name)}</span>}
        </label>
      ))}
      {builds.length > 0 && (
        <label className="block">
          <span className="font-semibold">Build</span>
          <select className="field mt-1" name="build">
            {builds.map((build) => (
              <option key={build.id} value={build.id}>
                {build.name}
              </option>
            ))}
          </select>
        </label>
      )}
      {generations.length > 0 && (
        <label className="block">
          <span className="font-semibold">Generation</span>
          <select className="field mt-1" name="generation">
            {generations.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        </label>
      )}
      <button type="submit" disabled={waiting} className="btn btn-go self-end">
        {waiting ? "Registering …" : "Register this valve"}
      </button>
    </form>
  );
}
