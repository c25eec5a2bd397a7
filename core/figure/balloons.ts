import { axisOf } from "../frame/index.ts";
import type { Site } from "../part/index.ts";
import type { View } from "./view.ts";
import type { DrawnCutout } from "./drawn-cutouts.ts";
import type { Shape } from "./figure.ts";

/** A numbered balloon beside each feature in the view of its face, where it covers none before it; the schedule says what it is. */
export function balloonsOf(
  cutouts: readonly DrawnCutout[],
  views: readonly View[],
  site: Site,
  text: number,
): Shape[] {
  const r = text * 0.72;
  const put: { x: number; y: number }[] = [];
  return cutouts.flatMap(({ cutout, number, id }): Shape[] => {
    const view = views.find((v) => axisOf(v.face) === axisOf(cutout.face));
    if (!view) return [];
    const [across, up] = [cutout.box[view.across], cutout.box[view.up]];
    // Beside it at its top right; within it where the part ends there.
    const room = site.sizes[view.across] - across[1] > 2.6 * r;
    const x = view.x(across[1]) + (room ? 1.25 * r : -1.4 * r);
    let y = view.y(up[1]) + 1.3 * r;
    while (put.some((p) => Math.hypot(p.x - x, p.y - y) < 2.1 * r)) y += 2.2 * r;
    put.push({ x, y });
    return [
      { kind: "circle", x, y, r, ink: "balloon", of: id },
      {
        kind: "text",
        x,
        y: y + text * 0.28,
        text: String(number),
        size: text * 0.8,
        anchor: "middle",
        ink: "accent",
        of: id,
      },
    ];
  });
}
