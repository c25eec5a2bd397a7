import { counted } from "../../../core/working/index.ts";
import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type DxfDrawing, largestDxf, outlineInMm } from "../../../core/exchange/index.ts";
import { pathOf } from "../../../core/figure/index.ts";
import {
  axesAcross,
  extentOfOutline,
  type Face,
  faceNames,
  facesOf,
  mapOutline,
  type Outline,
} from "../../../core/frame/index.ts";
import { changeOf } from "../../../core/job/index.ts";
import { centered, type Feature, fromEdge, rulesOf, type Site } from "../../../core/part/index.ts";
import { type Dimension, dimensionOf, type LengthUnit, mm } from "../../../core/quantity/index.ts";
import type { Phrase } from "../../../core/working/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { FileChoice } from "../../instruments/file-choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { Section } from "../../instruments/section.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";
import { readDxfFile } from "../../planner/use-dxf.ts";
import { featurePath } from "./feature-editor.tsx";

type State =
  | { at: "none" | "reading" }
  | { at: "refused"; reason: Phrase; suggestion: Phrase }
  | { at: "read"; name: string; drawing: DxfDrawing };

/** A DXF file that is read: where it stands, and how to read another. */
export function useDxfFile() {
  const [state, setState] = useState<State>({ at: "none" });
  return {
    state,
    close: () => setState({ at: "none" }),
    read: async (file: File) => {
      setState({ at: "reading" });
      // Too large to be read is told without reading it.
      const text = file.size > largestDxf ? "0".repeat(largestDxf + 1) : await file.text();
      const outcome = await readDxfFile(text);
      setState(
        outcome.ok
          ? { at: "read", name: file.name, drawing: outcome.value }
          : { at: "refused", reason: outcome.reason, suggestion: outcome.suggestion },
      );
    },
  };
}
type DxfFile = ReturnType<typeof useDxfFile>;

export const DxfChoice = ({ file }: { file: DxfFile }) => (
  <FileChoice label="Read DXF" accept=".dxf" onChoose={(chosen) => void file.read(chosen)} />
);

/** Closed shapes of a DXF file become features, each after the person said so. */
export function DxfShapes({ file: { state, close }, site }: { file: DxfFile; site: Site }) {
  if (state.at === "none") return null;
  return (
    <Section title="Outlines from a DXF file">
      {state.at === "reading" && <p role="status">Reading the file…</p>}
      {state.at === "refused" && (
        <Notice severity="warn" role="alert">
          <Words of={state.reason} /> <Words of={state.suggestion} />
        </Notice>
      )}
      {state.at === "read" && (
        <Shapes key={state.name} name={state.name} drawing={state.drawing} site={site} onDone={close} />
      )}
    </Section>
  );
}

const origins = [
  ["corner", "its zero at the low corner of the face"],
  ["middle", "centered on the face"],
] as const;

function Shapes({
  name,
  drawing,
  site,
  onDone,
}: {
  name: string;
  drawing: DxfDrawing;
  site: Site;
  onDone: () => void;
}) {
  const { job } = useJob();
  const submit = useSubmit();
  const [unit, setUnit] = useState<LengthUnit | "">(drawing.unit ?? "");
  const [face, setFace] = useState<Face>("top");
  const [origin, setOrigin] = useState<(typeof origins)[number][0]>("corner");
  /** The feature each shape was made into; it is added once the job has it. */
  const [made, setMade] = useState<Readonly<Record<number, string>>>({});
  const isAdded = (i: number) => made[i] !== undefined && job.part.features.byId[made[i]] !== undefined;
  const [a, b] = axesAcross(face);
  const shapes = unit === "" ? [] : drawing.closed.map((outline) => outlineInMm(outline, unit));
  const boxes = shapes.map(extentOfOutline);
  const middleOf = (axis: "x" | "y") =>
    (Math.min(...boxes.map((box) => box[axis][0])) + Math.max(...boxes.map((box) => box[axis][1]))) / 2;
  const lowest: Outline[] =
    origin === "corner"
      ? shapes
      : shapes.map((outline) =>
          mapOutline(outline, (x, y) => [
            x - middleOf("x") + site.sizes[a] / 2,
            y - middleOf("y") + site.sizes[b] / 2,
          ]),
        );
  const add = (outline: Outline, i: number) => {
    const feature = featureFrom(outline, face, unit === "in" ? "in" : "mm");
    void submit.change([
      changeOf(job, featurePath(feature.id), feature),
      changeOf(job, "part/features/order", [...job.part.features.order, feature.id]),
    ]);
    setMade({ ...made, [i]: feature.id });
  };
  return (
    <Box borderWidth="1px" p="12px" mt="8px">
      <chakra.h3 fontSize="16px" mb="4px">
        {name}: {counted(drawing.closed.length, "closed shape")}
      </chakra.h3>
      {drawing.open > 0 && (
        <Notice severity="note">
          {counted(drawing.open, "way does", "ways do")} not close and {drawing.open === 1 ? "is" : "are"}{" "}
          left out. Close the gaps in the drawing to have them.
        </Notice>
      )}
      {drawing.ignored.length > 0 && (
        <chakra.p fontSize="14px" color="quiet">
          Not read: {drawing.ignored.map((i) => `${i.count} × ${i.name}`).join(", ")}.
        </chakra.p>
      )}
      <Box display="flex" gap="10px 14px" flexWrap="wrap" my="8px">
        <Choice
          label={drawing.unit === null ? "The file does not say its unit. It is drawn in" : "Drawn in"}
          value={unit}
          empty="choose mm or inch"
          options={[
            ["mm", "mm"],
            ["in", "inch"],
          ]}
          onChoose={setUnit}
        />
        <Choice
          label="Cut from the face"
          value={face}
          options={faceNames.map((f) => [f, f] as const)}
          onChoose={setFace}
        />
        <Choice label="Where" value={origin} options={origins} onChoose={setOrigin} />
      </Box>
      <Box as="ul" listStyleType="none">
        {lowest.map((outline, i) => {
          const { x, y } = extentOfOutline(outline);
          const round = isCircle(outline);
          return (
            <Box as="li" key={i} display="flex" gap="12px" alignItems="center" borderTopWidth="1px" py="6px">
              <Small outline={outline} />
              <Box flex="1" fontSize="14.5px">
                {round ? "circle, " : ""}
                <Figure of={mm(x[1] - x[0])} />
                {!round && (
                  <>
                    {" × "}
                    <Figure of={mm(y[1] - y[0])} />
                  </>
                )}
                , its middle <Figure of={mm((x[0] + x[1]) / 2)} /> from the {facesOf(a)[0]},{" "}
                <Figure of={mm((y[0] + y[1]) / 2)} /> from the {facesOf(b)[0]}
              </Box>
              {isAdded(i) ? (
                <b>✓ added</b>
              ) : (
                <Button disabled={submit.busy} onClick={() => add(outline, i)}>
                  Add as {round ? "a hole" : "an outline"}
                </Button>
              )}
            </Box>
          );
        })}
      </Box>
      <Box mt="8px">
        <Button onClick={onDone}>{Object.keys(made).length > 0 ? "Done" : "Add none"}</Button>
      </Box>
    </Box>
  );
}

/** Two halves of one circle. */
const isCircle = (outline: Outline): boolean =>
  outline.length === 2 && outline.every((corner) => Math.abs(Math.abs(corner.bulge) - 1) < 1e-6);

/** A circle is a hole, anything else a free outline; placed from the low edges of its face. */
function featureFrom(outline: Outline, face: Face, unit: LengthUnit): Feature {
  const [a, b] = axesAcross(face);
  const { corners, middle } = centered(outline);
  const { x } = extentOfOutline(outline);
  const at = (value: number): Dimension => dimensionOf(value, unit);
  const placed = {
    first: fromEdge(facesOf(a)[0], at(middle[0])),
    second: fromEdge(facesOf(b)[0], at(middle[1])),
  };
  if (isCircle(outline)) {
    const hole = rulesOf("hole").make(newId(), face);
    return { ...hole, ...placed, sizes: { ...hole.sizes, diameter: at(x[1] - x[0]) } } as Feature;
  }
  const made = rulesOf("outline").make(newId(), face);
  return { ...made, ...placed, corners: corners.map((corner) => ({ ...corner })) } as Feature;
}

function Small({ outline }: { outline: Outline }) {
  const { x, y } = extentOfOutline(outline);
  const [w, h] = [x[1] - x[0], y[1] - y[0]];
  const drawn = mapOutline(outline, (px, py) => [px - x[0], h - (py - y[0])], true);
  return (
    <chakra.svg
      viewBox={`${-w * 0.03} ${-h * 0.03} ${w * 1.06} ${h * 1.06}`}
      width="64px"
      height="44px"
      flexShrink="0"
      aria-hidden="true"
    >
      <path
        d={pathOf(drawn)}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.5"
        vectorEffect="non-scaling-stroke"
      />
    </chakra.svg>
  );
}
