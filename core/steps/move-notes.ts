import { mm, quantity, tidy } from "../quantity/index.ts";
import { type Stroke, widestLane } from "../recipes/index.ts";
import type { FeatureOperation } from "../route/index.ts";
import { note, rule, type Warning, warn, words } from "../working/index.ts";
import type { WalkPlace } from "./spindle-ticks.ts";

/** What is said of a move besides where it ends. */
export function moveNotes(
  move: Stroke,
  op: FeatureOperation,
  { workHardens }: WalkPlace["material"],
): Warning[] {
  if (move.kind === "go") return [note(words("Spindle up clear first. Lock the table when you are there."))];
  if (move.kind === "down" && op.by === "hole" && op.set === null)
    return [
      warn(
        rule(
          "M31.byHand",
        )`Spindle in neutral, turned by hand at the drawbar or chuck. Three turns to start it square, then half a turn back for every turn; oil it. Mark the depth on the tap. If it goes stiff, back out and clear the chips; finish with a tap wrench where the spindle no longer reaches.`,
      ),
    ];
  if (move.kind === "down" && op.opensFrom !== null)
    return [
      note(
        words(
          "Feed it evenly to the end, X and Y untouched. Stop the spindle before you come up: the tip scores the wall.",
        ),
      ),
    ];
  if (move.kind === "down" && op.by === "hole")
    return [
      workHardens
        ? warn(
            rule(
              "M22.dwell",
            )`Feed firmly and never let it stand in the hole: this material hardens where it is rubbed. Back all the way out to clear the chips, and straight in again.`,
          )
        : note(words("Back out every so often to clear the chips; ease off where it breaks through.")),
    ];
  if (move.kind === "down" && move.cuts === "down")
    return [
      warn(
        move.vf === null
          ? rule("M20.into")`Into solid metal: slowly, out again to clear chips.`
          : rule(
              "M20.into",
            )`Into solid metal: ${quantity("feed", move.vf)} straight down, out again to clear chips.`,
      ),
    ];
  if (move.kind === "feed" && move.notPast)
    return [
      ...packedChips(move, op),
      ...cornerFeed(move, op),
      note(
        rule(
          "M27.stop",
        )`Stop with the axis there, not with the edge of the cutter: its edge is ${mm(tidy(op.diameter / 2))} ahead.`,
      ),
    ];
  return move.kind === "feed" ? packedChips(move, op) : [];
}

/** In a slot deeper than it is wide chips do not come out by themselves. */
function packedChips(move: Stroke, op: FeatureOperation): Warning[] {
  const deep = move.cuts === "full" && op.floor - op.top > op.diameter && move.level === move.levels;
  return deep
    ? [
        warn(
          rule(
            "M20.chips",
          )`The slot is deeper than it is wide: chips pack in it and break the cutter. Stop, draw back and brush or draw them out before every level.`,
        ),
      ]
    : [];
}

/**
 * In the corner of a ring the tooth stays in the metal for up to a quarter turn more: the feed there falls in proportion
 * (domain.md 6: engagement arccos(1 − 2 ae / D), and 90° more).
 */
function cornerFeed(move: Stroke, op: FeatureOperation): Warning[] {
  const ring = op.sweep.kind === "clear" || op.sweep.kind === "walls";
  if (!ring || move.cuts !== "conventional" || !op.set || !op.cut) return [];
  const ae = move.takes ?? widestLane * op.diameter;
  const angle = (Math.acos(1 - (2 * Math.min(ae, op.diameter)) / op.diameter) * 180) / Math.PI;
  return [
    note(
      rule(
        "corner.feed",
      )`Into the corner ease the feed to ${quantity("feed", ((move.vf ?? op.set.vf) * angle) / (angle + 90))} for the last ${mm(tidy(op.diameter / 2))}: the cutter is in metal for a quarter turn more there.`,
    ),
  ];
}
