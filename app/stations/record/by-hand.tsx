import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { meanOf, type Requirement } from "../../../core/plan/index.ts";
import { mm, tidy } from "../../../core/quantity/index.ts";
import { type HandWay, handWays } from "../../../core/steps/index.ts";
import { capital } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure } from "../../instruments/words.tsx";

/** What was done by hand since it was read: those readings become history, and what came off is told once it is read again. */
export function WorkedByHand({ of: r }: { of: Requirement }) {
  const submit = useSubmit();
  const [how, setHow] = useState<HandWay | "">("");
  const { of, byHand } = r;
  if (of === "parallelism") return null;
  const mean = meanOf(r.readings);
  return (
    <Box fontSize="14px" mt="8px">
      {byHand && (
        <chakra.p role="status">
          {capital(byHand.how)}: it read <Figure of={mm(byHand.before)} decimals={3} /> before
          {mean === null ? (
            <>
              . Wipe it and read it again, at the corners and in the middle: a sander or a file rounds a face.
            </>
          ) : (
            <>
              , <Figure of={mm(mean)} decimals={3} /> now:{" "}
              <Figure of={mm(Math.abs(tidy(byHand.before - mean)))} decimals={3} />{" "}
              {mean <= byHand.before ? "less" : "more"}.
            </>
          )}{" "}
          <Button
            look="quiet"
            onClick={() =>
              void submit.append({ type: "withdrawn", of: byHand.id, reason: "not worked by hand" })
            }
          >
            Take that back
          </Button>
        </chakra.p>
      )}
      {r.readings.length > 0 && (
        <Box className="no-print" display="flex" gap="8px" alignItems="flex-end">
          <Choice<HandWay | "">
            label="Worked by hand since it was read"
            value={how}
            empty="not since"
            options={handWays.map((way) => [way, way] as const)}
            onChoose={setHow}
          />
          <Button
            disabled={how === "" || submit.busy}
            onClick={() => {
              if (how) void submit.append({ type: "byHand", of, how }).then(({ ok }) => ok && setHow(""));
            }}
          >
            Note it
          </Button>
        </Box>
      )}
    </Box>
  );
}
