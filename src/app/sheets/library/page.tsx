import type { Metadata } from "next";
import { sheetLibrary } from "@/server/register/library";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { RegisterForm } from "./register-form";

export const metadata: Metadata = { title: "Sheet library" };

export default function LibraryPage() {
  return (
    <Page title="Sheet library" says="Pick a sheet and register a valve under it.">
      <Notice tone="wait">
        <b>These sheets are demonstration data: not for real equipment.</b> Learn on them; for real work bring
        in a sheet with your maker’s figures.
      </Notice>
      <ul className="grid gap-4 lg:grid-cols-2">
        {sheetLibrary().map((sheet) => (
          <li key={sheet.id} className="card border-t-[7px] border-t-brass-line p-4">
            <b className="text-lead">{sheet.title}</b>
            <span className="plate block text-body">
              {sheet.maker} {sheet.model}
            </span>
            <p className="mt-1 mb-3 text-soft">{sheet.summary}</p>
            <RegisterForm sheet={sheet.id} builds={sheet.builds} generations={sheet.generations} />
          </li>
        ))}
      </ul>
    </Page>
  );
}
