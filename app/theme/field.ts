import { defineRecipe, defineSlotRecipe } from "@chakra-ui/react";

const box = {
  minH: "36px",
  px: "8px",
  bg: "sheet",
  color: "ink",
  borderWidth: "1px",
  borderStyle: "solid",
  borderColor: "quiet",
  borderRadius: "sm",
  _invalid: { borderColor: "stop" },
} as const;

/** A text input; `figure` for what is a number. */
export const input = defineRecipe({
  className: "fa-input",
  base: box,
  variants: { figure: { true: { fontWeight: "600", fontSize: "16px" } } },
});

export const textarea = defineRecipe({ className: "fa-textarea", base: { ...box, py: "6px" } });

/** The browser's own list to choose from. */
export const nativeSelect = defineSlotRecipe({
  className: "fa-select",
  slots: ["root", "field", "indicator"],
  base: { root: { maxW: "100%" }, field: { ...box, maxW: "100%" } },
});

/** A control with its label above it. */
export const field = defineSlotRecipe({
  className: "fa-field",
  slots: ["root", "errorText", "helperText", "input", "label", "select", "textarea", "requiredIndicator"],
  base: {
    root: { minW: "0", maxW: "100%" },
    label: { display: "block", fontSize: "13px", color: "quiet" },
  },
});

/** A thing that is so or not. */
export const checkbox = defineSlotRecipe({
  className: "fa-checkbox",
  slots: ["root", "label", "control", "indicator", "group"],
  base: {
    root: { display: "inline-flex", alignItems: "center", gap: "8px", minH: "36px", cursor: "pointer" },
    control: {
      display: "inline-flex",
      alignItems: "center",
      justifyContent: "center",
      width: "20px",
      height: "20px",
      borderWidth: "1.5px",
      borderStyle: "solid",
      borderColor: "ink",
      borderRadius: "sm",
      bg: "sheet",
      color: "ink",
      _focusVisible: { outline: "3px solid", outlineColor: "accent", outlineOffset: "2px" },
      "& svg": { width: "14px", height: "14px" },
    },
  },
});
