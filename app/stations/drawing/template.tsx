import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { drawnCutouts, template } from "../../../core/figure/index.ts";
import { type Face, faceNames } from "../../../core/frame/index.ts";
import { siteOfPart } from "../../../core/part/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";

/** Pixels of a page in a mm: an inch has 96. */
const perMm = 96 / 25.4;
/** What every printer puts on a sheet of A4 or Letter, mm. */
const page = { width: 190, height: 252 };

/** A face at full size, to stick on and file to; not for a shaft, whose faces are round. */
export function Template() {
  const { job, unit } = useJob();
  const [face, setFace] = useState<Face>("top");
  const site = siteOfPart(job.part);
  if (!site || site.shaft)
    return (
      <Notice severity="note">
        {site ? "A shaft has no flat face to stick a template on." : "Draw all three sizes first."}
      </Notice>
    );
  const figure = template(face, site, drawnCutouts(job.part, site), unit);
  const larger = figure.width > page.width || figure.height > page.height;
  return (
    <>
      <Box display="flex" gap="12px" alignItems="flex-end" flexWrap="wrap" className="no-print">
        <Choice
          label="Face"
          value={face}
          options={faceNames.map((f) => [f, f] as const)}
          onChoose={setFace}
        />
        <Button onClick={() => window.print()}>Print</Button>
      </Box>
      <chakra.p fontSize="15px" my="8px" className="no-print">
        Print at 100 %, not fitted to the page, and lay a rule on the bar. A part that comes out of the vise
        to be filed to it loses its setup: finish first what is cut from the same zero.
      </chakra.p>
      {larger && (
        <Notice severity="warn">
          It is larger than a sheet of paper: save it, and print it on larger paper.
        </Notice>
      )}
      <Box overflowX="auto">
        <FigureView figure={figure} perMm={perMm} saveAs={`${fileName(job.name)}-${face}-template`} />
      </Box>
    </>
  );
}
