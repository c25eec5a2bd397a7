import { type Machine, quillOf } from "../shop/index.ts";
import { type Phrase, rule, say } from "../working/index.ts";
import type { MakeTick, Tick } from "./tick.ts";

type AxisName = "x" | "y" | "z";

/** What holds an axis still, as it is called at the machine. */
const lockOf = (axis: AxisName, { depthBy }: Pick<Machine, "depthBy">): string =>
  axis === "z" ? depthBy : axis.toUpperCase();

type Locking = Pick<Machine, "depthBy" | "quillTravel" | "quillDivision">;

/** What is locked while one axis feeds: the others, and the quill where there is one, so that the cut cannot pull or drop them (M27). */
function lockedWords(fed: AxisName, machine: Locking): Phrase {
  const [first, second] = (["x", "y", "z"] as const)
    .filter((axis) => axis !== fed)
    .map((axis) => lockOf(axis, machine));
  return quillOf(machine) ? say`${first!}, ${second!} and quill` : say`${first!} and ${second!}`;
}

/** Before the quill goes down: what it goes down from must stay where it was touched (M26). */
export const quillTick = (number: number, { depthBy }: Locking, tick: MakeTick): Tick =>
  tick(`locked-${number}`, rule("M26.lock")`X, Y and ${depthBy} locked, the quill free, its stop set`);

/**
 * Set, then locked, before the feed is let in: asked at every new depth, since the lock came off to set it.
 * @param number of the pass or move it stands before
 */
export function lockTick(
  { number, fed, machine }: { number: number; fed: AxisName; machine: Locking },
  tick: MakeTick,
): Tick {
  const drops = machine.depthBy === "head" && fed !== "z" ? say`. A loose head drops` : say``;
  return tick(
    `locked-${number}`,
    rule("M27.lock")`Set there, then ${lockedWords(fed, machine)} locked${drops}`,
  );
}
