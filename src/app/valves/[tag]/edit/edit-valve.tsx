"use client";

import type { Valve } from "@/core/formats";
import { call } from "@/edge/client";
import { SAVE_VALVE } from "@/edge/contracts/own";
import type { OwnSection } from "@/ui/own/own-field";
import { OwnForm } from "@/ui/own/own-form";

export function EditValve({ valve, sections }: { valve: Valve; sections: readonly OwnSection[] }) {
  const path = (tag: string) => `/valves/${encodeURIComponent(tag)}`;
  return (
    <OwnForm
      what={valve.tag}
      sections={sections}
      row={valve}
      save={(row) => call(SAVE_VALVE, { params: { tag: valve.tag }, body: { was: valve, row } })}
      after={({ tag }) => path(tag)}
      cancel={path(valve.tag)}
    />
  );
}
