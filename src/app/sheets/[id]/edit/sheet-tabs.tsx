"use client";

import dynamic from "next/dynamic";
import { Tabs } from "radix-ui";
import { SheetSchema } from "@/core/formats";
import { Panel } from "@/ui/page";
import { type FieldSchema, only, pick, put } from "@/ui/schema-form/schema";
import { SchemaForm } from "@/ui/schema-form/schema-form";
import { TabList } from "@/ui/schema-form/tab-list";
import { free, hold } from "./edit-sheet";
import { PartsForm } from "./parts-form";
import type { SheetEditing } from "./use-sheet-editor";

const HeldByGraph = dynamic(() => import("./held-by-graph").then((made) => made.HeldByGraph), {
  ssr: false,
  loading: () => <p className="p-4 text-soft">Drawing it …</p>,
});

const SCHEMA = SheetSchema as unknown as FieldSchema;
export const PARTS_TAB = "Parts";
export const HELD_BY_TAB = "Held by";

/** The fields of a sheet by tab; parts have a form of their own. */
const TABS = {
  Sheet: [
    "title",
    "id",
    "maker",
    "model",
    "family",
    "traits",
    "summary",
    "demonstration",
    "vouched",
    "builds",
    "generations",
    "tag",
  ],
  Safety: ["hazards", "protective", "competence", "isolation", "release", "intervals"],
  Position: ["position", "rebuild", "connections", "capture"],
  "Tools, supplies": ["tools", "supplies"],
  Checks: ["checks", "tasks"],
  Kits: ["kits", "singles"],
  Restore: ["restore", "symptoms"],
} as const;

/** What a sheet says, by tab: its parts, what holds what, and everything else by form. */
export function SheetTabs({
  editing,
  tab,
  onTab,
}: {
  editing: SheetEditing;
  tab: string;
  onTab: (tab: string) => void;
}) {
  const { sheet, change, given } = editing;
  return (
    <Tabs.Root value={tab} onValueChange={onTab} className="min-w-0">
      <TabList label="Parts of the sheet" names={[PARTS_TAB, HELD_BY_TAB, ...Object.keys(TABS)]} />
      <Tabs.Content value={PARTS_TAB}>
        <PartsForm editing={editing} />
      </Tabs.Content>
      <Tabs.Content value={HELD_BY_TAB}>
        <HeldBy editing={editing} />
      </Tabs.Content>
      {Object.entries(TABS).map(([name, fields]) => (
        <Tabs.Content key={name} value={name}>
          <Panel title={name}>
            <SchemaForm
              {...given}
              schema={only(SCHEMA, fields)}
              value={pick(sheet, fields)}
              path=""
              onChange={(value, typedAt) => change(put(sheet, fields, value as object), typedAt)}
            />
          </Panel>
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}

function HeldBy({ editing: { sheet, chosen, setChosen, change } }: { editing: SheetEditing }) {
  return (
    <Panel title="What holds what" note="from a part to what it holds">
      <p className="mb-2 text-soft">
        Draw from the green handle to what it holds. Choose a line and press Delete to free it. By keyboard:
        “Held by” in the form of the part.
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
  );
}
