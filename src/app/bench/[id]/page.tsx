import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { CALCULATORS, calculatorNamed } from "@/core/calculators";
import { CalculatorScreen } from "./calculator-screen";

type Props = { params: Promise<{ id: string }> };

export const generateStaticParams = () => CALCULATORS.map(({ id }) => ({ id }));

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: calculatorNamed((await params).id)?.title ?? "Bench book" };
}

export default async function CalculatorPage({ params }: Props) {
  const { id } = await params;
  if (calculatorNamed(id) === undefined) notFound();
  return <CalculatorScreen id={id} />;
}
