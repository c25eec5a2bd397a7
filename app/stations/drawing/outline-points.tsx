import { Box, chakra } from "@chakra-ui/react";
import { useId, useState } from "react";
import { centered, type Feature, outlineText, readOutline } from "../../../core/part/index.ts";
import { entryProblem, type Phrase } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Labeled, TextArea } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Words } from "../../instruments/words.tsx";

type OutlineFeature = Extract<Feature, { kind: "outline" }>;

/** The points of a free outline as lines of text: X Y, and R where the way to the next is an arc. */
export function OutlinePoints({
  feature,
  onSet,
}: {
  feature: OutlineFeature;
  onSet: (next: Feature) => void;
}) {
  const { unit } = useJob();
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const [problem, setProblem] = useState<{ line: number; why: Phrase } | null>(null);
  const keep = () => {
    if (text === null) return;
    const read = readOutline(text, unit);
    if (!read.ok) {
      setProblem({ line: read.line, why: entryProblem(read.problem) });
      return;
    }
    setProblem(null);
    setText(null);
    const { corners } = read.corners.length > 1 ? centered(read.corners) : read;
    onSet({ ...feature, corners: corners.map((c) => ({ ...c })) });
  };
  return (
    <Box mt="8px" maxW="420px">
      <Labeled
        label={`Points in ${unit}, one a line: X Y, and R with a radius where an arc leads on (R−12 turns clockwise)`}
        htmlFor={id}
      >
        <TextArea
          id={id}
          rows={Math.min(12, Math.max(5, feature.corners.length + 1))}
          width="100%"
          fontFamily="mono"
          value={text ?? outlineText(feature.corners, unit)}
          aria-invalid={problem !== null}
          onChange={(event) => setText(event.target.value)}
          onBlur={keep}
        />
      </Labeled>
      {problem && (
        <chakra.p role="status" color="stop" fontSize="13.5px">
          ■ Line {problem.line}: <Words of={problem.why} />
        </chakra.p>
      )}
      {text !== null && <Button onClick={keep}>Use these points</Button>}
    </Box>
  );
}
