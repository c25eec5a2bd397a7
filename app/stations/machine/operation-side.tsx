import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { faceView, setupSection } from "../../../core/figure/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import {
  faceOf,
  type FaceSetup,
  type FeatureSetup,
  isFaceSetup,
  keySlug,
  type Setup,
} from "../../../core/route/index.ts";
import type { Vise } from "../../../core/shop/index.ts";
import type { FaceProgress, Step } from "../../../core/steps/index.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { PassLadder } from "../../instruments/pass-ladder.tsx";
import { OperationFromAbove } from "../../instruments/setup-from-above.tsx";
import { useDrawnSetup } from "../../instruments/use-drawn-setup.ts";
import { Figure, Words } from "../../instruments/words.tsx";

/** The strokes of a step, seen from above, with the one to do now. */
export function StepPicture({ step, setup, vise, maxHeight }: Seen & { maxHeight: string }) {
  return isFaceSetup(setup) ? (
    <FigureView figure={faceView(setup, step.strokes, vise)} maxHeight={maxHeight} />
  ) : (
    <OperationFromAbove
      setup={setup}
      operation={setup.operations.find((o) => o.key === step.op)!}
      at={step.move?.move.number ?? null}
      maxHeight={maxHeight}
    />
  );
}

interface Seen {
  step: Step;
  setup: Setup;
  vise: Vise;
}

/** Whether a step is seen as the strokes of its cutter; else how the part is held is shown. */
function isSeenFromAbove({ setup, step }: Pick<Seen, "setup" | "step">): boolean {
  if (isFaceSetup(setup)) return step.kind === "cut";
  return !["place", "clamp", "takeOut"].includes(step.kind);
}

/** What stands beside a step: its operation as far as it is cut, the picture, and the way to what it comes from. */
export function OperationSide({ step, setup, vise }: Seen) {
  const { job, shop } = useJob();
  const section = setupSection(setup, vise, shop.cutters, { small: false });
  const here = `/jobs/${job.id}`;
  return (
    <>
      {isFaceSetup(setup) ? (
        <FaceHead step={step} setup={setup} />
      ) : (
        <FeatureHead step={step} setup={setup} />
      )}
      <Box mt="12px" maxW="620px" mx="auto">
        {isSeenFromAbove({ setup, step }) ? (
          <StepPicture step={step} setup={setup} vise={vise} maxHeight="58vh" />
        ) : (
          section && <FigureView figure={section} />
        )}
      </Box>
      {step.move && !isFaceSetup(setup) && <Levels step={step} setup={setup} />}
      <chakra.p mt="10px">
        <Underlined to={`${here}/setups/${keySlug(step.op)}`}>This setup, and why</Underlined>
        {" · "}
        <Underlined to={`${here}/cuts/${keySlug(step.op)}`}>How it is cut</Underlined>
      </chakra.p>
    </>
  );
}

const Underlined = ({ to, children }: { to: string; children: ReactNode }) => (
  <Link to={to} style={{ textDecoration: "underline" }}>
    {children}
  </Link>
);

const SideTitle = ({ children }: { children: ReactNode }) => (
  <chakra.h2 fontSize="16px" color="quiet" mb="8px">
    {children}
  </chakra.h2>
);

/** Of a face: its passes as a ladder, and what the last reading moved. */
function FaceHead({ step, setup }: { step: Step; setup: FaceSetup }) {
  const { plan } = useJob();
  const { key, face, from, to } = faceOf(setup);
  const corrections = plan.corrections[key] ?? [];
  const last = corrections.at(-1);
  return (
    <>
      <SideTitle>
        Face {setup.after.faces[face].order ?? setup.number}: from <Figure of={mm(from)} /> to{" "}
        <Figure of={mm(to)} />
      </SideTitle>
      <PassLadder
        passes={plan.ladders[key] ?? []}
        corrections={corrections}
        current={step.pass && !step.pass.done ? step.pass.number : null}
      />
      {last && <Corrected by={last} />}
    </>
  );
}

function Corrected({ by }: { by: FaceProgress["corrections"][number] }) {
  return (
    <chakra.p fontSize="16px" mt="10px" role="status">
      After pass {by.afterPass} you read{" "}
      <b>
        {by.readings.map((r, i) => (
          <span key={i}>
            {i > 0 && ", "}
            <Figure of={mm(r)} />
          </span>
        ))}
      </b>
      :{" "}
      {Math.abs(by.off) < 0.0005 ? (
        "just as expected."
      ) : (
        <>
          the cut came out{" "}
          <b>
            <Figure of={mm(Math.abs(by.off))} decimals={3} />
          </b>{" "}
          {by.off > 0 ? "light" : "heavy"}, so every stop below moves with it.
        </>
      )}
    </chakra.p>
  );
}

/** Of a feature: what is done, and with what. */
function FeatureHead({ step, setup }: { step: Step; setup: FeatureSetup }) {
  const operation = setup.operations.find((o) => o.key === step.op)!;
  return (
    <SideTitle>
      <Words of={operation.title} />, {operation.toolName}
    </SideTitle>
  );
}

function Levels({ step, setup }: { step: Step; setup: FeatureSetup }) {
  const { movesOf } = useDrawnSetup(setup);
  const operation = setup.operations.find((o) => o.key === step.op)!;
  const levels = new Set(movesOf(operation).flatMap(({ to: { z } }) => (z === undefined ? [] : [z])));
  return (
    <chakra.p fontSize="15px" color="quiet" mt="6px">
      Levels:{" "}
      {[...levels].map((z, i) => (
        <span key={z}>
          {i > 0 && ", "}
          <Figure of={mm(z)} />
        </span>
      ))}
    </chakra.p>
  );
}
