import type { Metadata } from "next";
import { Suspense } from "react";
import { AlongScreen } from "./along-screen";

export const metadata: Metadata = { title: "On this device" };

/** What lies on this device: what waits for the server, what was taken along. It opens without signal. */
export default function AlongPage() {
  return (
    <Suspense>
      <AlongScreen />
    </Suspense>
  );
}
