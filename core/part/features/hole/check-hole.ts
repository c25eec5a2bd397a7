import { axesAcross } from "../../../frame/index.ts";
import { inchClearances, metricClearances } from "../../../handbook/index.ts";
import { type Mm, mm, mmPerInch } from "../../../quantity/index.ts";
import { note, precise, rule, stop, type Warning, warn } from "../../../working/index.ts";
import { threadPercent } from "../../thread.ts";
import { middleOn } from "../base.ts";
import type { Bench } from "../rules.ts";
import { holeMiddles } from "./pattern.ts";
import { boreOf, headOf, threadOf } from "./screw.ts";
import type { Hole } from "./schema.ts";

/** Clearance holes of metric and inch screws, mm. */
const clearances = [
  ...metricClearances,
  ...inchClearances.map(({ thread, diameter, medium }) => ({
    thread: thread.startsWith("#") ? thread : `${thread} in`,
    diameter: diameter * mmPerInch,
    medium: medium * mmPerInch,
  })),
];

/** A thread longer than this many diameters holds no better (shop rule). */
const usefulThread = 2;
/** Shares of a full thread between which a tapping drill serves (shop rule). */
const percents = { least: 50, most: 85 };

/** M31, a tapped hole too near an edge, a drill much deeper than it is wide, a reamed hole without a fit. */
export function checkHole(feature: Hole, depth: Mm, { site }: Bench): Warning[] {
  const thread = threadOf(feature);
  const { form, sizes: own } = feature;
  const bore = boreOf(feature)!;
  const found: Warning[] = [];
  if (site.shaft && feature.pattern === "corners")
    found.push(stop(rule("drawing.corners")`A shaft has no corners: draw the holes one by one, or as rows.`));
  const screw =
    form === "drilled" && own.diameter && own.diameter.fit === null
      ? clearances.find((c) => Math.abs(c.diameter - own.diameter!.nominal) < 0.005)
      : undefined;
  if (screw)
    found.push(
      note(
        rule(
          "M31.clearance",
        )`A ${mm(screw.diameter)} hole will not clear an ${screw.thread} screw (${mm(screw.medium)} does). For a dowel, add a fit such as H7.`,
      ),
    );
  if (thread) {
    const percent = threadPercent(thread.diameter, thread.pitch, bore);
    if (!percent || percent.full < percents.least || percent.full > percents.most)
      found.push(
        warn(
          rule(
            "M31.tapDrill",
          )`A drill of ${precise(mm(bore), 2)} leaves ${percent ? `${Math.round(percent.full)} % of a full thread` : "no thread"} in ${thread.name}; the usual one is ${precise(mm(thread.drill), 2)}.`,
        ),
      );
    const tapped = own.threadDepth?.nominal ?? depth;
    if (tapped > usefulThread * thread.diameter + 1e-6)
      found.push(
        note(
          rule(
            "M31.threadDepth",
          )`A thread ${mm(tapped)} deep holds no better than one of ${mm(usefulThread * thread.diameter)}, and the tap breaks more easily. Tap it shallower, or counterdrill it from behind.`,
        ),
      );
    if (own.depth && own.threadDepth && own.depth.nominal - own.threadDepth.nominal < 3 * thread.pitch - 1e-6)
      found.push(
        warn(
          rule(
            "M31.tapRoom",
          )`Below a thread of ${mm(own.threadDepth.nominal)} the tap needs ${mm(3 * thread.pitch)} of room: drill at least ${mm(own.threadDepth.nominal + 3 * thread.pitch)} deep.`,
        ),
      );
    found.push(...nearEdge(feature, thread.name, thread.diameter, site));
  }
  if (form === "reamed" && own.diameter && own.diameter.upper === null)
    found.push(
      note(rule("drawing.reamed")`A reamed hole needs a fit: write its class after the size, such as H7.`),
    );
  const head = headOf(feature);
  if (head && head !== "unfinished" && head.diameter <= bore)
    found.push(
      warn(rule("drawing.head")`The head of ${mm(head.diameter)} is no wider than the hole of ${mm(bore)}.`),
    );
  if (depth > 10 * bore)
    found.push(
      note(
        rule(
          "drawing.deepHole",
        )`The hole is ${mm(depth)} deep, over ten times its diameter: it will wander. Drill it from both sides, or bore it.`,
      ),
    );
  return found;
}

/** Metal around a thread: less than its diameter from middle to edge bulges or breaks out. */
function nearEdge(feature: Hole, name: string, diameter: Mm, site: Bench["site"]): Warning[] {
  const at = middleOn(feature, site);
  const middles = at && holeMiddles(feature, at, site);
  if (!middles) return [];
  const [a, b] = axesAcross(feature.face);
  const least = Math.min(...middles.flatMap(([x, y]) => [x, site.sizes[a] - x, y, site.sizes[b] - y]));
  return least < diameter - 1e-6
    ? [
        warn(
          rule(
            "drawing.tappedEdge",
          )`The center of ${name} is ${mm(least)} from an edge; a thread needs at least its diameter, ${mm(diameter)}, or the edge bulges.`,
        ),
      ]
    : [];
}
