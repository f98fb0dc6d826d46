"use client";

import clsx from "clsx";
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { Tabs } from "radix-ui";
import { useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import { type Part, type Sheet, SheetSchema } from "@/core/formats";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { SAVE_SHEET } from "@/edge/contracts/documents";
import { Axis, untouched } from "@/ui/draw/axis";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { blankOf, type FieldSchema } from "@/ui/schema-form/schema";
import { SchemaForm } from "@/ui/schema-form/schema-form";
import { useChecked } from "@/ui/use-checked";
import { useHistory, useUndoKeys } from "@/ui/use-history";
import { free, hold, referencesOf, renamePart } from "./edit-sheet";
import { Preview } from "./preview";

const HeldByGraph = dynamic(() => import("./held-by-graph").then((made) => made.HeldByGraph), {
  ssr: false,
  loading: () => <p className="p-4 text-soft">Drawing it …</p>,
});

const SCHEMA = SheetSchema as unknown as FieldSchema;
const PART = SCHEMA.properties!.parts!.items!;

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

const keepAs = (id: string, revision: number) => `loftbell.sheet-draft.${id}.${revision}`;

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
          <h1 className="font-bold text-[28px] leading-tight">{sheet.title || "A new sheet"}</h1>
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
          <Tabs.List
            aria-label="Parts of the sheet"
            className="plate mb-3 flex flex-wrap gap-1 text-[16.5px]"
          >
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

function PartsForm({
  sheet,
  part,
  problems,
  references,
  onChange,
  onChoose,
}: {
  sheet: Sheet;
  part: Part | undefined;
  problems: readonly Problem[];
  references: ReturnType<typeof referencesOf>;
  onChange: (sheet: Sheet) => void;
  onChoose: (part: string) => void;
}) {
  const index = sheet.parts.findIndex((each) => each.id === part?.id);
  const add = () => {
    const id = freeId(sheet, "part");
    const blank = blankOf(PART) as Part;
    const made: Part = {
      ...blank,
      id,
      name: "New part",
      shape: { kind: "ring", diameter_mm: 30, height_mm: 5 },
    };
    onChange({
      ...sheet,
      parts: [...sheet.parts.slice(0, index + 1), made, ...sheet.parts.slice(index + 1)],
    });
    onChoose(id);
  };
  const move = (by: -1 | 1) => {
    const parts = [...sheet.parts];
    const other = parts[index + by];
    if (part === undefined || other === undefined) return;
    parts[index + by] = part;
    parts[index] = other;
    onChange({ ...sheet, parts });
  };
  const drop = () => {
    onChange({ ...sheet, parts: sheet.parts.filter((each) => each.id !== part?.id) });
    onChoose(sheet.parts[Math.max(0, index - 1)]?.id ?? "");
    toast("Part taken out. Undo brings it back.");
  };
  return (
    <Panel title={part === undefined ? "Choose a part" : part.name}>
      <div className="mb-3 flex flex-wrap gap-2">
        <button type="button" className="btn btn-quiet" onClick={add}>
          Add a part below
        </button>
        <button type="button" className="btn btn-quiet" disabled={index <= 0} onClick={() => move(-1)}>
          Up
        </button>
        <button
          type="button"
          className="btn btn-quiet"
          disabled={index === -1 || index === sheet.parts.length - 1}
          onClick={() => move(1)}
        >
          Down
        </button>
        <button type="button" className="btn btn-stop" disabled={part === undefined} onClick={drop}>
          Take it out
        </button>
      </div>
      {part !== undefined && (
        <SchemaForm
          key={index}
          schema={PART}
          value={part}
          path={`/parts/${index}`}
          problems={problems}
          references={references}
          onChange={(value) => {
            const changed = value as Part;
            // Another id is written wherever the part is named; one that is taken would join two parts for good.
            const taken = sheet.parts.some((each) => each.id === changed.id);
            const renamed =
              changed.id !== part.id && changed.id !== "" && !taken
                ? renamePart(sheet, part.id, changed.id)
                : sheet;
            if (renamed !== sheet) onChoose(changed.id);
            const own = renamed.parts[index]!;
            const kept = renamed === sheet ? { ...changed, id: part.id } : { ...own };
            onChange({ ...renamed, parts: renamed.parts.map((each, at) => (at === index ? kept : each)) });
          }}
        />
      )}
    </Panel>
  );
}

function freeId(sheet: Sheet, of: string): string {
  for (let count = 1; ; count++)
    if (!sheet.parts.some((part) => part.id === `${of}-${count}`)) return `${of}-${count}`;
}

/** What has to be mended before it can be stored, in words of the sheet. */
function Problems({ problems, sheet }: { problems: readonly Problem[]; sheet: Sheet }) {
  const where = (path: string) => {
    const [, list, index, ...rest] = path.split("/");
    const entry = (sheet as unknown as Record<string, unknown[]>)[list ?? ""]?.[Number(index)];
    const name =
      (entry as { name?: string; id?: string } | undefined)?.name || `${list ?? ""} ${index ?? ""}`;
    return [name.trim(), ...rest].join(" › ");
  };
  return (
    <Notice tone="stop" live>
      <b>
        {problems.length === 1 ? "One thing" : `${problems.length} things`} to mend before it can be saved.
      </b>
      <ul className="mt-1 max-h-44 list-disc overflow-y-auto pl-5">
        {problems.slice(0, 12).map((problem) => (
          <li key={problem.path + problem.message}>
            <span className="plate">{where(problem.path)}</span>: {problem.message}
          </li>
        ))}
        {problems.length > 12 && <li>and {problems.length - 12} more.</li>}
      </ul>
    </Notice>
  );
}

/** What is edited is kept on the device until it is saved, so that a dead battery loses nothing. */
function useDraft(first: Sheet, sheet: Sheet, id: string) {
  const key = keepAs(id === "new" ? first.id : id, first.revision);
  const [found, setFound] = useState<Sheet>();
  useEffect(() => {
    try {
      const kept = localStorage.getItem(key);
      if (kept !== null) setFound(JSON.parse(kept) as Sheet);
    } catch {
      localStorage.removeItem(key);
    }
  }, [key]);
  useEffect(() => {
    if (sheet !== first) localStorage.setItem(key, JSON.stringify(sheet));
  }, [sheet, first, key]);
  return {
    found,
    dismiss: () => setFound(undefined),
    forget: () => {
      localStorage.removeItem(key);
      setFound(undefined);
    },
  };
}
