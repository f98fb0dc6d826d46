import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { calculatorNamed } from "@/core/calculators";
import { ChapterMark } from "@/ui/draw/chapter-mark";
import { CalculatorScreen } from "./later";

type Props = {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
};

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: calculatorNamed(pathId((await params).id))?.title ?? "Bench book" };
}

export default async function CalculatorPage({ params, searchParams }: Props) {
  const id = pathId((await params).id);
  const calculator = calculatorNamed(id);
  if (calculator === undefined) notFound();
  const query = await searchParams;
  const start = Object.fromEntries(
    calculator.inputs.flatMap(({ name }) => {
      const text = query[name];
      return typeof text === "string" ? [[name, text]] : [];
    }),
  );
  return (
    <div className="mx-auto flex max-w-[1240px] flex-col gap-4 px-4 py-4 md:px-5">
      <header>
        <h1 className="flex items-center gap-3 font-bold text-title leading-tight">
          <ChapterMark chapter={calculator.chapter} /> {calculator.title}
        </h1>
        <p className="text-soft">{calculator.says}</p>
      </header>
      <CalculatorScreen
        key={JSON.stringify(start)}
        id={id}
        start={Object.keys(start).length > 0 ? start : undefined}
      />
    </div>
  );
}
