import type { Metadata } from "next";
import type { Contract } from "@/edge/contract";
import { CONTRACTS } from "@/edge/contracts";
import { PERSON_HEADER } from "@/edge/who-is";
import { Page, Panel } from "@/ui/page";

export const metadata: Metadata = { title: "Routes" };

/** Every route, read from the same declarations that serve it. */
export default function RoutesPage() {
  const chapters = [...new Set(CONTRACTS.map((each) => each.chapter))];
  return (
    <Page
      title="Routes"
      says="For other programs. Errors are application/problem+json with every problem at its path; nothing is stored when anything is refused."
      action={
        <a className="btn btn-quiet" href="/api/v1/openapi.json">
          OpenAPI 3.1
        </a>
      }
    >
      <p className="max-w-[70ch]">
        Bodies are <code>application/json</code>. Where one of the crew has to ask, send the name or id as{" "}
        <code>{PERSON_HEADER}</code>, percent-encoded. Pages of other origins and other host names are
        refused.
      </p>
      {chapters.map((chapter) => (
        <Panel key={chapter} title={chapter}>
          <ul className="dashed">
            {CONTRACTS.filter((each) => each.chapter === chapter).map((each) => (
              <Route key={each.id} contract={each} />
            ))}
          </ul>
        </Panel>
      ))}
    </Page>
  );
}

const ASKER: Record<Contract["asker"], string> = {
  anybody: "",
  crew: "One of the crew asks.",
  "crew-if-any": "One of the crew asks, as soon as there is a crew.",
};

function Route({ contract }: { contract: Contract }) {
  const { method, path, says, query, refuses, asker } = contract;
  const fields = Object.keys(query.properties);
  return (
    <li className="grid gap-x-4 gap-y-1 py-3 md:grid-cols-[minmax(0,380px)_1fr]">
      <p className="break-all font-mono text-note">
        <b>{method}</b> {path}
        {fields.length > 0 && <span className="text-soft">?{fields.join("&")}</span>}
      </p>
      <div>
        <p>
          {says} {ASKER[asker]}
        </p>
        {Object.keys(refuses).length > 0 && (
          <p className="text-note text-soft">
            {Object.entries(refuses)
              .map(([status, when]) => `${status}: ${when}`)
              .join(" ")}
          </p>
        )}
      </div>
    </li>
  );
}
