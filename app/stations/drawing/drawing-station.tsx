import { Box, chakra } from "@chakra-ui/react";
import { threeViews } from "../../../core/figure/index.ts";
import { type Axis, axisNames, type Sizes } from "../../../core/frame/index.ts";
import { type GeneralTolerance, materialsWith } from "../../../core/handbook/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { cutoutOf, featureNames, featuresOf, limitsOf } from "../../../core/part/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { dimensionEntry, NumberEntry, plainLength } from "../../instruments/number-entry.tsx";
import { ReasonLine, Section, StationTitle, Table } from "../../instruments/section.tsx";
import { TextEntry } from "../../instruments/text-entry.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure } from "../../instruments/words.tsx";
import { Link } from "react-router";
import { Features } from "./features.tsx";

const axisWords: Record<Axis, string> = { length: "Length", width: "Width", height: "Height" };
const generalOptions = [
  ["f", "ISO 2768 fine"],
  ["m", "ISO 2768 medium"],
  ["c", "ISO 2768 coarse"],
  ["plusMinus", "one value for all"],
] as const;

/** What am I making? Material, sizes on three views, tolerances, drawing check. */
export function DrawingStation() {
  const { job, plan, own, reason, setReason } = useJob();
  const submit = useSubmit();
  const { part } = job;
  const known = axisNames.flatMap((axis) => part.sizes[axis]?.nominal ?? []);
  const usual = known.length > 0 ? Math.max(...known) * 0.6 : 60;
  const sizes = Object.fromEntries(
    axisNames.map((axis) => [axis, part.sizes[axis]?.nominal ?? usual]),
  ) as Sizes;
  const features = featuresOf(part);
  const names = featureNames(features);
  const cutouts = features.flatMap((feature) => {
    const cutout = cutoutOf(feature, sizes);
    return cutout ? [{ cutout, name: names.get(feature.id)! }] : [];
  });
  const { figure, entries } = threeViews(sizes, cutouts);
  const general: (typeof generalOptions)[number][0] =
    part.general.kind === "plusMinus" ? "plusMinus" : part.general.grade;
  const setGeneral = (choice: typeof general) =>
    void submit.set(
      "part/general",
      (choice === "plusMinus"
        ? { kind: "plusMinus", value: 0.1 }
        : { kind: "iso2768", grade: choice }) satisfies GeneralTolerance,
    );

  return (
    <>
      {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
      <StationTitle above="Drawing">What am I making?</StationTitle>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "1fr 1fr" }}
        gap="12px 18px"
        mb="8px"
      >
        <TextEntry label="Job" path="name" value={job.name} />
        <TextEntry label="Sheet, order or place" path="sheet" value={job.sheet} />
        <Box>
          <Choice
            label="Material"
            value={part.material ?? ""}
            options={materialsWith(own).map((m) => [m.id, m.own ? `${m.name} ◆` : m.name] as const)}
            onChoose={(id) => void submit.set("part/material", id)}
            empty="choose a material"
          />
          <chakra.p fontSize="13px" color="quiet" mt="2px">
            <Link to="/handbook/materials" style={{ textDecoration: "underline" }}>
              All materials with speeds and sources
            </Link>
          </chakra.p>
        </Box>
        <Choice label="General tolerance" value={general} options={generalOptions} onChoose={setGeneral} />
        {part.general.kind === "plusMinus" && (
          <NumberEntry
            label="General tolerance, ±"
            path="part/general/value"
            kind={plainLength}
            value={part.general.value}
          />
        )}
      </Box>

      <Box mt="10px" maxW="700px" pb={{ base: "0", md: "8px" }}>
        <FigureView
          figure={figure}
          saveAs={`${fileName(job.name)}-views`}
          over={
            <Box display={{ base: "grid", md: "block" }} gap="8px">
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
            </Box>
          }
        />
      </Box>

      <Features />

      <Section title="Form">
        <Box display="flex" gap="18px" flexWrap="wrap">
          <NumberEntry
            label="Squareness wanted, over 100 mm (4 in)"
            path="part/squareness"
            kind={plainLength}
            value={part.squareness}
            optional
          />
          <NumberEntry
            label="Parallelism wanted, thickest to thinnest"
            path="part/parallelism"
            kind={plainLength}
            value={part.parallelism}
            optional
          />
        </Box>
      </Section>

      <Section title="What is understood">
        <Table label="Sizes and limits" head={["size", "smallest", "aim", "largest", "tolerance from"]}>
          {axisNames.map((axis) => {
            const size = part.sizes[axis];
            const limits = size ? limitsOf(size, part) : null;
            return (
              <tr key={axis}>
                <th scope="row">{axisWords[axis]}</th>
                {limits && size ? (
                  <>
                    <td>
                      <Figure of={mm(limits.lower)} decimals={3} />
                    </td>
                    <td>
                      <b>
                        <Figure of={mm((limits.lower + limits.upper) / 2)} decimals={3} />
                      </b>
                    </td>
                    <td>
                      <Figure of={mm(limits.upper)} decimals={3} />
                    </td>
                    <td>
                      {size.upper === null
                        ? "the general tolerance"
                        : size.fit
                          ? `fit ${size.fit}`
                          : "the drawing"}
                      {job.retargets[axis] ? "; a deviation is recorded" : ""}
                    </td>
                  </>
                ) : (
                  <td colSpan={4}>not entered yet</td>
                )}
              </tr>
            );
          })}
        </Table>
      </Section>

      <Section title="Drawing check">
        {plan.findings.length === 0 ? (
          <Notice severity="good">The drawing can be planned. Next: Stock (2).</Notice>
        ) : (
          <Warnings of={plan.findings} />
        )}
      </Section>
    </>
  );
}
