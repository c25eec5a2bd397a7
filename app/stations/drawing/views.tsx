import { Box } from "@chakra-ui/react";
import { Fragment, type ReactNode, useMemo, useState } from "react";
import { type DrawnCutout, sectionView, threeViews, viewPoint } from "../../../core/figure/index.ts";
import { type Axis, axesAcross, axisNames, facesOf } from "../../../core/frame/index.ts";
import { type Feature, needsDimension, rulesOf, type Site } from "../../../core/part/index.ts";
import { type Dimension, dimensionOf, showDimension, toMm } from "../../../core/quantity/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { download } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { dimensionEntry, NumberEntry } from "../../instruments/number-entry.tsx";
import { figureAsDxf } from "../../planner/use-dxf.ts";
import { featurePath } from "./feature-editor.tsx";
import type { Spot } from "./features.tsx";

const axisWords: Record<Axis, string> = { length: "Length", width: "Width", height: "Height" };
const zooms = [1, 1.5, 2, 3] as const;

/**
 * The part in three linked views, its dimensions typed where they stand. A feature pointed at lights up in all of them;
 * pressed it opens, and its sizes are typed on the drawing too.
 */
export function Views({
  site,
  cutouts,
  open,
  onOpen,
  onSpot,
  saveAs,
}: {
  site: Site;
  cutouts: readonly DrawnCutout[];
  open: Feature | null;
  onOpen: (id: string) => void;
  onSpot: (spot: Spot) => void;
  saveAs: string;
}) {
  const { job, unit } = useJob();
  const [pointed, setPointed] = useState<string | null>(null);
  const [zoom, setZoom] = useState<(typeof zooms)[number]>(1);
  const [section, setSection] = useState<Axis | "none">("none");
  const cut = cutouts.find((c) => c.id === open?.id);
  // Pointing at a feature draws nothing anew but what lights up.
  const { figure, entries, views, placed } = useMemo(
    () => threeViews(site, cutouts, open && { face: open.face, places: placesOf(open, site) }),
    [site, cutouts, open],
  );
  const { part } = job;
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
  const blockEntries = part.shaft === null && (
    <>
      {axisNames.map((axis) => (
        <Box
          key={axis}
          position={{ base: "static", md: "absolute" }}
          style={{ left: `${entries[axis].x * 100}%`, top: `${entries[axis].y * 100}%` }}
          transform={{
            base: "none",
            md: axis === "length" ? "translate(-50%, 4px)" : "translate(-100%, -50%)",
          }}
          bg={{ base: "transparent", md: "ground" }}
          px="4px"
          width={{ base: "auto", md: axis === "length" ? "300px" : "150px" }}
        >
          <NumberEntry
            label={axisWords[axis]}
            path={`part/sizes/${axis}`}
            kind={dimensionEntry}
            value={part.sizes[axis]}
            width={axis === "length" ? "190px" : "138px"}
          />
        </Box>
      ))}
    </>
  );
  return (
    <Box mt="10px">
      <Box display="flex" gap="8px" flexWrap="wrap" alignItems="flex-end" mb="4px" className="no-print">
        <Choice
          label="Section"
          value={section}
          options={[
            ["none", "none"],
            ...axisNames.map(
              (axis) => [axis, `across the ${axis}${cut ? `, through ${cut.name}` : ""}`] as const,
            ),
          ]}
          onChoose={setSection}
        />
        <Choice
          label="Zoom"
          value={String(zoom)}
          options={zooms.map((z) => [String(z), `${z * 100} %`] as const)}
          onChoose={(z) => setZoom(Number(z) as (typeof zooms)[number])}
        />
        <Button onClick={() => window.print()}>Print</Button>
        <Button
          onClick={() =>
            void figureAsDxf(figure, unit).then((text) => download(`${saveAs}.dxf`, text, "image/vnd.dxf"))
          }
        >
          Save the views as DXF
        </Button>
      </Box>
      <Box
        overflow={zoom === 1 ? "visible" : "auto"}
        maxH={zoom === 1 ? "none" : "70vh"}
        borderWidth={zoom === 1 ? "0" : "1px"}
      >
        <Box maxW={zoom === 1 ? "700px" : "none"} width={`${zoom * 100}%`} pb={{ base: "0", md: "8px" }}>
          <FigureView
            figure={figure}
            saveAs={saveAs}
            lit={pointed ?? open?.id ?? null}
            onPoint={setPointed}
            onChoose={onOpen}
            onSpot={press}
            over={
              <Box display={{ base: "grid", md: "block" }} gap="8px">
                {blockEntries}
                {open && (
                  <OnTheViews
                    feature={open}
                    name={cut?.name ?? ""}
                    left={((views[0]!.beyond + figure.width * 0.17) / figure.width) * 100}
                    placed={placed}
                  />
                )}
              </Box>
            }
          />
        </Box>
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

/** Where the places of a feature count from and lead to, for those that have a dimension. */
function placesOf(feature: Feature, site: Site) {
  const axes = axesAcross(feature.face);
  return rulesOf(feature.kind)
    .places(feature)
    .flatMap((which) => {
      const axis = axes[which === "first" ? 0 : 1];
      const place = feature[which];
      const to = site.middleOf(feature.id, axis);
      if (!needsDimension(place) || to === null) return [];
      const from =
        place.from === "center"
          ? site.sizes[axis] / 2
          : place.from === "feature"
            ? (site.middleOf(place.of ?? "", axis) ?? 0)
            : place.from === facesOf(axis)[0]
              ? 0
              : site.sizes[axis];
      return [{ axis, from, to }];
    });
}

/** The open feature on the sheet: its place typed at its dimension lines, its sizes beside the top view. */
function OnTheViews({
  feature,
  name,
  left,
  placed,
}: {
  feature: Feature;
  name: string;
  left: number;
  placed: readonly { axis: Axis; x: number; y: number }[];
}): ReactNode {
  const rules = rulesOf(feature.kind);
  const sizes = feature.sizes as Record<string, Dimension | null>;
  const axes = axesAcross(feature.face);
  const path = featurePath(feature.id);
  const entries = rules
    .fields(feature)
    .filter(({ unit }) => unit === "length")
    .slice(0, 5);
  return (
    <>
      {placed.map(({ axis, x, y }) => {
        const which = axes[0] === axis ? "first" : "second";
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
              path={`${path}/${which}/at`}
              kind={dimensionEntry}
              value={feature[which].at}
              width="76px"
            />
          </Box>
        );
      })}
      <Box
        display={{ base: "none", md: "grid" }}
        gridTemplateColumns="auto auto"
        gap="2px 8px"
        alignItems="center"
        position="absolute"
        style={{ left: `${left}%`, top: "1%" }}
        className="no-print"
        role="group"
        aria-label={`${name}, on the views`}
        fontSize="13px"
      >
        <Box gridColumn="1 / -1" fontWeight="700" color="accent">
          {name}
        </Box>
        {entries.map(({ key, label, empty }) => (
          <Fragment key={key}>
            <Box color="quiet" maxW="130px" lineHeight="1.15">
              {label}
            </Box>
            <NumberEntry
              bare
              label={`${label}, on the views`}
              path={`${path}/sizes/${key}`}
              kind={dimensionEntry}
              value={sizes[key] ?? null}
              width="84px"
              optional={empty !== null}
            />
          </Fragment>
        ))}
      </Box>
    </>
  );
}
