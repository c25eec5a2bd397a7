import { circle, oppositeSide, rectangle, type Side } from "../frame/index.ts";
import type { Stroke } from "../recipes/index.ts";
import { faceOf, type FaceOperation, type FaceSetup } from "../route/index.ts";
import type { Vise } from "../shop/index.ts";
import type { Figure } from "./figure.ts";
import { jointFromAbove } from "./joint.ts";
import { heldFromAbove, planView } from "./plan-view.ts";

/** What of a face comes off in a setup, seen from above: the lanes, or a skin along a wall; mm. */
function comesOff({ sweep, from, to }: FaceOperation): { x: [number, number]; y: [number, number] } {
  const { size, lanes, along } = sweep;
  // Thin as it is, it is drawn wide enough to be seen.
  const thick = Math.max(from - to, Math.max(size.x, size.y) * 0.015);
  const beside: Record<Side, { x: [number, number]; y: [number, number] }> = {
    left: { x: [0, thick], y: [0, size.y] },
    right: { x: [size.x - thick, size.x], y: [0, size.y] },
    front: { x: [0, size.x], y: [0, thick] },
    back: { x: [0, size.x], y: [size.y - thick, size.y] },
  };
  if (sweep.side) return beside[sweep.side];
  const across: [number, number] = [
    Math.min(...lanes.map((l) => l.covers[0])),
    Math.max(...lanes.map((l) => l.covers[1])),
  ];
  return along === "x" ? { x: [0, size.x], y: across } : { x: across, y: [0, size.y] };
}

/**
 * A face from above as it is cut: lanes with the way the cutter goes (M16), what holds the part, the cutter where it begins.
 * @param strokes of one pass; none where nothing is cut
 */
export function faceView(setup: FaceSetup, strokes: readonly Stroke[], vise: Pick<Vise, "fixedJaw">): Figure {
  const op = faceOf(setup);
  const { sweep, face } = op;
  const { size, cutter, along, lanes } = sweep;
  const fixedJaw = setup.seat.table ? "back" : vise.fixedJaw;
  const r = cutter.diameter / 2;
  const half = along === "x" ? { x: r, y: cutter.wide / 2 } : { x: cutter.wide / 2, y: r };
  const off = comesOff(op);
  const feeds = strokes.filter((s) => s.kind === "feed" && !s.spring);
  const ahead = (feeds[0]?.to[along] ?? 0) > (strokes[0]?.to[along] ?? 0);
  const travel: Side = along === "x" ? (ahead ? "right" : "left") : ahead ? "back" : "front";
  const cuts = sweep.side ? ` ${feeds.some((s) => s.cuts === "climb") ? "Climb" : "Conventional"}.` : "";
  const foot = [
    `Seen from above.${cuts}`,
    `Table to the ${oppositeSide[travel]}: the cutter goes to the ${travel}.`,
  ];
  return planView({
    part: { x: [0, size.x], y: [0, size.y] },
    held: heldFromAbove(setup, fixedJaw),
    inside: [{ outlines: [rectangle(off.x, off.y)], ink: "remove" }, ...jointFromAbove(setup.seat, size)],
    strokes,
    shown: (s) => !s.spring,
    at: strokes[0]?.number ?? null,
    cutter: (x, y) =>
      sweep.by === "arbor" ? rectangle([x - half.x, x + half.x], [y - half.y, y + half.y]) : circle(x, y, r),
    reach: half,
    zero: false,
    title: `Plan view of the ${face} face: ${feeds.length === 1 ? "one lane" : `${feeds.length} lanes`}. ${foot.join(" ")}`,
    foot,
    words:
      lanes.length > 1
        ? lanes.map(({ covers }, i) => {
            const middle = (covers[0] + covers[1]) / 2;
            return {
              at: along === "x" ? [size.x * 0.08, middle] : [middle, size.y * 0.08],
              text: String(i + 1),
            };
          })
        : [],
  });
}
