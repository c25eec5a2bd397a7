import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, type RefObject, useId } from "react";
import { type LengthUnit, parseLength } from "../../core/quantity/index.ts";
import { entryProblem, type Phrase, words } from "../../core/working/index.ts";
import { Button } from "./button.tsx";
import { Field } from "./field.tsx";
import { understoodAs } from "./number-entry.tsx";
import { Words } from "./words.tsx";

/** What a typed number of one's own was understood as; null where nothing is typed. */
export type OwnRead = { ok: true; value: number; said: string } | { ok: false; problem: Phrase } | null;

/** A length above zero, mm, as it was typed in the unit shown. */
export function readOwnLength(text: string, unit: LengthUnit, nothing: string): OwnRead {
  const read = parseLength(text, unit);
  if (!read.ok) return { ok: false, problem: entryProblem(read.problem) };
  if (!(read.value > 0)) return { ok: false, problem: words(nothing) };
  return {
    ok: true,
    value: read.value,
    said: understoodAs({ nominal: read.value, upper: null, lower: null, fit: null, written: { text, unit } }),
  };
}

/** A number of one's own: typed and understood; used on Enter, cleared only when it was kept. */
export function OwnValue({
  label,
  text,
  outcome,
  onType,
  onUse,
  fieldRef,
}: {
  label: string;
  text: string;
  outcome: OwnRead;
  onType: (text: string) => void;
  onUse: () => void;
  fieldRef?: RefObject<HTMLInputElement | null>;
}) {
  const id = useId();
  return (
    <Box>
      <Field
        label={label}
        figure
        width="100%"
        {...(fieldRef ? { ref: fieldRef } : {})}
        value={text}
        onChange={(e) => onType(e.target.value)}
        onKeyDown={(e) => e.key === "Enter" && onUse()}
        aria-invalid={outcome !== null && !outcome.ok}
        aria-describedby={`${id}-said`}
      />
      <chakra.p
        id={`${id}-said`}
        role="status"
        fontSize="12.5px"
        minH="18px"
        color={outcome && !outcome.ok ? "stop" : "quiet"}
      >
        {outcome && !outcome.ok ? <Words of={outcome.problem} /> : (outcome?.said ?? "")}
      </chakra.p>
    </Box>
  );
}

/** The same with a button beside it, for what is typed rarely. */
export function OwnValueRow({
  button,
  enabled,
  children,
  ...value
}: Parameters<typeof OwnValue>[0] & { button: string; enabled: boolean; children?: ReactNode }) {
  return (
    <Box display="flex" gap="8px" alignItems="flex-start" mt="6px" flexWrap="wrap">
      <Box width="260px">
        <OwnValue {...value} />
      </Box>
      <Button look="strong" mt="22px" disabled={!enabled} onClick={value.onUse}>
        {button}
      </Button>
      {children}
    </Box>
  );
}
