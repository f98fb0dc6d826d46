import type { Metadata } from "next";
import { RoundsScreen } from "./rounds-screen";

export const metadata: Metadata = { title: "Rounds" };

export default function RoundsPage() {
  return <RoundsScreen />;
}
