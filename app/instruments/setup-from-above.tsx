import { Box } from "@chakra-ui/react";
import { useMemo } from "react";
import { faceView, movesView } from "../../core/figure/index.ts";
import {
  faceOf,
  type FeatureOperation,
  type FeatureSetup,
  isFaceSetup,
  type Setup,
} from "../../core/route/index.ts";
import type { Vise } from "../../core/shop/index.ts";
import { strokesNow } from "../../core/steps/index.ts";
import { FigureView } from "./figure-view.tsx";
import { useJob } from "./job-context.tsx";
import { useDrawnSetup } from "./use-drawn-setup.ts";

/** A setup seen from above, with the strokes that come next in a face, or those of its first operation at the machine. */
export function SetupFromAbove({ setup, vise, maxHeight }: { setup: Setup; vise: Vise; maxHeight: string }) {
  const { plan } = useJob();
  if (!isFaceSetup(setup)) {
    const operation = setup.operations.find((o) => o.by !== "hand") ?? setup.operations[0];
    return (
      <Box mt="12px">
        <OperationFromAbove setup={setup} operation={operation} at={null} maxHeight={maxHeight} />
      </Box>
    );
  }
  const op = faceOf(setup);
  const strokes = strokesNow(op, plan.ladders[op.key] ?? []);
  if (strokes.length === 0) return null;
  return (
    <Box mt="12px">
      <FigureView figure={faceView(setup, strokes, vise)} maxHeight={maxHeight} />
    </Box>
  );
}

/** An operation of a feature seen from above. @param at the number of the move to do now */
export function OperationFromAbove({
  setup,
  operation,
  at,
  maxHeight,
  saveAs,
}: {
  setup: FeatureSetup;
  operation: FeatureOperation;
  at: number | null;
  maxHeight: string;
  saveAs?: string;
}) {
  const { drawn, movesOf } = useDrawnSetup(setup);
  const moves = movesOf(operation);
  const figure = useMemo(() => movesView({ ...drawn, operation, moves, at }), [drawn, operation, moves, at]);
  return <FigureView figure={figure} maxHeight={maxHeight} {...(saveAs ? { saveAs } : {})} />;
}
