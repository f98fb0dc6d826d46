"use client";

import { FileText } from "lucide-react";
import type { IsolationDemand } from "@/core/isolation";
import { addressOf } from "@/edge/client";
import { ISOLATION_PDF } from "@/edge/contracts/papers";
import { usePrinting } from "./use-printing";

/** What to shut as one set of papers: sheet, locks, permits, whom to tell. */
export function PdfLink({ line, demand }: { line: string; demand: IsolationDemand }) {
  const query = { ...demand, ...usePrinting() };
  return (
    <a
      className="btn btn-quiet"
      href={addressOf(ISOLATION_PDF, { params: { id: line }, query })}
      target="_blank"
      rel="noreferrer"
    >
      <FileText size={20} aria-hidden="true" /> The set, as PDF
    </a>
  );
}
