"use client";

import dynamic from "next/dynamic";

/** The drawn history of a reading: drawing curves takes more script than the page around it. */
export const ReadingHistory = dynamic(() => import("./reading-history").then((made) => made.ReadingHistory), {
  ssr: false,
  loading: () => (
    <p role="status" className="flex h-[190px] items-center text-soft">
      Drawing it …
    </p>
  ),
});
