import { chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { useState } from "react";
import { axisOf, type Face, faceNames } from "../../../core/frame/index.ts";
import {
  type FacePair,
  faceRecut,
  pairOf,
  readAgainAfter,
  type Requirement,
  reworkOffer,
} from "../../../core/plan/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath } from "../../instruments/job-paths.ts";
import { Notice } from "../../instruments/notice.tsx";
import { setupPlace } from "../../instruments/setup-place.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";

/** A size that has metal left goes back to the machine: as a setup of its own, with what it takes and what hangs on its face. */
export function Rework({ of: r }: { of: Requirement }) {
  const { job, plan, piece, records } = useJob();
  const submit = useSubmit();
  const [chosen, choose] = useState<FacePair>({ face: "top", to: "front" });
  // Squareness without names is wherever it is worst: who held the square to it says between which faces.
  const unnamed = r.of === "squareness" && r.verdict?.verdict === "rework";
  const pair = unnamed ? chosen : pairOf(r, job.part, plan);
  const offer = reworkOffer(r, plan, records, piece, pair);
  if (!offer) return null;
  const again = readAgainAfter(faceRecut(r.of, pair, plan.setups), job.part);
  const machine = (
    <Link to={machinePath(job.id, piece)} style={{ textDecoration: "underline" }}>
      At the machine
    </Link>
  );
  if (offer.state === "clamped")
    return (
      <Notice severity="note">
        It is still clamped in {setupPlace(offer.setup, plan)}: go on there. {machine}
      </Notice>
    );
  const between = unnamed && <Between pair={chosen} onChoose={choose} />;
  if (offer.state === "short")
    return (
      <>
        {between}
        <Notice severity="stop">
          <Words of={offer.why} />
        </Notice>
      </>
    );
  if (offer.state === "offered")
    return (
      <chakra.div mt="8px" className="no-print">
        {between}
        <Button
          look="strong"
          disabled={submit.busy}
          onClick={() => void submit.append(offer.event)}
          aria-describedby="rework-what"
        >
          Cut it once more: plan the rework
        </Button>
        <chakra.p id="rework-what" fontSize="13.5px" color="quiet" mt="4px">
          A setup of its own, after all others, for <Figure of={mm(offer.event.left)} decimals={3} /> that{" "}
          {offer.worked ? (
            <>
              comes off: <Words of={offer.worked} />
            </>
          ) : (
            "is left."
          )}
          {again.length > 0 && <> Then to be read again: {again.map((f) => f.name).join(", ")}.</>}
        </chakra.p>
      </chakra.div>
    );
  const { minutes } = offer.setup;
  return (
    <Notice severity="warn">
      <b>Rework planned:</b> {setupPlace(offer.setup, plan)},{" "}
      <Figure of={quantity("time", minutes.cutting + minutes.handling)} />.{" "}
      {again.length > 0 && <>Then to be read again: {again.map((f) => f.name).join(", ")}. </>}
      {machine}
      {!offer.begun && (
        <>
          {" "}
          <Button
            look="quiet"
            onClick={() => void submit.append({ type: "withdrawn", of: offer.record, reason: "no rework" })}
          >
            No rework
          </Button>
        </>
      )}
    </Notice>
  );
}

/** The face that is cut once more, and the one it has to come square to. */
function Between({ pair, onChoose }: { pair: FacePair; onChoose: (pair: FacePair) => void }) {
  const neighbors = (face: Face) => faceNames.filter((f) => axisOf(f) !== axisOf(face));
  const named = (faces: readonly Face[]) => faces.map((f) => [f, f] as const);
  return (
    <chakra.div display="flex" gap="8px 14px" flexWrap="wrap" mb="6px">
      <Choice
        label="Face to cut again"
        value={pair.face}
        options={named(faceNames)}
        onChoose={(face) =>
          onChoose({
            face,
            to: pair.to && neighbors(face).includes(pair.to) ? pair.to : neighbors(face)[0]!,
          })
        }
      />
      <Choice
        label="square to the"
        value={pair.to ?? ""}
        options={named(neighbors(pair.face))}
        onChoose={(to) => onChoose({ ...pair, to })}
      />
    </chakra.div>
  );
}
