import { type Axis, axisNames } from "../frame/index.ts";
import { effectivePart, type Job } from "../job/index.ts";
import type { Together } from "../holding/index.ts";
import { limitsOf } from "../part/index.ts";
import type { Limits } from "../quantity/index.ts";
import {
  isFaceSetup,
  keyOfSetup,
  moreInClamping,
  type Setup,
  type TwoHeld,
  twoInVise,
  twoOnOneAnother,
} from "../route/index.ts";
import type { Shop, Vise } from "../shop/index.ts";

/** Whether two pieces go into the vise at once in a setup, and how. */
export interface TwoAtOnce extends TwoHeld {
  clamping: number;
  /** The first operation of the setup. */
  key: ReturnType<typeof keyOfSetup>;
  how: Together;
  /** So it is planned. */
  chosen: boolean;
}

/** For each clamping whether two pieces go into the vise at once, and whether both are held. */
export function twoAtOnce(
  job: Job,
  setups: readonly Setup[],
  vise: Vise,
  { parallels }: Pick<Shop, "parallels">,
): TwoAtOnce[] {
  const part = effectivePart(job);
  const limits = Object.fromEntries(
    axisNames.map((axis) => {
      const size = part.sizes[axis];
      return [axis, size ? limitsOf(size, part) : { lower: 0, upper: Infinity }];
    }),
  ) as Record<Axis, Limits>;
  return setups.flatMap((setup, i): TwoAtOnce[] => {
    const { clamping } = setup;
    if (setups[i - 1]?.clamping === clamping) return [];
    const told = (how: Together, held: TwoHeld): TwoAtOnce => ({
      ...held,
      clamping,
      key: keyOfSetup(setup),
      how,
      chosen: setup.seat.together === how,
    });
    const alone = setups.filter((s) => s.clamping === clamping).length === 1;
    if (!isFaceSetup(setup)) return [told("stacked", twoOnOneAnother(setup))];
    return (["end to end", "between the jaws"] as const).map((how) =>
      told(how, alone ? twoInVise(how, setup, { limits, vise, parallels }) : moreInClamping),
    );
  });
}
