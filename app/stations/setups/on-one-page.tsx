import { Box } from "@chakra-ui/react";
import { type Figure, faceSheet, setupSheet } from "../../../core/figure/index.ts";
import {
  faceOf,
  type FaceSetup,
  type FeatureSetup,
  isFaceSetup,
  type Setup,
} from "../../../core/route/index.ts";
import type { Vise } from "../../../core/shop/index.ts";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { setupLabel } from "../../instruments/setup-place.ts";
import { Section } from "../../instruments/section.tsx";
import { useDrawnSetup } from "../../instruments/use-drawn-setup.ts";

/** A setup as one page to take to the machine. Everything beside it on screen is left out of print. */
export const SetupOnOnePage = ({ setup, vise }: { setup: Setup; vise: Vise }) =>
  isFaceSetup(setup) ? <FacePage setup={setup} vise={vise} /> : <FeaturePage setup={setup} vise={vise} />;

/** Job and setup; the machine too where the job goes over several. */
function usePageTitle(setup: Setup): string {
  const { job, plan } = useJob();
  const { machine } = useEquipment(setup);
  const several = plan.setups.some((s) => s.machine !== setup.machine);
  return `${job.name}, setup ${setupLabel(setup, plan)}${several && machine ? `, on the ${machine.name}` : ""}`;
}

function FacePage({ setup, vise }: { setup: FaceSetup; vise: Vise }) {
  const { plan, shop, unit } = useJob();
  const title = usePageTitle(setup);
  const { machine } = useEquipment(setup);
  const { key, cut } = faceOf(setup);
  const cutter = shop.cutters.find((c) => c.id === cut.cutter);
  if (!machine || !cutter) return null;
  const passes = plan.ladders[key] ?? [];
  return <Page setup={setup} sheet={faceSheet({ title, setup, passes, cutter, machine, vise, unit })} />;
}

function FeaturePage({ setup, vise }: { setup: FeatureSetup; vise: Vise }) {
  const { unit } = useJob();
  const { drawn, locating } = useDrawnSetup(setup);
  const { site, cutouts } = drawn;
  const title = usePageTitle(setup);
  return <Page setup={setup} sheet={setupSheet({ title, setup, locating, site, cutouts, vise, unit })} />;
}

function Page({ setup, sheet }: { setup: Setup; sheet: Figure }) {
  const { job, plan } = useJob();
  return (
    <Section title="On one page, for the machine: printing prints this page">
      <Box maxW={{ base: "640px", _print: "none" }} bg="ground" borderWidth="1px" p="14px" className="sheet">
        <FigureView figure={sheet} saveAs={`${fileName(job.name)}-setup-${setupLabel(setup, plan)}`} />
      </Box>
    </Section>
  );
}
