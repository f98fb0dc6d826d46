import Link from "next/link";
import type { Problem } from "@/core/result";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";

/** A list whose address was typed or sent by somebody who asks for what it does not have. */
export function UnreadableList({
  title,
  path,
  problems,
}: {
  title: string;
  path: string;
  problems: readonly Problem[];
}) {
  return (
    <Page title={title}>
      <Notice tone="stop">
        This address asks for what the list does not have: {problems.map((each) => each.message).join(" ")}{" "}
        <Link href={path} className="underline underline-offset-4">
          Show the whole list
        </Link>
      </Notice>
    </Page>
  );
}
