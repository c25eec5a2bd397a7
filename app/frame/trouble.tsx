import { Box } from "@chakra-ui/react";
import type { Conflict } from "../../core/job/index.ts";
import {
  type Dimension,
  dimensionSchema,
  type LengthUnit,
  showDimension,
} from "../../core/quantity/index.ts";
import type { NotKept } from "../../store/index.ts";
import { Button } from "../instruments/button.tsx";
import { Notice } from "../instruments/notice.tsx";
import type { JobIntent } from "../session/intent.ts";
import type { Trouble } from "../session/job-session.ts";

const reasons: Record<NotKept, string> = {
  full: "this browser has no room left. Make room on this device, then enter it again; what was saved before is safe.",
  updated: "Firm Arbor was updated in another tab. Reload this page, then enter it again.",
  blocked:
    "this browser does not store anything for this page: it may be a private window, or a setting may forbid it. Open the page in a normal window, or allow storage, then enter it again.",
  failed: "the browser refused. Reload the page and check what is there before you enter it again.",
};

/** What of a kept value is told where two stand against each other. */
function valueText(value: unknown, unit: LengthUnit): string {
  if (value === null || value === "") return "nothing";
  const dimension = dimensionSchema.safeParse(value);
  if (dimension.success) return showDimension(dimension.data, unit);
  if (typeof value === "string" || typeof value === "number") return String(value);
  if (typeof value === "boolean") return value ? "yes" : "no";
  const {
    value: length,
    written,
    name,
  } = value as { value?: number; written?: Dimension["written"]; name?: string };
  if (typeof length === "number" && written)
    return showDimension({ nominal: length, upper: null, lower: null, fit: null, written }, unit);
  return typeof name === "string" && name !== "" ? name : "what stands there";
}

/** What a path of the job is called: its last words, without the ids in between. */
const pathText = (path: string): string =>
  path
    .split("/")
    .filter((key) => !/^(part|byId|order)$/.test(key) && !/^[0-9a-v]{16,}$/.test(key))
    .join(", ") || "the list";

function ConflictNotice({
  conflicts,
  unit,
  onMine,
  onTheirs,
}: {
  conflicts: readonly Conflict[];
  unit: LengthUnit;
  onMine: () => void;
  onTheirs: () => void;
}) {
  return (
    <Notice severity="warn" role="alert">
      It was changed in another tab, so your change was not saved.
      {conflicts.map(({ path, yours, theirs }) => (
        <div key={path}>
          {pathText(path)}: there <b>{valueText(theirs, unit)}</b>, yours <b>{valueText(yours, unit)}</b>.
        </div>
      ))}
      <Box display="flex" gap="6px" mt="6px">
        <Button onClick={onMine}>Keep mine</Button>
        <Button onClick={onTheirs}>Keep the other</Button>
      </Box>
    </Notice>
  );
}

/** The one place that says what could not be kept of the open job, until the person has read or settled it. */
export function TroubleNotice({
  trouble,
  unit,
  onSettled,
  send,
}: {
  trouble: Trouble | null;
  unit: LengthUnit;
  onSettled: () => void;
  send: (intent: JobIntent) => void;
}) {
  if (!trouble) return null;
  const read = <Button onClick={onSettled}>I have read this</Button>;
  switch (trouble.what) {
    case "notKept":
      return (
        <Notice severity="stop" role="alert">
          {trouble.of} was not saved: {reasons[trouble.why]} {read}
        </Notice>
      );
    case "conflict":
      return (
        <ConflictNotice
          conflicts={trouble.conflicts}
          unit={unit}
          onTheirs={onSettled}
          onMine={() => {
            const changes = trouble.conflicts.map(({ path, yours, theirs }) => ({
              path,
              from: theirs,
              to: yours,
            }));
            onSettled();
            send({ intent: "change", changes, reason: trouble.reason });
          }}
        />
      );
    case "elsewhere":
      return (
        <Notice severity="warn" role="alert">
          Another tab saved something first. {trouble.of} was not added here; look at the step again. {read}
        </Notice>
      );
    case "undo":
      return (
        <Notice severity="warn" role="alert">
          Cannot undo: the field has changed since, perhaps in another tab. {read}
        </Notice>
      );
    case "invalid":
      return (
        <Notice severity="warn" role="alert">
          Not saved, because the job would no longer be valid: {trouble.why}. {read}
        </Notice>
      );
  }
}
