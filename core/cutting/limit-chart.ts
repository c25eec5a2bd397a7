import type { Mm, MmPerMin } from "../quantity/index.ts";
import { cuttingDiameter } from "../shop/index.ts";
import { type Phrase, words } from "../working/index.ts";
import type { Cut } from "./cut.ts";
import { engagementAt } from "./engagement.ts";
import { tableFeed } from "./feed.ts";
import { bendingAt, caps, forceAt, powerAt, type Setting } from "./limits.ts";

/** Feed that a limit allows at each depth: above its curve lies what it forbids. */
export interface LimitCurve {
  id: string;
  name: Phrase;
  /** mm and mm/min */
  points: [depth: Mm, feed: MmPerMin][];
}

export interface LimitChart {
  curves: LimitCurve[];
  /** The least of all curves at each depth: the feasible region lies below it and above `slowest`. */
  envelope: [depth: Mm, feed: MmPerMin][];
  /** Below this feed the chip leaves the range, mm/min. */
  slowest: MmPerMin;
  /** Depth beyond which no feed helps (cutter, holding), mm. */
  deepest: Mm;
  chosen: [depth: Mm, feed: MmPerMin];
  powerFeeds: MmPerMin[];
}

/** How much of a limit the chosen cut uses, 1 being all of it. */
export interface LimitShare {
  id: string;
  name: Phrase;
  share: number;
}

const pointsAcross = 40;

/** Limits that hang on the feed: they are curves, not an edge. */
const goWithFeed = new Set(["class", "power", "slip", "bending", "thin", "grip", "tipping", "rest"]);

/** The largest feed at which something that rises with the feed stays within a cap. */
function feedWithin(rises: (vf: MmPerMin) => number, cap: number, top: MmPerMin): MmPerMin {
  if (rises(top) <= cap) return top;
  let [low, high] = [0, top];
  for (let i = 0; i < 18; i++) {
    const middle = (low + high) / 2;
    if (rises(middle) <= cap) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * Limits against depth of cut: for each depth the feed that force, power, bending and the chip range allow, with the region
 * that all leave and the point chosen in it.
 */
export function limitChart(cut: Cut, setting: Setting, powerFeeds: MmPerMin[]): LimitChart {
  const { cutter } = setting;
  const n = cut.rpm;
  const cap = caps(setting);
  const power = Math.min(cap.power, cap.slip ?? Infinity) * cap.share;
  const fastest = tableFeed(cut.fzRange[1], cutter.teeth, n);
  const roof = Math.max(fastest, cut.vf) * 1.6;
  const stops = cut.limits.filter((l) => !goWithFeed.has(l.id));
  const least = Math.min(...stops.map((l) => l.allows.value));
  const right = Math.max(Math.min(least * 1.3, cuttingDiameter(cutter) * 2), cut.depth * 1.3, 0.2);
  const depths = Array.from({ length: pointsAcross }, (_, i) => (right * (i + 1)) / pointsAcross);
  const fzOf = (vf: MmPerMin) => vf / (cutter.teeth * n);
  const curve = (id: string, name: string, at: (depth: Mm) => MmPerMin): LimitCurve => ({
    id,
    name: words(name),
    points: depths.map((depth) => [depth, at(depth)]),
  });
  const curves = [
    curve("class", "force the machine can take", (depth) =>
      feedWithin((vf) => forceAt(setting, depth, fzOf(vf)).peak, cap.force, roof),
    ),
    curve("power", "spindle power", (depth) =>
      feedWithin((vf) => (vf > 0 ? powerAt(setting, depth, vf).power : 0), power, roof),
    ),
    curve("bending", "bending", (depth) =>
      feedWithin((vf) => bendingAt(setting, depth, fzOf(vf)), cap.bending, roof),
    ),
    curve("chip", "chip of the range", (depth) => Math.min(roof, fastest * thinningAt(setting, depth))),
  ];
  return {
    curves,
    envelope: depths
      .map((depth, i): [Mm, MmPerMin] => [depth, Math.min(...curves.map((c) => c.points[i]![1]))])
      .filter(([depth]) => depth <= least + 1e-9),
    slowest: tableFeed(cut.fzRange[0], cutter.teeth, n),
    deepest: least,
    chosen: [cut.depth, cut.vf],
    powerFeeds: powerFeeds.filter((f) => f <= roof),
  };
}

/** How far a feed may be raised at a depth so that the largest chip stays as at half the diameter; at most 2.5. */
function thinningAt(setting: Setting, depth: Mm): number {
  const { ae } = engagementAt(setting.task.kind, setting.cutter, setting.width, depth);
  const share = ae / cuttingDiameter(setting.cutter);
  if (setting.task.kind === "face" || share >= 0.5) return 1;
  return Math.min(2.5, 1 / (2 * Math.sqrt(share * (1 - share))));
}

/** Share of each limit the cut uses at its depth and feed. */
export function limitShares(cut: Cut, setting: Setting): LimitShare[] {
  const cap = caps(setting);
  const full = cap.share;
  const rest = cut.limits.filter((l) => !goWithFeed.has(l.id) && l.allows.value > 0);
  const shares: LimitShare[] = [
    { id: "power", name: words("spindle power"), share: cut.power / (cap.power * full) },
    { id: "class", name: words("force the machine can take"), share: cut.force.peak / cap.force },
    { id: "bending", name: words("bending"), share: cut.bending / cap.bending },
    ...rest.map((l) => ({ id: l.id, name: l.name, share: cut.depth / l.allows.value })),
  ];
  return shares.sort((a, b) => b.share - a.share);
}
