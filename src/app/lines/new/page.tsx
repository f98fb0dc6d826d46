import type { Metadata } from "next";
import { BLANK_LINE } from "../[id]/edit/edit-line";
import { LineEditor } from "../[id]/edit/editor";

export const metadata: Metadata = { title: "A new line" };

export default function NewLinePage() {
  return <LineEditor first={BLANK_LINE} known={undefined} />;
}
