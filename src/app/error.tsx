"use client";

import { useEffect, useState } from "react";
import { call } from "@/edge/client";
import { HEALTH } from "@/edge/contracts/here";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";

/** A page that could not be made: the server says what is wrong with it, and what was entered stays on the device. */
export default function Failed({ reset }: { error: Error; reset: () => void }) {
  const [says, setSays] = useState<string>();
  useEffect(() => {
    void call(HEALTH).then((answer) => {
      if (answer.ok) setSays("The server is in order again, or the fault is ours: its log says where.");
      else setSays(answer.error.problems[0]?.message);
    });
  }, []);
  return (
    <Page title="This page could not be made.">
      <Notice tone="stop" live>
        {says ?? "Asking the server what is wrong …"} What you entered is kept on this device.
      </Notice>
      <p>
        <button type="button" className="btn btn-go" onClick={reset}>
          Try it again
        </button>
      </p>
    </Page>
  );
}
