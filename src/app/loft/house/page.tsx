import type { Metadata } from "next";
import { historyOf } from "@/server/own/history";
import { services } from "@/server/services";
import { HistoryPanel } from "@/ui/own/history-panel";
import { Page } from "@/ui/page";
import { EditHouse } from "./edit-house";

export const metadata: Metadata = { title: "The house" };

export default function HousePage() {
  const all = services();
  const house = all.things.one("house", "house");
  return (
    <Page
      title="The house"
      says="What holds for the whole department: its name, when it works, and who goes out with whom."
    >
      <EditHouse key={JSON.stringify(house ?? null)} house={house} people={all.library.crew()} />
      <HistoryPanel edits={historyOf(all, "house", "house")} />
    </Page>
  );
}
