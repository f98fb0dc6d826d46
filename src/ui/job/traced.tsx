"use client";

import dynamic from "next/dynamic";
import type { ComponentProps } from "react";
import { useHowMany } from "../instruments/connected";
import type { TracePanel as Panel } from "../instruments/trace-panel";

const TracePanel = dynamic(() => import("../instruments/trace-panel").then((made) => made.TracePanel), {
  ssr: false,
});

/** What a connected instrument shows over the time of a card; nothing where none is connected. */
export function Traced(props: ComponentProps<typeof Panel>) {
  return useHowMany() > 0 ? <TracePanel {...props} /> : null;
}
