import { counted } from "../../../core/working/index.ts";
import { Box, chakra } from "@chakra-ui/react";
import { setupSection } from "../../../core/figure/index.ts";
import { errorKey, largestError, type RouteOption } from "../../../core/plan/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import type { PairError } from "../../../core/route/index.ts";
import { Button } from "../../instruments/button.tsx";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { LongWork } from "../../instruments/long-work.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { Table } from "../../instruments/section.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { useLongWork } from "../../instruments/use-long-work.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";

/** The schools side by side: time, what to expect of squareness and parallelism, what they need; one is recommended. */
export function RoutesCompared() {
  const { plan, compareRoutes, stopRoutes, reason } = useJob();
  const { found: compared, progress, stopped, again } = useLongWork(plan, compareRoutes);
  const own = useOverrides("route");
  const report = own.reportOf("school");
  const endsReport = own.reportOf("ends");
  /** School and ends together, in one change; the usual ones are taken back. */
  const choose = ({ school, ends }: RouteOption, usualEnds: string, roundGoes: boolean) =>
    own.replace(
      [
        ...(school === "round" && roundGoes ? [] : [["school", school] as const]),
        ...(ends === usualEnds ? [] : [["ends", ends] as const]),
      ],
      ["school", "ends"],
      reason || "by choice",
    );
  return (
    <>
      {report && <OverrideNotice report={report} onUndo={() => own.takeBack("school")} />}
      {endsReport && <OverrideNotice report={endsReport} onUndo={() => own.takeBack("ends")} />}
      {compared === null ? (
        <LongWork
          says={
            progress
              ? `Working out the ways: ${progress.what.toLowerCase()}, ${progress.done} of ${progress.of} done…`
              : "Working out the ways…"
          }
          done={progress && progress.done / progress.of}
          stopped={
            stopped ? { says: "Stopped before all ways were worked out.", again: "Work them out" } : null
          }
          onStop={stopRoutes}
          onAgain={again}
        />
      ) : (
        <>
          <chakra.p mb="6px">
            Recommended: <b>{compared.options[compared.recommended]?.name.toLowerCase()}</b>.{" "}
            <Words of={compared.why} />
          </chakra.p>
          <Table
            label="Ways to square it"
            head={["first setup", "way", "time", "out of square, over 100", "out of parallel", "needs", ""]}
          >
            {compared.options.map((option, i) => (
              <Option
                key={option.name}
                option={option}
                recommended={i === compared.recommended}
                onChoose={() =>
                  choose(
                    option,
                    compared.usualEnds,
                    compared.options.some((o) => o.school === "round" && o.refusal === null),
                  )
                }
              />
            ))}
          </Table>
          <chakra.p fontSize="12.5px" color="quiet" mt="4px">
            Expected, and in brackets the worst case: every error at its largest, all one way. Machine and
            vise errors are typical ones (guess) until yours are entered in the shop.
          </chakra.p>
        </>
      )}
    </>
  );
}

function Option({
  option,
  recommended,
  onChoose,
}: {
  option: RouteOption;
  recommended: boolean;
  onChoose: () => void;
}) {
  const { shop } = useJob();
  const { vise } = useEquipment();
  const section =
    option.first && vise ? setupSection(option.first, vise, shop.cutters, { small: true }) : null;
  const square = largestError(option.errors, "square");
  const parallel = largestError(option.errors, "parallel");
  return (
    <chakra.tr bg={option.chosen ? "accentSoft" : undefined}>
      <chakra.td width="96px">{section && <FigureView figure={section} maxHeight="84px" />}</chakra.td>
      <chakra.th scope="row" minWidth="230px">
        <chakra.div fontSize="14.5px" color="ink">
          {option.chosen ? "▸ " : ""}
          {option.name}
          {recommended ? " · recommended" : ""}
        </chakra.div>
        <chakra.div fontWeight="400">{option.what}</chakra.div>
        <chakra.div fontWeight="400">{orderOf(option.setups)}</chakra.div>
        {option.refusal && (
          <chakra.div color="stop" fontWeight="400">
            ■ <Words of={option.refusal} />
          </chakra.div>
        )}
        {option.risks.map((risk) => (
          <chakra.div key={risk.id} color="warn" fontWeight="400">
            ▲ <Words of={risk} />
          </chakra.div>
        ))}
      </chakra.th>
      <chakra.td width="84px" textAlign="right">
        <Figure of={quantity("time", option.minutes)} />
        <br />
        {counted(option.clampings, "setup")}
        {option.kept > 0 && (
          <>
            <br />
            {counted(option.kept, "feature")} still clamped
          </>
        )}
      </chakra.td>
      <td>
        <Expected of={square} at={option.chosen && square ? errorKey(square) : undefined} />
      </td>
      <td>
        <Expected of={parallel} at={option.chosen && parallel ? errorKey(parallel) : undefined} />
      </td>
      <chakra.td fontSize="12.5px">{[...option.cutters, ...option.holding].join(", ")}</chakra.td>
      <td>
        {option.chosen ? (
          "in the plan"
        ) : (
          <Button onClick={onChoose} aria-label={`Take ${option.name.toLowerCase()}`}>
            Take
          </Button>
        )}
      </td>
    </chakra.tr>
  );
}

/** The cuts in order, those of one clamping together: "top, right, left → bottom". */
function orderOf(setups: RouteOption["setups"]): string {
  const several = setups.some((s) => s.entry !== "placed");
  return setups
    .map((s, i) => {
      const how = s.key.endsWith("/rest") ? " (rest)" : !several && s.kind === "side" ? " (hung out)" : "";
      const before = i === 0 ? "" : s.entry === "placed" ? " → " : s.entry === "swapped" ? " ⇄ " : ", ";
      return `${before}${s.face}${how}`;
    })
    .join("");
}

/**
 * A predicted error with its worst case, what it is mostly from, and whether it is within what the drawing asks.
 * @param at key of its working, when it is one of the plan
 */
export function Expected({ of, at }: { of: PairError | null; at?: string | undefined }) {
  if (!of) return <>–</>;
  if (!Number.isFinite(of.predicted)) return <>not cut from one another</>;
  const { tolerance } = of;
  const figure = <Figure of={mm(of.predicted)} decimals={3} />;
  return (
    <Box minW="96px">
      <b>{at ? <Worked at={at}>{figure}</Worked> : figure}</b> (<Figure of={mm(of.worst)} decimals={3} />)
      {tolerance !== null && (
        <chakra.span color={of.predicted <= tolerance ? "good" : "stop"}>
          {" "}
          {of.predicted <= tolerance ? "● within " : "■ over "}
          <Figure of={mm(tolerance)} decimals={3} />
        </chakra.span>
      )}
      {of.largest && (
        <chakra.div fontSize="12.5px" color="quiet">
          mostly <Words of={of.largest.name} />
        </chakra.div>
      )}
    </Box>
  );
}
