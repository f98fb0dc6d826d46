import type { Metadata } from "next";
import { DayScreen } from "./day-screen";

export const metadata: Metadata = { title: "A day" };

export default async function DayPage({
  searchParams,
}: {
  searchParams: Promise<{ crew?: string; day?: string }>;
}) {
  const { crew = "", day = "" } = await searchParams;
  return <DayScreen crew={crew} day={day} />;
}
