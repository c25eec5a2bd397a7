import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { sawOf } from "../../../core/plan/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { runOutLearned, runOutOf } from "../../../core/shop/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { Section } from "../../instruments/section.tsx";
import { LengthProblem, readLength } from "../../instruments/typed-length.tsx";
import { useRack } from "../../instruments/use-rack.ts";
import { Figure } from "../../instruments/words.tsx";

const canRunOut = (value: number) => value >= 0 && value <= 50;
const canSection = (value: number) => value > 0 && value <= 2000;

/** How far the last cut ran out: the next blank is left that much longer. */
export function RunOut() {
  const { job, shop, unit } = useJob();
  const rack = useRack();
  const [out, setOut] = useState("");
  const [over, setOver] = useState("");
  const saw = sawOf(job, shop);
  if (!saw) return null;
  const outRead = readLength(out, { unit, may: canRunOut, told: { parts: ["It is 0 to ", mm(50), "."] } });
  const overRead = readLength(over, {
    unit,
    may: canSection,
    told: { parts: ["It is above 0, ", mm(2000), " at most."] },
  });
  const learned =
    outRead.value !== null && overRead.value !== null
      ? runOutLearned(saw.runsOut, outRead.value, overRead.value)
      : null;
  return (
    <Section title={`How true does ${saw.name} cut?`}>
      <chakra.p fontSize="14px" color="quiet" mb="4px">
        Put a square on the sawn face.{" "}
        {saw.runsOut === null ? "Nobody measured one of its cuts yet: taken as " : "So far it ran out "}
        <Figure of={mm(runOutOf(saw))} /> over 100 of section.
      </chakra.p>
      <Box display="flex" gap="10px" alignItems="flex-end" flexWrap="wrap">
        <Field
          label="The cut is out by"
          value={out}
          width="120px"
          inputMode="decimal"
          onChange={(e) => setOut(e.target.value)}
        />
        <Field
          label="over a section of"
          value={over}
          width="120px"
          inputMode="decimal"
          onChange={(e) => setOver(e.target.value)}
        />
        <Button
          disabled={learned === null || rack.busy}
          onClick={() => {
            rack.save(
              "saws",
              saw,
              { ...saw, runsOut: Math.round(learned! * 1000) / 1000 },
              `${saw.name}: noted.`,
            );
            setOut("");
            setOver("");
          }}
        >
          Note it for the next blank
        </Button>
      </Box>
      <LengthProblem of={outRead} />
      <LengthProblem of={overRead} />
      {rack.refused && (
        <Notice severity="warn" role="alert">
          Not saved: the saw is a stand-in, or was changed in another tab. Enter it in the Shop.
        </Notice>
      )}
    </Section>
  );
}
