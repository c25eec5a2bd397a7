import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { usualPaper } from "../../../core/locate/index.ts";
import { type Mm, mm } from "../../../core/quantity/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { OwnValueRow, readOwnLength } from "../../instruments/own-value.tsx";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Figure } from "../../instruments/words.tsx";

/** Much thicker than this is no paper, mm (guess): a rag, a folded sheet, or a slip of the point. */
const thickest = 0.5;

/** The paper that is touched through: as measured, and then counted at every touch, or the usual while nobody measured it. */
export function PaperThickness({ now }: { now: Mm }) {
  const { unit } = useJob();
  const own = useOverrides("route");
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");
  const outcome =
    text.trim() === "" ? null : readOwnLength(text, unit, "Type what the micrometer shows, above zero.");
  const measured = own.reportOf("paper");
  const use = () => {
    if (outcome?.ok && outcome.value <= thickest)
      own.set([["paper", outcome.value]], "measured", () => {
        setText("");
        setOpen(false);
      });
  };
  return (
    <Box fontSize="16px" mt="6px">
      <chakra.p color="quiet">
        Paper <Figure of={mm(now)} decimals={3} />,{" "}
        {measured ? "as you measured it" : "a guess until it is measured"}.{" "}
        <Button onClick={() => setOpen(!open)} aria-expanded={open}>
          {measured ? "Other paper" : "I measured mine"}
        </Button>{" "}
        {measured && (
          <Button onClick={() => own.takeBack("paper")}>
            Back to <Figure of={mm(usualPaper)} />
          </Button>
        )}
      </chakra.p>
      {open && (
        <OwnValueRow
          label="Paper, one sheet, measured"
          text={text}
          outcome={outcome}
          onType={setText}
          onUse={use}
          button="Use mine"
          enabled={outcome?.ok === true && outcome.value <= thickest}
        >
          {outcome?.ok && outcome.value > thickest && (
            <Notice severity="warn">
              More than <Figure of={mm(thickest)} /> is too thick for paper: check the unit and the decimal
              point.
            </Notice>
          )}
        </OwnValueRow>
      )}
    </Box>
  );
}
