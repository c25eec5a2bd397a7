import { isCarbide } from "../handbook/index.ts";
import { type Mm, quantity } from "../quantity/index.ts";
import type { Cutter } from "../shop/index.ts";
import { rule, warn, type Warning } from "../working/index.ts";
import type { CutTask } from "./task.ts";

/** A groove is cut side by side at most this often: more is work for a wider cutter. */
const mostGrooveLanes = 2;

/** What speaks against a cutter without forbidding it (M19, rating, M38): how much, and what to say. */
export function doubts(
  task: CutTask,
  cutter: Cutter,
  fz: Mm,
  lanes: number,
): { against: number; warnings: Warning[] } {
  const warnings: Warning[] = [];
  let against = 0;
  const spare = cutter.condition === "expendable" || cutter.rating.scale === "good";
  if (task.hardSkin && !spare) {
    against += 1;
    warnings.push(
      warn(
        rule(
          "M19.skin",
        )`Scale or skin kills a good edge in one pass, ${isCarbide(cutter.material) ? "carbide chips on it" : "HSS goes blunt in it"}. Grind, file or pickle the skin off first, or use a cutter you can spare.`,
      ),
    );
  }
  if (task.interrupted && isCarbide(cutter.material) && cutter.condition !== "expendable") {
    against += 1;
    warnings.push(
      warn(
        rule(
          "M19.interrupted",
        )`Interrupted cut: a hard, sharp grade chips. Use HSS or a tough grade, at a lower speed.`,
      ),
    );
  }
  const needed = task.kind === "side" ? cutter.rating.wall : cutter.rating.floor;
  if (needed === "poor" && !task.hardSkin) against += 1;
  if (cutter.condition === "expendable" && !task.hardSkin) against += 1;
  if (cutter.kind === "roughing" && task.kind === "side") against += 1;
  if (task.kind === "groove" && lanes > mostGrooveLanes) against += 1;
  if (cutter.runOut !== null && cutter.teeth > 1 && cutter.runOut >= fz) {
    warnings.push(
      warn(
        rule(
          "M38.oneTooth",
        )`Run-out ${quantity("chip", cutter.runOut)} is as much as the feed per tooth (${quantity("chip", fz)}): one tooth does the work and leaves a ridge every turn. Clean and reseat it in its holder, or feed faster.`,
      ),
    );
  }
  return { against, warnings };
}
