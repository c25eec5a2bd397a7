import { Box } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";
import type { Batch, PieceStanding, PieceVerdict } from "../../core/plan/index.ts";
import { Choice } from "./choice.tsx";
import { useJob } from "./job-context.tsx";

const verdicts: Record<PieceVerdict, string> = {
  good: "good",
  notGood: "not good",
  unsure: "measured, uncertain",
  open: "cut, not all measured",
};

/** Where a piece stands, in a few words. */
export function standingText({ scrapped, steps, done, setup, verdict }: PieceStanding): string {
  if (scrapped) return "scrapped";
  if (steps > 0 && done === steps) return verdicts[verdict];
  if (done === 0 || setup === null) return "not started";
  return `${verdict === "notGood" ? "not good, " : ""}setup ${setup}, ${done} of ${steps} steps done`;
}

/** All pieces of the job and where each stands; null until it is counted. */
export function useBatch(): Batch | null {
  const { job, plan, records, batch } = useJob();
  const [counted, setCounted] = useState<Batch | null>(null);
  // What is wanted and what was recorded may change the count and nothing of the plan.
  useEffect(() => {
    let current = true;
    void batch().then((now) => {
      if (current && now) setCounted(now);
    });
    return () => {
      current = false;
    };
  }, [job, plan, records, batch]);
  return counted;
}

/** Leads from piece to piece, and says where each stands. Nothing where there is only one. */
export function PieceSwitch({ to }: { to: (piece: number) => string }) {
  const { piece } = useJob();
  const batch = useBatch();
  const navigate = useNavigate();
  if (!batch || batch.pieces.length < 2) return null;
  return (
    <Box maxW={{ base: "120px", md: "none" }} minW="0">
      <Choice
        label="Piece"
        hideLabel
        value={String(piece)}
        options={batch.pieces.map(
          (p) => [String(p.piece), `Piece ${p.piece} of ${batch.pieces.length}: ${standingText(p)}`] as const,
        )}
        onChoose={(chosen) => void navigate(to(Number(chosen)))}
      />
    </Box>
  );
}
