import { type Valve, ValveSchema } from "@/core/formats";
import { pointNames } from "@/core/line";
import type { Problem } from "@/core/result";
import { keepSheet } from "../../register/keep-documents";
import { keepValve, removeValve } from "../../register/keep-valve";
import { librarySheet } from "../../register/library";
import { retiredAtWork, valveFaults } from "../../register/valve-faults";
import type { Services } from "../../services";
import type { Kind } from "../kind";
import { alongValve } from "../tie";

const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

function standsThere({ register }: Services, valve: Valve): Problem[] {
  if (valve.line === undefined) return [];
  const at = valve.node ?? valve.tag;
  const other = register
    .onLine(valve.line)
    .find((each) => each.tag !== valve.tag && (each.node ?? each.tag) === at);
  return other === undefined
    ? []
    : [
        {
          path: "/node",
          message: `${other.tag} stands at "${at}" of this line. Choose another place of it.`,
        },
      ];
}

export const VALVE: Kind<Valve> = {
  shape: ValveSchema,
  find: ({ register }, tag) => register.anyValve(tag),
  keep(services, valve) {
    // A sheet of the library may be named before it is here: it comes in with the first valve that names it.
    const shipped = services.library.sheet(valve.sheet) === undefined ? librarySheet(valve.sheet) : undefined;
    if (shipped !== undefined) keepSheet(services, shipped);
    keepValve(services, valve);
  },
  remove: removeValve,
  faults(services, valve) {
    const { library } = services;
    const named = {
      sheet: (id: string) => library.sheet(id),
      line: (id: string) => {
        const line = library.line(id);
        return line && { name: line.name, places: pointNames(line) };
      },
    };
    return [
      ...valveFaults(named, valve, ""),
      ...(valve.retired === undefined ? standsThere(services, valve) : []),
      ...retiredAtWork(services, valve, ""),
    ];
  },
  hanging({ summaries, library, register }, tag) {
    const jobs = summaries.ofValve(tag).length;
    const readings = library.readings(tag).length;
    const heir = register.valves().find(({ formerly }) => formerly === tag);
    return [
      ...(jobs > 0 ? [counted(jobs, "job", "jobs")] : []),
      ...(readings > 0 ? [counted(readings, "reading", "readings")] : []),
      ...(heir === undefined ? [] : [`${heir.tag}, which was ${tag}`]),
    ];
  },
  along: alongValve,
};
