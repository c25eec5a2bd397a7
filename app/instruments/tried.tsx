import { Box, chakra } from "@chakra-ui/react";
import type { Requirement } from "../../core/plan/index.ts";
import { canMeasure } from "../../core/shop/index.ts";
import { type GaugeAnswer, gaugeAnswers } from "../../core/steps/index.ts";
import { Button } from "./button.tsx";
import { useJob } from "./job-context.tsx";
import { useSubmit } from "./use-submit.ts";

/** A thread, a finish or a fit that is tried: three answers, the last one counts. */
export function Tried({ of: r, gauge }: { of: Requirement; gauge: NonNullable<Requirement["gauge"]> }) {
  const { shop } = useJob();
  const submit = useSubmit();
  const gauges = shop.instruments.filter((i) => !i.retired && canMeasure(i, r.how, 0));
  if (r.of === "parallelism") return null;
  const { of } = r;
  const say = (answer: GaugeAnswer) =>
    void submit.append({ type: "gauged", of, answer, instrument: gauges[0]?.id ?? "" });
  return (
    <Box>
      <Box display="flex" gap="8px" flexWrap="wrap">
        {gaugeAnswers.map((answer) => (
          <Button
            key={answer}
            look={gauge.answer?.value === answer ? "strong" : "plain"}
            aria-pressed={gauge.answer?.value === answer}
            disabled={submit.busy}
            css={{ minHeight: "44px" }}
            onClick={() => say(answer)}
          >
            {gauge.answers[answer]}
          </Button>
        ))}
      </Box>
      {gauge.answer && (
        <chakra.p mt="6px">
          <Button
            look="quiet"
            onClick={() =>
              void submit.append({ type: "withdrawn", of: gauge.answer!.id, reason: "not tried" })
            }
          >
            Take that back
          </Button>
        </chakra.p>
      )}
    </Box>
  );
}
