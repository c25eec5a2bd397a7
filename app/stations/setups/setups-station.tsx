import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { useParams } from "react-router";
import { faceNet, faceSheet, faceView, jawSection } from "../../../core/figure/index.ts";
import { cutKey, equipment, schoolOf } from "../../../core/job/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import { keyFromSlug, keySlug, schoolName, type Setup } from "../../../core/route/index.ts";
import { strokesNow } from "../../../core/steps/index.ts";
import { ButtonLink } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { PartDrawing } from "../../instruments/part-drawing.tsx";
import { ReasonLine, Section, StationTitle } from "../../instruments/section.tsx";
import { featureSetupOf, setupKeys, setupPlace } from "../../instruments/setup-place.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { ExpectedErrors } from "./expected-errors.tsx";
import { FeatureSetupView, RefusedFeatures } from "./feature-setup-view.tsx";
import { OnOnePage } from "./on-one-page.tsx";
import { OwnSeat } from "./own-seat.tsx";
import { ReadinessSheet } from "./readiness-sheet.tsx";
import { RoutesCompared } from "./routes-compared.tsx";
import { Reasons } from "./reasons.tsx";
import { WalkedThrough } from "./walked-through.tsx";

/** How do I hold it, in which order? */
export function SetupsStation() {
  const { job, plan, shop, unit, reason, setReason } = useJob();
  const submit = useSubmit();
  const key = keyFromSlug(useParams().operation);
  const within = featureSetupOf(
    plan,
    key ?? (plan.setups.length === 0 ? (setupKeys(plan)[0] ?? null) : null),
  );
  const setup = plan.setups.find((s) => s.key === key) ?? plan.setups[0];
  const { vise, machine } = equipment(job, shop);
  const cutter = shop.cutters.find((c) => c.id === setup?.cut.cutter);
  if (within && vise) return <FeatureSetupView {...within} vise={vise} />;
  if (!setup || !vise || !cutter) {
    return (
      <>
        <StationTitle above="Setups">How do I hold it, in which order?</StationTitle>
        {plan.refusal ? (
          <>
            <Refusal />
            <RoutesCompared />
          </>
        ) : (
          <Notice severity="note">
            {setup && vise
              ? "The cutter this setup was begun with is no longer in the shop: enter it there again, and the setup is drawn here."
              : job.part.shaft
                ? "A shaft comes turned, so nothing is squared: its setups come from what is cut into it. Draw its seats and holes (1)."
                : "Setups are planned as soon as the drawing (1) has a material and three sizes. The stock (2) makes them exact."}
          </Notice>
        )}
        <RefusedFeatures />
        {job.part.shaft && <PartDrawing />}
      </>
    );
  }
  const steps = plan.steps.filter((s) => s.op === setup.key);
  const before = steps
    .filter((s) => s.kind === "place" || s.kind === "clamp" || s.kind === "check")
    .flatMap((s) => s.ticks);
  const passes = plan.ladders[setup.key] ?? [];
  const strokes = strokesNow(setup, passes);
  const sheet =
    machine &&
    faceSheet({ title: `${job.name}, cut ${setup.number}`, setup, passes, cutter, machine, vise, unit });
  return (
    <>
      <Box className="no-print">
        {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
        {key && setup.key !== key && (
          <Notice severity="note">That setup is no longer in the plan; this is the first one.</Notice>
        )}
        <StationTitle
          above={`${schoolName(schoolOf(job))} · ${setupPlace(setup, plan)}${setup.turn === "none" ? "" : setup.turn === "other" ? " · turned onto another face" : ` · turned ${setup.turn}`}`}
        >
          <Words of={setup.title} />
        </StationTitle>
        {plan.refusal && <Refusal />}
        <Box
          display="grid"
          gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.05fr) minmax(0, 1fr)" }}
          gap="22px"
        >
          <Box>
            <FigureView
              figure={jawSection(setup, vise, cutter, { small: false })}
              maxHeight="430px"
              saveAs={`${fileName(job.name)}-setup-${setup.number}`}
            />
            <Box display="flex" flexWrap="wrap" gap="4px 18px" mt="8px" fontSize="15px">
              <Seating setup={setup} />
              <span>
                cut{" "}
                <b>
                  <Worked at={cutKey(setup.key, "passes")}>
                    <Figure of={mm(setup.from - setup.to)} />
                  </Worked>
                </b>{" "}
                in {setup.cut.passes.length}
              </span>
              <span>
                time{" "}
                <b>
                  <Worked at={cutKey(setup.key, "time")}>
                    <Figure of={quantity("time", setup.minutes.cutting + setup.minutes.handling)} />
                  </Worked>
                </b>
              </span>
            </Box>
            {strokes.length > 0 && (
              <Box mt="12px">
                <FigureView figure={faceView(setup, strokes, vise)} maxHeight="300px" />
              </Box>
            )}
            <Section title="At the machine, before the cut">
              <Box as="ul" listStyleType="none" fontSize="14.5px">
                {before.map((tick) => (
                  <Box as="li" key={tick.id} py="2px">
                    {tick.done ? "✓" : "·"} <Words of={tick.phrase} />
                  </Box>
                ))}
              </Box>
            </Section>
          </Box>
          <Box>
            <chakra.h2 fontSize="14px" color="quiet" mb="4px">
              Why this way
            </chakra.h2>
            <Reasons of={setup.reasons} />
            <Section title="Face net, before and after">
              <Box display="grid" gridTemplateColumns="1fr 24px 1fr" alignItems="center">
                <FigureView figure={faceNet(setup.before, setup.at)} />
                <chakra.span textAlign="center" aria-hidden="true">
                  →
                </chakra.span>
                <FigureView figure={faceNet(setup.after, setup.at)} />
              </Box>
              <chakra.p fontSize="12.5px" color="quiet">
                Number: order of cutting. Bar at the side: at the fixed jaw. Bar at the foot: on the bed.
                Hatched: not machined.
              </chakra.p>
            </Section>
          </Box>
        </Box>
        <Box mt="12px">
          <Warnings of={setup.warnings} />
        </Box>
        <OwnSeat setup={setup} />
        <Box display="flex" gap="14px" mt="16px" flexWrap="wrap" alignItems="flex-end" className="no-print">
          <Choice
            label="Machine"
            value={machine?.id ?? ""}
            options={shop.machines.map((m) => [m.id, m.name] as const)}
            onChoose={(id) => void submit.set("machine", id)}
          />
          <ButtonLink to={`/jobs/${job.id}/cuts/${keySlug(setup.key)}`}>The cut of this setup</ButtonLink>
          <ButtonLink to={`/jobs/${job.id}/machine`} look="strong">
            To the machine
          </ButtonLink>
        </Box>
        <RefusedFeatures />
        <WalkedThrough />
        <RoutesCompared />
        <ExpectedErrors face={setup.face} />
        <ReadinessSheet />
      </Box>
      {sheet && <OnOnePage sheet={sheet} saveAs={`${fileName(job.name)}-cut-${setup.number}`} />}
    </>
  );
}

/** How the part sits, in figures. */
function Seating({ setup }: { setup: Setup }) {
  const { seat } = setup;
  if (seat.table)
    return (
      <>
        <Fact what="straps">
          <Worked at={cutKey(setup.key, "grip")}>{seat.table.straps}</Worked> over the {seat.table.over} edge
        </Fact>
        <Fact what="reach in">
          <Figure of={mm(seat.table.reach)} />
        </Fact>
        <Fact what="on">
          {seat.points ? (
            "three points"
          ) : (
            <>
              <Figure of={mm(seat.table.packing)} /> packing
            </>
          )}
        </Fact>
      </>
    );
  return (
    <>
      <Fact what="grip">
        <Worked at={cutKey(setup.key, "grip")}>
          <Figure of={mm(seat.grip)} />
        </Worked>
      </Fact>
      <Fact what="above the jaws">
        <Worked at={cutKey(setup.key, "grip")}>
          <Figure of={mm(seat.projection)} />
        </Worked>
      </Fact>
      <Fact what="on">
        {seat.points ? (
          "three points"
        ) : seat.parallels ? (
          <>
            <Figure of={mm(seat.parallels.height)} /> parallels
          </>
        ) : (
          "the bed"
        )}
      </Fact>
      <Fact what="rod">
        {seat.rod ? (
          <>
            <Figure of={mm(seat.rod.diameter)} /> at <Figure of={mm(seat.rod.height)} />
          </>
        ) : (
          "none"
        )}
      </Fact>
      <Fact what="tap">{seat.tap ? "yes" : "no"}</Fact>
    </>
  );
}

const Fact = ({ what, children }: { what: string; children: ReactNode }) => (
  <span>
    {what} <b>{children}</b>
  </span>
);

function Refusal() {
  const { plan } = useJob();
  if (!plan.refusal) return null;
  return (
    <Notice severity="stop">
      Cut {plan.refusal.number} cannot be done: <Words of={plan.refusal.reason} />{" "}
      <Words of={plan.refusal.suggestion} />
    </Notice>
  );
}
