import { memo } from "react";
import { type Axis, axisNames } from "../../../core/frame/index.ts";
import { type Job, movesWith } from "../../../core/job/index.ts";
import { limitsOf, type Part, sectionsOf } from "../../../core/part/index.ts";
import { type Dimension, mm } from "../../../core/quantity/index.ts";
import { Section, Table } from "../../instruments/section.tsx";
import { Figure } from "../../instruments/words.tsx";

export const axisWords: Record<Axis, string> = { length: "Length", width: "Width", height: "Height" };
const head = ["size", "smallest", "aim", "largest", "tolerance from", "moves with it"];

/** The sizes of the bare part with the limits that count, and where these come from. */
export function UnderstoodSizes({ part, retargets }: { part: Part; retargets: Job["retargets"] }) {
  return (
    <Section title="As understood">
      <Table label="Sizes and limits" head={head}>
        {sizesOf(part).map(({ name, size, axis }) => {
          const limits = size && limitsOf(size, part);
          return limits ? (
            <Row
              key={name}
              name={name}
              lower={limits.lower}
              upper={limits.upper}
              from={
                size.upper === null ? "the general tolerance" : size.fit ? `fit ${size.fit}` : "the drawing"
              }
              deviates={axis !== null && retargets[axis] !== undefined}
              moves={
                axis
                  ? movesWith(part, axis, size.nominal + 1)
                      .map((move) => move.name)
                      .join(", ")
                  : ""
              }
            />
          ) : (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td colSpan={5}>not entered yet</td>
            </tr>
          );
        })}
      </Table>
    </Section>
  );
}

const Row = memo(function Row({
  name,
  lower,
  upper,
  from,
  deviates,
  moves,
}: {
  name: string;
  lower: number;
  upper: number;
  from: string;
  deviates: boolean;
  moves: string;
}) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>
        <Figure of={mm(lower)} decimals={3} />
      </td>
      <td>
        <b>
          <Figure of={mm((lower + upper) / 2)} decimals={3} />
        </b>
      </td>
      <td>
        <Figure of={mm(upper)} decimals={3} />
      </td>
      <td>
        {from}
        {deviates ? "; a deviation is recorded" : ""}
      </td>
      <td>{moves}</td>
    </tr>
  );
});

/** Three of a block, two of every section of a shaft; only those of a block can be aimed at anew. */
function sizesOf(part: Part): { name: string; size: Dimension | null; axis: Axis | null }[] {
  if (part.shaft)
    return sectionsOf(part.shaft).flatMap(({ diameter, length }, i) => [
      { name: `Section ${i + 1}, diameter`, size: diameter, axis: null },
      { name: `Section ${i + 1}, length`, size: length, axis: null },
    ]);
  return axisNames.map((axis) => ({ name: axisWords[axis], size: part.sizes[axis], axis }));
}
