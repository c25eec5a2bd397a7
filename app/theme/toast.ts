import { defineSlotRecipe } from "@chakra-ui/react";

/** A line at the foot of the page: what was done, and its undo. */
export const toast = defineSlotRecipe({
  className: "fa-toast",
  slots: ["root", "title", "description", "indicator", "closeTrigger", "actionTrigger"],
  base: {
    root: {
      display: "flex",
      alignItems: "center",
      gap: "14px",
      width: "min(460px, calc(100vw - 24px))",
      bg: "strong",
      color: "onStrong",
      borderRadius: "sm",
      px: "14px",
      py: "8px",
      pointerEvents: "auto",
      translate: "var(--x) var(--y)",
      scale: "var(--scale)",
      zIndex: "var(--z-index)",
      height: "var(--height)",
      opacity: "var(--opacity)",
      transition: "translate 120ms, opacity 120ms",
      _motionReduce: { transition: "none" },
    },
    title: { flex: "1", minW: "0", fontSize: "15px", overflowWrap: "anywhere" },
    actionTrigger: {
      minH: "44px",
      px: "12px",
      fontWeight: "700",
      textDecoration: "underline",
      cursor: "pointer",
      _focusVisible: { outlineColor: "onStrong" },
    },
    closeTrigger: {
      minH: "44px",
      minW: "32px",
      fontSize: "20px",
      cursor: "pointer",
      _focusVisible: { outlineColor: "onStrong" },
    },
  },
});
