/** Grooves, dovetails, chamfers and sines. Lengths in one unit, angles in degrees; null for what cannot be. */

const positive = (...values: number[]) => values.every((v) => Number.isFinite(v) && v > 0);
const half = (angle: number) => (angle * Math.PI) / 360;
const rad = (angle: number) => (angle * Math.PI) / 180;
const included = (angle: number) => positive(angle) && angle < 180;
const acute = (angle: number) => positive(angle) && angle < 90;

/** A V of a width at the surface and an included angle: depth of its sharp bottom, length of a wall. */
export function vGroove(width: number, angle: number): { depth: number; wall: number } | null {
  return positive(width) && included(angle)
    ? { depth: width / 2 / Math.tan(half(angle)), wall: width / 2 / Math.sin(half(angle)) }
    : null;
}

/** Width at the surface of a V of a depth to its sharp bottom. */
export const vWidth = (depth: number, angle: number): number | null =>
  positive(depth) && included(angle) ? 2 * depth * Math.tan(half(angle)) : null;

/** A pin in a V: how far it stands over the surface, how deep it touches the walls, and whether it does. */
export function pinInV(
  width: number,
  angle: number,
  pin: number,
): { over: number; contactDepth: number; touches: boolean } | null {
  const v = vGroove(width, angle);
  if (!v || !positive(pin)) return null;
  const centerOverBottom = pin / 2 / Math.sin(half(angle));
  const contactOverBottom = centerOverBottom - (pin / 2) * Math.sin(half(angle));
  const contactDepth = v.depth - contactOverBottom;
  return {
    over: centerOverBottom + pin / 2 - v.depth,
    contactDepth,
    touches: contactDepth >= 0,
  };
}

/** Width of a V from what a pin stands over the surface. */
export function vWidthFromPin(over: number, angle: number, pin: number): number | null {
  if (!included(angle) || !positive(pin)) return null;
  const depth = (pin / 2) * (1 + 1 / Math.sin(half(angle))) - over;
  return depth > 0 ? 2 * depth * Math.tan(half(angle)) : null;
}

/** A shaft of another diameter in a V-block: how much its center and its top rise. */
export function vBlockRise(from: number, to: number, angle: number): { center: number; top: number } | null {
  if (!positive(from, to) || !included(angle)) return null;
  const center = (to - from) / 2 / Math.sin(half(angle));
  return { center, top: center + (to - from) / 2 };
}

/** Packing under a sine bar for an angle. */
export const sineHeight = (bar: number, angle: number): number | null =>
  positive(bar) && angle >= 0 && angle <= 90 ? bar * Math.sin(rad(angle)) : null;

/** Angle of a sine bar on packing, degrees. */
export const sineAngle = (bar: number, height: number): number | null =>
  positive(bar) && height >= 0 && height <= bar ? (Math.asin(height / bar) * 180) / Math.PI : null;

/** Between two pins in a female dovetail: A − d (1 + cot(a/2)), A its wide width at the sharp corners. */
export function betweenPins(wide: number, angle: number, pin: number): number | null {
  if (!positive(wide, pin) || !acute(angle)) return null;
  const between = wide - pin * (1 + 1 / Math.tan(half(angle)));
  return between > 0 ? between : null;
}

/** Over two pins on a male dovetail: B + d (1 + cot(a/2)), B its narrow width at the sharp corners. */
export const overPins = (narrow: number, angle: number, pin: number): number | null =>
  positive(narrow, pin) && acute(angle) ? narrow + pin * (1 + 1 / Math.tan(half(angle))) : null;

/** Narrow width of a dovetail from its wide one. */
export function narrowWidth(wide: number, depth: number, angle: number): number | null {
  if (!positive(wide, depth) || !acute(angle)) return null;
  const narrow = wide - (2 * depth) / Math.tan(rad(angle));
  return narrow > 0 ? narrow : null;
}

/** A chamfer from one leg and its angle to that leg's face: the other leg and the width of the face. */
export const chamfer = (leg: number, angle: number): { other: number; face: number } | null =>
  positive(leg) && acute(angle)
    ? { other: leg * Math.tan(rad(angle)), face: leg / Math.cos(rad(angle)) }
    : null;

/**
 * Leg that a 90° cutter leaves on an edge.
 * @param flat diameter of its tip, `outside` its axis from the wall, `depth` its tip below the top
 */
export function chamferByCutter(flat: number, outside: number, depth: number): number | null {
  if (flat < 0 || !positive(depth)) return null;
  const leg = flat / 2 + depth - outside;
  return leg > 0 ? leg : null;
}

/** Depth of a countersink of a diameter over a hole. */
export const countersinkDepth = (diameter: number, hole: number, angle: number): number | null =>
  positive(diameter) && hole >= 0 && hole < diameter && included(angle)
    ? (diameter - hole) / 2 / Math.tan(half(angle))
    : null;
