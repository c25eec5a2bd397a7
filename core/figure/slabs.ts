import { heightsUnder, type ParallelsUnder } from "../holding/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Shape } from "./figure.ts";

/** A parallel on the bed seen from its end, or one on another, each drawn as it stands. @param y a height above the bed on paper */
export function slabs(under: ParallelsUnder, x: Mm, y: (z: Mm) => Mm): Shape[] {
  let foot = 0;
  return heightsUnder(under).map((h): Shape => {
    foot += h;
    return { kind: "rect", x, y: y(foot), w: under.thickness, h, ink: "parallel" };
  });
}
