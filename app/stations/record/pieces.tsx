import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Link } from "react-router";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath, recordPath } from "../../instruments/job-paths.ts";
import { Warnings } from "../../instruments/notice.tsx";
import { standingText, useBatch } from "../../instruments/pieces.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { RunChart } from "./run-chart.tsx";
import { ShopSaid } from "./shop-said.tsx";
import { useAnswer } from "../../instruments/use-answer.ts";
import { useSubmit } from "../../instruments/use-submit.ts";

const plain = { textDecoration: "underline" } as const;

/** How many are wanted, where each stands, and what does not add up; scrap one, add one in its place. */
export function Pieces() {
  const { job, plan, piece, records, piecesSaid } = useJob();
  const submit = useSubmit();
  const batch = useBatch();
  const said = useAnswer("pieces", plan, piecesSaid, records);
  const [reason, setReason] = useState("");
  if (!batch) return null;
  const mine = batch.pieces.find((p) => p.piece === piece);
  const last = batch.pieces.at(-1);
  return (
    <>
      {said && <RunChart of={said.runs} />}
      <Section title="Pieces">
        <chakra.p mb="6px">
          <b>{batch.wanted}</b> ordered, <b>{batch.good}</b> good, <b>{batch.scrapped}</b> scrapped,{" "}
          <b>{batch.possible - batch.good}</b> left to make.
        </chakra.p>
        <Warnings of={batch.warnings} />
        <Table label="Pieces" maxH="150px" head={["piece", "where it stands", ""]}>
          {batch.pieces.map((p) => (
            <tr key={p.piece}>
              <th scope="row">
                {p.piece}
                {p.piece === piece && ", shown here"}
              </th>
              <td>
                {standingText(p)}
                {p.scrapped && `: ${p.scrapped.reason || "no reason given"}`}
              </td>
              <td className="no-print">
                {p.scrapped ? (
                  <Button
                    disabled={submit.busy}
                    onClick={() => void submit.append({ type: "withdrawn", of: p.scrapped!.id })}
                  >
                    Undo the scrap
                  </Button>
                ) : (
                  <>
                    {p.piece !== piece && (
                      <Link to={recordPath(job.id, p.piece)} style={plain}>
                        Its sizes
                      </Link>
                    )}{" "}
                    <Link to={machinePath(job.id, p.piece)} style={plain}>
                      At the machine
                    </Link>
                  </>
                )}
              </td>
            </tr>
          ))}
        </Table>
        <Box display="flex" gap="8px" alignItems="flex-end" flexWrap="wrap" mt="8px" className="no-print">
          {mine && !mine.scrapped && (
            <>
              <Field
                label={`Scrap piece ${piece}: why`}
                value={reason}
                maxLength={200}
                onChange={(e) => setReason(e.target.value)}
              />
              <Button
                look="warn"
                disabled={reason.trim() === "" || submit.busy}
                onClick={() =>
                  void submit
                    .append({ type: "scrapped", reason: reason.trim() })
                    .then((answer) => answer.ok && setReason(""))
                }
              >
                Scrap it
              </Button>
            </>
          )}
          <Button disabled={submit.busy} onClick={() => void submit.set("added", job.added + 1)}>
            Add a piece
          </Button>
          {job.added > 0 && last && !records.some((r) => r.piece === last.piece) && (
            <Button disabled={submit.busy} onClick={() => void submit.set("added", job.added - 1)}>
              Remove piece {last.piece}
            </Button>
          )}
        </Box>
      </Section>
      {said && <ShopSaid of={said.biases} next={said.next} />}
    </>
  );
}
