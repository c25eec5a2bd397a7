import { turnedSections } from "../../../core/job/index.ts";
import { type Dimension, mm, showDimension } from "../../../core/quantity/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { lengthEntry, NumberEntry } from "../../instruments/number-entry.tsx";
import { PartDrawing } from "../../instruments/part-drawing.tsx";
import { Section, StationTitle, Table } from "../../instruments/section.tsx";
import { Figure } from "../../instruments/words.tsx";

/** A shaft comes turned: what it measures, section by section, against its drawing. */
export function TurnedStock() {
  const { job, unit } = useJob();
  const sections = turnedSections(job);
  const drawn = (size: Dimension | null) => (size ? showDimension(size, unit) : "not drawn yet");
  return (
    <>
      <StationTitle above="Stock">What have I got, and is it right?</StationTitle>
      <Notice severity="note">
        A shaft comes turned to its drawing. Measure each section near where it is milled: the depth of a
        keyseat counts from the diameter that is there.
      </Notice>
      <PartDrawing />
      <Section title="Measured diameters">
        <Table
          label="Sections of the shaft"
          figures={[1]}
          head={["section", "drawn", "measured", "against its limits"]}
        >
          {sections.map(({ id, drawn: size, outside, measured }, i) => (
            <tr key={id}>
              <th scope="row">{i + 1}</th>
              <td>{drawn(size)}</td>
              <td>
                <NumberEntry
                  bare
                  label={`Measured diameter of section ${i + 1}`}
                  path={`stock/turned/${id}`}
                  kind={lengthEntry}
                  value={measured}
                  width="120px"
                  optional
                />
              </td>
              <td>
                {outside === null ? (
                  "○ not measured"
                ) : outside === 0 ? (
                  "✓ within its limits"
                ) : (
                  <>
                    ▲ <Figure of={mm(Math.abs(outside))} decimals={3} /> too {outside > 0 ? "thick" : "thin"}:
                    turn it, or change the drawing
                  </>
                )}
              </td>
            </tr>
          ))}
        </Table>
      </Section>
    </>
  );
}
