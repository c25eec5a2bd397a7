import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useState } from "react";
import { firstShop, type ReadingBy, starterSets } from "../../core/shop/index.ts";
import { Button } from "../instruments/button.tsx";
import { Segments } from "../instruments/segments.tsx";
import { useShop } from "./use-shop.ts";

const drawerChoices = {
  metric: ["metric"],
  inch: ["inch"],
  both: ["metric", "inch"],
  none: [],
} as const;
type Drawers = keyof typeof drawerChoices;

const ways = [
  ["dials", "Dials only"],
  ["table", "Readout on the table, dial for depth"],
  ["all", "Readout on all three"],
] as const satisfies readonly (readonly [ReadingBy, string])[];

/** A first shop in three questions; what it is made of can all be corrected. */
export function FirstQuestions() {
  const { addSet } = useShop();
  const [machine, setMachine] = useState("knee");
  const [reads, setReads] = useState<ReadingBy>("table");
  const [drawers, setDrawers] = useState<Drawers>("metric");
  const wanted = firstShop({ machine, reads, drawers: drawerChoices[drawers] });
  const set = starterSets.machines.find((s) => s.id === machine);
  return (
    <Box as="section" mt="14px" borderTopWidth="1.5px" borderColor="ink">
      <Question number={1} asks="Which machine is closest to yours?" more={set?.what}>
        <Segments
          label="Which machine is closest to yours?"
          value={machine}
          of={starterSets.machines.map((s) => [s.id, s.name] as const)}
          onChoose={setMachine}
        />
      </Question>
      <Question number={2} asks="How does it tell where it stands?">
        <Segments label="How does it tell where it stands?" value={reads} of={ways} onChoose={setReads} />
      </Question>
      <Question
        number={3}
        asks="What is in your drawers?"
        more={`${wanted.cutters.length} cutters, ${wanted.holders.length} holders, ${wanted.parallels.length} pairs of parallels, ${wanted.instruments.length} instruments`}
      >
        <Segments
          label="What is in your drawers?"
          value={drawers}
          of={[
            ["metric", "Metric"],
            ["inch", "Inch"],
            ["both", "Both"],
            ["none", "I enter them myself"],
          ]}
          onChoose={setDrawers}
        />
      </Question>
      <Box display="flex" gap="12px" alignItems="center" mt="14px" flexWrap="wrap">
        <Button look="strong" onClick={() => addSet(wanted)}>
          Make this my shop
        </Button>
        <chakra.span color="quiet" fontSize="14px">
          Usual values, to be corrected to yours in the drawers. Can be undone.
        </chakra.span>
      </Box>
    </Box>
  );
}

function Question({
  number,
  asks,
  more,
  children,
}: {
  number: number;
  asks: string;
  more?: string | undefined;
  children: ReactNode;
}) {
  return (
    <Box display="flex" gap="14px" py="12px" borderBottomWidth="1px">
      <chakra.span fontSize="24px" fontWeight="700" lineHeight="1.1" width="22px" aria-hidden="true">
        {number}
      </chakra.span>
      <Box>
        <chakra.h2 fontSize="16px" mb="6px">
          {asks}
        </chakra.h2>
        {children}
        {more && (
          <chakra.p color="quiet" fontSize="13.5px" mt="4px">
            {more}
          </chakra.p>
        )}
      </Box>
    </Box>
  );
}
