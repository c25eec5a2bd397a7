import { Box, chakra } from "@chakra-ui/react";
import { axisOf, type Face, faceNames, orientation } from "../../../core/frame/index.ts";
import { faceCalled, isGlued } from "../../../core/holding/index.ts";
import { type PickupWay, touchError, touchWays, touchWords } from "../../../core/locate/index.ts";
import { mm, showQuantity } from "../../../core/quantity/index.ts";
import {
  faceOf,
  type FaceSetup,
  faceSetupsOf,
  type FeatureSetup,
  isFaceSetup,
  keyOfSetup,
  type Setup,
  isRework,
} from "../../../core/route/index.ts";
import { edgeFinderOf, inUse } from "../../../core/shop/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { Section } from "../../instruments/section.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { HeldOnChoice, PackingChoice, ParallelsChoice, StopChoice } from "./seat-choices.tsx";

type Own = ReturnType<typeof useOverrides>;

/** How the person wants this setup held, and its zero picked up; the rest of the plan follows. */
export function HeldAnotherWay({ setup }: { setup: Setup }) {
  const { seat, device } = setup;
  const own = useOverrides(keyOfSetup(setup));
  const reports = (
    ["on", "fixed", "parallels", "packing", "jack", "stop", "together", "pickup"] as const
  ).flatMap((what) => own.reportOf(what) ?? []);
  if (setup.entry !== "placed" && isFaceSetup(setup))
    return (
      <Section title="Held another way">
        <chakra.p color="quiet">
          The part stays clamped from the cut before. Change how it is held there.
        </chakra.p>
      </Section>
    );
  if (isRework(keyOfSetup(setup)))
    return (
      <Section title="Held another way">
        <chakra.p color="quiet">
          It is held as it was the first time, where metal still stands there.
        </chakra.p>
      </Section>
    );
  return (
    <Section title="Held another way">
      {reports.map((report) => (
        <OverrideNotice
          key={report.override.id}
          report={report}
          onUndo={() => own.takeBack(report.override.what)}
        />
      ))}
      <Box display="flex" gap="14px" flexWrap="wrap" className="no-print">
        {!isFaceSetup(setup) && device !== "vBlocks" && <HeldOnChoice seat={seat} own={own} />}
        <FixedChoice setup={setup} own={own} />
        {device === "vise" && <ParallelsChoice seat={seat} own={own} />}
        {device !== "vBlocks" && !isGlued(seat) && (
          <PackingChoice
            seat={seat}
            own={own}
            label={device === "table" ? "Under the part" : "Between part and jaws"}
          />
        )}
        {!isFaceSetup(setup) && <PickupChoice setup={setup} own={own} />}
        {/* Nothing is set against a part that glue or V-blocks on the table hold. */}
        {!isGlued(seat) && !(device === "vBlocks" && seat.table) && <StopChoice seat={seat} own={own} />}
        {isFaceSetup(setup) && <JackChoice setup={setup} own={own} />}
        {isFaceSetup(setup) && <OrderChoice setup={setup} />}
      </Box>
    </Section>
  );
}

/** Which face is at the fixed jaw, where that is free to choose. */
function FixedChoice({ setup, own }: { setup: Setup; own: Own }) {
  const { reason } = useJob();
  const { seat, at, device } = setup;
  const free = isFaceSetup(setup) ? faceOf(setup).cut.kind !== "side" && !setup.stays : true;
  if (device !== "vise" || !free) return null;
  const beside = faceNames.filter((f) => axisOf(f) !== axisOf(at.up));
  const called = (face: Face) => (isFaceSetup(setup) ? faceCalled(setup.before, face) : `the ${face} face`);
  return (
    <Choice<Face>
      label="At the fixed jaw"
      value={seat.fixed}
      options={beside.map((f) => [f, called(f)] as const)}
      onChoose={(face) => own.set([["fixed", face]], reason || "by choice")}
    />
  );
}

function JackChoice({ setup: { seat }, own }: { setup: FaceSetup; own: Own }) {
  const { reason } = useJob();
  // A jack the part needs not to tip is not for choice.
  if (seat.overhang === null || (seat.jack && !own.reportOf("jack"))) return null;
  return (
    <Choice<"none" | "under">
      label="Under the end"
      value={seat.jack ? "under" : "none"}
      options={[
        ["none", "nothing"],
        ["under", "a jack"],
      ]}
      onChoose={(jack) =>
        jack === "under" ? own.set([["jack", jack]], reason || "by choice") : own.takeBack("jack")
      }
    />
  );
}

function PickupChoice({ setup, own }: { setup: FeatureSetup; own: Own }) {
  const { shop, reason, plan, unit } = useJob();
  const pickup = own.reportOf("pickup")?.override;
  const finder = edgeFinderOf(inUse(shop)) !== undefined;
  const { machine } = useEquipment(setup);
  const { way } = plan.zeros[keyOfSetup(setup)]?.pickups.find((p) => p.axis === "x") ?? { way: null };
  const owned = touchWays.filter((w) => finder || !w.startsWith("finder"));
  return (
    <Choice<PickupWay>
      label="Zero picked up by"
      value={(pickup?.what === "pickup" && pickup.value) || (way ?? (finder ? "finder" : "paper"))}
      options={[
        ...owned.map(
          (w) =>
            [
              w,
              `${touchWords[w]}${machine ? `, within ${showQuantity(mm(touchError(w, machine.axes.x, false)), unit, 3)}` : ""}`,
            ] as const,
        ),
        ["sides", "both sides, halved"],
      ]}
      onChoose={(way) => own.set([["pickup", way]], reason || "by choice")}
    />
  );
}

/** A face cut before or after its neighbor in the order. */
function OrderChoice({ setup }: { setup: FaceSetup }) {
  const { plan, reason } = useJob();
  const route = useOverrides("route");
  const faces = faceSetupsOf(plan.setups);
  const begun = faces.filter((s) =>
    plan.steps.some((step) => step.op === keyOfSetup(s) && (step.done || step.ticks.some((t) => t.done))),
  ).length;
  const orders = ordersFor(setup, faces, begun);
  if (!orders) return null;
  return (
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
  );
}

/** The order of setups with this one before or after its neighbor; null where it is the first or the last, or begun. */
function ordersFor(setup: FaceSetup, setups: readonly FaceSetup[], begun: number) {
  if (setups.some((s) => s.entry !== "placed" || s.seat.table) || setup.stays) return null;
  const i = setups.indexOf(setup);
  const swapped = (a: number, b: number) => {
    if (a < begun || b >= setups.length) return null;
    const list = setups.map((s) => {
      const { face } = faceOf(s);
      return orientation(face, s.seat.fixed) ?? { up: face, fixed: besideOf(face) };
    });
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
