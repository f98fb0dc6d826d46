"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Valve } from "@/core/formats";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { ADD_VALVES } from "@/edge/contracts/own";
import { Asked, useAsked } from "@/ui/kit/asked";
import { Says } from "@/ui/kit/labelled";
import { SelectField } from "@/ui/kit/select-field";
import { TextField } from "@/ui/kit/text-field";

const WORDS = [
  { name: "tag", label: "Tag", placeholder: "e.g. H-12" },
  { name: "name", label: "Where it stands", placeholder: "e.g. Hydrant by the gate" },
  { name: "place", label: "Place", placeholder: "e.g. North yard" },
] as const;

/** A valve of this sheet, put into the register. */
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
  const form = useAsked({
    tag: "",
    name: "",
    place: "",
    build: builds[0]?.id ?? "",
    generation: generations[0] ?? "",
  });
  const [others, setOthers] = useState<readonly Problem[]>([]);
  const { isSubmitting } = form.formState;
  const register = form.handleSubmit(async (said) => {
    // What is left empty is left out, not stored as nothing.
    const row = Object.fromEntries(
      Object.entries({ ...said, sheet }).flatMap(([key, text]) =>
        text.trim() === "" ? [] : [[key, text.trim()]],
      ),
    );
    const done = await call(ADD_VALVES, { body: { rows: [row as unknown as Valve] } });
    if (done.ok) {
      router.push(`/valves/${encodeURIComponent(said.tag.trim())}`);
      router.refresh();
      return;
    }
    const at = (problem: Problem) => WORDS.find(({ name }) => problem.path === `/${name}`)?.name;
    for (const problem of done.error.problems) {
      const field = at(problem);
      if (field !== undefined) form.setError(field, { message: problem.message }, { shouldFocus: true });
    }
    setOthers(done.error.problems.filter((problem) => at(problem) === undefined));
  });
  return (
    <form onSubmit={register} className="grid gap-3 sm:grid-cols-2">
      {WORDS.map(({ name, ...says }) => (
        <Asked key={name} form={form} name={name}>
          {(field) => <TextField {...says} {...field} />}
        </Asked>
      ))}
      {builds.length > 0 && (
        <Asked form={form} name="build">
          {(field) => <SelectField label="Build" options={builds} {...field} />}
        </Asked>
      )}
      {generations.length > 0 && (
        <Asked form={form} name="generation">
          {(field) => (
            <SelectField
              label="Generation"
              options={generations.map((each) => ({ id: each, name: each }))}
              {...field}
            />
          )}
        </Asked>
      )}
      {others.map((each) => (
        <div key={each.path + each.message} className="sm:col-span-2">
          <Says error={each.message} />
        </div>
      ))}
      <button type="submit" disabled={isSubmitting} className="btn btn-go self-end">
        {isSubmitting ? "Registering …" : "Register this valve"}
      </button>
    </form>
  );
}
