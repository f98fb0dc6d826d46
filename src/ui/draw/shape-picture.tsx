import type { Part } from "@/core/formats";
import { DialPicture } from "./dial-picture";
import { PartDrawing } from "./part";

/** A shape by itself, in a frame; shapes that are to be told apart are drawn to one scale. */
export function ShapePicture({ shape, scale }: { shape: Part["shape"]; scale: number }) {
  const [width, height] = [96, 72];
  const high = shape.height_mm * scale;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
      className="shrink-0 rounded bg-card"
    >
      <path d={`M${width / 2} 0V${height}`} stroke="var(--brass-line)" strokeDasharray="10 3 3 3" />
      <PartDrawing
        part={{ id: "shape", name: "", quantity: 1, material: "plastic", ways: [], shape }}
        x={width / 2}
        y={Math.max(6, (height - high) / 2)}
        scale={scale}
      />
    </svg>
  );
}

/** The scale at which the largest of them fits its frame. */
export const scaleOf = (shapes: readonly Part["shape"][]): number =>
  Math.min(...shapes.map(({ diameter_mm, height_mm }) => Math.min(80 / diameter_mm, 52 / height_mm)));

/** Choices with their pictures, all to one scale. */
export function drawnChoices(
  choices: readonly string[],
  drawn: Readonly<Record<string, Part["shape"]>> = {},
  dials: Readonly<Record<string, number>> = {},
): { id: string; label: string; picture?: React.ReactNode }[] {
  const scale = scaleOf(Object.values(drawn));
  return choices.map((choice) => {
    const shape = drawn[choice];
    const at_deg = dials[choice];
    return {
      id: choice,
      label: choice,
      ...(at_deg !== undefined && { picture: <DialPicture at_deg={at_deg} /> }),
      ...(shape !== undefined && { picture: <ShapePicture shape={shape} scale={scale} /> }),
    };
  });
}
