"use client";

import clsx from "clsx";
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { Tabs } from "radix-ui";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import { type Sheet, SheetSchema } from "@/core/formats";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { SAVE_SHEET } from "@/edge/contracts/documents";
import { Axis, untouched } from "@/ui/draw/axis";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import type { FieldSchema } from "@/ui/schema-form/schema";
import { SchemaForm } from "@/ui/schema-form/schema-form";
import { useChecked } from "@/ui/use-checked";
import { useHistory, useUndoKeys } from "@/ui/use-history";
import { free, hold, referencesOf } from "./edit-sheet";
import { PartsForm } from "./parts-form";
import { Preview } from "./preview";
import { Problems } from "./problems";
import { useDraft } from "./use-draft";

const HeldByGraph = dynamic(() => import("./held-by-graph").then((made) => made.HeldByGraph), {
  ssr: false,
  loading: () => <p className="p-4 text-soft">Drawing it …</p>,
});

const SCHEMA = SheetSchema as unknown as FieldSchema;

/** The fields of a sheet by tab; parts have a form of their own. */
const TABS = {
  Sheet: [
    "title",
    "id",
    "maker",
    "model",
    "family",
    "summary",
    "demonstration",
    "builds",
    "generations",
    "tag",
  ],
  Safety: ["hazards", "protective", "competence", "isolation", "release", "intervals"],
  Position: ["position", "connections", "capture"],
  "Tools, supplies": ["tools", "supplies"],
  Checks: ["checks", "tasks"],
  Kits: ["kits", "singles"],
  Restore: ["restore", "symptoms"],
} as const;

/** A sheet under the hand: its parts, what holds what, checks and kits, with the steps beside it as they come out. */
export function SheetEditor({
  first,
  known,
  copied,
}: {
  first: Sheet;
  known: { readonly id: string; readonly revision: number } | undefined;
  copied?: string;
}) {
  const router = useRouter();
  const { now: sheet, change, undo, redo, canUndo, canRedo } = useHistory(first);
  const [chosen, setChosen] = useState<string | undefined>(first.parts[0]?.id);
  const [tab, setTab] = useState("Parts");
  const [refused, setRefused] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const { document: seen, problems } = useChecked(sheet);
  const references = useMemo(() => referencesOf(sheet), [sheet]);
  const draft = useDraft(first, sheet, known === undefined ? "new" : first.id);

  useUndoKeys(undo, redo);

  const save = async () => {
    setBusy(true);
    const saved = await call(SAVE_SHEET, {
      query: known === undefined ? { as: "new" } : {},
      body: known === undefined ? sheet : { ...sheet, revision: known.revision },
    });
    setBusy(false);
    if (saved.ok) {
      draft.forget();
      toast.success(
        `Stored as revision ${saved.value.revision}. Jobs that run keep the one they began with.`,
      );
      router.push(`/sheets/${encodeURIComponent(saved.value.id)}`);
      router.refresh();
    } else if (saved.error.kind === "refused") setRefused(saved.error.problems);
    else toast.error(`Not stored: ${saved.error.problems[0]?.message} What you did is kept on this device.`);
  };
  const part = sheet.parts.find((each) => each.id === chosen);
  // The graph draws every part itself and needs the room of the axis.
  const graph = tab === "Held by";
  const shown = [...refused, ...problems];
  return (
    <div className="mx-auto flex max-w-[1500px] flex-col gap-3 px-4 py-4 md:px-5">
      <header className="flex flex-wrap items-end gap-3">
        <div className="min-w-0 flex-1">
          <h1 className="font-bold text-title leading-tight">{sheet.title || "A new sheet"}</h1>
          <p className="text-soft">
            {copied !== undefined
              ? `A copy of ${copied}, to be adapted; stored under ${sheet.id}.`
              : `Revision ${first.revision} is edited; saving makes revision ${first.revision + 1}. Nothing is stored before.`}
          </p>
        </div>
        <button type="button" className="btn btn-quiet" disabled={!canUndo} onClick={undo}>
          Undo
        </button>
        <button type="button" className="btn btn-quiet" disabled={!canRedo} onClick={redo}>
          Redo
        </button>
        <button
          type="button"
          className="btn btn-go"
          disabled={busy || problems.length > 0 || seen !== sheet}
          onClick={save}
        >
          {busy ? "Saving …" : "Save"}
        </button>
      </header>
      {draft.found !== undefined && (
        <Notice tone="wait">
          What you changed last time was not saved, and is kept on this device.
          <span className="mt-2 flex gap-2">
            <button
              type="button"
              className="btn btn-quiet bg-card"
              onClick={() => {
                change(draft.found!);
                draft.dismiss();
              }}
            >
              Go on with it
            </button>
            <button type="button" className="btn btn-quiet bg-card" onClick={draft.forget}>
              Let it go
            </button>
          </span>
        </Notice>
      )}
      {shown.length > 0 && <Problems problems={shown} sheet={sheet} />}
      <div
        className={clsx(
          "grid items-start gap-4",
          graph ? "xl:grid-cols-[minmax(0,1fr)_360px]" : "xl:grid-cols-[300px_minmax(0,1fr)_360px]",
        )}
      >
        {!graph && (
          <section className="card flex h-[440px] flex-col overflow-hidden xl:sticky xl:top-3 xl:h-[calc(100dvh-90px)]">
            <h2 className="caption px-3.5 pt-3">The axis: tap a part</h2>
            <div className="min-h-0 flex-1">
              <Axis
                parts={untouched(sheet.parts)}
                {...(chosen !== undefined && { chosen, lit: chosen })}
                litSays=""
                onChoose={(id) => {
                  setChosen(id);
                  setTab("Parts");
                }}
              />
            </div>
          </section>
        )}
        <Tabs.Root value={tab} onValueChange={setTab} className="min-w-0">
          <Tabs.List aria-label="Parts of the sheet" className="plate mb-3 flex flex-wrap gap-1 text-body">
            {["Parts", "Held by", ...Object.keys(TABS)].map((name) => (
              <Tabs.Trigger
                key={name}
                value={name}
                className="min-h-11 rounded border-[1.5px] border-rule bg-card px-3 data-[state=active]:border-ink data-[state=active]:bg-ink data-[state=active]:text-paper"
              >
                {name}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <Tabs.Content value="Parts">
            <PartsForm
              sheet={sheet}
              part={part}
              problems={problems}
              references={references}
              onChange={change}
              onChoose={setChosen}
            />
          </Tabs.Content>
          <Tabs.Content value="Held by">
            <Panel title="What holds what" note="from a part to what it holds">
              <p className="mb-2 text-soft">
                Draw from the green handle to what it holds. Choose a line and press Delete to free it. By
                keyboard: “Held by” in the form of the part.
              </p>
              <div className="h-[max(480px,calc(100dvh-310px))] rounded border border-rule">
                <HeldByGraph
                  sheet={sheet}
                  chosen={chosen}
                  onChoose={setChosen}
                  onHold={(holder, held) => change(hold(sheet, holder, held))}
                  onFree={(holder, held, way) => change(free(sheet, holder, held, way))}
                />
              </div>
            </Panel>
          </Tabs.Content>
          {Object.entries(TABS).map(([name, fields]) => (
            <Tabs.Content key={name} value={name}>
              <Panel title={name}>
                <SchemaForm
                  schema={only(fields)}
                  value={pick(sheet, fields)}
                  path=""
                  problems={problems}
                  references={references}
                  onChange={(value) => change(put(sheet, fields, value as Partial<Sheet>))}
                />
              </Panel>
            </Tabs.Content>
          ))}
        </Tabs.Root>
        <Panel
          title="The steps that come out"
          className="xl:sticky xl:top-3 xl:max-h-[calc(100dvh-90px)] xl:overflow-y-auto"
        >
          {problems.length === 0 ? (
            <Preview sheet={seen} />
          ) : (
            <p className="text-soft">Mend what is named above, and the steps are compiled again.</p>
          )}
        </Panel>
      </div>
    </div>
  );
}

/** The schema with these fields only. */
function only(fields: readonly string[]): FieldSchema {
  const required = SCHEMA.required?.filter((name) => fields.includes(name)) ?? [];
  return {
    type: "object",
    required,
    properties: Object.fromEntries(fields.map((name) => [name, SCHEMA.properties![name]!])),
  };
}

const pick = (sheet: Sheet, fields: readonly string[]) =>
  Object.fromEntries(Object.entries(sheet).filter(([name]) => fields.includes(name)));

/** The sheet with these fields as given; one that was taken away is gone. */
function put(sheet: Sheet, fields: readonly string[], value: Partial<Sheet>): Sheet {
  const rest = Object.fromEntries(Object.entries(sheet).filter(([name]) => !fields.includes(name)));
  return { ...rest, ...value } as Sheet;
}
