import { Box, chakra } from "@chakra-ui/react";

const ink = "var(--chakra-colors-ink)";
const accent = "var(--chakra-colors-accent)";
const warn = "var(--chakra-colors-warn)";

/** Entering angle against lead angle, drawn: which of the two a catalog means is asked with this picture (M49). */
export function EntryAngle() {
  return (
    <Box as="figure" mt="18px" maxW="420px">
      <svg
        viewBox="0 0 210 92"
        role="img"
        aria-label="The entering angle is between the cutting edge and the direction of feed; the lead angle is between the edge and the axis of the cutter"
      >
        <path d="M10 78 H200" stroke={ink} strokeWidth="1.2" />
        <path d="M10 52 H92 L118 78 H10 Z" fill="var(--chakra-colors-metal)" stroke={ink} strokeWidth="1" />
        <path
          d="M92 52 L118 78 H176 V18 H92 Z"
          fill="var(--chakra-colors-chip)"
          stroke={ink}
          strokeWidth="1.2"
        />
        <path d="M92 52 L118 78" stroke={ink} strokeWidth="3" />
        <path d="M134 8 V84" stroke={ink} strokeWidth="0.7" strokeDasharray="5 2 1 2" />
        <path d="M118 78 h-26" stroke={accent} strokeWidth="1.2" />
        <path d="M101 78 A 17 17 0 0 1 106 66" fill="none" stroke={accent} strokeWidth="1.6" />
        <path d="M118 78 V48" stroke={warn} strokeWidth="1.2" strokeDasharray="3 2" />
        <path d="M106 66 A 17 17 0 0 1 118 61" fill="none" stroke={warn} strokeWidth="1.6" />
        <text x="74" y="72" style={{ fontSize: "8px" }} fill={accent}>
          entering
        </text>
        <text x="104" y="46" style={{ fontSize: "8px" }} fill={warn}>
          lead
        </text>
        <path d="M60 88 H30" stroke={ink} strokeWidth="1" markerEnd="url(#feed-arrow)" />
        <text x="63" y="90" style={{ fontSize: "7px" }} fill={ink}>
          feed
        </text>
        <defs>
          <marker
            id="feed-arrow"
            viewBox="0 0 6 6"
            refX="5"
            refY="3"
            markerWidth="6"
            markerHeight="6"
            orient="auto"
          >
            <path d="M0 0 L6 3 L0 6 Z" fill={ink} />
          </marker>
        </defs>
      </svg>
      <chakra.figcaption fontSize="13px" color="quiet">
        The entering angle lies between the edge and the feed: 90° cuts a square shoulder. The lead angle lies
        between the edge and the axis: 0° cuts a square shoulder. Together they make 90°.
      </chakra.figcaption>
    </Box>
  );
}
