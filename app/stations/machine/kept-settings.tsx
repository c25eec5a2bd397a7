import type { KeptSettings as Kept, RecordEvent } from "../../../core/steps/index.ts";
import { Button } from "../../instruments/button.tsx";
import { mm } from "../../../core/quantity/index.ts";
import { Figure } from "../../instruments/words.tsx";
import { Notice } from "../../instruments/notice.tsx";

/** What the piece before left standing: kept with one press instead of set anew, and tried by the first reading. */
export function KeptSettings({
  of,
  enabled,
  onKeep,
}: {
  of: Kept | null;
  enabled: boolean;
  onKeep: (events: RecordEvent[]) => void;
}) {
  if (!of) return null;
  const axes = of.axes.map((axis) => axis.toUpperCase()).join(" and ");
  return (
    <Notice severity="note" role="status">
      Piece {of.from} left {axes} zeroed{of.tool && ", and the cutter in the spindle at its speed"}. Keep that
      only if nothing was touched since. Brush the chips away behind the stop and under the part first; the
      first reading of this piece is the proof.{" "}
      {of.differ > 0.0005 && (
        <>
          Pieces within their limits may differ by <Figure of={mm(of.differ)} decimals={3} /> there, and what
          is cut follows that: set it anew where that is too much.{" "}
        </>
      )}
      <Button disabled={!enabled} onClick={() => onKeep(of.events)}>
        Keep {axes} from piece {of.from}
      </Button>
    </Notice>
  );
}
