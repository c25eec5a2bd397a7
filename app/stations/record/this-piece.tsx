import { chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type Requirement, scrappedIn } from "../../../core/plan/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { Table } from "../../instruments/section.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { CutTwice } from "./cut-twice.tsx";
import { LookedAt } from "./looked-at.tsx";
import { RequirementRow } from "./requirement-row.tsx";

/** Every required size against its readings: the one looked at drawn, with what would make it right and what most likely made it so. */
export function ThisPiece({ when }: { when: (iso: string) => string }) {
  const { job, plan, piece, records, unit } = useJob();
  const [asked, setOf] = useState<Requirement["of"] | null>(null);
  const judged = plan.requirements.filter((r) => r.verdict);
  const scrapped = scrappedIn(records, piece);
  // What is not good is looked at first.
  const bad = plan.requirements.filter((r) => r.verdict && r.verdict.verdict !== "good" && !r.accepted);
  const worst = bad.find((r) => r.of !== "parallelism") ?? bad[0];
  const of = asked ?? worst?.of ?? "length";
  return (
    <>
      {scrapped && (
        <Notice severity="stop">
          Piece {piece} is scrapped: {scrapped.reason || "no reason given"}.
        </Notice>
      )}
      {plan.requirements.length > 0 && <LookedAt key={of} of={of} />}
      <Table
        label="Required sizes and readings"
        figures={[1, 4]}
        maxH="330px"
        head={["required", "limits", "", "readings", "U", "verdict"]}
      >
        {plan.requirements.map((r) => (
          <RequirementRow
            key={r.of}
            requirement={r}
            unit={unit}
            chosen={r.of === of}
            onChoose={() => setOf(r.of)}
          />
        ))}
        {!plan.requirements.some((r) => r.of === "squareness") && plan.requirements.length > 0 && (
          <chakra.tr bg={of === "squareness" ? "accentSoft" : "transparent"}>
            <th scope="row">
              <chakra.button
                type="button"
                textDecoration="underline"
                cursor="pointer"
                color="ink"
                minH="28px"
                onClick={() => setOf("squareness")}
              >
                squareness
              </chakra.button>
            </th>
            <td colSpan={5}>not asked for on the drawing; a reading of it is saved</td>
          </chakra.tr>
        )}
      </Table>
      {plan.missing.length > 0 && (
        <Notice severity={judged.length > 0 ? "warn" : "note"}>
          <b>Not cut yet:</b>{" "}
          {plan.missing.map(({ name, why }, i) => (
            <span key={i}>
              {i > 0 && "; "}
              <Words of={name} />
              {why && (
                <>
                  {" "}
                  (<Words of={why} />)
                </>
              )}
            </span>
          ))}
          . The part is not finished until they are.
        </Notice>
      )}
      {plan.requirements.length === 0 && (
        <Notice severity="note">
          {job.part.shaft
            ? "Diameters of a shaft are checked at the Stock (2)."
            : "Nothing to inspect yet. Fill in the drawing first (1)."}
        </Notice>
      )}
      <Warnings of={plan.rechecks} />
      <CutTwice when={when} />
      {plan.requirements.map(({ of, name, limits, deviation }) =>
        deviation ? (
          <Notice key={of} severity="warn">
            Deviation from the drawing: {name ? <Words of={name} /> : of}{" "}
            <b>
              <Figure of={mm(limits.lower)} decimals={3} /> to <Figure of={mm(limits.upper)} decimals={3} />
            </b>{" "}
            instead of{" "}
            <b>
              {deviation.drawn ? (
                <>
                  <Figure of={mm(deviation.drawn.lower)} decimals={3} /> to{" "}
                  <Figure of={mm(deviation.drawn.upper)} decimals={3} />
                </>
              ) : (
                "nothing"
              )}
            </b>
            . <Words of={deviation.reason} />
          </Notice>
        ) : null,
      )}
    </>
  );
}
