import type { Sheet } from "../formats";
import type { Problem } from "../result";
import { acidMost_min, fluidClash, tooHotFor } from "./fluids";

/** Greases, lockers and cleaners on what they touch, what stands in for what is no longer sold, what drinking water may touch. */
export function checkFluids(sheet: Sheet): Problem[] {
  const { medium } = sheet.isolation;
  const supplies = new Map(sheet.supplies.map((supply) => [supply.id, supply]));
  const parts = new Map(sheet.parts.map((part) => [part.id, part]));
  return [
    ...sheet.parts.flatMap(({ name, material, potable, fit, standIn }, index): Problem[] => {
      const at = `/parts/${index}`;
      const lubricant = fit?.surface?.kind === "lubricate" ? supplies.get(fit.surface.with) : undefined;
      const clash = fluidClash({ material, medium, ...(potable === true && { potable }) }, lubricant?.base);
      const unlisted =
        potable === true && lubricant !== undefined && clash === undefined && lubricant.potable !== true;
      const hot = standIn?.hottest_C === undefined ? undefined : tooHotFor(standIn.hottest_C, medium);
      return [
        ...(clash === undefined ? [] : [{ path: `${at}/fit/surface/with`, message: `${name}: ${clash}` }]),
        ...(unlisted
          ? [
              {
                path: `${at}/fit/surface/with`,
                message: `${name} touches drinking water: ${lubricant.name} has to be listed for it. Say so at the supply, or choose another.`,
              },
            ]
          : []),
        ...(hot === undefined
          ? []
          : [
              {
                path: `${at}/standIn/hottest_C`,
                message: `${standIn!.name} bears ${standIn!.hottest_C} °C, and ${medium} has ${hot} °C and more. Choose what bears it.`,
              },
            ]),
      ];
    }),
    ...(sheet.tasks ?? []).flatMap(
      ({ with: id, part, wait_min = 0, most_min = wait_min, do: does }, index): Problem[] => {
        if (id === undefined) return [];
        const at = `/tasks/${index}`;
        const supply = supplies.get(id);
        if (supply === undefined)
          return [
            {
              path: `${at}/with`,
              message: `There is no supply "${id}" in this sheet. Add it to the supplies.`,
            },
          ];
        const on = part === undefined ? undefined : parts.get(part);
        if (medium === "gas" && supply.base !== "plug-cock")
          return [{ path: `${at}/with`, message: `"${does}": only plug-cock grease goes into a gas cock.` }];
        if (on === undefined) return [];
        const clash = fluidClash({ material: on.material, medium }, supply.base);
        const most = supply.base === "acid" ? acidMost_min(on.material) : undefined;
        return [
          ...(clash === undefined ? [] : [{ path: `${at}/with`, message: `${on.name}: ${clash}` }]),
          ...(most !== undefined && most_min > most
            ? [
                {
                  path: `${at}/most_min`,
                  message: `${supply.name} may stand on ${on.material} for ${most} min at most: ${on.name} is harmed after that. Shorten it.`,
                },
              ]
            : []),
        ];
      },
    ),
  ];
}
