import type { PlanInputs } from "./make-plan.ts";
import type { Plan } from "./plan.ts";
import { judgedBy } from "./judged-reading.ts";
import type { Requirement } from "./requirement.ts";
import { type Run, seriesFor } from "./series.ts";
import { type ShopBias, shopBiases } from "./shop-biases.ts";
import { type TellingBlock, tellingBlock } from "./telling-block.ts";

/** How one size runs over the pieces. */
export interface SizeRun extends Pick<Requirement, "of" | "name" | "how" | "limits"> {
  run: Run;
}

/** What the readings of all pieces of a job say together. */
export interface PiecesSaid {
  /** Of every drawn size read on two pieces or more. */
  runs: SizeRun[];
  biases: ShopBias[];
  /** How to cut one piece more so that it tells what these do not; null where nothing is left to tell, or nothing would. */
  next: TellingBlock | null;
}

/** Runs of the sizes, errors of vise and machine, and which piece would tell more. */
export function piecesSaid(
  made: Pick<Plan, "requirements" | "setups" | "target">,
  { job, shop, records, own }: Pick<PlanInputs, "job" | "shop" | "records" | "own">,
): PiecesSaid {
  const by = judgedBy(job, shop, own);
  const runs = made.requirements.flatMap(({ drawn, ...r }): SizeRun[] => {
    const run = drawn ? seriesFor(r, records, by) : null;
    const { of, name, how, limits } = r;
    return run && run.pieces.length > 1 ? [{ of, ...(name ? { name } : {}), how, limits, run }] : [];
  });
  return { runs, biases: shopBiases(made, records, by), next: tellingBlock(made, records, by) };
}
