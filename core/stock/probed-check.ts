import { axesAcross, type Face, faceNames, type Sizes } from "../frame/index.ts";
import { mm } from "../quantity/index.ts";
import { rule, say, type Warning, warn } from "../working/index.ts";
import type { Probed } from "./stock.ts";

/** A lump stands out beside its finished part by no more than this, mm (guess): a point further out was typed wrong. */
const standsOut = 40;
/** Points of a face nearer to one line than this share of their length say nothing of a tilt across it (guess). */
const nearLine = 0.05;

/** What cannot be, or tells less than it looks, of points probed on a lump. What was typed stays. */
export function probedFindings(points: readonly Probed[], finished: Sizes): Warning[] {
  return [
    ...points.flatMap((p, i) => offFace(p, i + 1, finished)),
    ...faceNames.flatMap((f) => inLine(f, points)),
  ];
}

function offFace({ face, first, second }: Probed, number: number, finished: Sizes): Warning[] {
  const axes = axesAcross(face);
  return [first, second].flatMap((at, i) => {
    const size = finished[axes[i]!];
    return at === null || (at >= -standsOut && at <= size + standsOut)
      ? []
      : [
          warn(
            rule(
              "stock.offFace",
            )`Point ${number} lies off the ${face} face: ${mm(at)} along its ${axes[i]!}, which is ${mm(size)} long. Correct where you read it; until then it counts as typed.`,
          ),
        ];
  });
}

function inLine(face: Face, points: readonly Probed[]): Warning[] {
  const here = points.flatMap(({ face: f, first, second }) =>
    f === face && first !== null && second !== null ? [[first, second] as const] : [],
  );
  if (here.length < 3) return [];
  const [a, ...rest] = here as [readonly [number, number], ...(readonly [number, number])[]];
  const far = rest.reduce((best, p) => (away(a, p) > away(a, best) ? p : best), rest[0]!);
  const length = away(a, far);
  const across = Math.max(
    ...rest.map(
      (p) => Math.abs((far[0] - a[0]) * (p[1] - a[1]) - (far[1] - a[1]) * (p[0] - a[0])) / (length || 1),
    ),
  );
  return length > 0 && across >= nearLine * length
    ? []
    : [
        warn(
          say`The points on the ${face} lie in one line: they tell no tilt across it. Read one beside it.`,
        ),
      ];
}

const away = (a: readonly [number, number], b: readonly [number, number]): number =>
  Math.hypot(a[0] - b[0], a[1] - b[1]);
