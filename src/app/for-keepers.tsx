import type { ReactNode } from "react";
import { mayAs } from "@/core/people";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { readEntered } from "./settings";

/** A room for keepers: others are told so, and nothing of it is drawn. */
export async function ForKeepers({ title, children }: { title: string; children: ReactNode }) {
  const entered = await readEntered();
  if (entered === undefined || mayAs(entered.role, "keeper")) return children;
  return (
    <Page title={title}>
      <Notice tone="wait">This room is for keepers. Ask one of them.</Notice>
    </Page>
  );
}
