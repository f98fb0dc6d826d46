"use client";

import dynamic from "next/dynamic";

/** The sums are heavy with tables; the page stands before they are fetched. */
export const CalculatorScreen = dynamic(
  () => import("./calculator-screen").then((made) => made.CalculatorScreen),
  {
    ssr: false,
    loading: () => (
      <p role="status" className="text-soft">
        Opening the page of the bench book …
      </p>
    ),
  },
);
