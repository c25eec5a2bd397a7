import { type Stroke } from "../../../core/recipes/index.ts";
import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useMemo, useState } from "react";
import { cutsWords, movesView } from "../../../core/figure/index.ts";
import { cutKey, equipment } from "../../../core/job/index.ts";
import { type Locating, settleAt } from "../../../core/locate/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import {
  type FeatureOperation,
  type FeatureSetup,
  type OtherWay,
  minutesOfOperation,
} from "../../../core/route/index.ts";
import { type Machine, settingsNear } from "../../../core/shop/index.ts";
import { Button } from "../../instruments/button.tsx";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { Pace } from "../../instruments/pace.tsx";
import { Section, StationTitle, Table } from "../../instruments/section.tsx";
import { setupPlace } from "../../instruments/setup-place.ts";
import { useDrawnSetup } from "../../instruments/use-drawn-setup.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { goesRound } from "./goes-round.ts";
import { OwnConditions } from "./own-conditions.tsx";

/** One operation of a feature: with what, how fast, where the spindle goes, and what else could be done. */
export function FeatureCut({
  setup,
  locating,
  operation,
}: {
  setup: FeatureSetup;
  locating: Locating;
  operation: FeatureOperation;
}) {
  const { job, plan, shop } = useJob();
  const { drawn, movesOf } = useDrawnSetup(setup, locating);
  const moves = movesOf(operation);
  const [at, setAt] = useState<number | null>(null);
  const { machine } = equipment(job, shop);
  const picture = useMemo(() => movesView({ ...drawn, operation, moves, at }), [drawn, operation, moves, at]);
  const { set, cut } = operation;
  const route = plan.features?.routes.find((r) => r.feature === operation.feature);
  const figure = (label: string, children: ReactNode, more?: ReactNode) => (
    <Box borderTopWidth="1.5px" borderColor="ink" pt="5px" pb="8px">
      <chakra.div fontSize="13px" color="quiet">
        {label}
      </chakra.div>
      <chakra.div fontSize="21px" fontWeight="700">
        {children}
      </chakra.div>
      <chakra.div fontSize="13px" color="quiet">
        {more}
      </chakra.div>
    </Box>
  );
  const worked = (name: Parameters<typeof cutKey>[1], children: ReactNode) => (
    <Worked at={cutKey(operation.key, name)}>{children}</Worked>
  );
  const bound = cut?.limits.find((l) => l.id === cut.bound);
  return (
    <>
      <StationTitle above={`Cut of ${setupPlace(setup, plan)} · the ${setup.at.up} up`}>
        <Words of={operation.title} />, {operation.toolName}
      </StationTitle>
      <chakra.p fontSize="14.5px" mb="8px">
        <Words of={operation.why} /> {route && <Words of={route.why} />}
      </chakra.p>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.5fr) minmax(0, 1fr)" }}
        gap="0 24px"
      >
        <Box>
          {moves.length > 0 ? (
            <FigureView
              figure={picture}
              maxHeight="430px"
              saveAs={`${fileName(job.name)}-${operation.key.replace("/", "-")}`}
            />
          ) : (
            <Notice severity="note">Handwork: nothing moves at the machine.</Notice>
          )}
        </Box>
        <Box display="grid" gridTemplateColumns="1fr 1fr" gap="0 16px" alignContent="start">
          {set && (
            <>
              {figure(
                "spindle",
                worked("speed", <Figure of={quantity("spindleSpeed", set.rpm)} />),
                set.setting,
              )}
              {figure(
                set.feedBy === "power" ? "power feed" : "feed by hand",
                worked("feed", <Figure of={quantity("feed", set.vf)} />),
                <Pace seconds={set.pace} />,
              )}
              {figure(
                "floor below the face",
                worked("places", <Figure of={mm(operation.floor)} />),
                <>
                  {operation.levels.length} {operation.levels.length === 1 ? "level" : "levels"}
                  {cut && operation.levels.length > 1 && (
                    <>
                      , at most {worked("depth", <Figure of={mm(cut.depth)} />)}
                      {bound && (
                        <>
                          {" "}
                          by the <Words of={bound.name} />
                        </>
                      )}
                    </>
                  )}
                </>,
              )}
              {cut &&
                figure(
                  "force, bending",
                  worked("bending", <Figure of={quantity("force", cut.force.peak)} />),
                  <>
                    bends <Figure of={mm(cut.bending)} decimals={3} />
                  </>,
                )}
            </>
          )}
          {figure(
            "time",
            worked("time", <Figure of={quantity("time", minutesOfOperation(operation))} />),
            `${moves.length} moves`,
          )}
          {figure(
            "zero known within",
            worked("zero", <Figure of={mm(locating.error)} decimals={3} />),
            <>
              places within <Figure of={mm(operation.exact)} />
            </>,
          )}
        </Box>
      </Box>
      <Warnings of={operation.warnings} />
      <Own operation={operation} machine={machine ?? null} key={operation.key} />
      {moves.length > 0 && machine && (
        <Section title="Moves, from the one zero">
          <MovesTable moves={moves} machine={machine} at={at} onAt={setAt} />
        </Section>
      )}
      <Ways operation={operation} others={route?.others ?? []} way={route?.way ?? ""} />
    </>
  );
}

const kindWords = { go: "go to", down: "down", feed: "feed to", in: "in to" } as const;
/** Every move with its places as they can be set; pointing at one shows it in the plan view. */
function MovesTable({
  moves,
  machine,
  at,
  onAt,
}: {
  moves: readonly Stroke[];
  machine: Machine;
  at: number | null;
  onAt: (at: number | null) => void;
}) {
  const [all, setAll] = useState(false);
  const shown = all ? moves : moves.slice(0, 24);
  const place = (move: Stroke, axis: "x" | "y" | "z") => {
    const to = move.to[axis];
    if (to === undefined) return null;
    const { stop, dial } = settleAt(to, machine.axes[axis]);
    return (
      <>
        <b>
          <Figure of={mm(stop)} />
        </b>
        {machine.axes[axis].readout === null && dial && (
          <chakra.span color="quiet" fontSize="12px">
            {" "}
            {dial.turns} t {dial.divisions} d
          </chakra.span>
        )}
      </>
    );
  };
  return (
    <>
      <Table label="Moves of this operation" head={["", "do", "X", "Y", "Z", "how", "within"]}>
        {shown.map((move) => (
          <chakra.tr
            key={move.number}
            bg={move.number === at ? "accentSoft" : "transparent"}
            onMouseEnter={() => onAt(move.number)}
            onMouseLeave={() => onAt(null)}
          >
            <td>{move.number}</td>
            <td>
              <chakra.button
                type="button"
                textDecoration="underline"
                cursor="pointer"
                aria-pressed={move.number === at}
                onFocus={() => onAt(move.number)}
                onClick={() => onAt(move.number)}
              >
                {kindWords[move.kind]}
              </chakra.button>
            </td>
            <td>{place(move, "x")}</td>
            <td>{place(move, "y")}</td>
            <td>{place(move, "z")}</td>
            <td>
              {move.cuts !== "air" && cutsWords[move.cuts]}
              {move.notPast && move.kind !== "down" ? ", not past" : ""}
            </td>
            <td>
              <Figure of={mm(move.exact)} />
            </td>
          </chakra.tr>
        ))}
      </Table>
      {moves.length > shown.length && (
        <Button onClick={() => setAll(true)}>Show all {moves.length} moves</Button>
      )}
    </>
  );
}

/** Cutter, speed, feed, depth and direction of this operation as the person wants them. */
function Own({ operation, machine }: { operation: FeatureOperation; machine: Machine | null }) {
  const { shop } = useJob();
  const { cutter, set, task, others } = operation;
  if (!cutter || !set || !machine) return null;
  const name = (id: string) => shop.cutters.find((c) => c.id === id)?.name ?? id;
  return (
    <Section title="Yours: cutter, speed, feed, depth">
      <OwnConditions
        at={operation.key}
        now={{ cutter, rpm: set.rpm, setting: set.setting }}
        cutters={[
          [cutter, operation.toolName],
          ...others.map((o) => [o.cutter, `${name(o.cutter)}, ${o.minutes.toFixed(1)} min`] as const),
        ]}
        speeds={settingsNear(machine, set.rpm)}
        asked={{ depth: task !== null, direction: task !== null && goesRound(task.kind) }}
      />
    </Section>
  );
}

/** The other ways of making this feature: what they would take, or why not. */
function Ways({
  operation,
  others,
  way,
}: {
  operation: FeatureOperation;
  others: readonly OtherWay[];
  way: string;
}) {
  const { plan, reason, job } = useJob();
  const own = useOverrides(`${operation.feature}/way`);
  const route = useOverrides("route");
  const taken = own.reportOf("way");
  const firstIs = job.overrides.order.some((id) => {
    const o = job.overrides.byId[id];
    return o?.what === "first" && o.value === operation.feature;
  });
  const first = plan.overrides.find((o) => o.override.what === "first");
  return (
    <Section title="Ways of making it">
      {taken && <OverrideNotice report={taken} onUndo={() => own.takeBack("way")} />}
      {first && <OverrideNotice report={first} onUndo={() => route.takeBack("first")} />}
      <chakra.p mb="6px">
        Taken: <b>{way}</b>.{" "}
        {!firstIs && (
          <Button onClick={() => route.set([["first", operation.feature]], reason || "by choice")}>
            Cut this feature first
          </Button>
        )}
      </chakra.p>
      {others.length > 0 && (
        <Table label="Other ways" head={["way", "from", "why", "time", ""]}>
          {others.map((o) => (
            <tr key={`${o.name} ${o.up}`}>
              <td>{o.name}</td>
              <td>{o.up}</td>
              <td>
                <Words of={o.refusal ? o.refusal.reason : o.why} />
              </td>
              <td>{o.minutes !== null && <Figure of={quantity("time", o.minutes)} />}</td>
              <td>
                {o.refusal ? (
                  "not here"
                ) : (
                  <Button onClick={() => own.set([["way", o.name]], reason || "by choice")}>Take it</Button>
                )}
              </td>
            </tr>
          ))}
        </Table>
      )}
    </Section>
  );
}
