import { Box, chakra } from "@chakra-ui/react";
import { faceNet, setupSection } from "../../../core/figure/index.ts";
import { schoolOf } from "../../../core/plan/index.ts";
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
import { Choice } from "../../instruments/choice.tsx";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath } from "../../instruments/job-paths.ts";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { OperationsTable } from "../../instruments/operations-table.tsx";
import { ReasonLine, Section, StationTitle } from "../../instruments/section.tsx";
import { SetupFromAbove } from "../../instruments/setup-from-above.tsx";
import { setupLabel, setupPlace } from "../../instruments/setup-place.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Words } from "../../instruments/words.tsx";
import { ExpectedErrors } from "./expected-errors.tsx";
import { HeldAnotherWay } from "./held-another-way.tsx";
import { LayoutLines } from "./layout-lines.tsx";
import { SetupOnOnePage } from "./on-one-page.tsx";
import { ReadinessSheet } from "./readiness-sheet.tsx";
import { Reasons } from "./reasons.tsx";
import { RoutesCompared } from "./routes-compared.tsx";
import { Seating } from "./seating.tsx";
import { WalkedThrough } from "./walked-through.tsx";
import { Refusal, RefusedFeatures } from "./what-cannot.tsx";
import { Zeros } from "./zeros.tsx";

/** A setup: how it is held, where zero lies, what is done in it, and all of it on one page. */
export function SetupView({ setup, vise, gone }: { setup: Setup; vise: Vise; gone: boolean }) {
  const { job, plan, shop, piece, reason, setReason } = useJob();
  const submit = useSubmit();
  const { machine } = useEquipment();
  const key = keyOfSetup(setup);
  const section = setupSection(setup, vise, shop.cutters, { small: false });
  const locating = isFaceSetup(setup) ? null : plan.zeros[keyOfSetup(setup)];
  return (
    <>
      <Box className="no-print">
        {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
        {gone && <Notice severity="note">That setup is no longer in the plan; this is the first one.</Notice>}
        <StationTitle
          above={placeWords(
            setup,
            isFaceSetup(setup) ? schoolName(schoolOf(job)) : "Features",
            setupPlace(setup, plan),
          )}
        >
          <Words of={setup.title} />
        </StationTitle>
        <Refusal />
        <Box
          display="grid"
          gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.05fr) minmax(0, 1fr)" }}
          gap="22px"
        >
          <Box>
            {section ? (
              <FigureView
                figure={section}
                maxHeight="400px"
                saveAs={`${fileName(job.name)}-setup-${setupLabel(setup, plan)}`}
              />
            ) : (
              <Notice severity="note">
                The cutter this setup was begun with is no longer in the shop: enter it there again, and the
                setup is drawn here.
              </Notice>
            )}
            <Seating setup={setup} />
            <SetupFromAbove setup={setup} vise={vise} maxHeight="320px" />
          </Box>
          <Box>
            <chakra.h2 fontSize="14px" color="quiet" mb="4px">
              Why this way
            </chakra.h2>
            <Reasons of={setup.reasons} />
            <Zeros setup={setup} />
            <BeforeTheCut setup={setup} />
            {isFaceSetup(setup) && <FaceNets setup={setup} />}
          </Box>
        </Box>
        <Box mt="12px">
          <Warnings of={[...setup.warnings, ...(locating?.warnings ?? [])]} />
        </Box>
        <Section title="What is done in it, in this order">
          <OperationsTable label="Operations of this setup" setups={[setup]} />
        </Section>
        {!isFaceSetup(setup) && <LayoutLines setup={setup} />}
        <HeldAnotherWay setup={setup} />
        <Box display="flex" gap="14px" mt="16px" flexWrap="wrap" alignItems="flex-end">
          <Choice
            label="Machine"
            value={machine?.id ?? ""}
            options={shop.machines.map((m) => [m.id, m.name] as const)}
            onChoose={(id) => void submit.set("machine", id)}
          />
          <ButtonLink to={`/jobs/${job.id}/cuts/${keySlug(key)}`}>How it is cut</ButtonLink>
          <ButtonLink to={machinePath(job.id, piece)} look="strong">
            To the machine
          </ButtonLink>
        </Box>
        <RefusedFeatures />
        <WalkedThrough />
        {!job.part.shaft && <RoutesCompared />}
        {isFaceSetup(setup) && <ExpectedErrors face={faceOf(setup).face} />}
        <ReadinessSheet />
      </Box>
      <SetupOnOnePage setup={setup} vise={vise} />
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
      <Box as="ul" listStyleType="none" fontSize="14.5px">
        {before.map((tick, i) => (
          <Box as="li" key={`${tick.id} ${i}`} py="2px">
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
