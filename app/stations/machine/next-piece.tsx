import { nextPiece } from "../../../core/plan/index.ts";
import { ButtonLink } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath } from "../../instruments/job-paths.ts";
import { Notice } from "../../instruments/notice.tsx";
import { useBatch } from "../../instruments/pieces.tsx";

/** By the order of the batch another piece is next: said where this one is at a break between setups. */
export function NextPiece({ atBreak }: { atBreak: boolean }) {
  const { job, piece } = useJob();
  const batch = useBatch();
  if (!batch || batch.pieces.length < 2 || !atBreak) return null;
  const next = nextPiece(job.batch.order, batch.pieces, piece);
  if (!next) return null;
  return (
    <Notice severity="note" role="status">
      {job.batch.order === "piece"
        ? "The pieces are cut one after the other"
        : "The pieces go setup by setup"}
      : piece {next.piece} is next, in setup {next.setup}.{" "}
      <ButtonLink to={machinePath(job.id, next.piece)}>Go on with piece {next.piece}</ButtonLink>
    </Notice>
  );
}
