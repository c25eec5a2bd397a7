import { leastFaceDepth, sliver } from "../handbook/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { done, type Outcome, refused, say } from "../working/index.ts";

export interface Pass {
  kind: "rough" | "finish";
  depth: Mm;
  /** Depth from the first surface; the last pass ends on the total by assignment. */
  cumulative: Mm;
}

/**
 * Equal roughing passes, none above the limit, then the finish pass. Stock not above the finish allowance is one pass.
 * @param stock total to remove, mm
 * @param largest largest roughing depth, mm
 * @param finish allowance for the last pass, mm; 0 for none
 * @param first least depth of the first pass (to get under a skin), mm
 */
export function passSchedule(stock: Mm, largest: Mm, finish: Mm, first: Mm = 0): Outcome<Pass[]> {
  if (![stock, largest, finish].every(Number.isFinite) || stock < 0 || largest <= 0 || finish < 0) {
    return refused(
      say`Cannot split ${mm(stock)} into passes of ${mm(largest)}.`,
      say`Check the sizes and the depth per pass.`,
    );
  }
  if (stock === 0) return done([]);
  const made = (depths: Mm[], last: "rough" | "finish"): Pass[] => {
    let sum = 0;
    return depths.map((depth, i) => {
      const end = i === depths.length - 1;
      sum = end ? stock : sum + depth;
      return { kind: end ? last : "rough", depth, cumulative: sum };
    });
  };
  const roughing = tidy(stock - finish);
  if (roughing <= 0) return done(made([stock], "finish"));
  const start = Math.min(Math.max(first, 0), roughing);
  // Tolerance on the count: 5.0 / 0.1 must not become 51 passes.
  const countOf = (amount: Mm) => Math.max(1, Math.ceil(amount / largest - 1e-9));
  let rough: Mm[];
  const equal = roughing / countOf(roughing);
  if (start > equal) {
    const rest = tidy(roughing - start);
    rough =
      rest <= sliver && roughing <= largest
        ? [roughing]
        : [start, ...Array<Mm>(countOf(rest)).fill(rest / countOf(rest))];
  } else {
    rough = Array<Mm>(countOf(roughing)).fill(equal);
  }
  return done(finish > 0 ? made([...rough, finish], "finish") : made(rough, "rough"));
}

/**
 * Passes for what a reading says is left (domain.md 7, offset model): the finish pass is kept; nothing left gives none.
 * What would be a roughing pass thinner than is worth facing is taken with the finish pass.
 * @param first least depth of the first pass, under a skin that is still there, mm
 */
export function passesForRest(rest: Mm, largest: Mm, finish: Mm, first: Mm = 0): Pass[] {
  if (rest <= 0) return [];
  const allowance = rest <= Math.min(finish + leastFaceDepth, largest) ? rest : Math.min(finish, rest);
  const schedule = passSchedule(tidy(rest), largest, allowance, first);
  return schedule.ok ? schedule.value : [];
}
