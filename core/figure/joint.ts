import type { Seat } from "../holding/index.ts";
import { rectangle } from "../frame/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Shape } from "./figure.ts";
import type { PlanDrawn } from "./plan-view.ts";

type Held = Pick<Seat, "together">;

/** Where two pieces meet, seen along the jaws: a line down or across the middle of both. Nothing where they lie behind one another. */
export function jointInSection(
  { together }: Held,
  { left, right, top, bottom }: { left: number; right: number; top: number; bottom: number },
): Shape[] {
  const [x, y] = [(left + right) / 2, (top + bottom) / 2];
  const points: Record<NonNullable<Seat["together"]>, [number, number][] | null> = {
    "end to end": null,
    "between the jaws": [
      [x, top],
      [x, bottom],
    ],
    stacked: [
      [left, y],
      [right, y],
    ],
  };
  const ends = together && points[together];
  return ends ? [{ kind: "line", points: ends, ink: "edge" }] : [];
}

/** Between the two as it is drawn, mm. */
const gap: Mm = 2;
const touching: Mm = 0.4;

/** Where two pieces meet, seen from above; nothing where they lie on one another. */
export function jointFromAbove({ together }: Held, { x, y }: { x: Mm; y: Mm }): PlanDrawn["inside"] {
  if (together === "end to end")
    return [{ outlines: [rectangle([(x - gap) / 2, (x + gap) / 2], [0, y])], ink: "void" }];
  if (together === "between the jaws")
    return [{ outlines: [rectangle([0, x], [(y - touching) / 2, (y + touching) / 2])], ink: "void" }];
  return [];
}
