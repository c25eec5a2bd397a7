import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useRef } from "react";
import { useParams } from "react-router";
import { type CutFigure, cutKey } from "../../../core/job/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import { operationFromSlug } from "../../../core/route/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { useKeyboard } from "../../instruments/keyboard.ts";
import { useSingleKeys } from "../../instruments/local-setting.ts";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { PassLadder } from "../../instruments/pass-ladder.tsx";
import { ReasonLine, Section, StationTitle } from "../../instruments/section.tsx";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { OwnDepth } from "./own-depth.tsx";

/** With what, how fast, how deep? */
export function CutsStation() {
  const { plan, shop, reason, setReason } = useJob();
  const [single] = useSingleKeys();
  const key = operationFromSlug(useParams().operation);
  const setup = plan.setups.find((s) => s.key === key) ?? plan.setups[0];
  const depthField = useRef<HTMLInputElement>(null);
  useKeyboard(
    { o: () => depthField.current?.focus() },
    { single: single === "on", onInstrument: () => undefined },
  );
  if (!setup) {
    return (
      <>
        <StationTitle above="Cuts">With what, how fast, how deep?</StationTitle>
        <Notice severity="note">
          {plan.refusal ? (
            <>
              <Words of={plan.refusal.reason} /> <Words of={plan.refusal.suggestion} />
            </>
          ) : (
            "Cuts are planned as soon as the drawing (1) has a material and three sizes."
          )}
        </Notice>
      </>
    );
  }
  const { cut } = setup;
  const cutter = shop.cutters.find((c) => c.id === cut.cutter);
  const bound = cut.limits.find((l) => l.id === cut.bound);
  const next = plan.ladders[setup.key]?.find((p) => !p.done)?.number ?? null;
  const figure = (name: CutFigure, label: string, children: ReactNode, more?: ReactNode) => (
    <Box borderTopWidth="1.5px" borderColor="ink" pt="5px" pb="8px" key={name}>
      <chakra.div fontSize="13px" color="quiet">
        {label}
      </chakra.div>
      <chakra.div fontSize="22px" fontWeight="700">
        <Worked at={cutKey(setup.key, name)}>{children}</Worked>
      </chakra.div>
      <chakra.div fontSize="13px" color="quiet">
        {more}
      </chakra.div>
    </Box>
  );
  const inRange = cut.vc >= cut.vcRange[0] - 1e-9 && cut.vc <= cut.vcRange[1] + 1e-9;
  return (
    <>
      {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
      {key && setup.key !== key && (
        <Notice severity="note">That cut is no longer in the plan; this is the first one.</Notice>
      )}
      <StationTitle
        above={`Cut of setup ${setup.number} of ${plan.setups.length} · ${setup.face} face${setup.sized ? "" : ", to clean up"}`}
      >
        {cutter?.name}, <Figure of={mm(setup.from)} /> to <Figure of={mm(setup.to)} />
      </StationTitle>
      <Box display="grid" gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(3, 1fr)" }} gap="0 18px">
        {figure(
          "speed",
          "spindle",
          <Figure of={quantity("spindleSpeed", cut.rpm)} />,
          <>
            {cut.setting}; <Figure of={quantity("cuttingSpeed", cut.vc)} />
            {inRange ? "" : ", outside the range"}
          </>,
        )}
        {figure(
          "feed",
          cut.feedBy === "power" ? "power feed" : "feed by hand",
          <Figure of={quantity("feed", cut.vf)} />,
          <>
            <Figure of={quantity("chip", cut.fz)} /> a tooth; by hand one turn in{" "}
            <Figure of={quantity("seconds", cut.pace)} />
          </>,
        )}
        {figure(
          "depth",
          cut.own ? "depth of a pass, yours" : "depth of a pass, at most",
          <Figure of={mm(cut.depth)} />,
          bound && (
            <>
              bound by: <Words of={bound.name} />
            </>
          ),
        )}
        {figure(
          "passes",
          "passes",
          <>{cut.passes.length}</>,
          <>
            {cut.passes.filter((p) => p.kind === "rough").length} rough, last{" "}
            <Figure of={mm(cut.passes.at(-1)?.depth ?? 0)} />
          </>,
        )}
        {figure(
          "power",
          "power at the cutter",
          <Figure of={quantity("power", cut.power)} />,
          <>
            of <Figure of={quantity("power", cut.spindlePower)} /> at the spindle
          </>,
        )}
        {figure(
          "time",
          "time",
          <Figure of={quantity("time", setup.minutes.cutting)} />,
          <>
            cutting; {cut.lanes === 1 ? "one lane" : `${cut.lanes} lanes`} <Figure of={mm(cut.width)} /> wide
          </>,
        )}
      </Box>
      <Warnings of={cut.warnings} />
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.1fr) minmax(0, 1fr)" }}
        gap="0 24px"
      >
        <Section title="Passes: depth, and where to stop from zero">
          <PassLadder
            passes={plan.ladders[setup.key] ?? []}
            corrections={plan.corrections[setup.key] ?? []}
            current={next}
          />
          <chakra.p fontSize="14px" mt="4px">
            <Worked at={cutKey(setup.key, "stop")}>How the next stop is worked</Worked>
          </chakra.p>
        </Section>
        <Box>
          <Section title="Own depth of a pass">
            <OwnDepth setup={setup} fieldRef={depthField} key={setup.key} />
          </Section>
          <Section title="Other cutters in the shop">
            {setup.others.length === 0 ? (
              <chakra.p color="quiet">None other reaches this cut.</chakra.p>
            ) : (
              <Box as="ul" listStyleType="none">
                {setup.others.map((other) => (
                  <Box
                    as="li"
                    key={other.cutter}
                    display="flex"
                    justifyContent="space-between"
                    py="4px"
                    borderBottomWidth="1px"
                  >
                    <span>{shop.cutters.find((c) => c.id === other.cutter)?.name}</span>
                    <span>
                      <Figure of={quantity("time", other.minutes)} />, +
                      <Figure of={quantity("time", other.minutes - cut.minutes)} />
                    </span>
                  </Box>
                ))}
              </Box>
            )}
          </Section>
        </Box>
      </Box>
    </>
  );
}
