/** ISO 286-1 limits in micrometers for sizes over 0 up to and including 250 mm: tables as printed. */

const rangeEnds = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250];

const itGrades: Record<number, number[]> = {
  5: [4, 5, 6, 8, 9, 11, 13, 15, 18, 20],
  6: [6, 8, 9, 11, 13, 16, 19, 22, 25, 29],
  7: [10, 12, 15, 18, 21, 25, 30, 35, 40, 46],
  8: [14, 18, 22, 27, 33, 39, 46, 54, 63, 72],
  9: [25, 30, 36, 43, 52, 62, 74, 87, 100, 115],
  10: [40, 48, 58, 70, 84, 100, 120, 140, 160, 185],
  11: [60, 75, 90, 110, 130, 160, 190, 220, 250, 290],
  12: [100, 120, 150, 180, 210, 250, 300, 350, 400, 460],
  13: [140, 180, 220, 270, 330, 390, 460, 540, 630, 720],
};

/** Fundamental deviation of shafts: the upper one (negative) for d to h, the lower one for k to p. */
const shaftUpper: Record<string, number[]> = {
  d: [-20, -30, -40, -50, -65, -80, -100, -120, -145, -170],
  e: [-14, -20, -25, -32, -40, -50, -60, -72, -85, -100],
  f: [-6, -10, -13, -16, -20, -25, -30, -36, -43, -50],
  g: [-2, -4, -5, -6, -7, -9, -10, -12, -14, -15],
  h: [0, 0, 0, 0, 0, 0, 0, 0, 0, 0],
};
const shaftLower: Record<string, number[]> = {
  k: [0, 1, 1, 1, 2, 2, 2, 3, 3, 4],
  m: [2, 4, 6, 7, 8, 9, 11, 13, 15, 17],
  n: [4, 8, 10, 12, 15, 17, 20, 23, 27, 31],
  p: [6, 12, 15, 18, 22, 26, 32, 37, 43, 50],
};

function rangeOf(nominal: number): number {
  return nominal > 0 ? rangeEnds.findIndex((end) => nominal <= end) : -1;
}

/** Width of a standard grade on a nominal size, mm; null for a grade or size not in the table (5 to 13, to 250 mm). */
export function gradeWidth(nominal: number, grade: number): number | null {
  const width = itGrades[grade]?.[rangeOf(nominal)];
  return width === undefined ? null : width / 1000;
}

/** Largest and smallest clearance of a hole and shaft class on one size, mm; below zero they interfere. Null when not in the table. */
export function fitClearance(
  nominal: number,
  hole: string,
  shaft: string,
): { largest: number; smallest: number } | null {
  const [outer, inner] = [fitDeviations(hole, nominal), fitDeviations(shaft, nominal)];
  return outer && inner ? { largest: outer.upper - inner.lower, smallest: outer.lower - inner.upper } : null;
}

/**
 * Limit deviations of an ISO 286 class on a nominal size.
 * @param fit class such as `h7`, `JS9`, `P9`; letters d–h, js, k, m, n, p and D–H, JS, N, P, grades 5–13
 * @param nominal mm, over 0 to 250
 * @returns deviations in mm, or null when the class or size is not in the table
 */
export function fitDeviations(fit: string, nominal: number): { upper: number; lower: number } | null {
  const parts = /^([A-Za-z]{1,2})(\d{1,2})$/.exec(fit);
  const range = rangeOf(nominal);
  const it = itGrades[Number(parts?.[2])]?.[range];
  if (!parts || it === undefined) return null;
  const letter = parts[1]!;
  const grade = Number(parts[2]);
  // No −0: a file cannot keep it.
  const made = (upper: number, lower: number) => ({ upper: upper / 1000 + 0, lower: lower / 1000 + 0 });
  if (letter === "js" || letter === "JS") return made(it / 2, -it / 2);
  const upper = shaftUpper[letter]?.[range];
  if (upper !== undefined) return made(upper, upper - it);
  const lower = shaftLower[letter]?.[range];
  // k has no deviation outside grades 4 to 7.
  if (lower !== undefined) return letter === "k" && grade > 7 ? made(it, 0) : made(lower + it, lower);
  const mirror = shaftUpper[letter.toLowerCase()]?.[range];
  if (letter >= "D" && letter <= "H" && mirror !== undefined) return made(-mirror + it, -mirror);
  // Up to 3 mm N begins at −4 in every grade.
  if (letter === "N" && grade >= 9) return range === 0 ? made(-4, -4 - it) : made(0, -it);
  const p = shaftLower["p"]?.[range];
  if (letter === "P" && grade >= 8 && p !== undefined) return made(-p, -p - it);
  return null;
}
