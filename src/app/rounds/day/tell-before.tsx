import { format } from "date-fns";
import Link from "next/link";
import { type DaySheet, shutDownsOf } from "@/core/due-work";
import { Panel } from "@/ui/page";
import { useSpeaker } from "@/ui/use-speaker";
import { savesWords } from "@/words";

/** Whom to tell before, and from when to when what is out. */
export function TellBefore({ sheet }: { sheet: DaySheet }) {
  return (
    <Panel title="Tell before">
      {sheet.tell.length === 0 ? (
        <p className="text-soft">Nobody goes without on this day.</p>
      ) : (
        <ul className="dashed">
          {sheet.tell.map(({ names, who, phone, days, by, from, to, tags }) => (
            <li key={`${tags.join()} ${names.join()} ${who ?? ""}`} className="py-2 leading-snug">
              <strong>{names.join(", ")}</strong>: out {format(from, "HH:mm")} to {format(to, "HH:mm")},{" "}
              {tags.join(", ")}.
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
                  {days !== undefined &&
                    by !== undefined &&
                    `, by ${format(by, "EEE d MMM")}: ${days} ${days === 1 ? "day" : "days"} before`}
                  .
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}

/** How the work is shut off: a sheet for each shut-down. */
export function ShutOff({ sheet }: { sheet: DaySheet }) {
  const speaker = useSpeaker();
  const shut = shutDownsOf(sheet);
  if (shut.length === 0) return null;
  return (
    <Panel title="Isolation sheets">
      <ul>
        {shut.map(({ tags, opens, line, name, saves }) => (
          <li key={tags.join()} className="py-1">
            <Link
              className="inline-block min-h-11 content-center underline underline-offset-4"
              href={`/lines/${encodeURIComponent(line)}/isolation?${new URLSearchParams([...opens.map((id) => ["open", id]), ["work", "1"]])}`}
            >
              {tags.join(" and ")}, {name}
            </Link>
            {saves !== undefined && (
              <p className="text-note text-soft leading-snug">Shut off once. {savesWords(speaker, saves)}</p>
            )}
          </li>
        ))}
      </ul>
    </Panel>
  );
}
