import { axesAcross, type Axis, type Face, facesOf, axisOf, type Sizes } from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import type { Core } from "./stock.ts";

/** A core of which everything is known, in the frame the points were measured from. */
export interface FoundCore {
  id: string;
  face: Face;
  radius: Mm;
  /** Its middle as it was found, halfway through the part, and the two sizes across it. */
  at: Sizes;
  across: readonly [Axis, Axis];
  drawn: readonly [Mm, Mm];
}

/** Cores that are whole: found, drawn, and with a diameter. */
export const foundCores = (cores: readonly Core[], finished: Sizes): FoundCore[] =>
  cores.flatMap(({ id, face, diameter, first, second, drawnFirst, drawnSecond }): FoundCore[] => {
    if (diameter === null || first === null || second === null) return [];
    if (drawnFirst === null || drawnSecond === null) return [];
    const [a, b] = axesAcross(face);
    const through = axisOf(face);
    const at = { [a]: first, [b]: second, [through]: finished[through] / 2 } as unknown as Sizes;
    return [{ id, face, radius: diameter / 2, at, across: [a, b], drawn: [drawnFirst, drawnSecond] }];
  });

/** What the balance does to a core: how far it lies off where it is drawn, and the thinnest wall beside it; mm. */
export interface CoreLies {
  id: string;
  off: Mm;
  wall: { face: Face; thick: Mm; drawn: Mm };
}

/** Walls between a core and the finished faces beside it. @param at its middle as the part is balanced */
export function coreLies({ id, radius, across, drawn }: FoundCore, at: Sizes, finished: Sizes): CoreLies {
  const walls = across.flatMap((axis, i) => {
    const [low, high] = facesOf(axis);
    const thick = (middle: Mm) => [middle - radius, finished[axis] - middle - radius] as const;
    const [now, meant] = [thick(at[axis]), thick(drawn[i]!)];
    return [
      { face: low, thick: tidy(now[0]), drawn: tidy(meant[0]) },
      { face: high, thick: tidy(now[1]), drawn: tidy(meant[1]) },
    ];
  });
  return {
    id,
    off: tidy(Math.hypot(at[across[0]] - drawn[0], at[across[1]] - drawn[1])),
    wall: walls.reduce((a, b) => (b.thick < a.thick ? b : a)),
  };
}
