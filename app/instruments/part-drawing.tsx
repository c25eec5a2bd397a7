import { Box } from "@chakra-ui/react";
import { drawnCutouts, threeViews } from "../../core/figure/index.ts";
import { drawnSite } from "../../core/part/index.ts";
import { FigureView } from "./figure-view.tsx";
import { useJob } from "./job-context.tsx";

/** The part with its features in three views, for the stations beside the Drawing. */
export function PartDrawing() {
  const { job } = useJob();
  const site = drawnSite(job.part);
  return (
    <Box maxW="700px" my="10px">
      <FigureView figure={threeViews(site, drawnCutouts(job.part, site)).figure} />
    </Box>
  );
}
