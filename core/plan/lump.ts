import { axisNames, type Face, faceNames, facesOf, type Sizes } from "../frame/index.ts";
import { materialIn, noOwnValues, type OwnHandbook, skinOf } from "../handbook/index.ts";
import type { Job } from "../job/index.ts";
import { type Mm, mm, quantity } from "../quantity/index.ts";
import {
  allowanceAt,
  type Balance,
  balanceLump,
  conditionAt,
  facePoints,
  foundCores,
  moved,
  packingFor,
  scribedAt,
} from "../stock/index.ts";
import { line, say, words, type Working, type WorkingLine } from "../working/index.ts";
import type { Plan } from "./plan.ts";

/** Most a lump is tilted, rad: more is set up anew. */
const mostTilt = 0.05;

/** Where the part lies in its lump by the points probed, and what every face needs to clean up, mm. */
export interface Lump {
  /** Null where the points do not tell yet, or the part has no sizes. */
  found: Balance | null;
  need: Record<Face, Mm>;
}

/** The balance of a job's lump by its probed points. */
export function lumpOf(
  { stock, part }: Pick<Job, "stock" | "part">,
  finished: Sizes | null,
  own: OwnHandbook = noOwnValues,
): Lump {
  const material = part.material ? materialIn(own, part.material) : undefined;
  const need = Object.fromEntries(
    faceNames.map((face) => [
      face,
      part.faces[face].mayStayRaw ? 0 : skinOf(conditionAt(stock, face), material).skin,
    ]),
  ) as Lump["need"];
  const probed = facePoints(stock.points.order.map((id) => stock.points.byId[id]!));
  const found =
    finished &&
    balanceLump(probed, finished, {
      tilt: stock.tilts ? mostTilt : 0,
      need,
      locked: stock.locked,
      cores: foundCores(
        stock.cores.order.map((id) => stock.cores.byId[id]!),
        finished,
      ),
      evenWalls: stock.evenWalls,
    });
  return { found, need };
}

/** The working of what comes off a face, of scribed lines, or of what is packed under the rests; null without a balance. */
export function lumpWorking(
  key: string,
  at: "lump" | "scribed" | "packing" | "core",
  of: string,
  made: Pick<Plan, "target">,
  job: Job,
  own?: OwnHandbook,
): Working | null {
  const { target } = made;
  const { found, need } = lumpOf(job, target, own);
  if (!target || !found) return null;
  const worked = { key, limits: [] };
  if (at === "packing") {
    const { turn } = found.motion;
    return {
      ...worked,
      title: say`Working: packing under the three rests`,
      lines: [
        line("turned about the length", quantity("angle", (turn.length * 180) / Math.PI), { decimals: 3 }),
        line("turned about the width", quantity("angle", (turn.width * 180) / Math.PI), { decimals: 3 }),
        ...packingFor(found.motion, target).map(({ at: rest, under }, i): WorkingLine => ({
          ...line(
            say`rest ${String(i + 1)}, at ${mm(rest.length)} along and ${mm(rest.width)} across: rise over the lowest`,
            mm(under),
          ),
          terms: [],
        })),
      ],
      notes: [
        words(
          "Rise of a rest = turn about the length × its place across − turn about the width × its place along, turns in parts of a radian. The lowest rest gets nothing.",
        ),
      ],
    };
  }
  if (at === "scribed") {
    const axis = axisNames.find((a) => a === of);
    const lines = axis && scribedAt(axis, found, target);
    if (!axis || !lines) return null;
    return {
      ...worked,
      title: say`Working: lines over the ${facesOf(axis)[0]} face`,
      lines: [
        line("most that comes off the face it stands on: its lowest point lies on the plate", mm(lines.low)),
        line("first line over the plate", mm(lines.low), { sum: true }),
        line(`finished ${axis}`, mm(target[axis])),
        line("second line over the plate", mm(lines.high), { sum: true }),
      ],
      notes: [],
    };
  }
  if (at === "core") {
    const core = foundCores(Object.values(job.stock.cores.byId), target).find((c) => c.id === of);
    const lies = found.cores.find((c) => c.id === of);
    if (!core || !lies) return null;
    const now = moved(found.motion, core.at);
    return {
      ...worked,
      title: say`Working: the thinnest wall beside the core`,
      lines: [
        ...core.across.flatMap((axis, i) => [
          line(`middle along the ${axis}, as the part lies in the blank`, mm(now[axis])),
          line("as it is drawn", mm(core.drawn[i]!)),
        ]),
        line("half its diameter", mm(core.radius)),
        line(`from its edge to the ${lies.wall.face} face`, mm(lies.wall.thick), { sum: true }),
        line("as it is drawn", mm(lies.wall.drawn)),
      ],
      notes: [words("Halfway through the part: a tilt makes it thinner at one end, thicker at the other.")],
    };
  }
  const face = faceNames.find((f) => f === of);
  const off = face && found.faces[face];
  if (!face || !off) return null;
  const points = facePoints(job.stock.points.order.map((id) => job.stock.points.byId[id]!));
  return {
    ...worked,
    title: say`Working: what comes off the ${face} face`,
    lines: [
      ...points
        .filter((p) => p.face === face)
        .map((p, i) =>
          line(
            `point ${i + 1}, over the finished face as it lies now`,
            mm(allowanceAt(face, moved(found.motion, p.at), target)),
          ),
        ),
      line("least: at the worst point", mm(off.least), { sum: true }),
      line("needed to clean it up", mm(need[face]), { source: "skin by condition of the face (guess)" }),
      line("over that", mm(off.least - need[face])),
    ],
    notes: [
      words(
        "The part is moved and turned in the blank until the smallest of all allowances over their need is as large as it can be (linear program over every point).",
      ),
    ],
  };
}
