import { format } from "date-fns";
import Link from "next/link";
import type { DaySheet } from "@/core/due-work";
import { Panel } from "@/ui/page";

/** Whom to tell before, and from when to when what is out. */
export function TellBefore({ sheet }: { sheet: DaySheet }) {
  return (
    <Panel title="Tell before">
      {sheet.tell.length === 0 ? (
        <p className="text-soft">Nobody goes without on this day.</p>
      ) : (
        <ul className="dashed">
          {sheet.tell.map(({ names, who, phone, days, from, to, tag }) => (
            <li key={`${tag} ${names.join()} ${who ?? ""}`} className="py-2 leading-snug">
              <strong>{names.join(", ")}</strong>: out {format(from, "HH:mm")} to {format(to, "HH:mm")}, {tag}
              .
              {who !== undefined && (
                <span className="block text-note">
                  Tell {who}
                  {phone !== undefined && (
                    <>
                      {", "}
                      <a className="underline underline-offset-4" href={`tel:${phone.replaceAll(/\s/g, "")}`}>
                        {phone}
                      </a>
                    </>
                  )}
                  {days !== undefined && `, ${days} ${days === 1 ? "day" : "days"} before`}.
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}

/** How each piece of work is shut off, a sheet each. */
export function ShutOff({ sheet }: { sheet: DaySheet }) {
  const shut = sheet.stops.filter(({ line }) => line !== undefined);
  if (shut.length === 0) return null;
  return (
    <Panel title="Isolation sheets">
      <ul>
        {shut.map(({ tag, line, name }) => (
          <li key={tag}>
            <Link
              className="inline-block min-h-11 content-center underline underline-offset-4"
              href={`/lines/${encodeURIComponent(line!)}/isolation?${new URLSearchParams({ open: tag })}`}
            >
              {tag}, {name}
            </Link>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
