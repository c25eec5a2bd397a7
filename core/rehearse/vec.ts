import type { Pose, Vec } from "./solid.ts";

export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const scaled = (a: Vec, by: number): Vec => [a[0] * by, a[1] * by, a[2] * by];
export const plus = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const unit = (a: Vec): Vec => scaled(a, 1 / Math.hypot(...a));

/** A direction turned by a pose. */
export const turned = ({ x, y, z }: Pose, v: Vec): Vec =>
  plus(plus(scaled(x, v[0]), scaled(y, v[1])), scaled(z, v[2]));

/** The pose that takes back what another did. */
export function inverse({ x, y, z, at }: Pose): Pose {
  const back: Pose = { x: [x[0], y[0], z[0]], y: [x[1], y[1], z[1]], z: [x[2], y[2], z[2]], at: [0, 0, 0] };
  return { ...back, at: scaled(turned(back, at), -1) };
}

export const moved = (pose: Pose, by: Vec): Pose => ({ ...pose, at: plus(pose.at, by) });

/** The pose in which part directions lie along X, Y and Z of the machine; all three square to each other. */
export const poseAlong = (alongX: Vec, alongY: Vec, alongZ: Vec): Pose => ({
  x: [alongX[0], alongY[0], alongZ[0]],
  y: [alongX[1], alongY[1], alongZ[1]],
  z: [alongX[2], alongY[2], alongZ[2]],
  at: [0, 0, 0],
});
