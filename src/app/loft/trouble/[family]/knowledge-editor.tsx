"use client";

import { useRouter } from "next/navigation";
import { Tabs } from "radix-ui";
import { useMemo, useState } from "react";
import { type Trouble, TroubleSchema } from "@/core/formats";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { SAVE_TROUBLE, SHIP_TROUBLE } from "@/edge/contracts/trouble";
import { DraftFound } from "@/ui/draft-found";
import type { Option } from "@/ui/kit/select-field";
import { Notice } from "@/ui/notice";
import { useChanged } from "@/ui/own/use-changed";
import { Panel } from "@/ui/page";
import { type FieldSchema, only } from "@/ui/schema-form/schema";
import { SchemaForm } from "@/ui/schema-form/schema-form";
import { useUnread } from "@/ui/schema-form/use-unread";
import { useChecked } from "@/ui/use-checked";
import { useDraft } from "@/ui/use-draft";
import { useHistory, useUndoKeys } from "@/ui/use-history";
import { type Found, WhatWasFound } from "./what-was-found";

const SCHEMA = TroubleSchema as unknown as FieldSchema;
const FOUND = "What was found";

const TABS = {
  Complaints: ["complaints"],
  Causes: ["causes", "else_percent"],
  Looks: ["looks"],
  Ends: ["ends"],
  "Where it comes from": ["title", "demonstration", "vouched"],
} as const;

interface Names {
  readonly parts: readonly Option[];
  readonly symptoms: readonly Option[];
  readonly checks: readonly Option[];
}

/** What may be wrong with a family, under the hand: proven as it is written, kept as its next revision. */
export function KnowledgeEditor({
  first,
  own,
  learnt,
  names,
}: {
  first: Trouble;
  /** Written here, so that what ships can be taken again. */
  own: boolean;
  learnt: readonly Found[];
  names: Names;
}) {
  const editing = useKnowledge(first);
  const { knowledge, change, given, problems, refused } = editing;
  const references = useMemo(() => referencesOf(knowledge, names), [knowledge, names]);
  const shown = [...refused, ...problems];
  return (
    <div className="mx-auto flex max-w-[1100px] flex-col gap-3 px-4 py-4 md:px-5">
      <Head first={first} own={own} editing={editing} />
      {knowledge.demonstration && (
        <Notice tone="wait">
          Made up: no experience stands behind these figures. Write your own, say who vouches for them, and
          take the mark away.
        </Notice>
      )}
      <DraftFound draft={editing.draft} onTake={change} />
      {shown.length > 0 && <Mend problems={shown} knowledge={knowledge} />}
      <Tabs.Root defaultValue="Causes" className="min-w-0">
        <Tabs.List aria-label="Parts of what is known" className="plate mb-3 flex flex-wrap gap-1 text-body">
          {[...Object.keys(TABS), FOUND].map((name) => (
            <Tabs.Trigger
              key={name}
              value={name}
              className="min-h-11 rounded border-[1.5px] border-rule bg-card px-3 data-[state=active]:border-ink data-[state=active]:bg-ink data-[state=active]:text-paper"
            >
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {Object.entries(TABS).map(([name, fields]) => (
          <Tabs.Content key={name} value={name}>
            <Panel title={name}>
              <SchemaForm
                {...given}
                references={references}
                schema={only(SCHEMA, fields)}
                value={Object.fromEntries(
                  fields.flatMap((field) => {
                    const value = knowledge[field as keyof Trouble];
                    return value === undefined ? [] : [[field, value]];
                  }),
                )}
                path=""
                onChange={(value, typedAt) =>
                  change(put(knowledge, fields, value as Partial<Trouble>), typedAt)
                }
              />
            </Panel>
          </Tabs.Content>
        ))}
        <Tabs.Content value={FOUND}>
          <WhatWasFound knowledge={first} found={learnt} />
        </Tabs.Content>
      </Tabs.Root>
    </div>
  );
}

function useKnowledge(first: Trouble) {
  const router = useRouter();
  const changed = useChanged();
  const history = useHistory(first);
  const { now: knowledge } = history;
  const [refused, setRefused] = useState<readonly Problem[]>([]);
  const [saving, setSaving] = useState(false);
  const { document: seen, problems: found } = useChecked(knowledge);
  const { unread, onUnread } = useUnread();
  const draft = useDraft(`trouble-draft.${first.family}.${first.revision}`, first, knowledge);
  const problems = useMemo(() => [...unread, ...found], [unread, found]);
  useUndoKeys(history.undo, history.redo);
  const refuse = (all: readonly Problem[]) =>
    setRefused(all.map((each) => ({ ...each, path: each.path.replace(/^\/row/, "") })));
  return {
    ...history,
    knowledge,
    problems,
    refused,
    draft,
    saving,
    given: { problems, onUnread },
    maySave: !saving && problems.length === 0 && seen === knowledge && knowledge !== first,
    async save() {
      setSaving(true);
      const saved = await call(SAVE_TROUBLE, {
        params: { family: first.family },
        body: { known: first.revision, row: knowledge },
      });
      setSaving(false);
      if (!saved.ok) return refuse(saved.error.problems);
      draft.forget();
      changed(`Kept as revision ${saved.value.revision}.`, saved.value.edit);
      router.refresh();
    },
    async shipAgain() {
      const done = await call(SHIP_TROUBLE, { params: { family: first.family } });
      if (!done.ok) return refuse(done.error.problems);
      draft.forget();
      changed("What ships holds again.", done.value.edit);
      router.refresh();
    },
  };
}

function Head({
  first,
  own,
  editing: { undo, redo, canUndo, canRedo, saving, maySave, save, shipAgain },
}: {
  first: Trouble;
  own: boolean;
  editing: ReturnType<typeof useKnowledge>;
}) {
  return (
    <header className="flex flex-wrap items-end gap-3">
      <div className="min-w-0 flex-1">
        <h1 className="font-bold text-title leading-tight">{first.title}</h1>
        <p className="text-soft">
          What may be wrong, revision {first.revision}. Nothing is stored before you save.
        </p>
      </div>
      {own && (
        <button type="button" className="btn btn-quiet" onClick={() => void shipAgain()}>
          Take what ships
        </button>
      )}
      <button type="button" className="btn btn-quiet" disabled={!canUndo} onClick={undo}>
        Undo
      </button>
      <button type="button" className="btn btn-quiet" disabled={!canRedo} onClick={redo}>
        Redo
      </button>
      <button type="button" className="btn btn-go" disabled={!maySave} onClick={() => void save()}>
        {saving ? "Saving …" : "Save"}
      </button>
    </header>
  );
}

const MOST_SHOWN = 12;

function Mend({ problems, knowledge }: { problems: readonly Problem[]; knowledge: Trouble }) {
  const where = (path: string) => {
    const [, list = "", index = "", ...rest] = path.split("/");
    const entry = (knowledge as unknown as Record<string, unknown[]>)[list]?.[Number(index)];
    const { name, ask, says } = (entry ?? {}) as { name?: string; ask?: string; says?: string };
    return [name ?? ask ?? says ?? `${list} ${index}`.trim(), ...rest].join(" › ");
  };
  return (
    <Notice tone="stop" live>
      <b>
        {problems.length === 1 ? "One thing" : `${problems.length} things`} to mend before it can be saved.
      </b>
      <ul className="mt-1 max-h-44 list-disc overflow-y-auto pl-5">
        {problems.slice(0, MOST_SHOWN).map(({ path, message }) => (
          <li key={path + message}>
            <span className="plate">{where(path)}</span>: {message}
          </li>
        ))}
        {problems.length > MOST_SHOWN && <li>and {problems.length - MOST_SHOWN} more.</li>}
      </ul>
    </Notice>
  );
}

/** Fields that name something of this knowledge or its sheet, and what they may name. */
function referencesOf({ complaints, causes, looks, ends }: Trouble, { parts, symptoms, checks }: Names) {
  const complained = complaints.map(({ id, says }) => ({ id, name: says || id }));
  const ending = ends.map(({ id, says }) => ({ id, name: says || id }));
  const by: Readonly<Record<string, readonly Option[]>> = {
    "weights:": complained,
    complaints: complained,
    causes: causes.map(({ id, name }) => ({ id, name: name || id })),
    look: looks.map(({ id, ask }) => ({ id, name: ask || id })),
    end: ending,
    danger: ending,
    part: parts,
    off: parts,
    reach: parts,
    renews: parts,
    symptom: symptoms,
    check: checks,
  };
  return (field: string) => {
    const known = by[field];
    return known === undefined || known.length === 0 ? undefined : known;
  };
}

/** The knowledge with these fields as given; one that was taken away is gone. */
function put(knowledge: Trouble, fields: readonly string[], value: Partial<Trouble>): Trouble {
  const rest = Object.fromEntries(Object.entries(knowledge).filter(([name]) => !fields.includes(name)));
  return { ...rest, ...value } as Trouble;
}
