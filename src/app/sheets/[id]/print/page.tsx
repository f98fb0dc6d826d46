import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { services } from "@/server/services";
import { AxisKey } from "@/ui/draw/axis-marks";
import { PlainAxis } from "@/ui/plain-axis";
import { PrintButton } from "@/ui/print-button";
import { endWords, speaker } from "@/words";

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: `${services().library.sheet(pathId((await params).id))?.title ?? "Sheet"}, to print` };
}

/** The axis and its parts for the workshop wall. */
export default async function PrintSheetPage({ params }: Props) {
  const notation = await readSettings();
  const sheet = services().library.sheet(pathId((await params).id));
  if (sheet === undefined) notFound();
  const supply = (id: string) => sheet.supplies.find((each) => each.id === id)?.name ?? id;
  return (
    <article className="mx-auto max-w-[1000px] px-5 py-4 print:p-0">
      <header className="flex items-start gap-4">
        <div className="flex-1">
          <h1 className="font-bold text-title leading-tight">{sheet.title}</h1>
          <p className="plate text-body">
            {sheet.maker} {sheet.model}, revision {sheet.revision}
            {sheet.demonstration && " · demonstration data: not for real equipment"}
          </p>
        </div>
        <PrintButton />
      </header>
      <PlainAxis sheet={sheet} form="wide" />
      <AxisKey />
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Parts">
        <table className="mt-4 w-full text-left text-note">
          <thead>
            <tr className="border-rule border-b-2">
              <th className="py-1 pr-3">Part</th>
              <th className="pr-3">Pieces</th>
              <th className="pr-3">Material</th>
              <th className="pr-3">Size, drive</th>
              <th className="pr-3">On it</th>
              <th>Tighten, or right when</th>
            </tr>
          </thead>
          <tbody>
            {sheet.parts.map((part) => {
              const { surface, thread, end } = part.fit ?? {};
              const on = [
                surface?.kind === "lubricate"
                  ? `${supply(surface.with)}: ${surface.where}`
                  : surface && "dry",
                thread === undefined || thread.kind === "dry" ? undefined : supply(thread.with),
              ].filter((each) => each !== undefined);
              return (
                <tr key={part.id} className="break-inside-avoid border-rule border-b align-top">
                  <th scope="row" className="py-1 pr-3 font-semibold">
                    {part.name}
                  </th>
                  <td className="pr-3">{part.quantity}</td>
                  <td className="pr-3">{part.material}</td>
                  <td className="pr-3">
                    {[part.fastener?.thread, part.fastener?.drive].filter(Boolean).join(", ")}
                  </td>
                  <td className="pr-3">{on.join("; ")}</td>
                  <td>{end === undefined ? "stays" : endWords(speaker(notation), end)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </article>
  );
}
