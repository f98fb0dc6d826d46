"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Valve } from "@/core/formats";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { REGISTER_VALVE } from "@/edge/contracts/register";

export function RegisterForm({
  sheet,
  builds,
  generations,
}: {
  sheet: string;
  builds: readonly { id: string; name: string }[];
  generations: readonly string[];
}) {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [waiting, setWaiting] = useState(false);
  const problem = (name: string) => problems.find((each) => each.path === `/${name}`)?.message;
  const others = problems.filter((each) => !["/tag", "/name", "/place"].includes(each.path));
  const register = async (form: FormData) => {
    // What is left empty is left out, not stored as nothing.
    const row = Object.fromEntries(
      [...form].flatMap(([key, value]) => {
        const text = typeof value === "string" ? value.trim() : "";
        return text === "" ? [] : [[key, text] as const];
      }),
    );
    setWaiting(true);
    const done = await call(REGISTER_VALVE, { body: row as unknown as Valve });
    setWaiting(false);
    if (!done.ok) return setProblems(done.error.problems);
    router.push(`/valves/${encodeURIComponent(done.value.tag)}`);
    router.refresh();
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void register(new FormData(event.currentTarget));
      }}
      className="grid gap-3 sm:grid-cols-2"
    >
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
            aria-invalid={problem(name) !== undefined}
          />
          {problem(name) && <span className="text-note text-stop">{problem(name)}</span>}
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
      {others.map((each) => (
        <p key={each.path + each.message} role="alert" className="text-stop sm:col-span-2">
          {each.message}
        </p>
      ))}
      <button type="submit" disabled={waiting} className="btn btn-go self-end">
        {waiting ? "Registering …" : "Register this valve"}
      </button>
    </form>
  );
}
