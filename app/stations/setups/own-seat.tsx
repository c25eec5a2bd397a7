import { Box, chakra } from "@chakra-ui/react";
import { axisOf, type Face, faceNames, orientation } from "../../../core/frame/index.ts";
import { faceCalled } from "../../../core/holding/index.ts";
import type { Setup } from "../../../core/route/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { NotTaken } from "../../instruments/not-taken.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { Section } from "../../instruments/section.tsx";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { PackingChoice, ParallelsChoice, StopChoice } from "./seat-choices.tsx";

/** The order of setups with this one before or after its neighbor; null where it is the first or the last, or begun. */
function ordersFor(setup: Setup, setups: readonly Setup[], begun: number) {
  if (setups.some((s) => s.entry !== "placed" || s.seat.table) || setup.stays) return null;
  const i = setups.indexOf(setup);
  const swapped = (a: number, b: number) => {
    if (a < begun || b >= setups.length) return null;
    const list = setups.map(
      (s) => orientation(s.face, s.seat.fixed) ?? { up: s.face, fixed: besideOf(s.face) },
    );
    [list[a], list[b]] = [list[b]!, list[a]!];
    return list;
  };
  return [
    { name: "Cut it earlier", order: swapped(i - 1, i) },
    { name: "Cut it later", order: swapped(i, i + 1) },
  ];
}

/** Some face beside one: for an end that hangs out, whose jaw follows from how it lies. */
const besideOf = (face: Face): Face => faceNames.find((f) => axisOf(f) !== axisOf(face))!;

/** How the person wants this setup held: the face at the fixed jaw, the parallels; the rest of the plan follows. */
export function OwnSeat({ setup }: { setup: Setup }) {
  const { plan, reason } = useJob();
  const begun = plan.setups.filter((s) =>
    plan.steps.some((step) => step.op === s.key && (step.done || step.ticks.some((t) => t.done))),
  ).length;
  const orders = ordersFor(setup, plan.setups, begun);
  const own = useOverrides(setup.key);
  const reports = (["fixed", "parallels", "packing", "jack", "stop"] as const).flatMap(
    (what) => own.reportOf(what) ?? [],
  );
  const route = useOverrides("route");
  const beside = faceNames.filter((f) => axisOf(f) !== axisOf(setup.at.up));
  if (setup.entry !== "placed")
    return (
      <Section title="Held another way">
        <chakra.p color="quiet">
          The part stays where it is from the cut before. How it is held is changed there.
        </chakra.p>
      </Section>
    );
  return (
    <Section title="Held another way">
      {(own.refused || route.refused) && <NotTaken />}
      {reports.map((report) => (
        <OverrideNotice
          key={report.override.id}
          report={report}
          onUndo={() => own.takeBack(report.override.what)}
        />
      ))}
      <Box display="flex" gap="14px" flexWrap="wrap" className="no-print">
        {setup.cut.kind !== "side" && !setup.seat.table && !setup.stays && (
          <Choice<Face>
            label="At the fixed jaw"
            value={setup.seat.fixed}
            options={beside.map((f) => [f, `${faceCalled(setup.before, f)}`] as const)}
            onChoose={(face) => own.set([["fixed", face]], reason || "by choice")}
          />
        )}
        {!setup.seat.table && <ParallelsChoice seat={setup.seat} own={own} />}
        <PackingChoice
          seat={setup.seat}
          own={own}
          label={setup.seat.table ? "Under the part" : "Between part and jaws"}
        />
        <StopChoice seat={setup.seat} own={own} />
        {setup.seat.overhang !== null && (
          <Choice<"none" | "under">
            label="Under the end"
            value={setup.seat.jack ? "under" : "none"}
            options={[
              ["none", "nothing"],
              ["under", "a jack"],
            ]}
            onChoose={(jack) =>
              jack === "under" ? own.set([["jack", jack]], reason || "by choice") : own.takeBack("jack")
            }
          />
        )}
        {orders && (
          <Box display="flex" gap="6px" alignItems="flex-end">
            {orders.map(({ name, order }) => (
              <Button
                key={name}
                disabled={!order}
                onClick={() => order && route.replace([["school", order]], ["school"], reason || "by choice")}
              >
                {name}
              </Button>
            ))}
          </Box>
        )}
      </Box>
    </Section>
  );
}
