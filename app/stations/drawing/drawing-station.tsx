import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { type Axis, axisNames } from "../../../core/frame/index.ts";
import { drawnCutouts } from "../../../core/figure/index.ts";
import { type GeneralTolerance, materialsWith } from "../../../core/handbook/index.ts";
import { drawnSite, featuresOf, limitsOf, type Part, sectionsOf } from "../../../core/part/index.ts";
import { mostPieces, movesWith } from "../../../core/job/index.ts";
import { type Dimension, mm } from "../../../core/quantity/index.ts";
import { words } from "../../../core/working/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { fileName } from "../../instruments/download.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { type EntryKind, numberEntry, NumberEntry, plainLength } from "../../instruments/number-entry.tsx";
import { ReasonLine, Section, StationTitle, Table } from "../../instruments/section.tsx";
import { TextEntry } from "../../instruments/text-entry.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure } from "../../instruments/words.tsx";
import { Cost } from "./cost.tsx";
import { DxfImport } from "./dxf-import.tsx";
import { FaceTable } from "./face-table.tsx";
import { Features, type Spot } from "./features.tsx";
import { Mates } from "./mates.tsx";
import { newShaft, ShaftSections } from "./shaft-sections.tsx";
import { Views } from "./views.tsx";

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
  // What is open stands in the address: a feature can be gone to from anywhere.
  const [search, setSearch] = useSearchParams();
  const open = search.get("feature");
  const setOpen = (id: string | null) =>
    setSearch(id ? { feature: id } : {}, { replace: true, preventScrollReset: true });
  const [spot, setSpot] = useState<Spot | null>(null);
  const site = drawnSite(part);
  const features = featuresOf(part);
  const cutouts = drawnCutouts(part, site);
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
        <Choice
          label="The part is a"
          value={part.shaft ? "shaft" : "block"}
          options={[
            ["block", "block"],
            ["shaft", "turned shaft"],
          ]}
          onChoose={(form) => void submit.set("part/shaft", form === "shaft" ? newShaft() : null)}
        />
        <TextEntry label="Job" path="name" value={job.name} />
        <TextEntry label="Sheet, order or place" path="sheet" value={job.sheet} />
        <NumberEntry label="How many are wanted" path="quantity" kind={quantityEntry} value={job.quantity} />
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

      {part.shaft && <ShaftSections shaft={part.shaft} />}
      <Views
        site={site}
        cutouts={cutouts}
        open={features.find((f) => f.id === open) ?? null}
        onOpen={setOpen}
        onSpot={setSpot}
        saveAs={`${fileName(job.name)}-views`}
      />

      <Features site={site} open={open} onOpen={setOpen} spot={spot} onSpotUsed={() => setSpot(null)} />

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

      {!part.shaft && <DxfImport site={site} />}
      {!part.shaft && <FaceTable faces={part.faces} />}
      <Mates />

      <Section title="What is understood">
        <Table
          label="Sizes and limits"
          head={["size", "smallest", "aim", "largest", "tolerance from", "moves with it"]}
        >
          {understoodSizes(part).map(({ name, size, retargeted }) => {
            const limits = size ? limitsOf(size, part) : null;
            return (
              <tr key={name}>
                <th scope="row">{name}</th>
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
                      {retargeted && job.retargets[retargeted] ? "; a deviation is recorded" : ""}
                    </td>
                    <td>
                      {retargeted
                        ? movesWith(part, retargeted, size.nominal + 1)
                            .map((move) => move.name)
                            .join(", ")
                        : ""}
                    </td>
                  </>
                ) : (
                  <td colSpan={5}>not entered yet</td>
                )}
              </tr>
            );
          })}
        </Table>
      </Section>

      <Cost />

      <Section title="Drawing check">
        {plan.findings.length === 0 ? (
          <Notice severity="good">No mistakes found in the drawing. Next: Stock (2).</Notice>
        ) : (
          <Warnings of={plan.findings} />
        )}
      </Section>
    </>
  );
}

/** The sizes of the bare part: three of a block, two of every section of a shaft. */
function understoodSizes(part: Part): { name: string; size: Dimension | null; retargeted: Axis | null }[] {
  if (part.shaft)
    return sectionsOf(part.shaft).flatMap(({ diameter, length }, i) => [
      { name: `Section ${i + 1}, diameter`, size: diameter, retargeted: null },
      { name: `Section ${i + 1}, length`, size: length, retargeted: null },
    ]);
  return axisNames.map((axis) => ({ name: axisWords[axis], size: part.sizes[axis], retargeted: axis }));
}

/** Whole pieces, at least one. */
const quantityEntry: EntryKind<number> = {
  ...numberEntry("count"),
  parse: (text, unit) => {
    const read = numberEntry("count").parse(text, unit);
    return read.ok && !(Number.isInteger(read.value) && read.value >= 1 && read.value <= mostPieces)
      ? { ok: false, problem: words(`Type how many pieces: a whole number from 1 to ${mostPieces}.`) }
      : read;
  },
};
