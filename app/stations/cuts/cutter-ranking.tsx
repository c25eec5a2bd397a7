import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { CutComparison } from "../../../core/plan/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Table } from "../../instruments/section.tsx";
import { Figure, Words } from "../../instruments/words.tsx";

/** The best ones are shown at once. */
const shownFirst = 5;

/** The owned cutters for a cut, best first, with what they would take; then those that cannot, with the reason. */
export function CutterRanking({
  ranking,
  chosen,
  onChoose,
}: {
  ranking: CutComparison["ranking"];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  const { shop } = useJob();
  const [showAll, setShowAll] = useState(false);
  const able = ranking.filter((r) => r.minutes !== null);
  const can = able.filter((r, i) => showAll || i < shownFirst || r.cutter === chosen);
  const cannot = ranking.filter((r) => r.minutes === null);
  const best = able[0]?.minutes ?? 0;
  const nameOf = (id: string) => shop.cutters.find((c) => c.id === id)?.name ?? id;
  return (
    <>
      <Table label="Cutters for this cut" figures={[1, 2]} head={["cutter", "depth", "time", "", "why"]}>
        {can.map((r) => (
          <chakra.tr key={r.cutter} bg={r.cutter === chosen ? "accentSoft" : "transparent"}>
            <th scope="row">
              <chakra.span color="ink" fontSize="14px" fontWeight={r.cutter === chosen ? 700 : 500}>
                {r.cutter === chosen && <span aria-hidden="true">▸ </span>}
                {nameOf(r.cutter)}
              </chakra.span>
            </th>
            <td>{r.depth !== null && <Figure of={mm(r.depth)} />}</td>
            <chakra.td whiteSpace="nowrap">
              <Figure of={quantity("time", r.minutes ?? 0)} />
              {Math.abs((r.minutes ?? 0) - best) > 0.05 && (
                <chakra.span color="quiet" fontSize="12.5px">
                  {" "}
                  {(r.minutes ?? 0) > best ? "+" : "−"}
                  {Math.abs((r.minutes ?? 0) - best).toFixed(1)}
                </chakra.span>
              )}
            </chakra.td>
            <td>
              {r.cutter === chosen ? (
                "in use"
              ) : (
                <Button onClick={() => onChoose(r.cutter)} aria-label={`Use ${nameOf(r.cutter)}`}>
                  Use
                </Button>
              )}
            </td>
            <td>
              <chakra.span fontSize="13px" color="quiet">
                <Words of={r.why} />
              </chakra.span>
            </td>
          </chakra.tr>
        ))}
      </Table>
      {cannot.length + able.length > can.length && (
        <Box mt="8px">
          <Button look="quiet" aria-expanded={showAll} onClick={() => setShowAll(!showAll)}>
            {showAll
              ? "Show the best only"
              : `Show the ${able.length - can.length} slower ones${cannot.length > 0 ? `, and why ${cannot.length} cannot do it` : ""}`}
          </Button>
          {showAll && (
            <Box as="ul" listStyleType="none" fontSize="13.5px">
              {cannot.map((r) => (
                <Box as="li" key={r.cutter} py="3px" borderBottomWidth="1px">
                  <b>{nameOf(r.cutter)}</b>: <Words of={r.why} />
                </Box>
              ))}
            </Box>
          )}
        </Box>
      )}
    </>
  );
}
