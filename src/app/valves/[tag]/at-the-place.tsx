import Link from "next/link";
import type { Place } from "@/core/formats";
import { Panel } from "@/ui/page";

/** What one has to know of where it stands: the way in, what can hurt, who is told before. */
export function AtThePlace({ place }: { place: Place }) {
  const { name, way, hazard, contact, phone, notice_days: days } = place;
  return (
    <Panel title="The place" note={name}>
      {hazard !== undefined && <p className="mb-2 border-l-[6px] border-l-stop pl-3">{hazard}</p>}
      {way !== undefined && <p className="mb-2">{way}</p>}
      {contact !== undefined && (
        <p className="mb-2">
          Tell {contact}
          {phone !== undefined && (
            <>
              ,{" "}
              <a href={`tel:${phone.replaceAll(" ", "")}`} className="underline underline-offset-4">
                {phone}
              </a>
            </>
          )}
          {days !== undefined && days > 0 && `, ${days} ${days === 1 ? "day" : "days"} before`}.
        </p>
      )}
      <Link
        href={`/places/${encodeURIComponent(name)}`}
        className="block min-h-11 content-center underline underline-offset-4"
      >
        {name} on the map
      </Link>
    </Panel>
  );
}
