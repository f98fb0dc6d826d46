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
import { EditHead } from "@/ui/schema-form/edit-head";
import { Mend } from "@/ui/schema-form/mend";
import { type FieldSchema, only, pick, put } from "@/ui/schema-form/schema";
import { SchemaForm } from "@/ui/schema-form/schema-form";
import { TabList } from "@/ui/schema-form/tab-list";
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
      <EditHead
        title={first.title}
        says={`What may be wrong, revision ${first.revision}. Nothing is stored before you save.`}
        acts={editing}
      >
        {own && (
          <button type="button" className="btn btn-quiet" onClick={() => void editing.shipAgain()}>
            Take what ships
          </button>
        )}
      </EditHead>
      {knowledge.demonstration && (
        <Notice tone="wait">
          Made up: no experience stands behind these figures. Write your own, say who vouches for them, and
          take the mark away.
        </Notice>
      )}
      <DraftFound draft={editing.draft} onTake={change} />
      {shown.length > 0 && <Mend problems={shown} of={knowledge} />}
      <Tabs.Root defaultValue="Causes" className="min-w-0">
        <TabList label="Parts of what is known" names={[...Object.keys(TABS), FOUND]} />
        {Object.entries(TABS).map(([name, fields]) => (
          <Tabs.Content key={name} value={name}>
            <Panel title={name}>
              <SchemaForm
                {...given}
                references={references}
                schema={only(SCHEMA, fields)}
                value={pick(knowledge, fields)}
                path=""
                onChange={(value, typedAt) => change(put(knowledge, fields, value as object), typedAt)}
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
