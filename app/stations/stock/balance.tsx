import { Box, chakra } from "@chakra-ui/react";
import { balanceView } from "../../../core/figure/index.ts";
import {
  axesAcross,
  axisNames,
  type Face,
  faceNames,
  facesOf,
  type Sizes,
} from "../../../core/frame/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import type { Lump } from "../../../core/plan/index.ts";
import {
  type Balance,
  type FacePoint,
  canTilt,
  facePoints,
  fewestPoints,
  mostPoints,
  packingFor,
  type Probed,
  probedFindings,
  scribedAt,
  standsOn,
} from "../../../core/stock/index.ts";
import { type Phrase, say } from "../../../core/working/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Check } from "../../instruments/check.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { NumberEntry } from "../../instruments/number-entry.tsx";
import { Section, StationTitle, Table } from "../../instruments/section.tsx";
import { useAnswer } from "../../instruments/use-answer.ts";
import { useOrdered } from "../../instruments/use-ordered.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { Cores } from "./cores.tsx";
import { Halves, SplitLine } from "./split-line.tsx";
import { Stands } from "./stands.tsx";
import { signedEntry } from "../../instruments/signed-entry.ts";

/** Where the finished part lies in the lump, by points probed on its faces: what comes off each, how to pack it, what to scribe. */
export function BalanceView() {
  const { job, plan, lump } = useJob();
  const submit = useSubmit();
  const { stock } = job;
  const points = stock.points.order.map((id) => stock.points.byId[id]!);
  const probed = facePoints(points);
  const finished = plan.target;
  const balance = useAnswer("lump", plan, lump, job);
  const list = useOrdered("stock/points");
  const add = () => {
    const id = newId();
    const face = points.at(-1)?.face ?? "bottom";
    list.add(id, { id, face, first: null, second: null, reads: null });
  };
  return (
    <>
      <StationTitle above="Stock">Where does the part lie in the blank?</StationTitle>
      {!finished && (
        <Notice severity="note">
          Enter the three finished sizes first (1). You can probe the blank meanwhile.
        </Notice>
      )}
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1.1fr) minmax(0, 1fr)" }}
        gap="6px 24px"
      >
        <Box>
          {finished && (
            <>
              <Warnings of={probedFindings(points, finished)} />
              {balance && <Told lump={balance} finished={finished} points={probed} tilts={canTilt(probed)} />}
            </>
          )}
        </Box>
        <Box>
          <Section title="Points probed, from one plate or table">
            <chakra.p fontSize="13.5px" color="quiet" mb="6px">
              Zero is about the low left front corner of the finished part. A reading counts along the size
              the face bounds: a bottom face 1.5 below zero reads −1.5.
            </chakra.p>
            <Table label="Points probed" maxH="340px" head={["face", "along", "across", "reads", ""]}>
              {points.map((point, i) => (
                <PointRow
                  key={point.id}
                  point={point}
                  number={i + 1}
                  onRemove={() => list.remove(point.id)}
                />
              ))}
            </Table>
            <Box display="flex" gap="10px" alignItems="center" flexWrap="wrap" mt="8px" className="no-print">
              <Button look="strong" onClick={add} disabled={points.length >= mostPoints}>
                Add a point
              </Button>
              <Check checked={stock.tilts} onCheck={(on) => void submit.set("stock/tilts", on)}>
                it may be tilted
              </Check>
              <Choice
                label="A face that stays as it is"
                value={stock.locked[0] ?? "none"}
                options={[["none", "none"], ...faceNames.map((face) => [face, face] as const)]}
                onChoose={(face) => void submit.set("stock/locked", face === "none" ? [] : [face])}
              />
            </Box>
          </Section>
          <Cores />
          <SplitLine />
        </Box>
      </Box>
    </>
  );
}

/** One probed point: which face, where on it, what it reads. */
function PointRow({ point, number, onRemove }: { point: Probed; number: number; onRemove: () => void }) {
  const submit = useSubmit();
  const path = `stock/points/byId/${point.id}`;
  const [first, second] = axesAcross(point.face);
  const entry = (what: "first" | "second" | "reads", label: string) => (
    <td>
      <NumberEntry
        bare
        label={`${label}, point ${number}`}
        path={`${path}/${what}`}
        kind={signedEntry}
        value={point[what]}
        width="70px"
      />
    </td>
  );
  return (
    <tr>
      <td>
        <Choice
          label={`Face of point ${number}`}
          hideLabel
          value={point.face}
          options={faceNames.map((face) => [face, face] as const)}
          onChoose={(face) => void submit.set(`${path}/face`, face)}
        />
      </td>
      {entry("first", `${point.face}, along the ${first}`)}
      {entry("second", `${point.face}, along the ${second}`)}
      {entry("reads", `${point.face} reads`)}
      <td>
        <Button look="quiet" onClick={onRemove} aria-label={`Remove point ${number}`}>
          ×
        </Button>
      </td>
    </tr>
  );
}

/** What the points say: enough or not, what comes off each face, how to pack and what to scribe. */
function Told({
  lump: { found, need },
  finished,
  points,
  tilts,
}: {
  lump: Lump;
  finished: Sizes;
  points: readonly FacePoint[];
  tilts: boolean;
}) {
  if (!found)
    return (
      <Notice severity="note">
        {points.length === 0
          ? "No point is whole yet. Probe both faces of a size at three places or more."
          : "Probe the opposite face too: a size is balanced between its two faces."}
      </Notice>
    );
  const packing = packingFor(found.motion, finished);
  const packed = packing.some((p) => p.under >= 0.01);
  const axes = axisNames.filter((axis) => found.faces[facesOf(axis)[0]]);
  const over = (face: Face) => found.faces[face]!.least - need[face];
  const thinnest = axes.flatMap(facesOf).reduce((a, b) => (over(b) < over(a) ? b : a));
  return (
    <>
      <FigureView figure={balanceView(points, found.motion, finished, thinnest)} maxHeight="230px" />
      <Notice severity={found.smallest >= -1e-6 ? "good" : "stop"}>
        <Words of={verdictOf(found)} />
      </Notice>
      <Table
        label="What comes off each face"
        figures={[1, 2, 3]}
        head={["face", "least", "most", "needs", ""]}
      >
        {axes.flatMap(facesOf).map((face) => {
          const off = found.faces[face]!;
          const raw = off.least < need[face] - 1e-6;
          return (
            <tr key={face}>
              <th scope="row">{face}</th>
              <td>
                <Worked at={`lump#${face}`}>
                  <Figure of={mm(off.least)} />
                </Worked>
              </td>
              <td>
                <Figure of={mm(off.most)} />
              </td>
              <td>
                <Figure of={mm(need[face])} />
              </td>
              <td>
                <chakra.b color={raw ? "stop" : "good"}>{raw ? "■ stays raw there" : "✓ cleans up"}</chakra.b>
              </td>
            </tr>
          );
        })}
      </Table>
      {found.cores.length > 0 && (
        <Table
          label="Walls beside the cores"
          figures={[1, 2, 3]}
          head={["core", "off drawn", "thinnest wall", "drawn", ""]}
        >
          {found.cores.map(({ id, off, wall }, i) => (
            <tr key={id}>
              <th scope="row">{i + 1}</th>
              <td>
                <Worked at={`core#${id}`}>
                  <Figure of={mm(off)} />
                </Worked>
              </td>
              <td>
                <Worked at={`core#${id}`}>
                  <Figure of={mm(wall.thick)} />
                </Worked>
              </td>
              <td>
                <Figure of={mm(wall.drawn)} />
              </td>
              <td>
                <chakra.b color={wall.thick > 0 ? "ink" : "stop"}>
                  {wall.thick > 0 ? `to the ${wall.face}` : `■ breaks out at the ${wall.face}`}
                </chakra.b>
              </td>
            </tr>
          ))}
        </Table>
      )}
      <Halves found={found} finished={finished} need={need} />
      <Section title="Set it up so">
        {!tilts && (
          <chakra.p fontSize="14px" color="quiet">
            Moved only: {fewestPoints} points on every face would let it be tilted too.
          </chakra.p>
        )}
        <Table
          label="Scribed lines"
          figures={[1, 2]}
          head={["standing on", "first line", "second line", "kept from tipping"]}
        >
          {axes.map((axis) => {
            const lines = scribedAt(axis, found, finished)!;
            return (
              <tr key={axis}>
                <th scope="row">the {facesOf(axis)[0]} face</th>
                <td>
                  <Worked at={`scribed#${axis}`}>
                    <Figure of={mm(lines.low)} />
                  </Worked>
                </td>
                <td>
                  <Figure of={mm(lines.high)} />
                </td>
                <td>
                  <Stands face={facesOf(axis)[0]} how={standsOn(axis, finished, packed)} />
                </td>
              </tr>
            );
          })}
        </Table>
        <Packings of={packed ? packing : null} />
      </Section>
    </>
  );
}

/** What goes under the three rests; nothing where the lump lies level as it is. */
function Packings({ of: packing }: { of: ReturnType<typeof packingFor> | null }) {
  if (!packing)
    return (
      <chakra.p fontSize="14.5px" mt="6px">
        It lies level on three rests: nothing goes under them. Heights are over the plate.
      </chakra.p>
    );
  return (
    <chakra.p fontSize="14.5px" mt="6px">
      <Worked at="packing#rests">Under the three rests</Worked>:{" "}
      {packing.map(({ at, under }, i) => (
        <span key={i}>
          {i > 0 && ", "}
          <b>
            <Figure of={mm(under)} />
          </b>{" "}
          at <Figure of={mm(at.length)} decimals={0} /> along and <Figure of={mm(at.width)} decimals={0} />{" "}
          across
        </span>
      ))}
      . Lines count from the lowest point of the face it stands on: try the heights of two corners before you
      scribe.
    </chakra.p>
  );
}

function verdictOf(found: Balance): Phrase {
  const gained = found.smallest - found.asPlaced;
  if (found.smallest < -1e-6)
    return say`${mm(-found.smallest)} is missing at the worst place, however it is laid. Let that face stay raw if the drawing allows it, make the part smaller, or weld it up.`;
  return gained > 0.01
    ? say`It cleans up, with ${mm(found.smallest)} over what is needed at the worst place: ${mm(gained)} more than as it lay.`
    : say`It cleans up as it lies, with ${mm(found.smallest)} over what is needed at the worst place.`;
}
