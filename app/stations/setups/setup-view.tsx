import { Box, chakra } from "@chakra-ui/react";
import { faceNet, setupSection } from "../../../core/figure/index.ts";
import {
  faceOf,
  type FaceSetup,
  isFaceSetup,
  keyOfSetup,
  keySlug,
  type Setup,
} from "../../../core/route/index.ts";
import { schoolName } from "../../../core/squaring/index.ts";
import type { Vise } from "../../../core/shop/index.ts";
import { ButtonLink } from "../../instruments/button.tsx";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath } from "../../instruments/job-paths.ts";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { OperationsTable } from "../../instruments/operations-table.tsx";
import { ReasonLine, Section, StationTitle } from "../../instruments/section.tsx";
import { StationViews, useStationView } from "../../instruments/station-views.tsx";
import { SetupFromAbove } from "../../instruments/setup-from-above.tsx";
import { setupLabel, setupPlace } from "../../instruments/setup-place.ts";
import { Words } from "../../instruments/words.tsx";
import { ExpectedErrors } from "./expected-errors.tsx";
import { HandworkList } from "./handwork.tsx";
import { HeldAnotherWay } from "./held-another-way.tsx";
import { LayoutLines } from "./layout-lines.tsx";
import { SetupOnOnePage } from "./on-one-page.tsx";
import { ReadinessSheet } from "./readiness-sheet.tsx";
import { MachineChoice } from "./machine-choice.tsx";
import { MachinesCompared } from "./machines-compared.tsx";
import { Reasons } from "./reasons.tsx";
import { RoutesCompared } from "./routes-compared.tsx";
import { Seating } from "./seating.tsx";
import { WalkedThrough } from "./walked-through.tsx";
import { Refusal, RefusedFeatures } from "./what-cannot.tsx";
import { Zeros } from "./zeros.tsx";
import { FaceHeld, HoldingsCompared } from "./holdings-compared.tsx";

/** A setup: how it is held, the order of work in it, all of it on one page; and the ways, the rehearsal, the errors of the whole job. */
export function SetupView({ setup, vise, gone }: { setup: Setup; vise: Vise; gone: boolean }) {
  const { job, plan, reason, setReason } = useJob();
  const view = useStationView("setups");
  const slug = keySlug(keyOfSetup(setup));
  return (
    <>
      <Box className="no-print">
        {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
        {gone && <Notice severity="note">That setup is no longer in the plan; this is the first one.</Notice>}
      </Box>
      <StationViews
        station="setups"
        title={["", "order", "held", "machines"].includes(view) ? null : "How do I hold it, in which order?"}
        to={(to) => `/jobs/${job.id}/setups/${slug}${to && `/${to}`}`}
        without={job.part.shaft ? ["ways"] : []}
      >
        <Box className="no-print">
          <Refusal />
          {view === "" && <ThisSetup setup={setup} vise={vise} />}
          {view === "order" && <OrderOfWork setup={setup} />}
          {view === "ways" && <RoutesCompared />}
          {view === "held" &&
            (isFaceSetup(setup) ? <FaceHeld slug={slug} /> : <HoldingsCompared setup={setup} />)}
          {view === "machines" && <MachinesCompared />}
          {view === "rehearse" && <WalkedThrough />}
          {view === "true" && (
            <>
              {isFaceSetup(setup) && <ExpectedErrors face={faceOf(setup).face} />}
              <ReadinessSheet setup={setup} />
            </>
          )}
          {(view === "" || view === "rehearse") && <RefusedFeatures />}
        </Box>
        {/* Whichever view of a setup is open, its page is what is printed. */}
        {(view === "" || view === "order" || view === "page") && (
          <Box display={view === "page" ? "block" : "none"} _print={{ display: "block" }}>
            <SetupOnOnePage setup={setup} vise={vise} />
          </Box>
        )}
      </StationViews>
    </>
  );
}

/** What it is: its place in the route and what is done. */
function SetupTitle({ setup }: { setup: Setup }) {
  const { plan } = useJob();
  const group = isFaceSetup(setup) ? schoolName(plan.school) : "Features";
  return (
    <StationTitle above={placeWords(setup, group, setupPlace(setup, plan))}>
      <Words of={setup.title} />
    </StationTitle>
  );
}

/** The setup drawn from the side and from above, why it is held this way, and where zero lies. */
function ThisSetup({ setup, vise }: { setup: Setup; vise: Vise }) {
  const { job, plan, shop, piece } = useJob();
  const section = setupSection(setup, vise, shop.cutters, { small: false });
  const locating = isFaceSetup(setup) ? null : plan.zeros[keyOfSetup(setup)];
  return (
    <>
      <SetupTitle setup={setup} />
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.1fr) minmax(0, 1fr)" }}
        gap="0 24px"
        alignItems="start"
      >
        {section ? (
          <Box>
            <FigureView
              figure={section}
              maxHeight="270px"
              saveAs={`${fileName(job.name)}-setup-${setupLabel(setup, plan)}`}
            />
          </Box>
        ) : (
          <Notice severity="note">
            The cutter this setup was started with is no longer in the shop: enter it again to see the setup
            here.
          </Notice>
        )}
        <SetupFromAbove setup={setup} vise={vise} maxHeight="270px" />
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.1fr) minmax(0, 1fr)" }}
        gap="0 24px"
      >
        <Box>
          <Seating setup={setup} />
          <Warnings of={[...setup.warnings, ...(locating?.warnings ?? [])]} />
          <Box display="flex" gap="8px" mt="12px" flexWrap="wrap" alignItems="flex-end">
            <Box flex="0 1 168px">
              <MachineChoice setup={setup} />
            </Box>
            <ButtonLink to={`/jobs/${job.id}/cuts/${keySlug(keyOfSetup(setup))}`}>How it is cut</ButtonLink>
            <ButtonLink to={machinePath(job.id, piece)} look="strong">
              To the machine
            </ButtonLink>
          </Box>
          <HeldAnotherWay setup={setup} />
        </Box>
        <Box>
          <chakra.h2 fontSize="14px" color="quiet" mb="4px">
            Why this way
          </chakra.h2>
          <Reasons of={setup.reasons} />
          <Zeros setup={setup} />
        </Box>
      </Box>
    </>
  );
}

/** What is set up and then done in a setup, in this order; and what the block is before and after. */
function OrderOfWork({ setup }: { setup: Setup }) {
  return (
    <>
      <SetupTitle setup={setup} />
      <BeforeTheCut setup={setup} />
      <Section title="Operations, in order">
        <OperationsTable label="Operations of this setup" setups={[setup]} />
      </Section>
      {isFaceSetup(setup) ? <FaceNets setup={setup} /> : <LayoutLines setup={setup} />}
      <HandworkList />
    </>
  );
}

/** Where a setup stands in the route, and how the part comes to it. */
function placeWords(setup: Setup, group: string, place: string): string {
  const turn = isFaceSetup(setup) ? setup.turn : "none";
  const turned =
    turn === "none" ? "" : turn === "other" ? " · turned onto another face" : ` · turned ${turn}`;
  return `${group} · ${place}${setup.entry === "stays" ? " · still clamped" : turned}`;
}

/** What is ticked at the machine before the first cut. */
function BeforeTheCut({ setup }: { setup: Setup }) {
  const { plan } = useJob();
  const first = keyOfSetup(setup);
  const before = plan.steps
    .filter((s) => s.op === first && (s.kind === "place" || s.kind === "clamp" || s.kind === "check"))
    .flatMap((s) => s.ticks);
  return (
    <Section title="At the machine, before the cut">
      <Box
        as="ul"
        listStyleType="none"
        fontSize="14px"
        css={{ md: { columns: 2, columnGap: "22px" }, lg: { columns: 3 } }}
      >
        {before.map((tick, i) => (
          <Box as="li" key={`${tick.id} ${i}`} py="1px">
            {tick.done ? "✓" : "·"} <Words of={tick.phrase} />
          </Box>
        ))}
      </Box>
    </Section>
  );
}

function FaceNets({ setup }: { setup: FaceSetup }) {
  return (
    <Section title="Face net, before and after">
      <Box display="grid" gridTemplateColumns="1fr 24px 1fr" alignItems="center">
        <FigureView figure={faceNet(setup.before, setup.at)} />
        <chakra.span textAlign="center" aria-hidden="true">
          →
        </chakra.span>
        <FigureView figure={faceNet(setup.after, setup.at)} />
      </Box>
      <chakra.p fontSize="12.5px" color="quiet">
        Number: order of cutting. Bar at the side: at the fixed jaw. Bar at the foot: on the bed. Hatched: not
        machined.
      </chakra.p>
    </Section>
  );
}
