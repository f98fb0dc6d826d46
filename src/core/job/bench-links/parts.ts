import { figure, open, partOf, type Rule } from "./rule";
import { stack } from "./stack";

/** Rings, packing and gaskets that go in new. */
export const seals: Rule = (job, step) => {
  const part = step.kind === "fit" ? partOf(job, step) : undefined;
  if (step.kind !== "fit" || part === undefined) return [];
  const { shape } = part;
  if (step.pieces.length > 1) return [open("stack-depth", stack(part))];
  if (shape.kind === "packing")
    return [
      open("packing", {
        box: `${figure(shape.diameter_mm)} mm`,
        ...(shape.bore_mm !== undefined && { stem: `${figure(shape.bore_mm)} mm` }),
      }),
    ];
  if (shape.kind === "ring" && part.soft)
    return [open("o-ring", shape.bore_mm === undefined ? {} : { inside: `${figure(shape.bore_mm)} mm` })];
  return part.oneUse !== undefined && (shape.kind === "washer" || shape.kind === "plate")
    ? [open("gasket-cutter", shape.bore_mm === undefined ? {} : { bore: `${figure(shape.bore_mm)} mm` })]
    : [];
};

/** Heavy parts, and what pushes behind a cover. */
export const strength: Rule = (job, step) => {
  const part = partOf(job, step);
  const heavy =
    step.kind === "strip" && part?.weight_kg !== undefined && part.weight_kg >= 15
      ? [open("lift", { known: "given", mass: `${figure(part.weight_kg)} kg` })]
      : [];
  if (step.kind !== "crack") return heavy;
  const circle = part?.fastener?.circle_mm ?? part?.shape.diameter_mm;
  return [
    open("cover-force", {
      bolts: figure(step.of),
      slack: figure(step.of - step.stay),
      pressure: `${figure(job.inputs.sheet.isolation.zero_bar)} bar g`,
      // A section full of water or oil stores next to nothing.
      ...(["water", "oil"].includes(job.inputs.sheet.isolation.medium) && { gas: "0 L" }),
      ...(circle !== undefined && { diameter: `${figure(circle)} mm` }),
    }),
    ...heavy,
  ];
};
