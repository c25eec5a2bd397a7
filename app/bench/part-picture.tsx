import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import type { SeenPart } from "../../core/rehearse/index.ts";

const fills: { [shade: string]: string } = {
  top: "var(--chakra-colors-metal)",
  front: "var(--chakra-colors-drawn)",
  side: "var(--chakra-colors-jaw)",
};

/** The part as it is seen from above its front right corner. */
export const PartPicture = memo(function PartPicture({ of }: { of: SeenPart | null }) {
  if (!of) return <Box height="70px" aria-hidden="true" />;
  const line = of.width / 130;
  return (
    <chakra.svg
      viewBox={`${-line} ${-line} ${of.width + 2 * line} ${of.height + 2 * line}`}
      width="100%"
      maxH="92px"
      aria-hidden="true"
      display="block"
    >
      {of.paths.map(({ shade, d }, i) =>
        shade === "edge" ? (
          <path
            key={i}
            d={d}
            fill="none"
            stroke="var(--chakra-colors-ink)"
            strokeWidth={1.2 * line}
            strokeLinecap="round"
          />
        ) : (
          // Facets are drawn a little over their borders, so that no ground shows between them.
          <path key={i} d={d} fill={fills[shade]} stroke={fills[shade]} strokeWidth={0.6 * line} />
        ),
      )}
    </chakra.svg>
  );
});
