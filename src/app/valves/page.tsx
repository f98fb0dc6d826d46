import type { Metadata } from "next";
import { services } from "@/server/services";
import { bells } from "@/server/today/bells";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { When } from "@/ui/when";

export const metadata: Metadata = { title: "Valves" };

export default function ValvesPage() {
  const all = services();
  const ringing = bells(all);
  const sheets = new Map(all.library.sheets().map((sheet) => [sheet.id, sheet.title]));
  const valves = all.library.valves();
  const places = [...new Set(valves.map((valve) => valve.place))];
  return (
    <Page title="Valves" says={`${valves.length} in the register.`}>
      {valves.length === 0 && (
        <Empty>
          No valve is registered. Bring in a register in the Loft, or pick a sheet from the library.
        </Empty>
      )}
      {places.map((place) => (
        <section key={place} className="card px-4 pt-3 pb-1">
          <h2 className="caption">{place}</h2>
          <ul className="dashed">
            {valves
              .filter((valve) => valve.place === place)
              .map((valve) => {
                const bell = ringing.find((each) => each.valve === valve.tag);
                return (
                  <li key={valve.tag} className="grid grid-cols-[112px_1fr_auto] items-center gap-3 py-1.5">
                    <Plate id={valve.tag} href={`/valves/${valve.tag}`} />
                    <span className="min-w-0">
                      <span className="block">{valve.name}</span>
                      <small className="block text-[14.5px] text-soft">
                        {sheets.get(valve.sheet) ?? valve.sheet}
                        {valve.symptom ? `; ${valve.symptom}` : ""}
                      </small>
                    </span>
                    <span className="plate text-right text-[18px]">
                      {bell === undefined ? "–" : bell.kind === "due" ? <When at={bell.at} /> : "at work"}
                    </span>
                  </li>
                );
              })}
          </ul>
        </section>
      ))}
    </Page>
  );
}
