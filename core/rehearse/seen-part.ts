import { type Part, siteOfPart } from "../part/index.ts";
import type { SolidKit, Vec } from "./solid.ts";
import { drawnSolid } from "./truth.ts";

/** How much light a surface has: from above, from the front, from the side; and the edges between them. */
export type Shade = "top" | "front" | "side" | "edge";

/** A part seen from above its front right corner, as paths to be drawn in this order, each over those before. */
export interface SeenPart {
  width: number;
  height: number;
  paths: { shade: Shade; d: string }[];
}

/** The part is turned so far about the upright, and looked at from so far above, radians. */
const turned = (-35 * Math.PI) / 180;
const above = (28 * Math.PI) / 180;
/** Two surfaces that meet at less than this are one: the facets of a round. */
const oneSurface = Math.cos((26 * Math.PI) / 180);
/** Rounds are followed to this share of the smallest size; no facet is longer than this share of the largest, mm per mm. */
const within = 1 / 400;
const longest = 1 / 5;
/** Every facet is held against every other: more of them take seconds, for a picture as large as a thumb. */
const mostFacets = 6000;
/** An edge is looked at in so many pieces, each seen or hidden. */
const pieces = 4;
/** Width of the picture, in the units of its paths. */
const wide = 800;

const [ct, st, ca, sa] = [Math.cos(turned), Math.sin(turned), Math.cos(above), Math.sin(above)];

/** Right and up as seen, and how far away. */
const seen = ([x, y, z]: Vec): Vec => {
  const back = x * st + y * ct;
  return [x * ct - y * st, z * ca + back * sa, back * ca - z * sa];
};

interface Facet {
  corners: readonly [Vec, Vec, Vec];
  /** The same as they are seen: right, up, away. */
  seen: readonly [Vec, Vec, Vec];
  /** Square to it, as it is seen: toward who looks, where its last part is below nothing. */
  normal: Vec;
  shade: Shade;
  /** Which of its sides are edges of the part. */
  edges: [boolean, boolean, boolean];
}

/** The finished part as drawn, small, for who looks for it on the bench. Null while its drawing is not whole. */
export function seenPart(part: Part, kit: SolidKit): SeenPart | null {
  const site = siteOfPart(part);
  if (!site) return null;
  const sizes = Object.values(site.sizes);
  return kit.scope(() =>
    pictureOf(
      drawnSolid(part, site, new Set(), kit).triangles(
        Math.min(...sizes) * within,
        Math.max(...sizes) * longest,
      ),
    ),
  );
}

/**
 * Facets that are hidden are left out, those hidden in part are drawn first, far ones before near ones; over them those that are
 * seen whole, all of one shade as one path; over all the pieces of edges that are seen.
 */
function pictureOf(triangles: readonly (readonly [Vec, Vec, Vec])[]): SeenPart | null {
  const facing = withEdges(triangles.map((corners) => facetOf(corners))).filter((f) => f.normal[2] < -1e-9);
  const places = facing.flatMap((f) => f.seen);
  if (places.length === 0 || facing.length > mostFacets) return null;
  const [left, right] = [Math.min(...places.map((p) => p[0])), Math.max(...places.map((p) => p[0]))];
  const [low, high] = [Math.min(...places.map((p) => p[1])), Math.max(...places.map((p) => p[1]))];
  const scale = wide / (right - left);
  const at = ([u, v]: Vec) => `${Math.round((u - left) * scale)} ${Math.round((high - v) * scale)}`;
  const skin = (right - left) * 1e-3;
  const isSeen = (p: Vec) => !facing.some((f) => covers(f.seen, p, skin));
  const outlineOf = ({ seen: [a, b, c] }: Facet) => `M${at(a)}L${at(b)}L${at(c)}Z`;

  const paths: SeenPart["paths"] = [];
  const put = (shade: Shade, d: string) => {
    const last = paths.at(-1);
    if (last?.shade === shade) last.d += d;
    else if (d) paths.push({ shade, d });
  };
  const whole = new Set<Facet>();
  const partly: Facet[] = [];
  for (const facet of facing) {
    const middle = between(between(facet.seen[0], facet.seen[1], 0.5), facet.seen[2], 1 / 3);
    const looked = [middle, ...facet.seen.map((corner) => between(corner, middle, 0.06))].map(isSeen);
    if (looked.every(Boolean)) whole.add(facet);
    else if (looked.some(Boolean)) partly.push(facet);
  }
  const away = ({ seen }: Facet) => seen[0][2] + seen[1][2] + seen[2][2];
  for (const facet of partly.sort((a, b) => away(b) - away(a))) put(facet.shade, outlineOf(facet));
  for (const shade of ["top", "front", "side"] as const)
    put(
      shade,
      [...whole]
        .filter((f) => f.shade === shade)
        .map(outlineOf)
        .join(""),
    );
  let edges = "";
  for (const { seen, edges: isEdge } of facing)
    for (const i of [0, 1, 2] as const) {
      if (!isEdge[i]) continue;
      const [from, to] = [seen[i], seen[((i + 1) % 3) as 0 | 1 | 2]];
      for (let n = 0; n < pieces; n++)
        if (isSeen(between(from, to, (n + 0.5) / pieces)))
          edges += `M${at(between(from, to, n / pieces))}L${at(between(from, to, (n + 1) / pieces))}`;
    }
  put("edge", edges);
  return { width: wide, height: (high - low) * scale, paths };
}

/** Whether a facet lies over a place, nearer by more than its own skin; places and facet as they are seen. */
function covers([a, b, c]: Facet["seen"], [u, v, away]: Vec, skin: number): boolean {
  // Most lie quite elsewhere.
  if ((a[0] < u && b[0] < u && c[0] < u) || (a[0] > u && b[0] > u && c[0] > u)) return false;
  if ((a[1] < v && b[1] < v && c[1] < v) || (a[1] > v && b[1] > v && c[1] > v)) return false;
  const area = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
  if (Math.abs(area) < 1e-9) return false;
  const s = ((u - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (v - a[1])) / area;
  const t = ((b[0] - a[0]) * (v - a[1]) - (u - a[0]) * (b[1] - a[1])) / area;
  if (s < 0 || t < 0 || s + t > 1) return false;
  return a[2] + s * (b[2] - a[2]) + t * (c[2] - a[2]) < away - skin;
}

const between = (a: Vec, b: Vec, share: number): Vec => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
];

function facetOf(corners: readonly [Vec, Vec, Vec]): Facet {
  const [a, b, c] = corners;
  const [u, v] = [minus(b, a), minus(c, a)];
  const cross: Vec = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
  const long = Math.hypot(...cross) || 1;
  const normal: Vec = [cross[0] / long, cross[1] / long, cross[2] / long];
  return {
    corners,
    seen: [seen(a), seen(b), seen(c)],
    normal: seen(normal),
    shade: shadeOf(normal),
    edges: [false, false, false],
  };
}

/** Marks the sides at which another surface begins. */
function withEdges(facets: Facet[]): Facet[] {
  const name = (p: Vec) => p.map((x) => x.toFixed(4)).join(" ");
  const sides = new Map<string, [Facet, number][]>();
  for (const facet of facets)
    for (const i of [0, 1, 2]) {
      const ends = [name(facet.corners[i]!), name(facet.corners[(i + 1) % 3]!)].sort().join("|");
      sides.set(ends, [...(sides.get(ends) ?? []), [facet, i]]);
    }
  for (const [first, second] of sides.values()) {
    if (!first || !second) continue;
    const [m, n] = [first[0].normal, second[0].normal];
    const outline = m[2] < 0 !== n[2] < 0;
    if (!outline && m[0] * n[0] + m[1] * n[1] + m[2] * n[2] > oneSurface) continue;
    for (const [facet, i] of [first, second]) facet.edges[i as 0 | 1 | 2] = true;
  }
  return facets;
}

const shadeOf = ([x, , z]: Vec): Shade => (z > 0.6 ? "top" : x > 0.6 ? "side" : "front");
const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
