import { Box, chakra, Progress } from "@chakra-ui/react";
import { Button } from "./button.tsx";

/** How far long work is, with a way to stop it; stopped, with a way to begin again. */
export function LongWork({
  says,
  done,
  stopped,
  onStop,
  onAgain,
}: {
  /** What is being done. */
  says: string;
  /** Share that is done, 0 to 1; null while that is not known. */
  done: number | null;
  /** What is said once it was stopped, and what its button says; null while it runs. */
  stopped: { says: string; again: string } | null;
  onStop: () => void;
  onAgain: () => void;
}) {
  if (stopped)
    return (
      <Box display="flex" gap="12px" alignItems="center">
        <chakra.p color="quiet" role="status">
          {stopped.says}
        </chakra.p>
        <Button onClick={onAgain}>{stopped.again}</Button>
      </Box>
    );
  return (
    <Box display="flex" gap="14px" alignItems="flex-end" flexWrap="wrap">
      <Progress.Root value={done === null ? null : done * 100}>
        <Progress.Label role="status">{says}</Progress.Label>
        <Progress.Track>
          <Progress.Range />
        </Progress.Track>
      </Progress.Root>
      <Button onClick={onStop}>Stop</Button>
    </Box>
  );
}
