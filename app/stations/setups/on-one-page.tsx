import { Box } from "@chakra-ui/react";
import type { Figure } from "../../../core/figure/index.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { Section } from "../../instruments/section.tsx";

/** A setup as one page to take to the machine. Everything beside it on screen is left out of print. */
export const OnOnePage = ({ sheet, saveAs }: { sheet: Figure; saveAs: string }) => (
  <Section title="On one page, for the machine (printing prints this page)">
    <Box maxW="760px" bg="ground" borderWidth="1px" p="14px" className="sheet">
      <FigureView figure={sheet} saveAs={saveAs} />
    </Box>
  </Section>
);
