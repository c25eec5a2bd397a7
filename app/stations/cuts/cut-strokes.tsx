import { chakra } from "@chakra-ui/react";
import { useState } from "react";
import { faceView } from "../../../core/figure/index.ts";
import { cutKey } from "../../../core/plan/index.ts";
import {
  faceOf,
  type FaceSetup,
  type FeatureOperation,
  type FeatureSetup,
  isFaceSetup,
  type Operation,
  type Setup,
} from "../../../core/route/index.ts";
import { strokesNow } from "../../../core/steps/index.ts";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Lanes } from "../../instruments/lanes.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { PassLadder } from "../../instruments/pass-ladder.tsx";
import { Section } from "../../instruments/section.tsx";
import { OperationFromAbove } from "../../instruments/setup-from-above.tsx";
import { useDrawnSetup } from "../../instruments/use-drawn-setup.ts";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { MovesTable } from "./moves-table.tsx";

/** Where the cutter goes, seen from above, and where it stops: pass by pass, or move by move. */
export function CutStrokes({
  setup,
  operation,
  moves,
}: {
  setup: Setup;
  operation: Operation;
  /** Each pass or move with its stops. */
  moves: boolean;
}) {
  if (isFaceSetup(setup)) return <FaceStrokes setup={setup} told={moves} />;
  return operation.by === "face" ? null : <FeatureStrokes setup={setup} operation={operation} told={moves} />;
}

function FaceStrokes({ setup, told }: { setup: FaceSetup; told: boolean }) {
  const { job, plan } = useJob();
  const { machine, vise } = useEquipment(setup);
  const op = faceOf(setup);
  const passes = plan.ladders[op.key] ?? [];
  const strokes = strokesNow(op, passes);
  return (
    <>
      {!told && strokes.length > 0 && vise && (
        <Section title="Lanes, seen from above">
          <FigureView
            figure={faceView(setup, strokes, vise)}
            maxHeight="330px"
            saveAs={`${fileName(job.name)}-${op.key.replace("/", "-")}`}
          />
          {machine && <Lanes of={op.sweep} machine={machine} />}
        </Section>
      )}
      {told && (
        <Section title="Passes: depth, and where to stop from zero">
          <PassLadder
            passes={passes}
            corrections={plan.corrections[op.key] ?? []}
            current={passes.find((p) => !p.done)?.number ?? null}
          />
          <chakra.p fontSize="14px" mt="4px">
            <Worked at={cutKey(op.key, "stop")}>How the next stop is worked out</Worked>
          </chakra.p>
        </Section>
      )}
    </>
  );
}

function FeatureStrokes({
  setup,
  operation,
  told,
}: {
  setup: FeatureSetup;
  operation: FeatureOperation;
  told: boolean;
}) {
  const { job } = useJob();
  const { machine } = useEquipment(setup);
  const { movesOf } = useDrawnSetup(setup);
  const [at, setAt] = useState<number | null>(null);
  const moves = movesOf(operation);
  if (moves.length === 0) return <Notice severity="note">Bench work: nothing moves at the machine.</Notice>;
  return (
    <Section title={`${moves.length} moves, all from one zero`}>
      <OperationFromAbove
        setup={setup}
        operation={operation}
        at={at}
        maxHeight={told ? "300px" : "400px"}
        saveAs={`${fileName(job.name)}-${operation.key.replace("/", "-")}`}
      />
      {machine && told && <MovesTable moves={moves} machine={machine} at={at} onAt={setAt} />}
    </Section>
  );
}
