"use client";

import { useEffect, useState } from "react";
import type { Line } from "@/core/formats";

/** The line with a place for everything: as kept, or laid out by the worker where any place is missing. */
export function useLaidOut(line: Line): Line {
  const [laid, setLaid] = useState(line);
  useEffect(() => {
    setLaid(line);
    if (line.nodes.every((node) => node.at !== undefined)) return;
    let left = false;
    import("./line-elk")
      .then(({ layOutInWorker }) => layOutInWorker(line))
      .then((made) => {
        if (!left) setLaid(made);
      });
    return () => {
      left = true;
    };
  }, [line]);
  return laid;
}
