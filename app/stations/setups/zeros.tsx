import { Box, chakra } from "@chakra-ui/react";
import { cutKey } from "../../../core/plan/index.ts";
import type { Locating, Pickup } from "../../../core/locate/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { type AnyKey, isFaceSetup, keyOfSetup, type Setup } from "../../../core/route/index.ts";
import type { Step } from "../../../core/steps/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";

/** Where zero lies in a setup, how it is picked up, and how well it is known. */
export function Zeros({ setup }: { setup: Setup }) {
  const { plan } = useJob();
  const key = keyOfSetup(setup);
  const mine = isFaceSetup(setup) ? plan.steps.filter((s) => s.op === key) : [];
  const locating = isFaceSetup(setup) ? null : (plan.zeros[keyOfSetup(setup)] ?? null);
  return (
    <>
      <chakra.h2 fontSize="14px" color="quiet" mt="10px" mb="4px">
        Where zero lies
      </chakra.h2>
      {mine.map((s) =>
        s.touch ? (
          <Touched key={s.id} step={s} at={key} />
        ) : (
          s.pickup && <PickedUp key={s.id} pickup={s.pickup} at={null} />
        ),
      )}
      {locating?.pickups.map((p) => (
        <PickedUp key={p.axis} pickup={p} at={key} />
      ))}
      {locating && <KnownWithin locating={locating} at={key} />}
    </>
  );
}

function Touched({ step, at }: { step: Step; at: AnyKey }) {
  if (!step.touch) return null;
  const { axis, setting } = step.touch;
  return (
    <Box py="5px" borderBottomWidth="1px">
      <b>
        <Words of={step.title} />
      </b>
      : set {axis.toUpperCase()} to{" "}
      <Worked at={cutKey(at, "stop")}>
        <Figure of={mm(setting)} />
      </Worked>
      <chakra.div fontSize="13.5px" color="quiet">
        All stops of this setup count from there.
      </chakra.div>
    </Box>
  );
}

/** @param at the operation its figure is worked at; null where it is only said how it is done */
function PickedUp({ pickup, at }: { pickup: Pickup; at: AnyKey | null }) {
  const NAME = pickup.axis.toUpperCase();
  const byReadout = pickup.by === "readout";
  return (
    <Box py="5px" borderBottomWidth="1px">
      <b>
        <Words of={pickup.title} />
      </b>
      {at && pickup.faces.length === 1 && (
        <>
          : {byReadout ? `set ${NAME} to ` : pickup.off > 0 ? "move on by " : `set the ${NAME} collar to `}
          <Worked at={cutKey(at, "zero")}>
            <Figure of={mm(byReadout ? pickup.settings[0]! : pickup.off)} decimals={3} />
          </Worked>
        </>
      )}
      <chakra.div fontSize="13.5px" color="quiet">
        {pickup.order.map((o, i) => (
          <span key={i}>
            <Words of={o} />{" "}
          </span>
        ))}
        Good to <Figure of={mm(pickup.error)} decimals={3} />.
      </chakra.div>
    </Box>
  );
}

const KnownWithin = ({ locating, at }: { locating: Locating; at: AnyKey }) => (
  <chakra.p fontSize="13.5px" color="quiet" mt="4px">
    Z is touched with every new tool through paper.
    {locating.closest !== null && (
      <>
        {" "}
        X and Y together good to{" "}
        <Worked at={cutKey(at, "zero")}>
          <Figure of={mm(locating.error)} decimals={3} />
        </Worked>
        ; the places may be <Figure of={mm(locating.closest)} decimals={3} /> off.
      </>
    )}
  </chakra.p>
);
