import { defineRecipe, defineSlotRecipe } from "@chakra-ui/react";

const told = (name: string) => ({
  root: { borderColor: name, bg: `${name}Soft` },
  indicator: { color: name },
});

/** A boxed message: a bar, a shape and a word say how grave it is. */
export const alert = defineSlotRecipe({
  className: "fa-alert",
  slots: ["title", "description", "root", "indicator", "content"],
  base: {
    root: { borderLeftWidth: "5px", px: "12px", py: "8px", my: "6px" },
    indicator: { fontWeight: "700", mr: "8px", display: "inline" },
    content: { display: "inline" },
  },
  variants: {
    status: { info: told("accent"), warning: told("warn"), error: told("stop"), success: told("good") },
  },
  defaultVariants: { status: "info" },
});

/** How far long work is. */
export const progress = defineSlotRecipe({
  className: "fa-progress",
  slots: ["root", "label", "track", "range", "valueText", "view", "circle", "circleTrack", "circleRange"],
  base: {
    root: { width: "100%", maxW: "420px" },
    label: { fontSize: "14px", color: "quiet", mb: "4px" },
    track: { height: "10px", borderWidth: "1px", borderStyle: "solid", borderColor: "quiet", bg: "sheet" },
    range: { height: "100%", bg: "accent" },
  },
});

/** Where something will stand once it is there. */
export const skeleton = defineRecipe({ className: "fa-skeleton", base: { bg: "band", borderRadius: "sm" } });

/** A table that reads like a sheet: thin rules, small heads. */
export const table = defineSlotRecipe({
  className: "fa-table",
  slots: ["root", "header", "body", "row", "columnHeader", "cell", "footer", "caption"],
  base: {
    root: {
      width: "100%",
      borderCollapse: "collapse",
      fontSize: "14.5px",
      // The widest ones fit a sheet of paper.
      _print: { zoom: 0.78 },
      "& td, & th": {
        padding: "6px 10px 6px 0",
        borderBottom: "1px solid var(--chakra-colors-rule)",
        textAlign: "left",
        verticalAlign: "top",
      },
      "& th": { fontSize: "12.5px", color: "quiet", fontWeight: "600" },
    },
  },
});
