/** A point on a circle, px, rounded: the last digits of a sine differ between server and browser. */
export const onCircle = (x: number, y: number, radius: number, angle: number, flat = 1): [number, number] => [
  round(x + Math.cos(angle) * radius),
  round(y + Math.sin(angle) * radius * flat),
];

export const round = (value: number): number => Math.round(value * 100) / 100;
