import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { cutKey } from "../../../core/plan/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import { faceOf, type FaceSetup, isFaceSetup, keyOfSetup, type Setup } from "../../../core/route/index.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure } from "../../instruments/words.tsx";
import { isGlued } from "../../../core/holding/index.ts";

/** How the part sits, in figures, and what the setup takes. */
export function Seating({ setup }: { setup: Setup }) {
  const { seat, minutes } = setup;
  const key = keyOfSetup(setup);
  return (
    <Box display="flex" flexWrap="wrap" gap="4px 18px" mt="8px" fontSize="15px">
      {seat.table ? <Strapped setup={setup} /> : <Gripped setup={setup} />}
      {isFaceSetup(setup) && <ComesOff setup={setup} />}
      <Fact what="time">
        <Worked at={cutKey(key, isFaceSetup(setup) ? "time" : "setup")}>
          <Figure of={quantity("time", minutes.cutting + minutes.handling)} />
        </Worked>
      </Fact>
    </Box>
  );
}

function ComesOff({ setup }: { setup: FaceSetup }) {
  const { key, from, to, cut } = faceOf(setup);
  return (
    <span>
      cut{" "}
      <b>
        <Worked at={cutKey(key, "passes")}>
          <Figure of={mm(from - to)} />
        </Worked>
      </b>{" "}
      in {cut.passes.length}
    </span>
  );
}

function Strapped({ setup }: { setup: Setup }) {
  const { seat } = setup;
  const { table, points } = seat;
  if (!table) return null;
  if (isGlued(seat))
    return (
      <>
        <Fact what="glued over">
          <Worked at={cutKey(keyOfSetup(setup), "grip")}>
            <Figure of={mm(seat.along)} /> × <Figure of={mm(seat.between)} />
          </Worked>
        </Fact>
        <Fact what="on a plate">
          <Figure of={mm(table.packing)} /> thick
        </Fact>
      </>
    );
  return (
    <>
      <Fact what="straps">
        <Worked at={cutKey(keyOfSetup(setup), "grip")}>{table.straps}</Worked>{" "}
        {table.at.length > 0 ? "clear of the cuts" : `over the ${table.over} edge`}
      </Fact>
      <Fact what="reach in">
        <Figure of={mm(table.reach)} />
      </Fact>
      <Fact what="on">
        {points ? (
          "three points"
        ) : (
          <>
            <Figure of={mm(table.packing)} />{" "}
            {seat.blocks ? "high V-blocks" : table.plate ? "plate" : "packing"}
          </>
        )}
      </Fact>
    </>
  );
}

function Gripped({ setup }: { setup: Setup }) {
  const { seat, device } = setup;
  const grip = cutKey(keyOfSetup(setup), "grip");
  return (
    <>
      <Fact what="grip">
        <Worked at={grip}>
          <Figure of={mm(seat.grip)} />
        </Worked>
      </Fact>
      <Fact what="above the jaws">
        <Worked at={grip}>
          <Figure of={mm(seat.projection)} />
        </Worked>
      </Fact>
      <Fact what="on">
        {device === "vBlocks" ? (
          "V-blocks"
        ) : seat.points ? (
          "three points"
        ) : seat.parallels ? (
          <>
            <Figure of={mm(seat.parallels.height)} /> parallels
          </>
        ) : (
          "the bed"
        )}
      </Fact>
      {seat.rod && (
        <Fact what="rod">
          <Figure of={mm(seat.rod.diameter)} /> at <Figure of={mm(seat.rod.height)} />
        </Fact>
      )}
      {device === "vise" && <Fact what="tap">{seat.tap ? "yes" : "no"}</Fact>}
    </>
  );
}

const Fact = ({ what, children }: { what: string; children: ReactNode }) => (
  <span>
    {what} <b>{children}</b>
  </span>
);
