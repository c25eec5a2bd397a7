import { hardLimitBroken } from "../cutting/index.ts";
import { type Mm, mm } from "../quantity/index.ts";
import type { Setup } from "../route/index.ts";
import { done, type Outcome, refused, rule, say } from "../working/index.ts";

/** Whether an own depth of a pass can be taken at all: hard limits (power, cutter) are never exceeded (M21). */
export function cutWithOwnDepthAllowed(setup: Setup, depth: Mm): Outcome<Mm> {
  const broken = hardLimitBroken(setup.cut, depth);
  if (!broken) return done(depth);
  return refused(
    rule(
      "M21.hard",
    )`${mm(depth)} a pass is too much for the ${broken.name}: beyond ${mm(broken.hardAt!)} it cannot be done. ${mm(setup.cut.allowed)} would do.`,
    say`To lift it: ${broken.lifts}.`,
  );
}
