import { Box, chakra } from "@chakra-ui/react";
import { type KeyboardEvent, type ReactNode, useEffect, useId, useRef, useState } from "react";
import type { AnyKey } from "../../../core/route/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Input, Select } from "../../instruments/field.tsx";
import type { OwnRead } from "../../instruments/own-value.tsx";
import { type OverrideWhat, useOverrides } from "../../instruments/use-overrides.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Words } from "../../instruments/words.tsx";

/** How a figure of one's own is given: typed and read, or one of a few. */
export type OwnEntry =
  | { by: "typing"; text: string; read: (text: string) => OwnRead }
  | {
      by: "choice";
      chosen: string;
      options: readonly (readonly [id: string, name: string])[];
      /** What is kept of the one chosen; null takes the plan's again. */
      keeps: (chosen: string) => string | number | null;
    };

/** A figure that a press makes the person's own. */
export interface OwnFigureProps {
  at: AnyKey;
  what: OverrideWhat;
  /** Its name, as it is read out. */
  name: string;
  entry: OwnEntry;
  /** Working that stands in the margin while it is looked at. */
  working: string | null;
  open: boolean;
  onOpen: (open: boolean) => void;
  children: ReactNode;
}

/**
 * A figure of the plan: looked at, its working stands in the margin; pressed, it is typed or chosen where it stands, with a
 * reason. Enter uses it, Esc leaves it. What was typed is cleared only when it was kept.
 */
export function OwnFigure(props: OwnFigureProps) {
  const { name, working, open, onOpen, children } = props;
  const button = useRef<HTMLButtonElement>(null);
  const close = () => {
    onOpen(false);
    // The field is gone with the next paint; the figure takes the focus back.
    requestAnimationFrame(() => button.current?.focus());
  };
  if (open) return <OwnEntryForm {...props} onClose={close} />;
  return (
    <Worked
      at={working}
      ref={button}
      title={`Press to set the ${name} yourself`}
      onPress={() => onOpen(true)}
    >
      {children}
    </Worked>
  );
}

/** Where a figure of one's own is typed or chosen, with its reason. */
export function OwnEntryForm({
  at,
  what,
  name,
  entry,
  onClose,
}: Pick<OwnFigureProps, "at" | "what" | "name" | "entry"> & { onClose: () => void }) {
  const own = useOverrides(at);
  const id = useId();
  const form = useRef<HTMLDivElement>(null);
  const [given, setGiven] = useState(entry.by === "typing" ? entry.text : entry.chosen);
  const [reason, setReason] = useState("");
  useEffect(() => {
    const field = form.current?.querySelector<HTMLInputElement | HTMLSelectElement>("input, select");
    field?.focus();
    if (field instanceof HTMLInputElement) field.select();
  }, []);
  const outcome = entry.by === "typing" && given.trim() !== "" ? entry.read(given) : null;
  const ready = entry.by === "choice" || outcome?.ok === true;
  const keepIt = () => {
    if (!ready) return;
    const value = entry.by === "choice" ? entry.keeps(given) : outcome?.ok ? outcome.value : null;
    if (value !== null) return own.set([[what, value]], reason, onClose);
    own.takeBack(what);
    onClose();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "Enter") keepIt();
    else if (event.key === "Escape") onClose();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const told = `${id}-said`;
  return (
    <Box ref={form} bg="accentSoft" p="8px" fontSize="14px" fontWeight="400" lineHeight="1.45">
      <Box display="flex" gap="6px 8px" flexWrap="wrap" alignItems="center">
        {entry.by === "typing" ? (
          <Input
            figure
            aria-label={`Your ${name}`}
            value={given}
            maxLength={40}
            width="120px"
            onChange={(e) => setGiven(e.target.value)}
            onKeyDown={onKeyDown}
            aria-invalid={outcome !== null && !outcome.ok}
            aria-describedby={told}
          />
        ) : (
          <Select
            aria-label={`Your ${name}`}
            value={given}
            onChange={(e) => setGiven(e.target.value)}
            onKeyDown={onKeyDown}
          >
            {entry.options.map(([value, text]) => (
              <option key={value} value={value}>
                {text}
              </option>
            ))}
          </Select>
        )}
        <Input
          aria-label="Reason"
          placeholder="reason"
          value={reason}
          maxLength={200}
          flex="1"
          minW="80px"
          onChange={(e) => setReason(e.target.value)}
          onKeyDown={onKeyDown}
        />
        <Button look="strong" disabled={!ready} onClick={keepIt}>
          Use mine
        </Button>
        <Button onClick={onClose}>Leave it</Button>
      </Box>
      <chakra.p id={told} role="status" fontSize="13px" color={outcome && !outcome.ok ? "stop" : "quiet"}>
        {outcome && !outcome.ok ? <Words of={outcome.problem} /> : (outcome?.said ?? "")}
      </chakra.p>
    </Box>
  );
}
