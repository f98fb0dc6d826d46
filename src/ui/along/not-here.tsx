"use client";

import Link from "next/link";
import { ALONG, jobPage } from "@/device/pages";
import { Notice } from "../notice";
import { Page } from "../page";

/** A job that is not on this device. */
export function NotHere({ id }: { id: string }) {
  return (
    <Page title="This job is not on this device">
      <Notice tone="wait">
        Without signal it cannot be opened. A job that was open here once, or was taken along, can.
      </Notice>
      <p className="flex flex-wrap gap-3">
        <Link className="btn btn-go" href={ALONG}>
          What is here
        </Link>
        <button type="button" className="btn btn-quiet" onClick={() => location.assign(jobPage(id))}>
          Try again
        </button>
      </p>
    </Page>
  );
}
