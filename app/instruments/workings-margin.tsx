import { Box, chakra } from "@chakra-ui/react";
import { showQuantity } from "../../core/quantity/index.ts";
import { formulaText, type Working } from "../../core/working/index.ts";
import { useUnit } from "./local-setting.ts";
import { Words } from "./words.tsx";

/** The working of the figure that has focus, as a person would write it on ruled paper. */
export function WorkingSheet({ working }: { working: Working | null }) {
  const [unit] = useUnit();
  if (!working) {
    return (
      <chakra.p color="quiet" fontSize="14px">
        Press a figure with a dotted line under it: its working stands here.
      </chakra.p>
    );
  }
  return (
    <Box fontSize="14.5px">
      <chakra.h2 fontSize="14px" fontWeight="700" color="quiet" mb="6px">
        <Words of={working.title} />
      </chakra.h2>
      {working.lines.map((line, i) => (
        <Box key={i} borderTopWidth={line.sum ? "1.5px" : "0"} borderColor="ink" py="3px">
          <Box display="flex" justifyContent="space-between" gap="10px" alignItems="baseline">
            <span>
              <Words of={line.what} />
            </span>
            <chakra.span fontWeight={line.sum ? 700 : 500} whiteSpace="nowrap">
              {showQuantity(line.result, unit, line.decimals)}
            </chakra.span>
          </Box>
          {line.formula && (
            <chakra.div fontSize="12.5px" color="quiet">
              {formulaText(line.formula, unit)}
              {line.terms.length > 0 &&
                `; ${line.terms.map(([symbol, value]) => `${symbol} ${showQuantity(value, unit)}`).join(", ")}`}
            </chakra.div>
          )}
          {line.source && (
            <chakra.div fontSize="12px" color="quiet" fontStyle="italic">
              {line.source}
            </chakra.div>
          )}
        </Box>
      ))}
      {working.limits.length > 0 && (
        <Box mt="14px">
          <chakra.h3 fontSize="13px" fontWeight="700" color="quiet">
            What each limit would allow
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
                  <span>
                    <Words of={limit.name} />
                  </span>
                  <chakra.b whiteSpace="nowrap">{showQuantity(limit.allows, unit)}</chakra.b>
                </Box>
                {binds && (
                  <chakra.div fontSize="12.5px" color="ink">
                    This one binds. To lift it: <Words of={limit.lifts} />.
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
          <Words of={note} />
        </chakra.p>
      ))}
    </Box>
  );
}
