import { defineSlotRecipe } from "@chakra-ui/react";

/** A choice of two or three that is always in sight: one line of words in a thin frame, the chosen one in ink. */
export const segmentGroup = defineSlotRecipe({
  className: "fa-segments",
  slots: ["root", "label", "item", "itemText", "itemControl", "indicator"],
  base: {
    root: {
      display: "inline-flex",
      borderWidth: "1px",
      borderStyle: "solid",
      borderColor: "ink",
      borderRadius: "sm",
      overflow: "hidden",
      isolation: "isolate",
    },
    item: {
      display: "inline-flex",
      alignItems: "center",
      justifyContent: "center",
      position: "relative",
      px: "8px",
      cursor: "pointer",
      whiteSpace: "nowrap",
      _checked: { bg: "strong", color: "onStrong", fontWeight: "700" },
      "&:has(input:focus-visible)": { outline: "3px solid", outlineColor: "accent", outlineOffset: "-3px" },
    },
  },
  variants: {
    size: {
      sm: { item: { minH: "32px", minW: "40px" } },
      lg: { item: { minH: "44px", minW: "72px" } },
    },
  },
  defaultVariants: { size: "sm" },
});
