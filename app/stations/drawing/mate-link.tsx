import { Box, chakra } from "@chakra-ui/react";
import { axisNames } from "../../../core/frame/index.ts";
import { Link } from "react-router";
import { changeOf, mirroredAlong, turnedPlaces } from "../../../core/job/index.ts";
import {
  type CarriedAs,
  carriedHole,
  carriedAs,
  holesToCarry,
  judgedBy,
  linkedSize,
  takenOver,
} from "../../../core/plan/index.ts";
import { featureNames, featuresOf, type Mate, sizesOfPart } from "../../../core/part/index.ts";
import {
  type Dimension,
  dimensionOf,
  type Mm,
  mm,
  showDimension,
  tidy,
} from "../../../core/quantity/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { Table } from "../../instruments/section.tsx";
import { useCircle, useOtherJob, useOtherJobs } from "../../instruments/use-other-job.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure } from "../../instruments/words.tsx";

const underlined = { textDecoration: "underline" } as const;

/** The job on this bench that is the other part: its size as drawn or as measured, its holes, its mirrored places. */
export function MateLink({ mate, at }: { mate: Mate; at: string }) {
  const { job } = useJob();
  const submit = useSubmit();
  const others = useOtherJobs(job.id);
  const other = useOtherJob(mate.job);
  const choose = (id: string) => {
    const card = others.find((c) => c.id === id);
    void submit.change([
      changeOf(job, `${at}/job`, id),
      changeOf(job, `${at}/path`, ""),
      ...(card ? [changeOf(job, `${at}/other`, card.name)] : []),
    ]);
  };
  if (others.length === 0 && mate.job === "") return null;
  return (
    <Box flexBasis="100%" borderLeftWidth="3px" borderColor="rule" pl="10px">
      <Box display="flex" gap="10px 14px" flexWrap="wrap" alignItems="flex-end">
        <Choice
          label="Its job on this bench"
          value={mate.job}
          options={[["", "none"], ...others.map((c) => [c.id, c.name || "Unnamed job"] as const)]}
          onChoose={choose}
        />
        {other && (mate.kind === "fits" || mate.kind === "sum") && (
          <Choice
            label="Its size there"
            value={mate.path}
            empty="choose a size"
            options={sizesOfPart(other.job.part).map((s) => [s.path, s.name] as const)}
            onChoose={(path) => void submit.set(`${at}/path`, path)}
          />
        )}
        {mate.job !== "" && other !== null && (
          <Link to={`/jobs/${mate.job}/drawing`} style={underlined}>
            Open it
          </Link>
        )}
      </Box>
      {mate.job !== "" && other === null && (
        <Notice severity="warn">That job is not on the bench any more. What was taken from it stays.</Notice>
      )}
      {other && mate.path !== "" && mate.kind === "fits" && <TakeOver mate={mate} at={at} other={other} />}
      {other && mate.path !== "" && mate.kind === "sum" && <OtherHalf mate={mate} other={other} />}
      {other && mate.kind === "drilled" && <CarryHoles mate={mate} other={other} />}
      {other && mate.kind === "handed" && <Turned other={other} />}
    </Box>
  );
}

type Other = NonNullable<ReturnType<typeof useOtherJob>>;

/** The other's size as drawn and as measured: taken over with a press, and said where it has changed since. */
function TakeOver({ mate, at, other }: { mate: Mate; at: string; other: Other }) {
  const { job, shop, own, unit } = useJob();
  const submit = useSubmit();
  const { drawn, read } = linkedSize(mate.path, other.job, other.records, judgedBy(other.job, shop, own));
  const circle = useCircle(job);
  const take = (size: Dimension, measured: { by: string; on: string } | null) =>
    void submit.set(at, takenOver(mate, size, measured));
  const last = read.at(-1);
  const same = mate.measured && last && mate.mate && Math.abs(mate.mate.nominal - last.value) < 1e-6;
  return (
    <Box mt="6px">
      {circle && mate.measured && (
        <Notice severity="warn">
          {circle.join(", ")} are each made to what is measured of the next, in a ring. One has to come first:
          make one of them to its drawing.
        </Notice>
      )}
      <Box display="flex" gap="8px 14px" flexWrap="wrap" alignItems="center">
        {drawn && (
          <span>
            Drawn {showDimension(drawn, unit)}{" "}
            <Button onClick={() => take(drawn, null)}>Take it as drawn</Button>
          </span>
        )}
        {read.length === 0 && <chakra.span color="quiet">Not measured yet.</chakra.span>}
        {read.map(({ piece, value, by, on }) => (
          <span key={piece}>
            {other.job.quantity > 1 && `Piece ${piece}: `}
            measured{" "}
            <b>
              <Figure of={mm(value)} decimals={3} />
            </b>{" "}
            <Button onClick={() => take(dimensionOf(value, unit), { by, on })}>Take what was measured</Button>
          </span>
        ))}
      </Box>
      {mate.measured && last && !same && (
        <Notice severity="warn">
          It was measured again since: <Figure of={mm(last.value)} decimals={3} />, and this part goes by{" "}
          {mate.mate ? showDimension(mate.mate, unit) : "nothing"}.
        </Notice>
      )}
    </Box>
  );
}

/** The other half as it was measured: this one is made so that both together come out, as a deviation that is said. */
function OtherHalf({ mate, other }: { mate: Mate; other: Other }) {
  const { job, shop, own, unit } = useJob();
  const submit = useSubmit();
  const { read } = linkedSize(mate.path, other.job, other.records, judgedBy(other.job, shop, own));
  const axis = axisNames.find((a) => mate.size === `sizes/${a}`);
  const last = read.at(-1);
  if (!mate.mate) return null;
  if (!last) return <chakra.p color="quiet">The other half is not measured yet.</chakra.p>;
  const left = tidy(mate.mate.nominal - last.value);
  if (left <= 0)
    return (
      <Notice severity="warn">
        The other half measured <Figure of={mm(last.value)} decimals={3} />: nothing is left of both together
        for this one.
      </Notice>
    );
  const now = axis ? (job.retargets[axis]?.size ?? job.part.sizes[axis]) : null;
  return (
    <Box mt="6px">
      The other half measured <Figure of={mm(last.value)} decimals={3} />: of both together this one is to be{" "}
      <b>
        <Figure of={mm(left)} decimals={3} />
      </b>
      .{" "}
      {axis && (!now || Math.abs(now.nominal - left) > 1e-6) && (
        <Button
          disabled={submit.busy}
          onClick={() =>
            void submit.set(`retargets/${axis}`, {
              size: dimensionOf(left, unit, job.part.sizes[axis] ?? undefined),
              reason: `made to ${other.job.name || "the other half"} as measured`,
            })
          }
        >
          Make this half to it
        </Button>
      )}
      {!axis && <chakra.span color="quiet">Enter it as the size of the feature on the sheet.</chakra.span>}
    </Box>
  );
}

const carriedWords: Record<CarriedAs, string> = {
  same: "the same size",
  clearance: "clearance, by their screw",
  tapping: "tapped, by their screw",
};

/** Holes of the other part, put in here in the same places: what is drilled together has one pattern. */
function CarryHoles({ mate, other }: { mate: Mate; other: Other }) {
  const { job } = useJob();
  const submit = useSubmit();
  const holes = holesToCarry(other.job, job);
  if (holes.length === 0)
    return <chakra.p color="quiet">Every hole of {other.job.name} is in this part too.</chakra.p>;
  const carry = (as: CarriedAs) => {
    const made = holes.flatMap((hole) => carriedHole(hole, as, newId()) ?? []);
    const { order } = job.part.features;
    void submit.change([
      ...made.map((f) => changeOf(job, `part/features/byId/${f.id}`, f)),
      changeOf(job, "part/features/order", [...order, ...made.map((f) => f.id)]),
    ]);
  };
  return (
    <Box display="flex" gap="8px" flexWrap="wrap" alignItems="center" mt="6px">
      <span>
        {holes.length} {holes.length === 1 ? "hole" : "holes"} of {other.job.name}{" "}
        {holes.length === 1 ? "is" : "are"} not in this part. Put {holes.length === 1 ? "it" : "them"} in:
      </span>
      {carriedAs
        .filter((as) => holes.every((hole) => carriedHole(hole, as, hole.id) !== null))
        .map((as) => (
          <Button key={as} onClick={() => carry(as)}>
            {carriedWords[as]}
          </Button>
        ))}
      <chakra.span color="quiet" fontSize="13.5px">
        Clamp both together and drill through, or mark through the finished hole with a transfer punch. Mark
        both {mate.other && `(${mate.other})`} so that they go together the same way again.
      </chakra.span>
    </Box>
  );
}

const SignedPlace = ({ of }: { of: Mm }) => (
  <>
    {of > 0 && "+"}
    <Figure of={mm(of)} />
  </>
);

/** Places that change sides between a part and its mirror, from the middle: the slips to expect. */
function Turned({ other }: { other: Other }) {
  const { job } = useJob();
  const axis = mirroredAlong(other.job.part, job.part);
  if (!axis)
    return (
      <Notice severity="warn">
        The two are no mirrors of one another any more: a size or a feature was changed in one of them only.
        Compare the drawings.
      </Notice>
    );
  const turned = turnedPlaces(job.part, axis);
  const names = featureNames(featuresOf(job.part));
  return (
    <Box mt="6px">
      <chakra.p fontSize="14px" color="quiet">
        Mirrored along the {axis}. Make one of the two through to the end before the other: it is the practice
        for it. These signs turn round; check each on the readout before the first cut there.
      </chakra.p>
      {turned.length === 0 ? (
        <p>Every feature lies in the middle of the {axis}: the two are alike.</p>
      ) : (
        <Table
          label="Places that turn round"
          figures={[1, 2]}
          head={["feature, from the middle", "this part", other.job.name]}
        >
          {turned.map((t) => (
            <tr key={t.id}>
              <th scope="row">{names.get(t.id)}</th>
              <td>
                <SignedPlace of={t.here} />
              </td>
              <td>
                <SignedPlace of={t.there} />
              </td>
            </tr>
          ))}
        </Table>
      )}
    </Box>
  );
}
