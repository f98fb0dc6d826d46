import { type Part, type Sheet, sheetNow, type Way } from "../formats";
import { type Barred, barredAt } from "./barred-tools";
import { closes, fastens, heldBy } from "./holding";

/**
 * What a step must keep to, worked out from what the part is made of, what it does and what stands behind it, so that
 * no sheet has to say it again and none can forget it. What a sheet says itself is kept and comes first.
 */

/** Bolts that stay in while a cover is cracked. */
export const STAY_IN = 2;
/** From here a part is held before its last fastener is out; from the second on by two people or a hoist, kg. */
const SUPPORT_KG = 8;
/** The guideline weight of the UK's HSE leaflet INDG143 for lifting close to the body at waist height, kg. */
const HOIST_KG = 25;

/** What can happen at a part, and what to do. */
export type Danger =
  /** In the sheet's own words. */
  | { readonly kind: "said"; readonly can: string; readonly do: string }
  /** What is left behind a cover pushes it off. */
  | { readonly kind: "stands-behind"; readonly cover: string; readonly medium: Sheet["isolation"]["medium"] }
  | { readonly kind: "loaded"; readonly says: string }
  /** It drops when the last fastener is out. */
  | { readonly kind: "drops"; readonly part: string; readonly kg: number; readonly hoist: boolean };

/** What taking this part off this way must heed: the sheet's own first, then what follows from its facts. */
export function dangersAt(sheet: Sheet, part: Part, way: Way): Danger[] {
  const holds = heldBy(sheet, part);
  const cover = holds.find(closes);
  const heavy = fastens(part)
    ? holds.find((each) => (each.weight_kg ?? 0) >= SUPPORT_KG)
    : (part.weight_kg ?? 0) >= SUPPORT_KG
      ? part
      : undefined;
  return [
    ...(way.cautions ?? []).map((each): Danger => ({ kind: "said", ...each })),
    ...(fastens(part) && cover !== undefined
      ? [{ kind: "stands-behind" as const, cover: cover.name, medium: sheet.isolation.medium }]
      : []),
    ...(part.loaded === undefined ? [] : [{ kind: "loaded" as const, says: part.loaded }]),
    ...(heavy?.weight_kg === undefined
      ? []
      : [
          {
            kind: "drops" as const,
            part: heavy.name,
            kg: heavy.weight_kg,
            hoist: heavy.weight_kg >= HOIST_KG,
          },
        ]),
  ];
}

/** Tools that must not be used at this part: the sheet's own first, and what follows that it does not say itself. */
export function forbiddenAt(sheet: Sheet, part: Part, way: Way): Barred[] {
  const said = way.forbidden ?? [];
  return [
    ...said.map((each): Barred => ({ kind: "said", ...each })),
    ...barredAt(part, heldBy(sheet, part)).filter((each) => said.every((one) => one.class !== each.tool)),
  ];
}

/** Tools that must not turn this fastener in again: what would strip or crack as it comes off does so as it goes in. */
export function forbiddenAtFit(sheet: Sheet, part: Part): Barred[] {
  if (!fastens(part)) return [];
  return barredAt(part, heldBy(sheet, part)).filter(
    ({ tool }) => tool === "power-driver" || tool === "impact-driver",
  );
}

/** Bolts of a cover with pressure behind: how many stay in while it is cracked. */
const stayIn = (part: Part, holds: readonly Part[]): number | undefined =>
  fastens(part) && part.quantity > STAY_IN && holds.some(closes) ? STAY_IN : undefined;

/**
 * The position in which a part may come off and go on: a bonnet with the valve open (shut, its stem would press the
 * closing part on its seat), a gland back-seated, the bolts of a ball valve pulled with the ball shut.
 */
function positionFor(sheet: Sheet, part: Part): { off?: string; on?: string } {
  const at = (role: string) => sheet.position?.names.find((each) => each.role === role)?.id;
  const some = (off: string | undefined, on: string | undefined) => ({
    ...(off !== undefined && { off }),
    ...(on !== undefined && { on }),
  });
  if (part.role === "bonnet") return some(at("back-seated") ?? at("open"), at("back-seated") ?? at("open"));
  if (part.role === "gland") return some(at("back-seated"), at("back-seated"));
  const ball = sheet.parts.some((each) => each.shape.kind === "ball" && each.quantity === 1);
  if (ball && part.fit?.end.kind === "torque" && part.quantity > STAY_IN) return some(undefined, at("shut"));
  return {};
}

function complete(given: Sheet): Sheet {
  const sheet = sheetNow(given);
  return {
    ...sheet,
    parts: sheet.parts.map((part) => {
      if (part.stays === true) return part;
      const stay = stayIn(part, heldBy(sheet, part));
      const { off, on } = positionFor(sheet, part);
      return {
        ...part,
        ways: part.ways.map((way) => ({
          ...way,
          ...(stay !== undefined && { stayUntilCracked: way.stayUntilCracked ?? stay }),
          ...(off !== undefined && { position: { before: off, ...way.position } }),
        })),
        ...(part.fit !== undefined && {
          fit: { ...part.fit, ...(on !== undefined && { position: { before: on, ...part.fit.position } }) },
        }),
      };
    }),
  };
}

const completed = new WeakMap<Sheet, Sheet>();

/** The sheet with every position and every bolt that stays in, as follows from its own facts; the same sheet gives the same object. */
export function withSafeWork(sheet: Sheet): Sheet {
  const known = completed.get(sheet);
  if (known !== undefined) return known;
  const made = complete(sheet);
  completed.set(sheet, made).set(made, made);
  return made;
}
