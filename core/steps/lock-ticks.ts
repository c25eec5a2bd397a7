import type { Machine } from "../shop/index.ts";
import { type Phrase, rule, say } from "../working/index.ts";
import type { MakeTick, Tick } from "./tick.ts";

type AxisName = "x" | "y" | "z";

/** What holds an axis still, as it is called at the machine. */
const lockOf = (axis: AxisName, { depthBy }: Pick<Machine, "depthBy">): string =>
  axis === "z" ? depthBy : axis.toUpperCase();

/** What is locked while one axis feeds: the others, so that the cut cannot pull or drop them (M27). */
export function lockedWords(fed: AxisName, machine: Pick<Machine, "depthBy">): Phrase {
  const [first, second] = (["x", "y", "z"] as const)
    .filter((axis) => axis !== fed)
    .map((axis) => lockOf(axis, machine));
  return say`${first!} and ${second!}`;
}

/**
 * Set, then locked, before the feed is let in: asked at every new depth, since the lock came off to set it.
 * @param number of the pass or move it stands before
 */
export function lockTick(
  { number, fed, machine }: { number: number; fed: AxisName; machine: Pick<Machine, "depthBy"> },
  tick: MakeTick,
): Tick {
  const drops = machine.depthBy === "head" && fed !== "z" ? say`. A loose head drops` : say``;
  return tick(
    `locked-${number}`,
    rule("M27.lock")`Set there, then ${lockedWords(fed, machine)} locked${drops}`,
  );
}
