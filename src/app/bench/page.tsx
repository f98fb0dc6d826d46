import type { Metadata } from "next";
import { CALCULATORS } from "@/core/calculators";
import { Page } from "@/ui/page";
import { BenchList } from "./bench-list";

export const metadata: Metadata = { title: "Bench book" };

export default function BenchPage() {
  return (
    <Page title="Bench book" says={`The ${CALCULATORS.length} sums of the trade, each with its source.`}>
      <BenchList
        calculators={CALCULATORS.map(({ id, chapter, title, words, says, inputs }) => ({
          id,
          chapter,
          title,
          words,
          says,
          inputs: inputs.map(({ label }) => ({ label })),
        }))}
      />
    </Page>
  );
}
