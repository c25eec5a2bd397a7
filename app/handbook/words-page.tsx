import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { tradeWords } from "../../core/handbook/index.ts";
import { Field } from "../instruments/field.tsx";
import { Notice } from "../instruments/notice.tsx";
import { StationTitle } from "../instruments/section.tsx";
import { HandbookFrame } from "./handbook-frame.tsx";

/** Words of the trade, searchable. */
export function WordsPage() {
  const [search, setSearch] = useState("");
  const wanted = search.trim().toLowerCase();
  const shown = tradeWords.filter((w) => `${w.word} ${w.means}`.toLowerCase().includes(wanted));
  return (
    <HandbookFrame place="words of the trade">
      <StationTitle above="Handbook">Words of the trade</StationTitle>
      <Field
        label="Search"
        type="search"
        value={search}
        onChange={(e) => setSearch(e.target.value)}
        width="min(320px, 100%)"
      />
      {shown.length === 0 && (
        <Notice severity="note">No word here has "{search}" in it. Try a shorter one.</Notice>
      )}
      <Box as="dl" mt="12px" columnGap="36px" columns={{ base: 1, md: 2, lg: 3 }}>
        {shown.map(({ word, means }) => (
          <Box key={word} breakInside="avoid" borderTopWidth="1px" py="3px" fontSize="14px">
            <chakra.dt fontWeight="700">{word}</chakra.dt>
            <dd>{means}</dd>
          </Box>
        ))}
      </Box>
    </HandbookFrame>
  );
}
