import type { Sheet, Task, WayOf } from "../formats";
import type { NotBecause, School, Site, WayHere } from "./school";

type Way = WayOf<"cleaning">;
/** The strongest first. */
const WAYS = ["acid", "water", "dry"] as const;

/** Acid with an end, warm water and a soft brush, or a dry cloth and a needle of wood: by deposit and what the material stands. */
export const cleaning: School<"cleaning"> = {
  offer(site) {
    const tasks = cleans(site.sheet).filter(({ needsOff = [] }) =>
      needsOff.every((part) => site.removed.includes(part)),
    );
    const usual = usualOf(tasks);
    const first = tasks.find(({ way }) => way === usual);
    if (usual === undefined || first === undefined) return undefined;
    return {
      usual,
      because: { kind: "sheet", says: first.why },
      about: tasks.map((task) => task.do),
      ways: WAYS.map((way): WayHere => {
        const because = way === usual ? undefined : notHere(site, way);
        return { way, keeps: [], ...(because !== undefined && { barred: { because } }) };
      }),
    };
  },
  // What is done instead stands on its cards; the acid stays at home.
  worked: (sheet, way) =>
    way === "acid" ? sheet : { ...sheet, supplies: sheet.supplies.filter(({ base }) => base !== "acid") },
};

const isWay = (way: Task["way"]): way is Way => WAYS.some((each) => each === way);

const cleans = ({ tasks = [] }: Sheet): Task[] => tasks.filter(({ way }) => isWay(way));

/** The strongest that its sheet cleans with. */
const usualOf = (tasks: readonly Task[]): Way | undefined =>
  WAYS.find((way) => tasks.some((task) => task.way === way));

const ELECTRIC: ReadonlySet<string> = new Set(["coil", "board"]);

function notHere({ sheet, removed }: Site, way: Way): NotBecause | undefined {
  if (way === "acid") return { kind: "not-on-its-sheet" };
  const electric = sheet.parts.some(({ id, shape }) => removed.includes(id) && ELECTRIC.has(shape.kind));
  return way === "water" && electric ? { kind: "ruins-electrics" } : undefined;
}

/** Whether a task is done another way: what is wetter than what was chosen, and what the usual way does. */
export function cleansOtherwise({ way }: Task, chosen: Way, usual: Way): boolean {
  if (!isWay(way) || chosen === usual) return false;
  return way === usual || WAYS.indexOf(way) < WAYS.indexOf(chosen);
}
