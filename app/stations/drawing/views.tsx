import { Box } from "@chakra-ui/react";
import { type ReactNode, useState } from "react";
import { type DrawnCutout, sectionView, threeViews, viewPoint } from "../../../core/figure/index.ts";
import { type Axis, axesAcross, axisNames, facesOf } from "../../../core/frame/index.ts";
import { type Feature, needsDimension, rulesOf, type Site } from "../../../core/part/index.ts";
import { type Dimension, fromMm, parseDimension, showDimension } from "../../../core/quantity/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { dimensionEntry, NumberEntry } from "../../instruments/number-entry.tsx";
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
  const { figure, entries, views } = threeViews(site, cutouts);
  const { part } = job;
  const cut = cutouts.find((c) => c.id === open?.id);
  /** Where the views are cut: through the open feature, else the middle. */
  const at = (axis: Axis) => {
    const box = cut?.cutout.box[axis];
    return box ? (box[0] + box[1]) / 2 : site.sizes[axis] / 2;
  };
  const press = (x: number, y: number) => {
    const found = viewPoint(views, site.sizes, x, y);
    if (!found) return;
    const [a, b] = axesAcross(found.face);
    const round = (value: number): Dimension => {
      const step = unit === "mm" ? 1 : 1 / 16;
      const read = parseDimension(
        String(Math.max(step, Math.round(fromMm(value, unit) / step) * step)),
        unit,
        () => null,
      );
      if (!read.ok) throw new Error("a rounded place is a size");
      return read.value;
    };
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
                    left={(views[2]!.x(0) / figure.width) * 100}
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

/** The sizes of the open feature, typed on the sheet beside the top view. */
function OnTheViews({ feature, name, left }: { feature: Feature; name: string; left: number }): ReactNode {
  const rules = rulesOf(feature.kind);
  const sizes = feature.sizes as Record<string, Dimension | null>;
  const axes = axesAcross(feature.face);
  const path = featurePath(feature.id);
  const places = rules.places(feature).filter((which) => needsDimension(feature[which]));
  const entries = [
    ...rules
      .fields(feature)
      .filter(({ unit }) => unit === "length")
      .map(({ key, label, empty }) => ({
        label,
        path: `${path}/sizes/${key}`,
        value: sizes[key] ?? null,
        optional: empty !== null,
      })),
    ...places.map((which) => ({
      label: `${axes[which === "first" ? 0 : 1]} from the ${feature[which].from}`,
      path: `${path}/${which}/at`,
      value: feature[which].at,
      optional: false,
    })),
  ].slice(0, 4);
  return (
    <Box
      display={{ base: "none", md: "block" }}
      position="absolute"
      style={{ left: `${left}%`, top: "2%" }}
      className="no-print"
      borderLeftWidth="2px"
      borderColor="accent"
      pl="8px"
      bg="ground"
      role="group"
      aria-label={`${name}, on the views`}
    >
      <Box fontSize="13px" fontWeight="700" color="accent">
        {name}
      </Box>
      {entries.map(({ label, ...entry }) => (
        <NumberEntry
          key={entry.path}
          label={`${label}, on the views`}
          kind={dimensionEntry}
          width="118px"
          terse
          {...entry}
        />
      ))}
    </Box>
  );
}
