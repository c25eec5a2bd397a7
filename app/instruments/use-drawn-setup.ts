import { type Stroke } from "../../core/recipes/index.ts";
import { useCallback, useMemo } from "react";
import type { MovesDrawn } from "../../core/figure/index.ts";
import { effectivePart, equipment } from "../../core/job/index.ts";
import { setupMoves } from "../../core/locate/index.ts";
import { cutoutOf, featuresOf, siteOfPart } from "../../core/part/index.ts";
import { type FeatureOperation, type FeatureSetup, keyOfSetup } from "../../core/route/index.ts";
import { foldRecords, wallShifts } from "../../core/steps/index.ts";
import { useJob } from "./job-context.tsx";

/** What a setup of features is drawn from, and the moves of each of its operations as they stand now. */
export function useDrawnSetup(setup: FeatureSetup) {
  const { job, shop, plan, records, piece } = useJob();
  const locating = plan.zeros[keyOfSetup(setup)]!;
  const drawn = useMemo((): Omit<MovesDrawn, "operation" | "moves" | "at"> => {
    const part = effectivePart(job);
    const site = siteOfPart(part)!;
    const { vise } = equipment(job, shop);
    return {
      setup,
      frame: locating.frame,
      site,
      cutouts: new Map(
        featuresOf(part).flatMap((f) => {
          const cutout = cutoutOf(f, site);
          return cutout ? [[f.id, cutout] as const] : [];
        }),
      ),
      fixedJaw: vise?.fixedJaw ?? "back",
    };
  }, [job, shop, setup, locating]);
  const states = useMemo(() => foldRecords(records, piece).features, [records, piece]);
  const movesOf = useCallback(
    (operation: FeatureOperation): readonly Stroke[] =>
      setupMoves(setup, locating, wallShifts(setup, states)).get(operation.key) ?? [],
    [locating, setup, states],
  );
  return { drawn, locating, movesOf };
}
