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
  splitSays,
} from "../stock/index.ts";
import { line, say, words, type Working } from "../working/index.ts";

/** Most a lump is tilted, rad: more is set up anew. */
const mostTilt = 0.05;

/** Where the part lies in its lump by the points probed, and what every face needs to clean up, mm. */
export interface Lump {
  /** Null where the points do not tell yet, or the part has no sizes. */
  found: Balance | null;
  need: Record<Face, Mm>;
}

const probedOn = ({ points }: Job["stock"]) => facePoints(points.order.map((id) => points.byId[id]!));

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
  const probed = probedOn(stock);
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

/** What a working of the lump is of: a face, the lines of a size, the packing, a core. */
export const lumpFigures = ["lump", "scribed", "packing", "core", "split"] as const;
export type LumpFigure = (typeof lumpFigures)[number];

/** A lump that is balanced, as its workings ask for it. */
interface Balanced {
  found: Balance;
  need: Lump["need"];
  target: Sizes;
  stock: Job["stock"];
}

type Titled = Pick<Working, "title" | "lines" | "notes">;

/** The working of what comes off a face, of scribed lines, of what is packed under the rests, of a wall; null without a balance. */
export function lumpWorking(
  { key, at, of }: { key: string; at: LumpFigure; of: string },
  target: Sizes | null,
  job: Job,
  own?: OwnHandbook,
): Working | null {
  const { found, need } = lumpOf(job, target, own);
  if (!target || !found) return null;
  const made = workings[at]({ found, need, target, stock: job.stock }, of);
  return made && { key, limits: [], ...made };
}

const workings: Record<LumpFigure, (lump: Balanced, of: string) => Titled | null> = {
  lump: offWorking,
  scribed: scribedWorking,
  packing: packingWorking,
  core: coreWorking,
  split: splitWorking,
};

function packingWorking({ found: { motion }, target }: Balanced): Titled {
  const degrees = (turn: number) => quantity("angle", (turn * 180) / Math.PI);
  return {
    title: say`Working: packing under the three rests`,
    lines: [
      line("turned about the length", degrees(motion.turn.length), { decimals: 3 }),
      line("turned about the width", degrees(motion.turn.width), { decimals: 3 }),
      ...packingFor(motion, target).map(({ at, under }, i) =>
        line(
          say`rest ${String(i + 1)}, at ${mm(at.length)} along and ${mm(at.width)} across: rise over the lowest`,
          mm(under),
        ),
      ),
    ],
    notes: [
      words(
        "Rise of a rest = turn about the length × its place across − turn about the width × its place along, turns in parts of a radian. The lowest rest gets nothing.",
      ),
    ],
  };
}

function scribedWorking({ found, target }: Balanced, of: string): Titled | null {
  const axis = axisNames.find((a) => a === of);
  const lines = axis && scribedAt(axis, found, target);
  if (!axis || !lines) return null;
  return {
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

function splitWorking({ found, target, stock }: Balanced, of: string): Titled | null {
  const says = splitSays(stock.split, found, target);
  const half = says?.halves.find((h) => h.face === of);
  if (!says || !half) return null;
  const low = half.face === facesOf(stock.split.axis)[0];
  return {
    title: say`Working: the half to the ${half.face}`,
    lines: [
      line("split line, as the part lies in the blank", mm(says.line)),
      line("as it is drawn", mm(stock.split.drawn!)),
      line("it lies too far up by", mm(says.off), { sum: true }),
      line("least that comes off its face, balanced by the faces", mm(found.faces[half.face]!.least)),
      line(low ? "plus what the line lies too far up" : "less what the line lies too far up", mm(says.off)),
      line("comes off by the line", mm(half.over), { sum: true }),
      line("this half, as it is drawn", mm(half.drawn)),
      line("as it came, where it is thinnest", mm(half.raw), { sum: true }),
    ],
    notes: [words("The line is taken in the middle of the part: a tilt puts its ends higher and lower.")],
  };
}

function coreWorking({ found, target, stock }: Balanced, of: string): Titled | null {
  const core = foundCores(Object.values(stock.cores.byId), target).find((c) => c.id === of);
  const lies = found.cores.find((c) => c.id === of);
  if (!core || !lies) return null;
  const now = moved(found.motion, core.at);
  return {
    title: say`Working: the thinnest wall beside the core`,
    lines: [
      ...core.across.flatMap((axis, i) => [
        line(`middle along the ${axis}, as the part lies in the blank`, mm(now[axis])),
        line("as it is drawn", mm(core.drawn[i]!)),
      ]),
      line("off where it is drawn: root of both squared", mm(lies.off)),
      line("half its diameter", mm(core.radius)),
      line(`from its edge to the ${lies.wall.face} face`, mm(lies.wall.thick), { sum: true }),
      line("as it is drawn", mm(lies.wall.drawn)),
    ],
    notes: [words("Halfway through the part: a tilt makes it thinner at one end, thicker at the other.")],
  };
}

function offWorking({ found, need, target, stock }: Balanced, of: string): Titled | null {
  const face = faceNames.find((f) => f === of);
  const off = face && found.faces[face];
  if (!face || !off) return null;
  return {
    title: say`Working: what comes off the ${face} face`,
    lines: [
      ...probedOn(stock)
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
