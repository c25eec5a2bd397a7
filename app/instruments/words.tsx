import { chakra } from "@chakra-ui/react";
import { decimalsIn, type LengthUnit, type Quantity, showParts } from "../../core/quantity/index.ts";
import type { Phrase } from "../../core/working/index.ts";
import { phraseText } from "../../core/working/index.ts";
import { useUnit } from "./local-setting.ts";

/** A phrase in the person's unit. */
export function Words({ of }: { of: Phrase }) {
  const [unit] = useUnit();
  return <>{phraseText(of, unit)}</>;
}

/** A quantity: number in the strong face, unit small behind it. */
export function Figure({
  of,
  decimals,
  unit: given,
}: {
  of: Quantity;
  decimals?: number;
  unit?: LengthUnit;
}) {
  const [unit] = useUnit();
  const parts = showParts(of, given ?? unit, decimalsIn(of, given ?? unit, decimals));
  return (
    <chakra.span whiteSpace="nowrap">
      {parts.number}
      {parts.unit && (
        <chakra.span fontSize="0.78em" color="quiet">
          {parts.unit === "°" ? parts.unit : ` ${parts.unit}`}
        </chakra.span>
      )}
    </chakra.span>
  );
}
