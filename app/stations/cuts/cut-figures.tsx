import { counted } from "../../../core/working/index.ts";
import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { fluidWords } from "../../../core/cutting/index.ts";
import { type CutComparison, type CutFigure, cutKey, type FeatureFigure } from "../../../core/plan/index.ts";
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
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { Pace } from "../../instruments/pace.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { goesRound } from "./goes-round.ts";
import { nameOf, type Settable, settableKinds, useOwnEntry } from "./own-entry.ts";
import { type OwnEntry, OwnFigure } from "./own-figure.tsx";

interface Opening {
  /** The figures that are being set: what is typed in one is not lost by pressing another. */
  opened: readonly Settable[];
  onOpen: (what: Settable, open: boolean) => void;
}

/** The figures of a cut, each with its working: speed, feed, depth, how often, power, force, time. Pressed, one becomes one's own. */
export function CutFigures({
  setup,
  operation,
  comparison,
  ...opening
}: { setup: Setup; operation: Operation; comparison: CutComparison | null } & Opening) {
  const { unit } = useJob();
  const { material } = useEquipment();
  const { cut } = operation;
  const set = conditionsOf(operation);
  const entryOf = useOwnEntry(setup, operation, comparison);
  const own = useOverrides(operation.key);
  const fact = { of: operation, entryOf, ...opening };
  const last = cut && operation.task && cut.passes.length > 1 ? cut.passes.at(-1)! : null;
  return (
    <>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="0 18px">
        {set && (
          <>
            <Fact
              {...fact}
              name="speed"
              label="spindle"
              more={<SpeedMore operation={operation} />}
              yours="speed"
            >
              <Figure of={quantity("spindleSpeed", set.rpm)} />
            </Fact>
            <Fact
              {...fact}
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
            {...fact}
            name="depth"
            label={cut.own.depth ? "depth per pass" : "depth per pass, at most"}
            more={<DepthMore operation={operation} />}
            {...(operation.task ? { yours: "depth" as const } : {})}
          >
            <Figure of={mm(cut.depth)} />
          </Fact>
        )}
        {operation.by === "face" ? <Passes of={operation} /> : <Floor of={operation} />}
        {last && (
          <Fact
            {...fact}
            name={operation.by === "face" ? "passes" : "depth"}
            label="left for the last pass"
            yours="finish"
          >
            <Figure of={mm(last.depth)} />
          </Fact>
        )}
        {operation.task && goesRound(operation.task.kind) && (
          <Fact
            {...fact}
            name={null}
            label="the cutter goes"
            more={
              own.reportOf("direction") ? "climb, by your choice" : "conventional unless you say otherwise"
            }
            yours="direction"
          >
            {own.reportOf("direction") ? "with the feed" : "against the feed"}
          </Fact>
        )}
        {cut && (
          <>
            <Fact
              {...fact}
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
              {...fact}
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
      </Box>
      {settableKinds
        .flatMap((what) => own.reportOf(what) ?? [])
        .map((report) => (
          <OverrideNotice
            key={report.override.id}
            report={report}
            onUndo={() => own.takeBack(report.override.what)}
          />
        ))}
      {material && operation.by !== "hand" && (
        <chakra.p fontSize="14px" py="6px">
          <Words of={fluidWords(material, cutForFluid(operation))} />
        </chakra.p>
      )}
    </>
  );
}

/** One figure; set by the person it says so. */
function Fact({
  of,
  name,
  label,
  children,
  more,
  yours,
  entryOf,
  opened,
  onOpen,
}: {
  of: Operation;
  /** Which working it has; null for none. */
  name: CutFigure | FeatureFigure | null;
  label: string;
  children: ReactNode;
  more?: ReactNode;
  /** What a press sets. */
  yours?: Settable;
  entryOf?: (what: Settable) => OwnEntry | null;
} & Partial<Opening>) {
  const own = useOverrides(of.key);
  const mine = yours !== undefined && own.reportOf(yours)?.state === "applied";
  const entry = yours ? (entryOf?.(yours) ?? null) : null;
  const open = entry !== null && (opened?.includes(yours!) ?? false);
  const working = name === null ? null : cutKey(of.key, name);
  return (
    <Box
      borderTopWidth="1.5px"
      borderColor={mine ? "accent" : "ink"}
      pt="5px"
      pb="8px"
      gridColumn={open ? "1 / -1" : undefined}
    >
      <chakra.div fontSize="13px" color="quiet" display="flex" gap="6px" alignItems="baseline">
        {label}
        {mine && <chakra.b color="accent">◆ yours</chakra.b>}
      </chakra.div>
      <chakra.div fontSize="22px" fontWeight="700">
        {entry && yours ? (
          <OwnFigure
            at={of.key}
            what={yours}
            name={nameOf[yours]}
            entry={entry}
            working={working}
            open={open}
            onOpen={(to) => onOpen?.(yours, to)}
          >
            {children}
          </OwnFigure>
        ) : working ? (
          <Worked at={working}>{children}</Worked>
        ) : (
          children
        )}
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
    <Fact of={of} name="places" label="floor below the face" more={counted(of.levels.length, "level")}>
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
