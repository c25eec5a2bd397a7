import { defineSlotRecipe } from "@chakra-ui/react";

/** The views of a station: a line of words over the sheet, the one that is open underlined in ink. */
export const tabs = defineSlotRecipe({
  className: "fa-tabs",
  slots: ["root", "list", "trigger", "content", "contentGroup", "indicator"],
  base: {
    list: {
      display: "flex",
      gap: { base: "14px", md: "22px" },
      overflowX: "auto",
      borderBottomWidth: "1px",
      mb: "8px",
    },
    trigger: {
      display: "inline-flex",
      alignItems: "center",
      minH: "40px",
      px: "2px",
      whiteSpace: "nowrap",
      fontSize: "15px",
      color: "quiet",
      cursor: "pointer",
      borderBottomWidth: "3px",
      borderColor: "transparent",
      mb: "-1px",
      _selected: { color: "ink", fontWeight: "700", borderColor: "accent" },
      _focusVisible: { outlineOffset: "-3px" },
    },
    content: { outline: "none" },
  },
});
