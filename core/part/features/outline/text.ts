import { arcOf, type Corner, type Outline, waysOf } from "../../../frame/index.ts";
import { fromMm, type LengthUnit, parseLength, type ParseProblem, toMm } from "../../../quantity/index.ts";

const number = (value: number, unit: LengthUnit) => String(Math.round(fromMm(value, unit) * 1e5) / 1e5);

/** The points of an outline, one a line: X Y, then R and a radius where an arc leads on, below zero for clockwise. */
export const outlineText = (outline: Outline, unit: LengthUnit): string =>
  waysOf(outline)
    .map(([from, to]) => {
      const arc = arcOf(from, to);
      const large = arc && Math.abs(arc.turn) > Math.PI + 1e-9 ? " large" : "";
      const radius = arc ? ` R${from.bulge < 0 ? "−" : ""}${number(arc.r, unit)}${large}` : "";
      return `${number(from.x, unit)} ${number(from.y, unit)}${radius}`;
    })
    .join("\n");

type Read = { ok: true; corners: Corner[] } | { ok: false; line: number; problem: ParseProblem };

/** Reads points as `outlineText` writes them; empty lines are skipped. A radius too small for its ends is held to half a circle. */
export function readOutline(text: string, unit: LengthUnit): Read {
  const made: { x: number; y: number; r: number; large: boolean }[] = [];
  for (const [i, line] of text.split("\n").entries()) {
    const parts = line
      .trim()
      .split(/[\s;]+/)
      .filter((part) => part !== "");
    if (parts.length === 0) continue;
    const wrong = (at: string): Read => ({ ok: false, line: i + 1, problem: { id: "not-a-number", at } });
    const [x, y, r, large] = parts;
    const [px, py] = [coordinate(x, unit), coordinate(y, unit)];
    if (px === null || py === null) return wrong(line.trim());
    const radius = r === undefined ? 0 : coordinate(r.replace(/^R/i, ""), unit);
    if (radius === null || (r !== undefined && !/^R/i.test(r)) || (large !== undefined && large !== "large"))
      return wrong(line.trim());
    made.push({ x: px, y: py, r: radius, large: large === "large" });
  }
  return {
    ok: true,
    corners: made.map(({ x, y, r, large }, i) => {
      const next = made[(i + 1) % made.length]!;
      if (r === 0) return { x, y, bulge: 0 };
      const chord = Math.hypot(next.x - x, next.y - y);
      const half = Math.asin(Math.min(1, chord / (2 * Math.abs(r))));
      const turn = 2 * (large ? Math.PI - half : half);
      return { x, y, bulge: Math.sign(r) * Math.tan(turn / 4) };
    }),
  };
}

/** A coordinate may be zero or below it; null for what is none. */
function coordinate(text: string | undefined, unit: LengthUnit): number | null {
  if (text === undefined) return null;
  const clean = text.replace("−", "-");
  if (/^-?0+([.,]0*)?$/.test(clean)) return 0;
  if (/^-?(\d+\.?\d*|\.\d+)$/.test(clean)) return toMm(Number(clean), unit);
  const read = parseLength(clean, unit, true);
  return read.ok ? read.value : null;
}
