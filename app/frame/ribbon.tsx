import { counted } from "../../core/working/index.ts";
import { Box, chakra } from "@chakra-ui/react";
import { memo, type RefObject, useEffect, useRef } from "react";
import { Link } from "react-router";
import { setupSection } from "../../core/figure/index.ts";
import { equipment, type Job } from "../../core/job/index.ts";
import { type Plan, type SetupState, setupState } from "../../core/plan/index.ts";
import { mm, quantity } from "../../core/quantity/index.ts";
import { type AnyKey, faceOf, isFaceSetup, keyOfSetup, keySlug, type Setup } from "../../core/route/index.ts";
import { extentOf, schoolName } from "../../core/squaring/index.ts";
import { clampingsOf, setupKeyOf, setupLabel, setupPlace } from "../instruments/setup-place.ts";
import type { Shop, Vise } from "../../core/shop/index.ts";
import { FigureView } from "../instruments/figure-view.tsx";
import { Figure } from "../instruments/words.tsx";

const Card = chakra(Link);

const marks: Record<SetupState, string> = { planned: "○", "being cut": "▸", done: "✓", blocked: "■" };

/** The setups in order as small drawn cards: the job's progress and its navigation. */
export const Ribbon = memo(function Ribbon({
  job,
  plan,
  shop,
  station,
  chosen,
  view,
}: {
  job: Job;
  plan: Plan;
  shop: Shop;
  station: "setups" | "cuts";
  chosen: string | null;
  /** View of the station that stays open from one setup to the next; empty for the usual one. */
  view: string;
}) {
  const { vise } = equipment(job, shop);
  const current = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    // Some browsers return a promise here; an effect must not.
    void current.current?.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [chosen]);
  const { setups } = plan;
  const keys: AnyKey[] = setups.map(keyOfSetup);
  if (keys.length === 0) return null;
  const shown = setupKeyOf(plan, chosen as AnyKey | null) ?? keys[0]!;
  const index = Math.max(0, keys.indexOf(shown));
  const link = (key: AnyKey) => `/jobs/${job.id}/${station}/${keySlug(key)}${view && `/${view}`}`;
  const several = clampingsOf(plan) < keys.length;
  const near = (step: -1 | 1) => keys[index + step];
  return (
    <Box as="nav" aria-label="Setups" className="no-print" bg="band" borderBottomWidth="1px">
      <Box hideFrom="md" display="flex" alignItems="center" justifyContent="space-between" px="12px">
        {near(-1) ? (
          <Card to={link(near(-1)!)} px="18px" py="10px" aria-label="Previous setup">
            ‹
          </Card>
        ) : (
          <span />
        )}
        <span>{setupPlace(setups[index]!, plan, "Setup")}</span>
        {near(1) ? (
          <Card to={link(near(1)!)} px="18px" py="10px" aria-label="Next setup">
            ›
          </Card>
        ) : (
          <span />
        )}
      </Box>
      <Box hideBelow="md" display="flex" overflowX="auto" px="16px" pt="6px" alignItems="stretch">
        {setups.map((setup, i) => {
          const now = i === index;
          const before = setups[i - 1];
          return (
            <SetupCard
              key={keys[i]}
              label={setupLabel(setup, plan)}
              now={now}
              here={now ? current : undefined}
              // What is cut in one clamping stands close together.
              apart={
                before !== undefined &&
                setup.entry === "placed" &&
                (several || isFaceSetup(before) !== isFaceSetup(setup))
              }
              state={setupState(plan, setup)}
              to={link(keys[i]!)}
              setup={setup}
              vise={vise}
              shop={shop}
            />
          );
        })}
        <Box px="12px" py="6px" fontSize="13px" color="quiet" alignSelf="center" minW="118px" flexShrink="0">
          <chakra.b color="ink">
            <Figure of={quantity("time", plan.minutes.total)} />
          </chakra.b>
          <br />
          {counted(clampingsOf(plan), "setup")}
          {!job.part.shaft && `, ${schoolName(plan.school).toLowerCase()}`}
        </Box>
      </Box>
    </Box>
  );
});

/** A face to its size or only clean, or how many features. */
function WhatComesOut({ setup }: { setup: Setup }) {
  if (!isFaceSetup(setup))
    return (
      <>
        {setup.at.up} up, {counted(setup.features.length, "feature")}
      </>
    );
  const { sized, to, face, key } = faceOf(setup);
  if (extentOf(key) === "rough") return <>{face}, scale off</>;
  return sized ? (
    <>
      to <Figure of={mm(to)} />
    </>
  ) : (
    <>{face}, clean</>
  );
}

/** The card of one setup: its number, how it is held, what comes out of it, its state. */
const SetupCard = memo(function SetupCard({
  label,
  now,
  here,
  apart,
  state,
  to,
  setup,
  vise,
  shop,
}: {
  label: string;
  now: boolean;
  here: RefObject<HTMLAnchorElement | null> | undefined;
  /** Stands apart from the card before. */
  apart: boolean;
  state: SetupState;
  to: string;
  setup: Setup;
  vise: Vise | undefined;
  shop: Shop;
}) {
  const figure = vise ? setupSection(setup, vise, shop.cutters, { small: true }) : null;
  return (
    <Card
      ref={here}
      to={to}
      aria-current={now ? "true" : undefined}
      display="block"
      // Cards give way before the end of the ribbon leaves the sight: it says how long it all takes.
      flex={now ? "0 1 172px" : "0 1 124px"}
      minW={now ? "112px" : "72px"}
      px="8px"
      pt="4px"
      pb="6px"
      ml={apart ? "12px" : undefined}
      borderWidth="1px 1px 0"
      borderStyle="solid"
      borderColor={now ? "ink" : "rule"}
      bg={now ? "ground" : "transparent"}
      fontSize="12.5px"
    >
      <Box display="flex" gap="6px" alignItems="flex-start" height={now ? "64px" : "52px"}>
        <chakra.b fontSize={now ? "20px" : "16px"}>{label}</chakra.b>
        <Box flex="1" height="100%" overflow="hidden">
          {figure && <FigureView figure={figure} maxHeight="100%" />}
        </Box>
      </Box>
      <chakra.span display="block" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis">
        <WhatComesOut setup={setup} />
      </chakra.span>
      {setup.carried && (
        <chakra.b display="block" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis">
          → {shop.machines.find((m) => m.id === setup.machine)?.name}
        </chakra.b>
      )}
      <chakra.span color={state === "done" ? "good" : state === "blocked" ? "stop" : "quiet"}>
        <span aria-hidden="true">{marks[state]}</span> {state}
      </chakra.span>
    </Card>
  );
});
