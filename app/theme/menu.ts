import { defineSlotRecipe } from "@chakra-ui/react";

/** A list to choose from, floating over the sheet. */
export const menu = defineSlotRecipe({
  className: "fa-menu",
  slots: [
    "arrow",
    "arrowTip",
    "content",
    "contextTrigger",
    "indicator",
    "item",
    "itemGroup",
    "itemGroupLabel",
    "itemIndicator",
    "itemText",
    "positioner",
    "separator",
    "trigger",
    "triggerItem",
    "itemCommand",
  ],
  base: {
    content: {
      bg: "sheet",
      color: "ink",
      borderWidth: "1.5px",
      borderStyle: "solid",
      borderColor: "ink",
      borderRadius: "sm",
      minW: "180px",
      maxH: "70vh",
      overflowY: "auto",
      outline: "none",
      zIndex: "90",
    },
    positioner: { zIndex: "90" },
    item: {
      display: "flex",
      alignItems: "center",
      minH: "36px",
      px: "12px",
      cursor: "pointer",
      outline: "none",
      _highlighted: { bg: "strong", color: "onStrong" },
    },
  },
});
