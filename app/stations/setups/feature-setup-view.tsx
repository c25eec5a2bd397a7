import { Box, chakra } from "@chakra-ui/react";
import { useMemo } from "react";
import { Link } from "react-router";
import { axesAcross, axisOf, type Face, faceNames } from "../../../core/frame/index.ts";
import { featureSection, movesView, setupSheet } from "../../../core/figure/index.ts";
import { cutKey } from "../../../core/job/index.ts";
import { type Locating, pickupErrors, type PickupWay, rectInSetup } from "../../../core/locate/index.ts";
import { type Cutout, featureNames, featuresOf } from "../../../core/part/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import {
  type FeatureOperation,
  type FeatureSetup,
  keySlug,
  minutesOfOperation,
} from "../../../core/route/index.ts";
import { edgeFinderOf, inUse, type Vise } from "../../../core/shop/index.ts";
import { ButtonLink } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { NotTaken } from "../../instruments/not-taken.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { ReasonLine, Section, StationTitle, Table } from "../../instruments/section.tsx";
import { setupPlace } from "../../instruments/setup-place.ts";
import { useDrawnSetup } from "../../instruments/use-drawn-setup.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { OnOnePage } from "./on-one-page.tsx";
import { Reasons } from "./reasons.tsx";
import { PackingChoice, ParallelsChoice, StopChoice } from "./seat-choices.tsx";
import { WalkedThrough } from "./walked-through.tsx";

/** A setup in which features are cut: how it is held, where zero is picked up, what is done in it, and all of it on one page. */
export function FeatureSetupView({
  setup,
  locating,
  vise,
}: {
  setup: FeatureSetup;
  locating: Locating;
  vise: Vise;
}) {
  const { job, plan, unit, reason, setReason } = useJob();
  const { drawn, movesOf } = useDrawnSetup(setup, locating);
  const first = setup.operations[0]!;
  const shown = setup.operations.find((o) => o.by !== "hand") ?? first;
  const sheet = useMemo(
    () =>
      setupSheet({
        title: `${job.name}, setup ${setup.clamping}`,
        setup,
        locating,
        site: drawn.site,
        cutouts: drawn.cutouts,
        vise,
        unit,
      }),
    [job.name, setup, locating, drawn, vise, unit],
  );
  return (
    <>
      <Box className="no-print">
        {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
        <StationTitle
          above={`Features · ${setupPlace(setup, plan)}${setup.entry === "stays" ? " · still clamped" : ""}`}
        >
          <Words of={setup.title} />
        </StationTitle>
        <Box
          display="grid"
          gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1fr) minmax(0, 1.1fr)" }}
          gap="22px"
        >
          <Box>
            <FigureView figure={featureSection(setup, vise, false)} maxHeight="330px" />
            <Box display="flex" flexWrap="wrap" gap="4px 18px" mt="8px" fontSize="15px">
              <span>
                grip{" "}
                <b>
                  <Worked at={cutKey(first.key, "grip")}>
                    <Figure of={mm(setup.seat.grip)} />
                  </Worked>
                </b>
              </span>
              <span>
                on{" "}
                <b>
                  {setup.device === "vBlocks" ? (
                    "V-blocks"
                  ) : setup.seat.parallels ? (
                    <>
                      <Figure of={mm(setup.seat.parallels.height)} /> parallels
                    </>
                  ) : (
                    "the bed"
                  )}
                </b>
              </span>
              <span>
                time{" "}
                <b>
                  <Worked at={cutKey(first.key, "setup")}>
                    <Figure of={quantity("time", setup.minutes.cutting + setup.minutes.handling)} />
                  </Worked>
                </b>
              </span>
            </Box>
            <Box mt="8px">
              <Reasons of={setup.reasons} />
            </Box>
          </Box>
          <Box>
            <FigureView
              figure={movesView({ ...drawn, operation: shown, moves: movesOf(shown), at: null })}
              maxHeight="330px"
            />
            <chakra.h2 fontSize="14px" color="quiet" mt="10px" mb="4px">
              Where zero lies
            </chakra.h2>
            {locating.pickups.map((p) => (
              <Box key={p.axis} py="5px" borderBottomWidth="1px">
                <b>
                  <Words of={p.title} />
                </b>
                {p.faces.length === 1 && (
                  <>
                    :{" "}
                    {p.by === "readout"
                      ? `set ${p.axis.toUpperCase()} to `
                      : p.off > 0
                        ? "move on by "
                        : `set the ${p.axis.toUpperCase()} collar to `}
                    <Worked at={cutKey(first.key, "zero")}>
                      <Figure of={mm(p.by === "readout" ? p.settings[0]! : p.off)} decimals={3} />
                    </Worked>
                  </>
                )}
                <chakra.div fontSize="13.5px" color="quiet">
                  {p.order.map((o, i) => (
                    <span key={i}>
                      <Words of={o} />{" "}
                    </span>
                  ))}
                  Known within <Figure of={mm(p.error)} decimals={3} />.
                </chakra.div>
              </Box>
            ))}
            <chakra.p fontSize="13.5px" color="quiet" mt="4px">
              Z is touched with every new tool through paper.
              {locating.closest !== null && (
                <>
                  {" "}
                  X and Y together within{" "}
                  <Worked at={cutKey(first.key, "zero")}>
                    <Figure of={mm(locating.error)} decimals={3} />
                  </Worked>
                  ; the places may be <Figure of={mm(locating.closest)} decimals={3} /> off.
                </>
              )}
            </chakra.p>
          </Box>
        </Box>
        <Box mt="12px">
          <Warnings of={[...setup.warnings, ...locating.warnings]} />
        </Box>
        <Section title="What is done in it, in this order">
          <Table
            label="Operations of this setup"
            head={["operation", "tool", "speed", "feed", "levels", "time"]}
          >
            {setup.operations.map((o) => (
              <OperationRow key={o.key} operation={o} jobId={job.id} />
            ))}
          </Table>
        </Section>
        <LayoutLines setup={setup} locating={locating} cutouts={drawn.cutouts} />
        <HeldAnotherWay setup={setup} />
        <RefusedFeatures />
        <WalkedThrough />
        <Box display="flex" gap="14px" mt="16px" flexWrap="wrap">
          <ButtonLink to={`/jobs/${job.id}/cuts/${keySlug(first.key)}`}>The moves of this setup</ButtonLink>
          <ButtonLink to={`/jobs/${job.id}/machine`} look="strong">
            To the machine
          </ButtonLink>
        </Box>
      </Box>
      <OnOnePage sheet={sheet} saveAs={`${fileName(job.name)}-setup-${setup.clamping}`} />
    </>
  );
}

/** Lines to scribe before the first cut, from the same edges as the readout: a turn of the dial too many shows at once. */
function LayoutLines({
  setup,
  locating,
  cutouts,
}: {
  setup: FeatureSetup;
  locating: Locating;
  cutouts: ReadonlyMap<string, Cutout>;
}) {
  const { job } = useJob();
  const names = featureNames(featuresOf(job.part));
  const [a, b] = axesAcross(setup.at.up);
  return (
    <Section title="Lines to scribe first, as a check">
      <Table label="Lines to scribe" head={["feature", "X from", "to", "Y from", "to"]}>
        {setup.features.flatMap((id) => {
          const cutout = cutouts.get(id);
          if (!cutout) return [];
          const { x, y } = rectInSetup(locating.frame, { x: cutout.box[a], y: cutout.box[b] });
          return [
            <tr key={id}>
              <td>{names.get(id)}</td>
              {[x[0], x[1], y[0], y[1]].map((at, i) => (
                <td key={i}>
                  <Figure of={mm(at)} />
                </td>
              ))}
            </tr>,
          ];
        })}
      </Table>
      <chakra.p fontSize="13.5px" color="quiet">
        Scribed lines are good to about <Figure of={mm(pickupErrors.scribed)} />: a cutter that comes down
        beside its line has lost a turn of the dial, or half its own diameter.
      </chakra.p>
    </Section>
  );
}

function OperationRow({ operation, jobId }: { operation: FeatureOperation; jobId: string }) {
  return (
    <tr>
      <td>
        <Link to={`/jobs/${jobId}/cuts/${keySlug(operation.key)}`} style={{ textDecoration: "underline" }}>
          <Words of={operation.title} />
        </Link>
      </td>
      <td>{operation.toolName}</td>
      <td>{operation.set && <Figure of={quantity("spindleSpeed", operation.set.rpm)} />}</td>
      <td>{operation.set && <Figure of={quantity("feed", operation.set.vf)} />}</td>
      <td>{operation.levels.length || ""}</td>
      <td>
        <Figure of={quantity("time", minutesOfOperation(operation))} />
      </td>
    </tr>
  );
}

/** How the person wants this setup held. */
function HeldAnotherWay({ setup }: { setup: FeatureSetup }) {
  const { shop, reason } = useJob();
  const own = useOverrides(setup.operations[0]!.key);
  const reports = (["fixed", "parallels", "packing", "stop", "pickup"] as const).flatMap(
    (what) => own.reportOf(what) ?? [],
  );
  const beside = faceNames.filter((f) => axisOf(f) !== axisOf(setup.at.up));
  const because = reason || "by choice";
  const pickup = own.reportOf("pickup")?.override;
  const finder = edgeFinderOf(inUse(shop)) !== undefined;
  return (
    <Section title="Held another way">
      {own.refused && <NotTaken />}
      {reports.map((report) => (
        <OverrideNotice
          key={report.override.id}
          report={report}
          onUndo={() => own.takeBack(report.override.what)}
        />
      ))}
      <Box display="flex" gap="14px" flexWrap="wrap">
        {setup.device === "vise" && (
          <>
            <Choice<Face>
              label="At the fixed jaw"
              value={setup.at.fixed}
              options={beside.map((f) => [f, `the ${f} face`] as const)}
              onChoose={(face) => own.set([["fixed", face]], because)}
            />
            <ParallelsChoice seat={setup.seat} own={own} />
            <PackingChoice seat={setup.seat} own={own} label="Between part and jaws" />
          </>
        )}
        <Choice<PickupWay>
          label="Zero picked up by"
          value={(pickup?.what === "pickup" && pickup.value) || (finder ? "finder" : "paper")}
          options={[
            ...(finder ? [["finder", "edge finder"] as const] : []),
            ["paper", "cutter and paper"],
            ["sides", "both sides, halved"],
            ["indicator", "indicator"],
          ]}
          onChoose={(way) => own.set([["pickup", way]], because)}
        />
        <StopChoice seat={setup.seat} own={own} />
      </Box>
    </Section>
  );
}

/** Features that cannot be made here, each with the reason and what would help. */
export function RefusedFeatures() {
  const { plan, job } = useJob();
  const refused = plan.features?.refused ?? [];
  if (refused.length === 0) return null;
  const names = featureNames(featuresOf(job.part));
  return (
    <Section title="What cannot be cut here">
      {refused.map((r) => (
        <Notice key={r.feature} severity="stop">
          <b>{names.get(r.feature) ?? r.feature}</b>: <Words of={r.reason} /> <Words of={r.suggestion} />
        </Notice>
      ))}
    </Section>
  );
}
