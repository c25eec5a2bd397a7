import { polygon, rectangle } from "../frame/index.ts";
import type { Mm } from "../quantity/index.ts";
import {
  type Cutter,
  type Holder,
  holderRadius,
  type Parallels,
  type Rod,
  type Round,
  type Shop,
  type ShopItem,
  type ShopList,
  toolOf,
  type Vise,
} from "../shop/index.ts";
import { cutterKindFacts } from "../handbook/index.ts";
import type { Figure, Ink, Shape } from "./figure.ts";

/** Space left round an outline, mm. */
const margin = 1;

const inks: Record<Round["what"], Ink> = {
  cutter: "remove",
  shank: "part",
  holder: "movingJaw",
  "spindle nose": "movingJaw",
};

/** The outline of something owned, to scale, lying with its end to the left; null for a list that has no such shape. */
export function outlineOf(list: ShopList, item: ShopItem, shop: Pick<Shop, "holders">): Figure | null {
  switch (list) {
    case "cutters":
      return cutterOutline(item as Cutter, shop);
    case "holders":
      return holderOutline(item as Holder);
    case "vises":
      return viseOutline(item as Vise);
    case "parallels":
      return parallelsOutline(item as Parallels);
    case "rods":
      return rodOutline(item as Rod);
    default:
      return null;
  }
}

/** A cutter as the literal machine knows it: its teeth, its shank, and the first of its holder. Discs are seen on their edge. */
function cutterOutline(cutter: Cutter, shop: Pick<Shop, "holders">): Figure {
  const disc = cutterKindFacts[cutter.kind].mount === "arbor";
  const { cutting, above } = toolOf(cutter, shop);
  const shown = [...cutting, ...above.filter((r) => !disc && r.what === "shank")];
  const long = Math.max(...shown.map((r) => r.high));
  const wide = 2 * Math.max(...shown.flatMap((r) => [r.radiusLow, r.radiusHigh]));
  const axis = margin + wide / 2;
  const shapes: Shape[] = shown.map((r) => ({
    kind: "path",
    outlines: [
      polygon([
        [margin + r.low, axis - r.radiusLow],
        [margin + r.high, axis - r.radiusHigh],
        [margin + r.high, axis + r.radiusHigh],
        [margin + r.low, axis + r.radiusLow],
      ]),
    ],
    ink: inks[r.what],
  }));
  return { title: `${cutter.name}, drawn to scale`, ...size(long, wide), shapes };
}

/** A holder from the spindle nose to where the cutter leaves it, with the bore it takes; an arbor with its collars. */
function holderOutline(holder: Holder): Figure {
  const wide =
    holder.kind === "arbor" ? (holder.collar ?? 2 * holderRadius.arbor) : 2 * holderRadius[holder.kind];
  const long = Math.max(holder.kind === "arbor" ? (holder.span ?? holder.reach) : holder.reach, 5);
  const axis = margin + wide / 2;
  const bore = (of: Mm, ink: Ink): Shape => ({
    kind: "path",
    outlines: [rectangle([margin, margin + long], [axis - of / 2, axis + of / 2])],
    ink,
  });
  return {
    title: `${holder.name}, drawn to scale`,
    ...size(long, wide),
    shapes: [
      {
        kind: "path",
        outlines: [rectangle([margin, margin + long], [margin, margin + wide])],
        ink: "movingJaw",
      },
      bore(Math.min(holder.to, wide - 2), "part"),
      ...(holder.from < holder.to - 1e-6 ? [bore(Math.min(holder.from, wide - 4), "hidden")] : []),
    ],
  };
}

/** A vise seen along its jaws, open. */
function viseOutline(vise: Vise): Figure {
  const { opening, jawDepth, jawThickness, bedHeight } = vise;
  const long = opening + 2 * jawThickness;
  const high = bedHeight + jawDepth;
  const box = (x: Mm, w: Mm, y: Mm, h: Mm, ink: Ink): Shape => ({
    kind: "rect",
    x: margin + x,
    y: margin + y,
    w,
    h,
    ink,
  });
  return {
    title: `${vise.name}, seen along its jaws, drawn to scale`,
    ...size(long, high),
    shapes: [
      box(0, long, jawDepth, bedHeight, "bed"),
      box(0, jawThickness, 0, jawDepth, "movingJaw"),
      box(jawThickness + opening, jawThickness, 0, jawDepth, "fixedJaw"),
    ],
  };
}

const parallelsOutline = ({ name, length, height }: Parallels): Figure => ({
  title: `${name}, seen from the side, drawn to scale`,
  ...size(length, height),
  shapes: [{ kind: "rect", x: margin, y: margin, w: length, h: height, ink: "parallel" }],
});

const rodOutline = ({ name, diameter }: Rod): Figure => ({
  title: `${name}, seen on its end, drawn to scale`,
  ...size(diameter, diameter),
  shapes: [
    { kind: "circle", x: margin + diameter / 2, y: margin + diameter / 2, r: diameter / 2, ink: "rod" },
  ],
});

const size = (long: Mm, high: Mm) => ({ width: long + 2 * margin, height: high + 2 * margin });
