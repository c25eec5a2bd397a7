import { chakra } from "@chakra-ui/react";
import {
  decimalsIn,
  type LengthUnit,
  type Quantity,
  showParts,
  showQuantity,
} from "../../core/quantity/index.ts";
import type { Phrase } from "../../core/working/index.ts";
import { phraseText } from "../../core/working/index.ts";
import { use } from "react";
import { BothUnits } from "./both-units.ts";
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
  const both = use(BothUnits);
  const shown = given ?? unit;
  const parts = showParts(of, shown, decimalsIn(of, shown, decimals));
  const other = shown === "mm" ? "in" : "mm";
  const told = both && !given && (of.kind === "length" || of.kind === "feed");
  return (
    <>
      <chakra.span whiteSpace="nowrap">
        {parts.number}
        {parts.unit && (
          <chakra.span fontSize="0.78em" color="quiet">
            {parts.unit === "°" ? parts.unit : ` ${parts.unit}`}
          </chakra.span>
        )}
      </chakra.span>
      {told && " "}
      {told && (
        <chakra.span
          color="quiet"
          fontWeight="400"
          letterSpacing="normal"
          whiteSpace="nowrap"
          fontSize="max(0.3em, 13px)"
        >
          = {showQuantity(of, other, decimalsIn(of, other, decimals))}
        </chakra.span>
      )}
    </>
  );
}
