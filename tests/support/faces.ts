import type { Locating } from "../../core/locate/index.ts";
import type { Plan } from "../../core/plan/index.ts";
import {
  faceOf,
  type FaceOperation,
  type FaceSetup,
  faceSetupsOf,
  featureSetupsOf,
  keyOfSetup,
} from "../../core/route/index.ts";

/** Setups of faces, each with what it cuts in one object: a test asks for both at once. */
export const faceCuts = ({ setups }: Pick<Plan, "setups">): (FaceSetup & FaceOperation)[] =>
  faceSetupsOf(setups).map((setup) => ({ ...setup, ...faceOf(setup) }));

/** Where zero lies in the first setup of features. */
export function firstZeros({ setups, zeros }: Pick<Plan, "setups" | "zeros">): Locating {
  const setup = featureSetupsOf(setups)[0]!;
  return zeros[keyOfSetup(setup)]!;
}
