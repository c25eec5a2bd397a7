export type Point = readonly [x: number, y: number];

const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** Points on a circle or an arc of one, counterclockwise from X. Angles in degrees. */
export const onCircle = (
  count: number,
  radius: number,
  first: number,
  step: number,
  [x, y]: Point = [0, 0],
): Point[] =>
  Array.from({ length: count }, (_, i): Point => {
    const angle = rad(first + i * step);
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });

/** Rows of points from a first one, row by row, turned about it by an angle in degrees. */
export function onGrid(
  columns: number,
  rows: number,
  pitch: { x: number; y: number },
  [x, y]: Point = [0, 0],
  angle = 0,
): Point[] {
  const [cos, sin] = [Math.cos(rad(angle)), Math.sin(rad(angle))];
  return Array.from({ length: rows }, (_, row) => row).flatMap((row) =>
    Array.from({ length: columns }, (_, column): Point => {
      const [dx, dy] = [column * pitch.x, row * pitch.y];
      return [x + dx * cos - dy * sin, y + dx * sin + dy * cos];
    }),
  );
}
