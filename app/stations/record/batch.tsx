import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { checkEvery } from "../../../core/inspect/index.ts";
import { batchOrdersOf, orderReasons, type PieceStanding, type SizeRun } from "../../../core/plan/index.ts";
import { type LengthUnit, quantity } from "../../../core/quantity/index.ts";
import { capital, phraseText } from "../../../core/working/index.ts";
import type { BatchOrder } from "../../../core/job/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath } from "../../instruments/job-paths.ts";
import { Notice } from "../../instruments/notice.tsx";
import { NumberEntry, numberEntry } from "../../instruments/number-entry.tsx";
import { useBatch } from "../../instruments/pieces.tsx";
import { Section, StationTitle, Table } from "../../instruments/section.tsx";
import { useAnswer } from "../../instruments/use-answer.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Button } from "../../instruments/button.tsx";
import { Figure } from "../../instruments/words.tsx";
import { TwoAtOnce } from "./two-at-once.tsx";
import { WorkingSheet } from "../../instruments/workings-margin.tsx";

const orderNames: Record<BatchOrder, string> = {
  piece: "piece by piece",
  first: "first piece through, then setup by setup",
  setup: "setup by setup",
};

const count = numberEntry("count");

/** In which order pieces go through the setups, where each is, and of how many one is measured. */
export function BatchView() {
  const { job, plan, records, piecesSaid } = useJob();
  const batch = useBatch();
  const said = useAnswer("pieces", plan, piecesSaid, records);
  const pieces = job.quantity + job.added;
  return (
    <>
      <StationTitle above="Record">How do {pieces} pieces go through?</StationTitle>
      {pieces < 2 ? (
        <Notice severity="note">
          One piece is ordered. Raise the quantity on the Drawing, and the orders of several are compared
          here.
        </Notice>
      ) : (
        <Orders pieces={pieces} />
      )}
      {batch && batch.pieces.length > 1 && <Board pieces={batch.pieces} />}
      {pieces > 1 && <CheckEvery runs={said?.runs ?? []} />}
      {pieces > 1 && <TwoAtOnce />}
    </>
  );
}

/** The orders compared, and the choice among them. */
function Orders({ pieces }: { pieces: number }) {
  const { job, plan } = useJob();
  const submit = useSubmit();
  const orders = batchOrdersOf(plan, pieces);
  if (plan.setups.length === 0) return null;
  const chosen = orders.find((o) => o.order === job.batch.order) ?? orders[0]!;
  return (
    <Section title="Order of the pieces">
      <Table
        label="Orders of the pieces"
        figures={[1, 2, 3]}
        head={["order", "in all", "cutters put in", "zeros taken", ""]}
      >
        {orders.map((o) => (
          <tr key={o.order}>
            <th scope="row">
              {capital(orderNames[o.order])}
              <chakra.div color="quiet" fontWeight="400" maxW="420px" minW="170px">
                {orderReasons[o.order]}
              </chakra.div>
            </th>
            <td>
              <Figure of={quantity("time", o.minutes)} />
            </td>
            <td>{o.cutters}</td>
            <td>{o.zeros}</td>
            <td className="no-print">
              <Button
                look={o === chosen ? "strong" : "plain"}
                aria-pressed={o === chosen}
                disabled={submit.busy}
                onClick={() => void submit.set("batch/order", o.order)}
              >
                {o === chosen ? "chosen" : "choose"}
              </Button>
            </td>
          </tr>
        ))}
      </Table>
      <chakra.details fontSize="14px" mt="4px">
        <summary>Working</summary>
        <WorkingSheet working={chosen.working} />
      </chakra.details>
    </Section>
  );
}

/** Pieces by setups: who is where. Many alike that are not begun stand in one row. */
function Board({ pieces }: { pieces: readonly PieceStanding[] }) {
  const { job, piece } = useJob();
  const shown = pieces.filter((p) => p.begun || p.done > 0 || p.scrapped);
  const idle = pieces.filter((p) => !shown.includes(p));
  const columns = (pieces.find((p) => p.setups.length > 0)?.setups ?? []).map((s) => s.clamping);
  return (
    <Section title="Where each piece is">
      <Table label="Pieces by setups" maxH="340px" head={["piece", ...columns.map((c) => `setup ${c}`)]}>
        {shown.map((p) => (
          <tr key={p.piece}>
            <th scope="row">
              <Link to={machinePath(job.id, p.piece)} style={{ textDecoration: "underline" }}>
                {p.piece}
              </Link>
              {p.piece === piece && ", shown here"}
              {p.scrapped && ", scrapped"}
            </th>
            {columns.map((c) => (
              <td key={c}>{cellText(p, c)}</td>
            ))}
          </tr>
        ))}
        {idle.length > 0 && (
          <tr>
            <th scope="row">
              <Link to={machinePath(job.id, idle[0]!.piece)} style={{ textDecoration: "underline" }}>
                {rangesOf(idle.map((p) => p.piece))}
              </Link>
            </th>
            <td colSpan={Math.max(1, columns.length)}>
              <chakra.span color="quiet">not started</chakra.span>
            </td>
          </tr>
        )}
      </Table>
    </Section>
  );
}

function cellText(p: PieceStanding, clamping: number): string {
  const at = p.setups.find((s) => s.clamping === clamping);
  if (!at) return "–";
  if (at.done === at.steps) return "✓ done";
  if (p.scrapped) return "–";
  if (at.done === 0) return p.setup === clamping ? "○ next" : "";
  return `◐ ${at.done} of ${at.steps}`;
}

/** Numbers in a row as spans: 2–4, 6. */
function rangesOf(numbers: readonly number[]): string {
  const spans: [number, number][] = [];
  for (const n of numbers) {
    const last = spans.at(-1);
    if (last && last[1] === n - 1) last[1] = n;
    else spans.push([n, n]);
  }
  return spans.map(([from, to]) => (from === to ? String(from) : `${from} to ${to}`)).join(", ");
}

const whyWords = {
  few: "fewer than four are read",
  again: "one is past a limit, or too near to be sure",
  drift: "it drifts",
  spread: "by its spread against its limits",
} as const;

/** Of how many pieces one is measured: as the readings so far say, or by choice. */
function CheckEvery({ runs }: { runs: readonly SizeRun[] }) {
  const { job, unit } = useJob();
  const submit = useSubmit();
  const found = runs.map((r) => ({ r, of: checkEvery(r.run, r.limits, 0) }));
  const least = found.length > 0 ? Math.min(...found.map((f) => f.of.every)) : 1;
  const every = job.batch.every ?? least;
  return (
    <Section title="Which pieces are measured">
      <chakra.p fontSize="15px">
        {every === 1
          ? "Measure every piece."
          : `Measure the first piece, then every ${nth(every)}, and the last.`}{" "}
        {job.batch.every === null ? "So say the readings so far." : "That is your choice."}
      </chakra.p>
      <Box display="flex" gap="10px" flexWrap="wrap" alignItems="flex-end" className="no-print">
        <NumberEntry
          label="One of so many, by choice"
          path="batch/every"
          kind={count}
          value={job.batch.every}
          width="110px"
          optional
        />
        {job.batch.every !== null && (
          <Button onClick={() => void submit.set("batch/every", null)}>As the readings say</Button>
        )}
      </Box>
      {job.batch.every !== null && job.batch.every > least && (
        <Notice severity="warn">
          The readings so far ask for {least === 1 ? "every piece" : `every ${nth(least)}`}.
        </Notice>
      )}
      {found.length > 0 && (
        <Table label="How often by size" maxH="220px" figures={[1]} head={["size", "one of", "why"]}>
          {found.map(({ r, of }) => (
            <tr key={r.of}>
              <th scope="row">{nameOf(r, unit)}</th>
              <td>{of.every}</td>
              <td>{whyWords[of.why]}</td>
            </tr>
          ))}
        </Table>
      )}
    </Section>
  );
}

const nameOf = (r: SizeRun, unit: LengthUnit): string => (r.name ? phraseText(r.name, unit) : r.of);
const nth = (n: number): string => `${n}${n === 2 ? "nd" : n === 3 ? "rd" : "th"}`;
