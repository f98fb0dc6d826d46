import type { Metadata } from "next";
import { NewLine } from "./new-line";

export const metadata: Metadata = { title: "A new line" };

export default function NewLinePage() {
  return <NewLine />;
}
