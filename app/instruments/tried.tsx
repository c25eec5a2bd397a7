import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { Requirement } from "../../core/plan/index.ts";
import { mm } from "../../core/quantity/index.ts";
import { canMeasure } from "../../core/shop/index.ts";
import {
  farthestRun,
  type FitPlace,
  fitPlaces,
  type GaugeAnswer,
  gaugeAnswers,
} from "../../core/steps/index.ts";
import { say as phrase } from "../../core/working/index.ts";
import { Button } from "./button.tsx";
import { Choice } from "./choice.tsx";
import { Field } from "./field.tsx";
import { useJob } from "./job-context.tsx";
import { LengthProblem, readLength } from "./typed-length.tsx";
import { useSubmit } from "./use-submit.ts";
import { Figure } from "./words.tsx";

const canBePlay = (value: number): boolean => value >= 0 && value <= farthestRun;
const noPlay = phrase`Play is 0 or more, ${mm(farthestRun)} at most.`;

/** A thread, a finish or a fit that is tried: three answers, the last one counts. */
export function Tried({ of: r, gauge }: { of: Requirement; gauge: NonNullable<Requirement["gauge"]> }) {
  const { shop, unit } = useJob();
  const submit = useSubmit();
  const [text, setText] = useState("");
  const [where, setWhere] = useState<FitPlace | "">("");
  const gauges = shop.instruments.filter((i) => !i.retired && canMeasure(i, r.how, 0));
  if (r.of === "parallelism") return null;
  const { of } = r;
  const play = readLength(text, { unit, may: canBePlay, told: noPlay });
  const say = (answer: GaugeAnswer) =>
    void submit
      .append({
        type: "gauged",
        of,
        answer,
        instrument: gauges[0]?.id ?? "",
        ...(play.value === null ? {} : { play: play.value }),
        ...(where ? { where } : {}),
      })
      .then(({ ok }) => {
        if (!ok) return;
        setText("");
        setWhere("");
      });
  const { answer } = gauge;
  return (
    <Box>
      {gauge.gap && (
        <Box display="flex" gap="10px" flexWrap="wrap" mb="8px" alignItems="flex-end">
          <Field
            label="Most play, by a feeler (may be left)"
            value={text}
            inputMode="decimal"
            width="130px"
            onChange={(e) => setText(e.target.value)}
          />
          <Choice<FitPlace | "">
            label="Where it binds or shakes"
            value={where}
            empty="not said"
            options={fitPlaces.map((p) => [p, p] as const)}
            onChoose={setWhere}
          />
        </Box>
      )}
      <LengthProblem of={play} />
      <Box display="flex" gap="8px" flexWrap="wrap">
        {gaugeAnswers.map((a) => (
          <Button
            key={a}
            look={answer?.value === a ? "strong" : "plain"}
            aria-pressed={answer?.value === a}
            disabled={submit.busy || play.problem !== null}
            css={{ minHeight: "44px" }}
            onClick={() => say(a)}
          >
            {gauge.answers[a]}
          </Button>
        ))}
      </Box>
      {answer && (
        <chakra.p mt="6px">
          {(answer.play !== null || answer.where) && (
            <>
              {answer.play !== null && (
                <>
                  Play <Figure of={mm(answer.play)} decimals={3} />
                </>
              )}
              {answer.where && ` ${answer.play === null ? "At" : "at"} ${answer.where}`}.{" "}
            </>
          )}
          <Button
            look="quiet"
            onClick={() => void submit.append({ type: "withdrawn", of: answer.id, reason: "not tried" })}
          >
            Take that back
          </Button>
        </chakra.p>
      )}
    </Box>
  );
}
