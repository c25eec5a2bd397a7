import { Box } from "@chakra-ui/react";
import { threeViews } from "../../core/figure/index.ts";
import { cutoutOf, drawnSite, featureNames, featuresOf } from "../../core/part/index.ts";
import { FigureView } from "./figure-view.tsx";
import { useJob } from "./job-context.tsx";

/** The part with its features in three views, for the stations beside the Drawing. */
export function PartDrawing() {
  const { job } = useJob();
  const site = drawnSite(job.part);
  const features = featuresOf(job.part);
  const names = featureNames(features);
  const cutouts = features.flatMap((feature) => {
    const cutout = cutoutOf(feature, site);
    return cutout ? [{ id: feature.id, cutout, name: names.get(feature.id)! }] : [];
  });
  return (
    <Box maxW="700px" my="10px">
      <FigureView figure={threeViews(site, cutouts).figure} />
    </Box>
  );
}
