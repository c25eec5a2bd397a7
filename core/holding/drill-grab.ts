import { type Mm, mm } from "../quantity/index.ts";
import { rule, type Warning, warn } from "../working/index.ts";

/** Thinner than this share of the drill's diameter the point is through before the lips are in: it screws itself in. */
const thinForDrill = 1;

/** M48: a drill grabs at break-through, and lifts or turns what is thin or only held by hand. */
export function drillGrabs(hole: {
  through: boolean;
  diameter: Mm;
  thickness: Mm;
  /** Strapped down or backed by packing under the hole. */
  heldDown: boolean;
}): Warning[] {
  const { through, diameter, thickness, heldDown } = hole;
  return through && !heldDown && thickness < thinForDrill * diameter
    ? [
        warn(
          rule(
            "M48.grab",
          )`A ${mm(diameter)} drill breaks through ${mm(thickness)} before its lips are in: it grabs, and lifts or spins the part. Strap it down on packing that backs the hole, and ease the feed at the end.`,
        ),
      ]
    : [];
}
