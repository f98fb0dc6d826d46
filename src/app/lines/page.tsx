import type { Metadata } from "next";
import Link from "next/link";
import { services } from "@/server/services";
import { LineGlance } from "@/ui/line-glance";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";

export const metadata: Metadata = { title: "Lines" };

export default function LinesPage() {
  const lines = services().library.lines();
  return (
    <Page title="Lines" says="What feeds what. Choose one to see what has to be shut.">
      {lines.length === 0 && (
        <Empty>No line is drawn. Bring one in as a loftbell.line file in the Loft.</Empty>
      )}
      <ul className="grid gap-4 md:grid-cols-2">
        {lines.map((line) => (
          <li key={line.id} className="card p-3">
            <Link href={`/lines/${line.id}`} className="block">
              <b className="text-[20px]">{line.name}</b>
              <span className="block text-soft">
                {line.medium}; {line.nodes.length} places,{" "}
                {line.links.filter((link) => link.kind === "valve").length} valves
              </span>
            </Link>
            <LineGlance line={line} target="" />
          </li>
        ))}
      </ul>
    </Page>
  );
}
