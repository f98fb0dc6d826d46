import type { Metadata } from "next";
import { Suspense } from "react";
import { JobHere } from "./job-here";

export const metadata: Metadata = { title: "Job" };

export default function Page() {
  return (
    <Suspense>
      <JobHere />
    </Suspense>
  );
}
