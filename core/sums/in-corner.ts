import { inCornerDrawing } from "../figure/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, note, refused, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

const degrees = (radians: number) => (radians * 180) / Math.PI;

/** How much of the cutter cuts along a wall and in an inside corner, and the feed there. */
export const inCornerSum: Sum = {
  id: "in-corner",
  title: "Feed in a corner",
  what: "Over what angle an end mill cuts along a straight wall and in an inside corner, and how much slower it is fed there.",
  fields: [
    number("cutter", "End mill", "length", { mm: "10", in: "3/8" }),
    number("ae", "It takes off the wall", "length", { mm: "1", in: "0.04" }),
    number("corner", "Radius of the corner", "length", { mm: "6", in: "1/4" }),
    number("feed", "Feed along the wall", "feed", { mm: "150", in: "6" }),
  ],
  work: ({ n }) => {
    const r = n("cutter") / 2;
    const [ae, corner] = [n("ae"), n("corner")];
    if (!(r > 0) || !(ae > 0) || ae > 2 * r)
      return refused(words("It takes off no more than its diameter."), words("Take less."));
    if (corner < r - 1e-9)
      return refused(
        words("The corner is smaller than the end mill: it cannot be cut to that radius with it."),
        words("Take a smaller end mill there."),
      );
    const straight = Math.acos(1 - ae / r);
    // The center runs on a circle; the cut before left one that is smaller by what is taken off.
    const path = corner - r;
    const before = Math.max(0, corner - ae);
    const cosine = path < 1e-6 ? -1 : (before ** 2 - path ** 2 - r ** 2) / (2 * path * r);
    const inside = Math.acos(Math.min(1, Math.max(-1, cosine)));
    const feed = n("feed") * Math.min(1, straight / inside);
    // By hand the handle moves the center, which has less way to go than the edge.
    return done({
      drawing: inCornerDrawing(corner, n("cutter"), ae),
      figures: [
        { label: "feed in the corner", value: quantity("feed", feed) },
        { label: "it cuts over, along the wall", value: quantity("angle", degrees(straight)), decimals: 1 },
        { label: "in the corner", value: quantity("angle", degrees(inside)), decimals: 1 },
      ],
      working: {
        lines: [
          line("radius of the end mill", mm(r)),
          line(
            "angle along the wall: arc cosine of 1 − off the wall ÷ radius",
            quantity("angle", degrees(straight)),
            { decimals: 1 },
          ),
          line("the center runs on a radius of", mm(path), { decimals: 3 }),
          line("the corner before this cut", mm(before), { decimals: 3 }),
          line("angle in the corner, where the two circles meet", quantity("angle", degrees(inside)), {
            decimals: 1,
          }),
          line("feed × straight ÷ corner", quantity("feed", feed), { sum: true }),
        ],
        notes: [
          words("The chip stays as thick and the force as large when the feed falls as the angle grows."),
        ],
      },
      warnings:
        path < 1e-6
          ? [
              warn(
                words(
                  "The corner is as the end mill: it wraps half round and chatters. A smaller end mill, or a larger corner, cuts it clean.",
                ),
              ),
            ]
          : inside > 1.5 * straight
            ? [note(words("Slow down before the corner, not in it; a step less off the wall helps more."))]
            : [],
    });
  },
};
