"use client";

import { Link2, Printer } from "lucide-react";
import { toast } from "sonner";
import { calculatorNamed } from "@/core/calculators";
import { CalculatorPanel } from "@/ui/calculator/calculator-panel";
import { KeepWithValve } from "@/ui/calculator/keep-with-valve";
import { SetBell } from "@/ui/calculator/set-bell";
import type { CalculatorForm } from "@/ui/calculator/use-calculator";

/** A page of the bench book: the calculator, and what can be done with its answer. */
export function CalculatorScreen({
  id,
  start,
}: {
  id: string;
  start: Readonly<Record<string, string>> | undefined;
}) {
  const calculator = calculatorNamed(id)!;
  return (
    <CalculatorPanel calculator={calculator} {...(start !== undefined && { start })}>
      {(form) => (
        <div className="no-print flex flex-wrap gap-2">
          <KeepWithValve calculator={calculator} form={form} />
          {form.answer?.bell !== undefined && <SetBell title={calculator.title} bell={form.answer.bell} />}
          <button type="button" className="btn btn-quiet" onClick={() => share(id, form)}>
            <Link2 size={20} aria-hidden /> Copy link
          </button>
          <button type="button" className="btn btn-quiet" onClick={() => print()}>
            <Printer size={20} aria-hidden /> Print
          </button>
        </div>
      )}
    </CalculatorPanel>
  );
}

/** The link carries every input that was filled, each with its unit. */
async function share(id: string, form: CalculatorForm): Promise<void> {
  const link = `${location.origin}/bench/${id}?${new URLSearchParams(form.typed)}`;
  try {
    await navigator.clipboard.writeText(link);
    toast("Link copied. It carries what you filled in.");
  } catch {
    history.replaceState(null, "", link);
    toast("The link stands in the address bar: copy it from there.");
  }
}
