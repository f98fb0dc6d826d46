"use client";

import { useEffect, useState } from "react";
import type { Line } from "@/core/formats";
import { call, pathOf } from "@/edge/client";
import { GET_LINE } from "@/edge/contracts/documents";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { LineScreen } from "./line-screen";
import type { Target } from "./target-picker";

/** A line of tens of thousands of places: fetched whole, drawn only where one looks. */
export function LargeLine({
  id,
  name,
  held,
  registered,
  open,
  others,
}: {
  id: string;
  name: string;
  /** Links that open jobs hold shut. */
  held: readonly string[];
  registered: readonly Target[];
  open: string | undefined;
  others: readonly { readonly id: string; readonly name: string }[];
}) {
  const [line, setLine] = useState<Line>();
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    const stop = new AbortController();
    void call(GET_LINE, { params: { id }, signal: stop.signal }).then((answer) => {
      if (answer.ok) setLine(answer.value);
      else if (!stop.signal.aborted) setFailed(true);
    });
    return () => stop.abort();
  }, [id]);
  if (failed)
    return (
      <Page title={name}>
        <Notice tone="stop" live>
          The line could not be fetched. Look whether the server answers, then load this page again.
        </Notice>
      </Page>
    );
  if (line === undefined)
    return (
      <Page title={name}>
        <p role="status">Fetching the whole line …</p>
      </Page>
    );
  const first = open ?? line.nodes.find((node) => node.hydrant === true)?.id ?? "";
  return (
    <LineScreen
      line={line}
      held={held}
      registered={registered}
      first={first}
      source={pathOf(GET_LINE, { id })}
      others={others}
      free={[]}
    />
  );
}
