import { Box, chakra } from "@chakra-ui/react";
import { setupSection } from "../../../core/figure/index.ts";
import { type HoldingOption, setupState } from "../../../core/plan/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import { type FeatureSetup, holdingWayWords, keyOfSetup } from "../../../core/route/index.ts";
import { capital, counted } from "../../../core/working/index.ts";
import { Button, ButtonLink } from "../../instruments/button.tsx";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { StationTitle } from "../../instruments/section.tsx";
import { useAnswer } from "../../instruments/use-answer.ts";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Figure, Words } from "../../instruments/words.tsx";
import { WorkingSheet } from "../../instruments/workings-margin.tsx";

/** A setup of features held in every way there is, side by side: drawn, with what it holds and takes, and why not. */
export function HoldingsCompared({ setup }: { setup: FeatureSetup }) {
  const { plan, compareHoldings, reason } = useJob();
  const key = keyOfSetup(setup);
  const own = useOverrides(key);
  const report = own.reportOf("on");
  const compared = useAnswer(key, plan, compareHoldings);
  const begun = ["being cut", "done"].includes(setupState(plan, setup));
  return (
    <>
      <StationTitle above="Setups">What holds it?</StationTitle>
      {report && <OverrideNotice report={report} onUndo={() => own.takeBack("on")} />}
      {begun && (
        <Notice severity="note">The setup has begun: it stays as it was clamped until it is done.</Notice>
      )}
      {!compared && setup.device !== "vBlocks" && (
        <Notice severity="note" role="status">
          Planning it in every way to hold it…
        </Notice>
      )}
      {setup.device === "vBlocks" && (
        <Notice severity="note">
          A shaft lies in V-blocks: in the vise, or strapped to the table where jaws are in the way.
        </Notice>
      )}
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "repeat(3, 1fr)" }} gap="14px" mt="8px">
        {compared?.options.map((option) => (
          <Option
            key={option.way}
            option={option}
            best={option.way === compared.best}
            free={!begun}
            onChoose={() => own.set([["on", option.way]], reason || "by choice")}
          />
        ))}
      </Box>
      {compared && compared.closest !== null && (
        <chakra.p fontSize="13px" color="quiet" mt="8px">
          The closest place in this setup may be off by <Figure of={mm(compared.closest)} />.
        </chakra.p>
      )}
    </>
  );
}

/** What holds a face follows from the way of squaring: that is where it is chosen. */
export function FaceHeld({ slug }: { slug: string }) {
  const { job } = useJob();
  return (
    <>
      <StationTitle above="Setups">What holds it?</StationTitle>
      <Notice severity="note">
        While a face is squared, the way of squaring decides what holds it: the vise, straps, or glue on a
        plate.{" "}
        <ButtonLink to={`/jobs/${job.id}/setups/${slug}/ways`}>Compare the ways to square it</ButtonLink>
      </Notice>
    </>
  );
}

function Option({
  option,
  best,
  free,
  onChoose,
}: {
  option: HoldingOption;
  best: boolean;
  free: boolean;
  onChoose: () => void;
}) {
  const { shop } = useJob();
  const { vise } = useEquipment();
  const { way, setup, cannot, chosen, working } = option;
  const section = setup && vise ? setupSection(setup, vise, shop.cutters, { small: true }) : null;
  return (
    <Box
      as="section"
      aria-label={capital(holdingWayWords[way])}
      borderWidth="1px"
      borderColor={chosen ? "accent" : "line"}
      bg={chosen ? "accentSoft" : "surface"}
      p="10px"
      display="flex"
      flexDirection="column"
      gap="6px"
    >
      <chakra.h2 fontSize="16px" fontWeight="700">
        {capital(holdingWayWords[way])}
        {best ? " · best here" : ""}
      </chakra.h2>
      <Box height="130px" display="flex" alignItems="center" justifyContent="center">
        {section ? (
          <FigureView figure={section} maxHeight="130px" />
        ) : (
          <chakra.span color="quiet">not possible</chakra.span>
        )}
      </Box>
      {cannot ? (
        <chakra.p fontSize="14px">
          <Words of={cannot} />
        </chakra.p>
      ) : (
        <>
          <Facts option={option} />
          {option.against.map((w) => (
            <chakra.p key={w.phrase.id} fontSize="13.5px" color={w.severity === "stop" ? "stop" : "warn"}>
              {w.severity === "stop" ? "■" : "▲"} <Words of={w.phrase} />
            </chakra.p>
          ))}
          {working && (
            <chakra.details fontSize="14px">
              <summary>Working</summary>
              <WorkingSheet working={working} />
            </chakra.details>
          )}
          <Box mt="auto">
            {chosen ? <b>in the plan</b> : free && <Button onClick={onChoose}>Hold it so</Button>}
          </Box>
        </>
      )}
    </Box>
  );
}

const Facts = ({ option: { holds, error, minutes, clampings } }: { option: HoldingOption }) => (
  <Box as="dl" display="grid" gridTemplateColumns="auto 1fr" gap="2px 10px" fontSize="14.5px">
    <dt>holds along</dt>
    <dd>
      <b>
        <Figure of={quantity("force", holds)} />
      </b>
    </dd>
    <dt>places within</dt>
    <dd>
      <b>
        <Figure of={mm(error)} decimals={3} />
      </b>
    </dd>
    <dt>whole job</dt>
    <dd>
      <b>
        <Figure of={quantity("time", minutes)} />
      </b>
      , {counted(clampings, "setup")}
    </dd>
  </Box>
);
