import { chakra } from "@chakra-ui/react";
import { type Requirement } from "../../../core/plan/index.ts";
import { mm, showDimension } from "../../../core/quantity/index.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { LimitsBar } from "./limits-bar.tsx";
import { verdicts } from "./verdicts.ts";

/** How many places were read, and from where to where. */
const Span = ({ of }: { of: readonly number[] }) => (
  <chakra.span whiteSpace="nowrap">
    {of.length > 1 && (
      <>
        {of.length} places, <Figure of={mm(Math.min(...of))} decimals={3} /> …{" "}
      </>
    )}
    <Figure of={mm(Math.max(...of))} decimals={3} />
  </chakra.span>
);

/** What is required, its limits drawn with the readings in them, and its verdict; pressed, it is looked at above. */
export function RequirementRow({
  requirement: r,
  unit,
  chosen,
  onChoose,
}: {
  requirement: Requirement;
  unit: "mm" | "in";
  chosen: boolean;
  onChoose: () => void;
}) {
  const verdict = r.verdict ? verdicts[r.verdict.verdict] : null;
  return (
    <chakra.tr bg={chosen ? "accentSoft" : "transparent"}>
      <th scope="row">
        <chakra.button
          type="button"
          textAlign="start"
          textDecoration="underline"
          cursor="pointer"
          color="ink"
          minH="28px"
          aria-current={chosen ? "true" : undefined}
          onClick={onChoose}
        >
          {r.name ? <Words of={r.name} /> : r.of}
        </chakra.button>
        {r.drawn && (
          <chakra.span fontWeight="700" color="ink">
            {" "}
            {showDimension(r.drawn, unit)}
          </chakra.span>
        )}
      </th>
      <td>
        {r.gauge ? (
          r.required ? (
            "tried"
          ) : (
            "tried, if wanted"
          )
        ) : r.drawn ? (
          <>
            <Figure of={mm(r.limits.lower)} decimals={3} /> … <Figure of={mm(r.limits.upper)} decimals={3} />
          </>
        ) : (
          <>
            at most <Figure of={mm(r.limits.upper)} decimals={3} />
          </>
        )}
      </td>
      <td>
        {r.drawn && (
          <LimitsBar limits={r.limits} readings={r.readings.map((reading) => reading.value)} u={r.u} />
        )}
      </td>
      <td>
        {r.gauge ? (
          r.gauge.answer ? (
            r.gauge.answers[r.gauge.answer.value]
          ) : (
            "not tried"
          )
        ) : r.readings.length === 0 ? (
          r.of === "parallelism" && r.verdict ? (
            <Figure of={mm(r.verdict.largest)} decimals={3} />
          ) : (
            "none yet"
          )
        ) : (
          <Span of={r.readings.map((reading) => reading.value)} />
        )}
      </td>
      <td>
        {r.u > 0 ? (
          <>
            ±<Figure of={mm(r.u)} decimals={3} />
          </>
        ) : (
          "—"
        )}
      </td>
      <td>
        {verdict && r.verdict ? (
          <chakra.b color={verdict.color}>
            <Worked at={`verdict#${r.of}`}>
              <span aria-hidden="true">{verdict.shape}</span> {verdict.words}
              {r.verdict.rework > 0 && (
                <>
                  , <Figure of={mm(r.verdict.rework)} decimals={3} /> still to come off
                </>
              )}
            </Worked>
          </chakra.b>
        ) : (
          <chakra.span color="quiet">○ not judged yet</chakra.span>
        )}
        {r.accepted && (
          <chakra.span display="block" fontSize="13px">
            accepted{r.accepted.by && ` by ${r.accepted.by}`}: {r.accepted.reason}
          </chakra.span>
        )}
        {r.verdict && r.readings.length === 1 && r.drawn && (
          <chakra.span display="block" fontSize="13px" color="quiet">
            by one point only
          </chakra.span>
        )}
      </td>
    </chakra.tr>
  );
}
