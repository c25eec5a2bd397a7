import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { fluidWords } from "../../../core/cutting/index.ts";
import { type CutFigure, cutKey, type FeatureFigure } from "../../../core/plan/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import {
  conditionsOf,
  cutForFluid,
  type FaceOperation,
  type FeatureOperation,
  isFaceSetup,
  keyOfSetup,
  minutesOfOperation,
  type Operation,
  type Setup,
} from "../../../core/route/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Pace } from "../../instruments/pace.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";

/** The figures of a cut, each with its working: speed, feed, depth, how often, power, force, time. */
export function CutFigures({ setup, operation }: { setup: Setup; operation: Operation }) {
  const { unit } = useJob();
  const { material } = useEquipment();
  const { cut } = operation;
  const set = conditionsOf(operation);
  return (
    <Box display="grid" gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(4, 1fr)" }} gap="0 18px">
      {set && (
        <>
          <Fact
            of={operation}
            name="speed"
            label="spindle"
            more={<SpeedMore operation={operation} />}
            yours="speed"
          >
            <Figure of={quantity("spindleSpeed", set.rpm)} />
          </Fact>
          <Fact
            of={operation}
            name="feed"
            label={set.feedBy === "power" ? "power feed" : "feed by hand"}
            more={<FeedMore operation={operation} />}
            yours="feed"
          >
            <Figure of={quantity("feed", set.vf)} />
          </Fact>
        </>
      )}
      {cut && (
        <Fact
          of={operation}
          name="depth"
          label={cut.own.depth ? "depth per pass" : "depth per pass, at most"}
          more={<DepthMore operation={operation} />}
          yours="depth"
        >
          <Figure of={mm(cut.depth)} />
        </Fact>
      )}
      {operation.by === "face" ? <Passes of={operation} /> : <Floor of={operation} />}
      {cut && (
        <>
          <Fact
            of={operation}
            name="power"
            label="power at the cutter"
            more={
              <>
                of <Figure of={quantity("power", cut.spindlePower)} /> at the spindle
              </>
            }
          >
            <Figure of={quantity("power", cut.power)} />
          </Fact>
          <Fact
            of={operation}
            name="bending"
            label="force, bending"
            more={
              <>
                bends <Figure of={mm(cut.bending)} decimals={unit === "mm" ? 3 : 4} />, cutter and machine
              </>
            }
          >
            <Figure of={quantity("force", cut.force.peak)} />
          </Fact>
        </>
      )}
      <TimeTaken setup={setup} operation={operation} />
      {operation.by !== "face" && <ZeroKnown setup={setup} of={operation} />}
      {set && (
        <Box borderTopWidth="1.5px" borderColor="ink" pt="5px" pb="8px">
          <chakra.div fontSize="13px" color="quiet">
            by hand
          </chakra.div>
          <Pace seconds={set.pace} />
        </Box>
      )}
      {material && operation.by !== "hand" && (
        <chakra.p gridColumn="1 / -1" fontSize="14px" py="6px">
          <Words of={fluidWords(material, cutForFluid(operation))} />
        </chakra.p>
      )}
    </Box>
  );
}

/** One figure; set by the person it says so and can be undone. */
function Fact({
  of,
  name,
  label,
  children,
  more,
  yours,
}: {
  of: Operation;
  name: CutFigure | FeatureFigure;
  label: string;
  children: ReactNode;
  more?: ReactNode;
  yours?: "speed" | "feed" | "depth";
}) {
  const own = useOverrides(of.key);
  const set = yours !== undefined && Boolean(of.cut?.own[yours]);
  return (
    <Box borderTopWidth="1.5px" borderColor={set ? "accent" : "ink"} pt="5px" pb="8px">
      <chakra.div fontSize="13px" color="quiet" display="flex" gap="6px" alignItems="baseline">
        {label}
        {set && (
          <>
            <chakra.b color="accent">◆ yours</chakra.b>
            <chakra.button
              type="button"
              onClick={() => own.takeBack(yours)}
              color="accent"
              textDecoration="underline"
              cursor="pointer"
              aria-label={`Undo your ${name}`}
            >
              undo
            </chakra.button>
          </>
        )}
      </chakra.div>
      <chakra.div fontSize="22px" fontWeight="700">
        <Worked at={cutKey(of.key, name)}>{children}</Worked>
      </chakra.div>
      <chakra.div fontSize="13px" color="quiet">
        {more}
      </chakra.div>
    </Box>
  );
}

function SpeedMore({ operation }: { operation: Operation }) {
  const { cut } = operation;
  const setting = conditionsOf(operation)?.setting;
  if (!cut) return <>{setting}</>;
  const inRange = cut.vc >= cut.vcRange[0] - 1e-9 && cut.vc <= cut.vcRange[1] + 1e-9;
  return (
    <>
      {setting}; <Figure of={quantity("cuttingSpeed", cut.vc)} />
      {inRange ? "" : ", outside the range"}
    </>
  );
}

function FeedMore({ operation: { cut } }: { operation: Operation }) {
  if (!cut) return null;
  return (
    <>
      <Figure of={quantity("chip", cut.fz)} /> per tooth
      {cut.finishVf !== cut.vf && (
        <>
          ; last pass <Figure of={quantity("feed", cut.finishVf)} />
        </>
      )}
    </>
  );
}

function DepthMore({ operation: { cut } }: { operation: Operation }) {
  const bound = cut?.limits.find((l) => l.id === cut.bound);
  if (!bound) return null;
  return (
    <>
      limited by: <Words of={bound.name} />
    </>
  );
}

const Passes = ({ of }: { of: FaceOperation }) => (
  <Fact
    of={of}
    name="passes"
    label="passes"
    more={
      <>
        {of.cut.passes.filter((p) => p.kind === "rough").length} rough, last{" "}
        <Figure of={mm(of.cut.passes.at(-1)?.depth ?? 0)} />
        {of.cut.spring && ", then a spring pass at the same setting"}
      </>
    }
  >
    {of.cut.passes.length}
  </Fact>
);

const Floor = ({ of }: { of: FeatureOperation }) =>
  of.set && (
    <Fact
      of={of}
      name="places"
      label="floor below the face"
      more={`${of.levels.length} ${of.levels.length === 1 ? "level" : "levels"}`}
    >
      <Figure of={mm(of.floor)} />
    </Fact>
  );

function TimeTaken({ setup, operation }: { setup: Setup; operation: Operation }) {
  const minutes = operation.by === "face" ? setup.minutes.cutting : minutesOfOperation(operation);
  return (
    <Fact
      of={operation}
      name="time"
      label="time"
      more={
        operation.by === "face" && (
          <>
            cutting; {operation.cut.lanes === 1 ? "one lane" : `${operation.cut.lanes} lanes`}{" "}
            <Figure of={mm(operation.cut.width)} /> wide
          </>
        )
      }
    >
      <Figure of={quantity("time", minutes)} />
    </Fact>
  );
}

function ZeroKnown({ setup, of }: { setup: Setup; of: FeatureOperation }) {
  const { plan } = useJob();
  const locating = isFaceSetup(setup) ? undefined : plan.zeros[keyOfSetup(setup)];
  if (!locating) return null;
  return (
    <Fact
      of={of}
      name="zero"
      label="zero good to"
      more={
        <>
          places good to <Figure of={mm(of.exact)} />
        </>
      }
    >
      <Figure of={mm(locating.error)} decimals={3} />
    </Fact>
  );
}
