import type { Metadata } from "next";
import { Suspense } from "react";
import { RecordHere } from "./record-here";

export const metadata: Metadata = { title: "Record" };

export default function Page() {
  return (
    <Suspense>
      <RecordHere />
    </Suspense>
  );
}
