import type { Sheet } from "../formats";
import type { Problem } from "../result";
import { cutOf, flangeOf } from "./flange-gasket";

/** A flange gasket lies inside its bolts or has a hole for each: between the two it is cut by them. */
export function checkGaskets(sheet: Sheet): Problem[] {
  const parts = new Map(sheet.parts.map((part) => [part.id, part]));
  return [
    ...sheet.parts.flatMap((part, index): Problem[] => {
      if (part.face === undefined) return [];
      const at = `/parts/${index}`;
      const flange = flangeOf(sheet, part);
      if (flange === undefined)
        return [
          {
            path: `${at}/face`,
            message: `${part.name} has a face, and no bolts on a circle hold it. Give its bolts their circle, or leave the face out.`,
          },
        ];
      const inside = flange.circle_mm - (flange.bolt_mm ?? 0);
      const { diameter_mm } = part.shape;
      if (diameter_mm > inside && diameter_mm <= flange.circle_mm)
        return [
          {
            path: `${at}/shape/diameter_mm`,
            message: `${part.name} would be cut by its bolts: a ring is ${inside} mm at most, a full face is wider than the circle of ${flange.circle_mm} mm.`,
          },
        ];
      return part.face === "recessed" && cutOf(sheet, part) === "full-face"
        ? [
            {
              path: `${at}/face`,
              message: `${part.name} is cut full-face: it does not lie in a recess. Make it a ring, or the face flat.`,
            },
          ]
        : [];
    }),
    ...sheet.kits.flatMap(({ contents }, index) =>
      contents.flatMap(({ part, cut }, number): Problem[] =>
        cut === undefined || parts.get(part)?.face !== undefined
          ? []
          : [
              {
                path: `/kits/${index}/contents/${number}/cut`,
                message: `${parts.get(part)?.name ?? part} is no flange gasket: say its face, or leave the cut out.`,
              },
            ],
      ),
    ),
  ];
}
