"use client";

import { useState } from "react";
import type { Line } from "@/core/formats";
import { idOfName } from "@/core/formats";
import { LINE_TEMPLATES, type LineTemplate } from "@/core/making";
import { TextField } from "@/ui/kit/text-field";
import { LineGlance } from "@/ui/line-glance";
import { Page } from "@/ui/page";
import { BLANK_LINE } from "../[id]/edit/edit-line";
import { LineEditor } from "../[id]/edit/editor";
import type { KnownTag } from "../[id]/edit/tag-field";

const MOST = 40;

/** A line to begin with: drawn by the kind of site, with as many as there are; or an empty one. */
export function NewLine({ tags }: { tags: readonly KnownTag[] }) {
  const [first, setFirst] = useState<Line>();
  const [name, setName] = useState("");
  if (first !== undefined) return <LineEditor first={first} known={undefined} tags={tags} begun />;
  return (
    <Page
      title="A new line"
      says="Begin with what is nearest to it, then change what is different. Nothing is stored before you save."
      action={
        <button type="button" className="btn btn-quiet" onClick={() => setFirst(BLANK_LINE)}>
          Begin with nothing
        </button>
      }
    >
      <div className="max-w-md">
        <TextField
          label="What is it called?"
          value={name}
          onChange={setName}
          placeholder="e.g. North yard main"
        />
      </div>
      <ul className="grid gap-4 md:grid-cols-2">
        {LINE_TEMPLATES.map((template) => (
          <li key={template.id} className="card flex flex-col p-4">
            <Template
              template={template}
              onChosen={(count) => {
                const said = name.trim() === "" ? template.name : name.trim();
                setFirst(template.build(count, { id: idOfName(said) || template.id, name: said }));
              }}
            />
          </li>
        ))}
      </ul>
    </Page>
  );
}

function Template({ template, onChosen }: { template: LineTemplate; onChosen: (count: number) => void }) {
  const [many, setMany] = useState(String(template.usual));
  const count = Number(many);
  const fine = Number.isInteger(count) && count >= 1 && count <= MOST;
  const drawn = template.build(fine ? Math.min(count, 8) : template.usual, {
    id: template.id,
    name: template.name,
  });
  return (
    <>
      <b className="text-lead">{template.name}</b>
      <p className="text-soft">{template.says}</p>
      <div className="my-2 min-h-[180px] flex-1">
        <LineGlance line={drawn} target="" />
      </div>
      <div className="flex items-end gap-3">
        <div className="w-40">
          <TextField
            label={`How many ${template.many}`}
            value={many}
            onChange={setMany}
            error={fine ? undefined : `From 1 to ${MOST}.`}
          />
        </div>
        <button type="button" className="btn btn-go mb-5" disabled={!fine} onClick={() => onChosen(count)}>
          Begin with this
        </button>
      </div>
    </>
  );
}
