import { Box } from "@chakra-ui/react";
import { type ReactNode, useMemo, useState } from "react";
import {
  type DrawnCutout,
  placesOf,
  sectionView,
  threeViews,
  viewPoint,
} from "../../../core/figure/index.ts";
import { type Axis, axesAcross, axisNames, faceNames, facesOf } from "../../../core/frame/index.ts";
import { type Feature, featuresOf, type Site } from "../../../core/part/index.ts";
import { dimensionOf, showDimension, toMm } from "../../../core/quantity/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useAngle, useDimensioned } from "../../instruments/local-setting.ts";
import { Check } from "../../instruments/check.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { download } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { dimensionEntry, NumberEntry } from "../../instruments/number-entry.tsx";
import { useSharing } from "../../instruments/use-sharing.ts";
import { figureAsDxf } from "../../planner/use-dxf.ts";
import { featurePath } from "./feature-editor.tsx";
import { axisWords } from "./understood-sizes.tsx";
import type { Spot } from "./use-features.ts";

/** Widths at a desk, px: of the views at most, and of the sheet beside drawers and margin. */
const viewsWidth = 720;
const sheetWidth = 826;
const zooms = [1, 1.5, 2, 3] as const;

/**
 * The sheet with the part in three linked views, its dimensions typed where they stand. A feature pointed at lights up in all of
 * them; pressed it opens, and its places are typed on the drawing too. An empty place pressed is where the next feature goes.
 */
export function Views({
  site,
  cutouts,
  open,
  onOpen,
  onSpot,
  saveAs,
  add,
  read,
  beside,
  foot,
}: {
  site: Site;
  cutouts: readonly DrawnCutout[];
  open: Feature | null;
  onOpen: (id: string) => void;
  onSpot: (spot: Spot) => void;
  saveAs: string;
  /** Adds a feature, first of the tools. */
  add: ReactNode;
  /** Reads a file, among the tools. */
  read: ReactNode;
  /** What stands over the right view, where nothing is drawn; under the views where there is no room for it. */
  beside: ReactNode;
  /** The title block. */
  foot: ReactNode;
}) {
  const { job, unit } = useJob();
  const [pointed, setPointed] = useState<string | null>(null);
  const [zoom, setZoom] = useState<(typeof zooms)[number]>(1);
  const [angle] = useAngle();
  const [kept, keepDimensioned] = useDimensioned();
  const dimensioned = kept === "on";
  const { part } = job;
  const [section, setSection] = useState<Axis | "none">("none");
  const cut = cutouts.find((c) => c.id === open?.id);
  // Pointing at a feature draws nothing anew but what lights up.
  const drawn = useMemo(
    () =>
      threeViews(site, cutouts, {
        angle,
        open: open && { face: open.face, places: placesOf(open, site) },
        dimensioned: dimensioned
          ? featuresOf(part)
              .filter((f) => f.id !== open?.id)
              .map((f) => ({ id: f.id, face: f.face, places: placesOf(f, site) }))
          : [],
        finish: Object.fromEntries(faceNames.map((face) => [face, part.faces[face].ra])),
      }),
    [site, cutouts, open, angle, dimensioned, part],
  );
  const { views } = drawn;
  const figure = useSharing(drawn.figure);
  const entries = useSharing(drawn.entries);
  const placed = useSharing(drawn.placed);
  /** Over the right view nothing is drawn, px of the sheet at a desk. */
  const free = sheetWidth - (views[2]!.x(0) / figure.width) * viewsWidth - 28;
  // While sizes or material are still wanting, they all stand on one screen: the views leave room for the title block.
  const wanting = part.material === null || axisNames.some((axis) => part.sizes[axis] === null);
  const aspect = (figure.width / figure.height).toFixed(3);
  const widest = wanting
    ? `min(${viewsWidth}px, max(400px, calc((100vh - 430px) * ${aspect})))`
    : `${viewsWidth}px`;
  /** And how far down it is free. */
  const freeDown = (views[2]!.y(site.sizes.height) / figure.width) * viewsWidth - 40;
  const roomBeside = !wanting && zoom === 1 && free >= 200 && angle === "third";
  /** Where the views are cut: through the open feature, else the middle. */
  const at = (axis: Axis) => {
    const box = cut?.cutout.box[axis];
    return box ? (box[0] + box[1]) / 2 : site.sizes[axis] / 2;
  };
  const press = (x: number, y: number) => {
    const found = viewPoint(views, site.sizes, x, y);
    if (!found) return;
    const [a, b] = axesAcross(found.face);
    // Whole millimeters, or sixteenths: a place pointed at is a beginning.
    const step = toMm(unit === "mm" ? 1 : 1 / 16, unit);
    const round = (value: number) => dimensionOf(Math.max(1, Math.round(value / step)) * step, unit);
    const [first, second] = [round(found.at[a]), round(found.at[b])];
    onSpot({
      face: found.face,
      first,
      second,
      said: `on the ${found.face} face, ${showDimension(first, unit)} from the ${facesOf(a)[0]} and ${showDimension(second, unit)} from the ${facesOf(b)[0]}`,
    });
  };
  return (
    <Box>
      <Box display="flex" gap="8px" flexWrap="wrap" alignItems="center" mb="8px" className="no-print">
        {add}
        <Box flex="1" />
        <Box width="140px">
          <Choice
            label="Section"
            hideLabel
            value={section}
            options={[
              ["none", "no section"],
              ...axisNames.map(
                (axis) => [axis, `across the ${axis}${cut ? `, at ${cut.name}` : ""}`] as const,
              ),
            ]}
            onChoose={setSection}
          />
        </Box>
        <Check checked={dimensioned} onCheck={(on) => keepDimensioned(on ? "on" : "off")}>
          all dimensions
        </Check>
        <Choice
          label="Zoom"
          hideLabel
          value={String(zoom)}
          options={zooms.map((z) => [String(z), `${z * 100} %`] as const)}
          onChoose={(z) => setZoom(Number(z) as (typeof zooms)[number])}
        />
        {read}
        <Button
          onClick={() =>
            void figureAsDxf(figure, unit).then((text) => download(`${saveAs}.dxf`, text, "image/vnd.dxf"))
          }
        >
          Save DXF
        </Button>
        <Button onClick={() => window.print()}>Print</Button>
      </Box>
      <Box borderWidth="2px" borderColor="ink" position="relative">
        <Box overflow={zoom === 1 ? "visible" : "auto"} maxH={zoom === 1 ? "none" : "70vh"} px="8px">
          <Box maxW={zoom === 1 ? { base: `${viewsWidth}px`, lg: widest } : "none"} width={`${zoom * 100}%`}>
            <FigureView
              figure={figure}
              saveAs={saveAs}
              lit={pointed ?? open?.id ?? null}
              onPoint={setPointed}
              onChoose={onOpen}
              onSpot={press}
              over={
                <Box display={{ base: "grid", md: "block" }} gap="8px">
                  {part.shaft === null &&
                    axisNames.map((axis) => (
                      <Box
                        key={axis}
                        position={{ base: "static", md: "absolute" }}
                        style={{ left: `${entries[axis].x * 100}%`, top: `${entries[axis].y * 100}%` }}
                        transform={{ base: "none", md: "translate(-50%, -18px)" }}
                      >
                        <NumberEntry
                          label={axisWords[axis]}
                          path={`part/sizes/${axis}`}
                          kind={dimensionEntry}
                          value={part.sizes[axis]}
                          width="108px"
                          terse
                          hideLabel={{ base: false, md: true }}
                        />
                      </Box>
                    ))}
                  {open && <Places feature={open} name={cut?.name ?? ""} placed={placed} />}
                </Box>
              }
            />
          </Box>
        </Box>
        <Box
          position={{ base: "static", lg: roomBeside ? "absolute" : "static" }}
          top="10px"
          right="12px"
          width={{ base: "auto", lg: roomBeside ? `${Math.min(300, free)}px` : "auto" }}
          maxH={{ lg: roomBeside ? `${Math.max(freeDown, 120)}px` : "none" }}
          overflowY="auto"
          px={{ base: "8px", lg: roomBeside ? "0" : "8px" }}
          pb="6px"
        >
          {beside}
        </Box>
        {foot}
      </Box>
      {section !== "none" && (
        <Box maxW="420px" mt="8px">
          <FigureView
            figure={sectionView(site, cutouts, section, at(section))}
            saveAs={`${saveAs}-section`}
            lit={pointed ?? open?.id ?? null}
            onPoint={setPointed}
            onChoose={onOpen}
          />
        </Box>
      )}
    </Box>
  );
}

/** The places of the open feature, typed at their dimension lines. */
function Places({
  feature,
  name,
  placed,
}: {
  feature: Feature;
  name: string;
  placed: readonly { axis: Axis; x: number; y: number }[];
}) {
  const [along] = axesAcross(feature.face);
  return placed.map(({ axis, x, y }) => {
    const which = along === axis ? "first" : "second";
    return (
      <Box
        key={axis}
        display={{ base: "none", md: "block" }}
        position="absolute"
        style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
        transform="translate(-50%, -50%)"
        className="no-print"
      >
        <NumberEntry
          bare
          label={`${name}, ${axis}, on the views`}
          path={`${featurePath(feature.id)}/${which}/at`}
          kind={dimensionEntry}
          value={feature[which].at}
          width="76px"
        />
      </Box>
    );
  });
}
