import { cutterKindFacts } from "../../handbook/index.ts";
import { type Mm, mm } from "../../quantity/index.ts";
import { cuttingDiameter, type Cutter, type Shop } from "../../shop/index.ts";
import { rule, say, type Warning, warn } from "../../working/index.ts";

const slotting = (shop: Shop): Cutter[] =>
  shop.cutters.filter((c) => cutterKindFacts[c.kind].cuts.includes("slot"));

/** M20: a slot narrower, or deeper, than any owned cutter goes. */
export function narrowReach(what: string, width: Mm, depth: Mm, shop: Shop): Warning[] {
  const mills = slotting(shop).filter((c) => cuttingDiameter(c) <= width + 1e-6);
  if (mills.length === 0)
    return [
      warn(
        rule(
          "drawing.narrow",
        )`No cutter in the shop is as narrow as ${mm(width)}: the smallest would cut the ${what} too wide.`,
      ),
    ];
  const longest = Math.max(...mills.map((c) => c.fluteLength));
  return longest < depth
    ? [
        warn(
          rule(
            "drawing.deep",
          )`The ${what} is ${mm(depth)} deep; cutters narrow enough for it have flutes of ${mm(longest)}.`,
        ),
      ]
    : [];
}

/** An inside corner without a radius, or one that no owned cutter leaves at that depth. */
export function cornerReach(what: string, radius: Mm | null, depth: Mm, shop: Shop): Warning[] {
  if (radius === null)
    return [
      warn(
        rule(
          "drawing.corner",
        )`No milling cutter leaves a sharp inside corner: give the ${what} a radius, best a little over half the diameter of a cutter you own.`,
      ),
    ];
  const deep = slotting(shop).filter((c) => c.fluteLength >= depth);
  if (deep.some((c) => cuttingDiameter(c) <= 2 * radius + 1e-6)) return [];
  const next = Math.min(...deep.map((c) => cuttingDiameter(c) / 2));
  return [
    warn(
      rule(
        "drawing.smallCorner",
      )`No cutter in the shop leaves a corner of ${mm(radius)} and goes ${mm(depth)} down${Number.isFinite(next) ? say`; ${mm(next)} could be done` : say``}.`,
    ),
  ];
}
