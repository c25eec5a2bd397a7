import { Box, chakra } from "@chakra-ui/react";
import { faceNet } from "../../../core/figure/index.ts";
import { faceMap, type FaceMark } from "../../../core/plan/index.ts";
import { mm, showQuantity } from "../../../core/quantity/index.ts";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";

/** The six faces of the block with number, size and day, to print and stick on the vise; nothing for a shaft. */
export function FaceMap() {
  const { job, plan, records, piece, unit } = useJob();
  const map = faceMap(plan, records, piece);
  if (!map) return null;
  const words = ({ size, read, on }: FaceMark) => [
    `${showQuantity(mm(size), unit, unit === "mm" ? 2 : 4)}${read ? "" : " planned"}`,
    on,
  ];
  const marks = Object.fromEntries(Object.entries(map.marks).map(([face, mark]) => [face, words(mark)]));
  return (
    <chakra.details mt="14px">
      <summary>Face map, to stick on the vise</summary>
      <Box maxW="420px" className="label">
        <FigureView
          figure={faceNet(map.now, null, marks)}
          saveAs={`${fileName(job.name)}-piece-${piece}-faces`}
        />
      </Box>
      <chakra.p fontSize="13.5px" color="quiet">
        {Object.keys(marks).length === 0
          ? "No face is cut yet. "
          : "Number: order of cutting; size over the face, as read last, and the day it was cut. "}
        Hatched: not machined.
      </chakra.p>
    </chakra.details>
  );
}
