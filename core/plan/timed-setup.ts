import { type Locating, setupMoves } from "../locate/index.ts";
import { strokeMinutes } from "../recipes/index.ts";
import { type FeatureOperation, type FeatureSetup, handFeed } from "../route/index.ts";

/** The last answer for a setup: what it was made of does not change, and those who draw it know it by itself. */
const known = new WeakMap<FeatureSetup, FeatureSetup>();

/** A setup with the minutes of the moves that are really told: what earlier cuts took away is not cut again. */
export function timedSetup(setup: FeatureSetup, locating: Locating): FeatureSetup {
  const last = known.get(setup);
  if (last) return last;
  const moves = setupMoves(setup, locating);
  const timedOne = (o: FeatureOperation): FeatureOperation =>
    o.by === "hand"
      ? o
      : {
          ...o,
          minutes: {
            ...o.minutes,
            cutting: strokeMinutes(moves.get(o.key) ?? [], o.set?.vf ?? handFeed, o.top),
          },
        };
  const [first, ...others] = setup.operations;
  const operations = [timedOne(first), ...others.map(timedOne)] as const;
  const timed = {
    ...setup,
    operations,
    minutes: { ...setup.minutes, cutting: operations.reduce((sum, o) => sum + o.minutes.cutting, 0) },
  };
  known.set(setup, timed);
  return timed;
}
