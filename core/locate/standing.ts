import { distanceTo, type Point } from "../recipes/index.ts";
import { axisOf, facesOf, type Sizes } from "../frame/index.ts";
import { inPrism, type Prism, type ShaftSection } from "../part/index.ts";
import { type Mm } from "../quantity/index.ts";
import type { SetupFrame } from "./setup-frame.ts";

/** The part as it stands when something is cut: its outside, and what features took out before; part coordinates, mm. */
export interface PartStanding {
  sizes: Sizes;
  shaft: readonly ShaftSection[] | null;
  gone: readonly Prism[];
}

/** A straight way of a cutter as the readout counts: what it went over down to its end is gone. */
export interface Swath {
  from: Point;
  to: Point;
  radius: Mm;
  z: Mm;
}

/** A place the readout shows as a place in the part; Z counts from the face or crown that is touched. */
function placeInPart(frame: SetupFrame, [x, y]: Point, z: Mm, top: Mm): Sizes {
  const up = axisOf(frame.up);
  const high = facesOf(up)[1] === frame.up;
  // One shape for all places: hundreds of thousands are asked about in a plan.
  const place = { length: 0, width: 0, height: 0 };
  place[frame.x.axis] = frame.x.zero + frame.x.sign * x;
  place[frame.y.axis] = frame.y.zero + frame.y.sign * y;
  place[up] = high ? top + z : -top - z;
  return place;
}

function inBody({ sizes, shaft }: PartStanding, at: Sizes): boolean {
  if (at.length <= 0 || at.length >= sizes.length) return false;
  if (!shaft) return at.width > 0 && at.width < sizes.width && at.height > 0 && at.height < sizes.height;
  const section = shaft.find((s) => at.length <= s.to) ?? shaft.at(-1);
  const off = Math.hypot(at.width - sizes.width / 2, at.height - sizes.height / 2);
  return section !== undefined && off < section.diameter / 2;
}

/** Whether two swaths can lie over each other: their boxes meet. */
function reaches(a: Swath, b: Swath): boolean {
  const apart = a.radius + b.radius;
  return meetAlong(a, b, 0, apart) && meetAlong(a, b, 1, apart);
}

const meetAlong = (a: Swath, b: Swath, i: 0 | 1, apart: Mm): boolean =>
  Math.min(a.from[i], a.to[i]) - apart <= Math.max(b.from[i], b.to[i]) &&
  Math.max(a.from[i], a.to[i]) + apart >= Math.min(b.from[i], b.to[i]);

/** Whether a place lies within what a cutter went over. */
const wentOver = ({ from, to, radius, z: end }: Swath, p: Point, z: Mm): boolean =>
  end <= z && distanceTo(p, from, to) < radius;

/** Answers whether metal stands at places of a setup, while its cutters go over it. */
export class Standing {
  readonly #part: PartStanding;
  readonly #frame: SetupFrame;
  /** Where the face or crown that Z counts from lies in the part, along the size that is up. */
  readonly #top: Mm;
  /** Where the far side of the part lies, as Z counts, mm. */
  readonly #bottom: Mm;
  #swaths: Swath[] = [];

  /** @param crown how far below the thickest section Z is touched, mm */
  constructor(part: PartStanding, frame: SetupFrame, crown: Mm, swaths: readonly Swath[] = []) {
    this.#part = part;
    this.#frame = frame;
    const up = axisOf(frame.up);
    const face = facesOf(up)[1] === frame.up ? part.sizes[up] : 0;
    this.#top = face - crown;
    this.#bottom = crown - part.sizes[up];
    this.#swaths = [...swaths];
  }

  get swaths(): readonly Swath[] {
    return this.#swaths;
  }

  cut(swath: Swath): void {
    this.#swaths.push(swath);
  }

  metalAt(p: Point, z: Mm, swaths: readonly Swath[] = this.#swaths): boolean {
    // What the cutters went over is asked first: it is the cheapest, and most of what is gone.
    if (swaths.some((s) => wentOver(s, p, z))) return false;
    const at = placeInPart(this.#frame, p, z, this.#top);
    return inBody(this.#part, at) && !this.#part.gone.some((prism) => inPrism(prism, at));
  }

  /** Whether a cutter that goes straight from one place to another at a depth meets metal anywhere on its way. */
  meets(swath: Swath): boolean {
    const { from, to, radius, z } = swath;
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const long = Math.hypot(dx, dy);
    const [ux, uy] = long < 1e-9 ? [1, 0] : [dx / long, dy / long];
    const r = Math.max(radius - shy, radius / 2);
    const stations = Math.max(1, Math.ceil(long / Math.min(Math.max(r / 2, 0.5), thinnestAlong)));
    // A cutter that goes out at the far side is asked about the last metal there.
    const end = Math.max(z, this.#bottom) + shy;
    const heights = [end, 0.85 * end, 0.5 * end];
    // Newest first: what was cut last lies nearest.
    const near = this.#swaths.filter((s) => reaches(s, swath)).reverse();
    // Between the first two, where it came down beside a wall, more of it may stand than at either.
    const shares = [0, ...nearStart.flatMap((at) => (at < long ? [at / long] : []))];
    for (let i = 1; i <= stations; i++) shares.push(i / stations);
    for (const share of shares) {
      const [cx, cy] = [from[0] + dx * share, from[1] + dy * share];
      const round = share === 0 || share === 1;
      for (const [along, across] of round ? disc : sectionOf(r)) {
        const p: Point = [cx + r * (along * ux - across * uy), cy + r * (along * uy + across * ux)];
        if (heights.some((h) => this.metalAt(p, h, near))) return true;
      }
    }
    return false;
  }
}

/** Places just past where a way begins that are asked about too, mm. */
const nearStart = [0.4, 1] as const;
/** So far inside its round and above its end a cutter is asked about, mm: what is less is no chip. */
const shy = 0.02;
/** A rib or web that stands is at least so thick, mm: places are asked about no further apart. */
const thinnest = 2;
/** Of what the ways beside leave along this one less may stand: a strip between two rounds, mm. */
const thinnestAlong = 1.2;
/** Points across a cutter, and over the whole of it where a way begins and ends; shares of its radius. */
const section: readonly Point[] = [-1, -0.75, -0.4, 0, 0.4, 0.75, 1].map((across) => [0, across]);
const sections = new Map<number, readonly Point[]>();
function sectionOf(radius: Mm): readonly Point[] {
  const count = Math.ceil((2 * radius) / thinnest);
  if (count < section.length) return section;
  let known = sections.get(count);
  if (!known)
    sections.set(
      count,
      (known = Array.from({ length: count + 1 }, (_, i): Point => [0, (2 * i) / count - 1])),
    );
  return known;
}
/** So many points round a place, of its own. */
export const ring = (radius: Mm, count: number): readonly Point[] =>
  Array.from({ length: count }, (_, i): Point => {
    const angle = (i / count) * 2 * Math.PI;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });
const disc: readonly Point[] = [[0, 0], ...ring(1, 48), ...ring(0.5, 8)];
