import { Box, chakra, Dialog, Portal } from "@chakra-ui/react";
import { useState } from "react";
import { recordsOf, type StaleCause } from "../../../core/steps/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";

const causes: [cause: StaleCause, what: string, then: string][] = [
  ["moved", "The part or the vise moved", "Clamp again, then set zero again."],
  ["cutter", "I changed the cutter", "Set zero again: the new cutter sits differently."],
  ["knee", "I moved the knee or a collar without counting", "Set zero again."],
  ["restarted", "Machine or readout was switched off", "Set zero again."],
];

/** Something is wrong: what makes the zero stale, taking back the last entry, a note. Always in reach. */
export function Wrong({
  clamping,
  begun,
  onClose,
  onStale,
}: {
  /** Which setup it happened in. */
  clamping: number;
  begun: boolean;
  onClose: () => void;
  onStale: (cause: StaleCause) => void;
}) {
  const { records, piece } = useJob();
  const submit = useSubmit();
  const [note, setNote] = useState("");
  const last = recordsOf(records, piece).findLast((r) => "op" in r && r.op !== null);
  return (
    // Space does the next step then, and does not open this again.
    <Dialog.Root open restoreFocus={false} onOpenChange={({ open }) => !open && onClose()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner pt={{ base: "2vh", md: "6vh" }}>
          <Dialog.Content borderWidth="3px" borderColor="warn" p="20px">
            <Dialog.Title fontSize="26px" color="ink" fontWeight="700" mb="4px">
              Something is wrong
            </Dialog.Title>
            <chakra.p fontSize="18px" mb="12px">
              Spindle off first. What happened in setup {clamping}:
            </chakra.p>
            {causes.map(([cause, what, then]) => (
              <Happened key={cause} what={what} then={then} disabled={!begun} onSay={() => onStale(cause)} />
            ))}
            {last && (
              <Happened
                what="Undo the last entry"
                then={lastWords(last)}
                onSay={() => {
                  void submit.append({ type: "withdrawn", of: last.id });
                  onClose();
                }}
              />
            )}
            <Box display="flex" gap="8px" alignItems="flex-end" mt="6px">
              <Field
                label="Note"
                grow
                minH="44px"
                value={note}
                onChange={(e) => setNote(e.target.value)}
                maxLength={500}
              />
              <Button
                disabled={!note.trim()}
                onClick={() => {
                  void submit.append({ type: "note", text: note.trim() });
                  onClose();
                }}
                css={{ minHeight: "44px" }}
              >
                Save note
              </Button>
            </Box>
            <Button look="strong" size="machine" onClick={onClose} css={{ marginTop: "12px", width: "100%" }}>
              Back to the step
            </Button>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}

/** Something that happened, and what is to be done then. */
function Happened({
  what,
  then,
  disabled = false,
  onSay,
}: {
  what: string;
  then: string;
  disabled?: boolean;
  onSay: () => void;
}) {
  return (
    <Button
      size="machine"
      disabled={disabled}
      onClick={onSay}
      css={{ width: "100%", display: "block", textAlign: "left", marginBottom: "8px", padding: "10px 14px" }}
    >
      {what}
      <chakra.span display="block" fontSize="15px" fontWeight="400">
        {then}
      </chakra.span>
    </Button>
  );
}

function lastWords(record: ReturnType<typeof recordsOf>[number]): string {
  switch (record.type) {
    case "cut":
      return `"Cut done" of pass ${record.pass}`;
    case "reading":
      return `the reading ${record.written.text} ${record.written.unit}`;
    case "touched":
      return "the zero";
    case "measured":
      return "the end of measuring";
    case "cleanup":
      return record.clean ? '"clean all over"' : '"not clean yet"';
    case "stale":
      return "the stale zero";
    case "begun":
      return "the start of this setup";
    default:
      return "the last tick";
  }
}
