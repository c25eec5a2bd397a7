import { type Axis, axesAcross, axisNames, axisOf, facesOf } from "../../frame/index.ts";
import { type Dimension, type Limits, type Mm, mm } from "../../quantity/index.ts";
import type { Machine, Shop } from "../../shop/index.ts";
import { capital, rule, say, stop, type Warning, warn } from "../../working/index.ts";
import { placeable, provable } from "../provable.ts";
import { between, crossings, edgesGone, held, type Held, swallowed } from "./between.ts";
import { chainAlong } from "./chain.ts";
import { type Cutout, depthOf } from "./cutout.ts";
import { checkOf, cutoutOf, type Feature, rulesOf } from "./index.ts";
import { needsDimension } from "./locate.ts";
import type { Site } from "./site.ts";

export interface FeatureFinding extends Warning {
  feature: string;
}

/** What a feature is called: its kind and its number among those of its kind. */
export function featureNames(features: readonly Feature[]): Map<string, string> {
  const counts = new Map<string, number>();
  return new Map(
    features.map(({ id, kind }) => {
      const number = (counts.get(kind) ?? 0) + 1;
      counts.set(kind, number);
      return [id, `${rulesOf(kind).word} ${number}`];
    }),
  );
}

/** What features are checked against. */
export interface CheckedBy {
  site: Site;
  shop: Shop;
  /** Null while none is chosen. */
  machine: Machine | null;
  limitsOf: (dimension: Dimension) => Limits;
}

/** What is wrong with the features of a part, each with what to do; what is blocked is not planned. */
export function checkFeatures(features: readonly Feature[], checkedBy: CheckedBy): FeatureFinding[] {
  const { site, shop } = checkedBy;
  const names = featureNames(features);
  const before: Held[] = [];
  const form = site.shaft ? "shaft" : "block";
  const all = features.flatMap((feature) => {
    const cutout = cutoutOf(feature, site);
    return cutout ? [held(names.get(feature.id)!, feature, cutout)] : [];
  });
  return features.flatMap((feature): FeatureFinding[] => {
    const name = names.get(feature.id)!;
    const cutout = cutoutOf(feature, site);
    const told = (found: Warning[]) => found.map((f) => ({ ...f, feature: feature.id }));
    const { on } = rulesOf(feature.kind);
    if (on !== "both" && on !== form)
      return told([
        stop(
          rule(
            "drawing.wrongForm",
          )`A ${rulesOf(feature.kind).word} goes into a ${on}, this part is a ${form}. Remove it.`,
        ),
      ]);
    if (!cutout) return told([notWhole(feature, name, features, site)]);
    const outside = outsideOf(name, cutout, site);
    if (outside.length > 0) return told(outside);
    const mine = all.find((h) => h.feature === feature)!;
    const others = [...before];
    before.push(mine);
    // Of two that take out the same only the later has nothing left.
    const by = all.find(
      (other) =>
        other.print !== mine.print &&
        swallowed(mine, other) &&
        (others.includes(other) || !swallowed(other, mine)),
    );
    if (by)
      return told([
        stop(
          rule(
            "drawing.swallowed",
          )`Nothing is left to cut for ${name}: ${by.name} removes all of it. Move it, or remove it.`,
        ),
      ]);
    return told([
      ...others.flatMap((other) => between(mine, other)),
      ...others.flatMap((other) =>
        other.print === mine.print
          ? [
              stop(
                rule(
                  "drawing.twice",
                )`${capital(name)} and ${other.name} are the same, in the same place. Move one, or remove it.`,
              ),
            ]
          : crossings(mine, other),
      ),
      ...all.filter((other) => other !== mine).flatMap((other) => edgesGone(mine, other)),
      ...thinWalls(mine, site),
      ...checkOf(feature, cutout, { shop, site }),
      ...closeSizes(feature, name, checkedBy),
      ...chains(mine, features, checkedBy),
    ]);
  });
}

/** Why a feature takes nothing out yet. */
function notWhole(feature: Feature, name: string, features: readonly Feature[], site: Site): Warning {
  const rules = rulesOf(feature.kind);
  for (const which of rules.places(feature)) {
    const { from, of } = feature[which];
    if (from !== "feature") continue;
    const axis = axesAcross(feature.face)[which === "first" ? 0 : 1];
    if (!features.some((f) => f.id === of))
      return stop(
        rule(
          "drawing.datumGone",
        )`${capital(name)} is dimensioned from a feature that was removed. Choose where it is dimensioned from.`,
      );
    if (site.middleOf(of!, axis) === null)
      return stop(
        rule(
          "drawing.ring",
        )`${capital(name)} is dimensioned from a feature that has no place, or from itself in a ring. Dimension one of them from an edge.`,
      );
  }
  const impossible = rules.impossible?.(feature, site);
  return impossible
    ? stop(rule("drawing.impossible")`${capital(name)} is not possible: ${impossible}`)
    : stop(rule("drawing.unfinished")`${capital(name)} is incomplete: enter the missing sizes.`);
}

function outsideOf(name: string, { box }: Cutout, { sizes, shaft }: Site): Warning[] {
  return axisNames
    .filter((axis) => box[axis][0] < -1e-6 || box[axis][1] > sizes[axis] + 1e-6)
    .map((axis) =>
      stop(
        rule(
          "drawing.outside",
        )`${capital(name)} runs off the ${shaft ? "shaft" : "block"} along its ${axis}: it reaches from ${mm(box[axis][0])} to ${mm(box[axis][1])} of ${mm(sizes[axis])}.`,
      ),
    );
}

/** Walls left between a cutout and the sides of the part, and its floor. Round about a shaft its own rules speak. */
function thinWalls({ name, cutout, least, point }: Held, { sizes, shaft }: Site): Warning[] {
  const beside = axesAcross(cutout.face).flatMap((axis) => facesOf(axis));
  const below = facesOf(axisOf(cutout.face)).filter((f) => f !== cutout.face);
  return [...beside, ...below].flatMap((face) => {
    const axis = axisOf(face);
    if (cutout.opens.includes(face) || (shaft && axis !== "length")) return [];
    const drawn = face === facesOf(axis)[0] ? cutout.box[axis][0] : sizes[axis] - cutout.box[axis][1];
    const tip = axis === axisOf(cutout.face) ? drawn - point : drawn;
    if (tip <= 0 && drawn > 0) {
      const most = depthOf(cutout) + tip - least;
      return [
        warn(
          rule(
            "drawing.point",
          )`The point of the drill goes ${mm(point)} below ${name} and comes out ${mm(-tip)} through the ${face} face. Drill it through${most > 0 ? say`, or at most ${mm(most)} deep` : say``}.`,
        ),
      ];
    }
    // The point of a drill bores a spot, not a wall: what stands above it is told with it.
    const wall = drawn < least - 1e-9 ? tip : drawn;
    return wall < least - 1e-9
      ? [
          warn(
            rule(
              "drawing.wall",
            )`Only ${mm(wall)} is left between ${name} and the ${face} face; a wall under ${mm(least)} bends or breaks under the cutter. Move it, or make it smaller.`,
          ),
        ]
      : [];
  });
}

/** Sizes and places with limits of their own that the instruments cannot prove or the machine cannot place; limits that cannot be. */
function closeSizes(feature: Feature, name: string, { shop, machine, limitsOf }: CheckedBy): Warning[] {
  const rules = rulesOf(feature.kind);
  const own = (d: Dimension | null): d is Dimension => d !== null && d.upper !== null && d.lower !== null;
  const sizes = feature.sizes as Record<string, Dimension | null>;
  const entered = rules.fields(feature).flatMap(({ key, label, unit }) => {
    const dimension = unit === "length" ? (sizes[key] ?? null) : null;
    return own(dimension) ? [{ what: `${label.toLowerCase()} of ${name}`, dimension }] : [];
  });
  const placed = rules.places(feature).flatMap((which) => {
    const place = feature[which];
    return needsDimension(place) && own(place.at) ? [place.at] : [];
  });
  return [
    ...entered.flatMap(({ what, dimension }) => {
      const limits = limitsOf(dimension);
      return limits.upper < limits.lower || limits.lower <= 0
        ? [
            stop(
              rule(
                "drawing.limitsOf",
              )`Impossible limits for the ${what}: ${mm(limits.lower)} to ${mm(limits.upper)}.`,
            ),
          ]
        : provable(`the ${what}`, dimension.nominal, limits, shop, feature.matters === "critical").filter(
            (w) => w.severity !== "note",
          );
    }),
    ...placed.flatMap((at) => placeable(name, limitsOf(at), machine)),
  ];
}

/** A place counted over other features: where its limits together would break a wall that stands as drawn. */
function chains(
  { feature, name, cutout, least }: Held,
  features: readonly Feature[],
  { site, limitsOf }: CheckedBy,
): Warning[] {
  return axesAcross(feature.face).flatMap((axis: Axis): Warning[] => {
    const chain = chainAlong(feature, axis, features);
    if (chain.length < 2) return [];
    const off: Mm = chain.reduce((sum, d) => sum + (limitsOf(d).upper - limitsOf(d).lower) / 2, 0);
    const walls = facesOf(axis).flatMap((face, i) =>
      cutout.opens.includes(face)
        ? []
        : [i === 0 ? cutout.box[axis][0] : site.sizes[axis] - cutout.box[axis][1]],
    );
    const wall = Math.min(...walls);
    return wall >= least - 1e-9 && wall - off < least
      ? [
          warn(
            rule(
              "drawing.chain",
            )`${capital(name)} is dimensioned along the ${axis} through ${chain.length} sizes, which add up to ±${mm(off)}: its wall of ${mm(wall)} may come out at ${mm(wall - off)}. Dimension it from an edge, or tighten the limits.`,
          ),
        ]
      : [];
  });
}
