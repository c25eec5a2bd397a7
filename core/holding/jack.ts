import { type Mm, mm } from "../quantity/index.ts";
import type { Aid, Vise } from "../shop/index.ts";
import { done, type Outcome, refused, say, words } from "../working/index.ts";
import type { Seat } from "./seat.ts";

/** Height from the table to the underside of an end that hangs out past the jaws, mm. */
export const underEnd = (seat: Seat, vise: Pick<Vise, "bedHeight">): Mm =>
  vise.bedHeight + (seat.parallels?.height ?? 0);

/** An owned jack that reaches the underside of an end that hangs out; refuses when none does. */
export function jackUnder(seat: Seat, vise: Pick<Vise, "bedHeight">, aids: readonly Aid[]): Outcome<Aid> {
  const height = underEnd(seat, vise);
  const jacks = aids.filter((a) => a.kind === "jack");
  const fits = jacks.find((j) => j.from <= height && height <= j.to);
  if (fits) return done(fits);
  return refused(
    jacks.length === 0
      ? words("There is no jack in the shop.")
      : say`The end hangs ${mm(height)} above the table; no jack in the shop is that high.`,
    words("Enter one in the shop, or put packing under a lower one and enter the two as one."),
  );
}
