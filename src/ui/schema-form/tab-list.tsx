"use client";

import { Tabs } from "radix-ui";

/** The tabs of an editor, by name. */
export function TabList({ label, names }: { label: string; names: readonly string[] }) {
  return (
    <Tabs.List aria-label={label} className="plate mb-3 flex flex-wrap gap-1 text-body">
      {names.map((name) => (
        <Tabs.Trigger
          key={name}
          value={name}
          className="min-h-11 rounded border-[1.5px] border-rule bg-card px-3 data-[state=active]:border-ink data-[state=active]:bg-ink data-[state=active]:text-paper"
        >
          {name}
        </Tabs.Trigger>
      ))}
    </Tabs.List>
  );
}
