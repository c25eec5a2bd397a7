import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { formHint } from "../../../core/inspect/index.ts";
import type { Unread } from "../../../core/plan/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { capital, counted, phraseText } from "../../../core/working/index.ts";
import { Button, ButtonLink } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { recordPath } from "../../instruments/job-paths.ts";
import { ReadingPad } from "../../instruments/reading-pad.tsx";
import { Tried } from "../../instruments/tried.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";

/**
 * What the drawing asks beside the sizes that were measured on the way: form, places, threads, finish, fits. One after the other, on
 * the part that was just taken out and wiped.
 */
export function LastReadings({ of: unread }: { of: readonly Unread[] }) {
  const { job, piece, unit } = useJob();
  const submit = useSubmit();
  const [left, leave] = useState<readonly string[]>([]);
  const r = unread.find((u) => !left.includes(u.of));
  if (!r)
    return (
      <>
        <chakra.p fontSize="20px" mb="20px">
          {counted(unread.length, "reading is", "readings are")} left for the plate. Take them at the Record,
          then judge the part.
        </chakra.p>
        <ButtonLink to={recordPath(job.id, piece)} look="strong" size="machine">
          To the record
        </ButtonLink>
      </>
    );
  const { of, gauge, how, limits, name } = r;
  const hint = formHint(job.part, of);
  const meant = Number.isFinite(limits.lower) ? (limits.lower + limits.upper) / 2 : limits.upper;
  const after = unread.filter((u) => u.of !== of && !left.includes(u.of)).length;
  return (
    <>
      <chakra.p fontSize="18px" color="quiet">
        Deburred and wiped, read what is left: {after === 0 ? "the last one" : `${after} more after this`}.
      </chakra.p>
      <chakra.h2 fontSize="26px" mb="6px">
        {name ? capital(phraseText(name, unit)) : capital(of)}
        {!r.required && <chakra.span color="quiet"> · may be left</chakra.span>}
      </chakra.h2>
      {!gauge && (
        <chakra.p fontSize="20px" mb="8px">
          {how === "form" ? (
            <>
              At most{" "}
              <b>
                <Figure of={mm(limits.upper)} decimals={3} />
              </b>
              {of === "squareness" && " over 100 mm, by the largest gap"}
              {hint && (
                <>
                  . <Words of={hint} />
                </>
              )}
            </>
          ) : (
            <>
              Wanted: <Figure of={mm(limits.lower)} decimals={3} /> to{" "}
              <Figure of={mm(limits.upper)} decimals={3} />
            </>
          )}
        </chakra.p>
      )}
      {gauge ? (
        <Tried of={r} gauge={gauge} />
      ) : (
        <ReadingPad
          key={of}
          of={of}
          name={name}
          how={how}
          expected={meant}
          before={null}
          readings={[]}
          onReading={(reading) => void submit.append({ type: "reading", op: null, of, ...reading })}
        />
      )}
      <Box display="flex" gap="12px" flexWrap="wrap" mt="16px">
        <Button size="machine" onClick={() => leave([...left, of])}>
          Leave it for the plate
        </Button>
        <ButtonLink to={recordPath(job.id, piece)} size="machine">
          To the record
        </ButtonLink>
      </Box>
    </>
  );
}
