import { Box, chakra } from "@chakra-ui/react";
import { decimalsIn, type LengthUnit, showQuantity, showWorked } from "../../core/quantity/index.ts";
import { formulaText, phraseText, type Working } from "../../core/working/index.ts";
import { Link } from "react-router";
import { useUnit } from "./local-setting.ts";

/** The working of the figure that has focus, as a person would write it on ruled paper. */
export function WorkingSheet({ working, unit: given }: { working: Working | null; unit?: LengthUnit }) {
  const [chosen] = useUnit();
  const unit = given ?? chosen;
  if (!working) {
    return (
      <chakra.p color="quiet" fontSize="14px">
        Press a figure with a dotted line under it: its working shows here.
      </chakra.p>
    );
  }
  return (
    <Box fontSize="14.5px">
      <chakra.h2 fontSize="14px" fontWeight="700" color="quiet" mb="6px">
        {phraseText(working.title, unit)}
      </chakra.h2>
      {working.lines.map((line, i) => (
        <Box key={i} borderTopWidth={line.sum ? "1.5px" : "0"} borderColor="ink" py="3px">
          <Box display="flex" justifyContent="space-between" gap="10px" alignItems="baseline">
            <span>{phraseText(line.what, unit)}</span>
            <chakra.span fontWeight={line.sum ? 700 : 500} whiteSpace="nowrap">
              {showWorked(line.result, unit, decimalsIn(line.result, unit, line.decimals))}
            </chakra.span>
          </Box>
          {line.formula && (
            <chakra.div fontSize="12.5px" color="quiet">
              {formulaText(line.formula, unit)}
              {line.terms.length > 0 &&
                `; ${line.terms.map(([symbol, value]) => `${symbol} ${showWorked(value, unit)}`).join(", ")}`}
            </chakra.div>
          )}
          {(line.source ?? line.see) && (
            <chakra.div fontSize="12px" color="quiet" fontStyle="italic">
              {line.source}
              {line.see && (
                <>
                  {line.source && "; "}
                  <Link to={`/handbook/${line.see}`} style={{ textDecoration: "underline" }}>
                    handbook
                  </Link>
                </>
              )}
            </chakra.div>
          )}
        </Box>
      ))}
      {working.limits.length > 0 && (
        <Box mt="14px">
          <chakra.h3 fontSize="13px" fontWeight="700" color="quiet">
            What each limit allows
          </chakra.h3>
          {working.limits.map((limit) => {
            const binds = limit.id === working.bound;
            return (
              <Box
                key={limit.id}
                py="4px"
                px="6px"
                mx="-6px"
                bg={binds ? "warnSoft" : "transparent"}
                borderLeftWidth={binds ? "4px" : "0"}
                borderColor="warn"
              >
                <Box display="flex" justifyContent="space-between" gap="10px">
                  <span>{phraseText(limit.name, unit)}</span>
                  <chakra.b whiteSpace="nowrap">{showQuantity(limit.allows, unit)}</chakra.b>
                </Box>
                {binds && (
                  <chakra.div fontSize="12.5px" color="ink">
                    This one sets the limit. To raise it: {phraseText(limit.lifts, unit)}.
                  </chakra.div>
                )}
                <chakra.div fontSize="12px" color={binds ? "ink" : "quiet"} fontStyle="italic">
                  {limit.source}
                </chakra.div>
              </Box>
            );
          })}
        </Box>
      )}
      {working.notes.map((note, i) => (
        <chakra.p key={i} mt="8px" fontSize="13px" color="quiet">
          {phraseText(note, unit)}
        </chakra.p>
      ))}
    </Box>
  );
}
