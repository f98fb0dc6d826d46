import Link from "next/link";
import { Page } from "@/ui/page";

export default function NotFound() {
  return (
    <Page title="There is nothing here." says="The tag or the address may have changed.">
      <p>
        <Link href="/" className="btn btn-go">
          Back to Today
        </Link>
      </p>
    </Page>
  );
}
