import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import { type Feature, featureNames, rulesOf } from "../../../core/part/index.ts";
import type { Plan } from "../../../core/plan/index.ts";
import { type Dimension, type LengthUnit, showDimension } from "../../../core/quantity/index.ts";
import { useUnit } from "../../instruments/local-setting.ts";

/** What is cut into the part, one line each, by the names that stand on the views. A line pressed opens its feature. */
export function Schedule({
  features,
  findings,
  open,
  onToggle,
}: {
  features: readonly Feature[];
  findings: Plan["findings"];
  open: string | null;
  onToggle: (id: string) => void;
}) {
  const names = featureNames(features);
  return (
    <Box as="section" aria-label="On this sheet">
      <chakra.h2 fontSize="13px" color="quiet" mb="2px">
        On this sheet
      </chakra.h2>
      {features.length === 0 && (
        <chakra.p fontSize="14px" color="quiet">
          A plain block so far. Press a place on the views, or Add, to draw a feature.
        </chakra.p>
      )}
      <Box as="ul" listStyleType="none">
        {features.map((feature, i) => (
          <Line
            number={i + 1}
            key={feature.id}
            feature={feature}
            name={names.get(feature.id)!}
            found={findings.filter((f) => f.feature === feature.id).length}
            open={open === feature.id}
            onToggle={onToggle}
          />
        ))}
      </Box>
    </Box>
  );
}

const Line = memo(function Line({
  feature,
  number,
  name,
  found,
  open,
  onToggle,
}: {
  feature: Feature;
  /** Its balloon on the views. */
  number: number;
  name: string;
  /** How much the drawing check has against it. */
  found: number;
  open: boolean;
  onToggle: (id: string) => void;
}) {
  const [unit] = useUnit();
  return (
    <Box as="li" borderTopWidth="1px">
      <chakra.button
        type="button"
        font="inherit"
        minH="32px"
        px="4px"
        cursor="pointer"
        aria-expanded={open}
        onClick={() => onToggle(feature.id)}
        textAlign="left"
        width="100%"
        display="flex"
        gap="8px"
        alignItems="baseline"
        fontSize="14px"
        bg={open ? "accentSoft" : "transparent"}
      >
        <chakra.span
          flexShrink="0"
          minW="20px"
          height="20px"
          borderRadius="10px"
          borderWidth="1px"
          borderStyle="solid"
          borderColor="accent"
          color="accent"
          fontSize="12px"
          textAlign="center"
          aria-hidden="true"
        >
          {number}
        </chakra.span>
        <chakra.b whiteSpace="nowrap">
          {open ? "▾" : "▸"} {name}
        </chakra.b>
        <chakra.span flex="1" minW="0" overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap">
          {sizesOf(feature, unit)}
        </chakra.span>
        <chakra.span color={found > 0 ? "warn" : "quiet"} whiteSpace="nowrap">
          {found > 0 ? `▲ ${found}` : feature.face}
        </chakra.span>
      </chakra.button>
    </Box>
  );
});

/** The first sizes of a feature as they are drawn. */
function sizesOf(feature: Feature, unit: LengthUnit): string {
  const sizes = feature.sizes as { [key: string]: Dimension | null };
  return rulesOf(feature.kind)
    .fields(feature)
    .flatMap(({ key, unit: of }) => (of === "length" && sizes[key] ? showDimension(sizes[key], unit) : []))
    .slice(0, 3)
    .join(" × ");
}
