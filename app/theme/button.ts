import { defineRecipe } from "@chakra-ui/react";

/** A button, and a link that looks like one. */
export const button = defineRecipe({
  className: "fa-button",
  base: {
    display: "inline-flex",
    alignItems: "center",
    justifyContent: "center",
    gap: "8px",
    borderRadius: "sm",
    borderWidth: "1px",
    borderStyle: "solid",
    fontFamily: "body",
    fontWeight: "600",
    fontSize: "15px",
    cursor: "pointer",
    textDecoration: "none",
    lineHeight: "1.2",
    _disabled: { opacity: 0.55, cursor: "not-allowed" },
  },
  variants: {
    look: {
      plain: { bg: "transparent", color: "ink", borderColor: "quiet" },
      strong: { bg: "strong", color: "onStrong", borderColor: "strong" },
      warn: { bg: "transparent", color: "warn", borderColor: "warn" },
      quiet: { bg: "transparent", color: "accent", borderColor: "transparent", textDecoration: "underline" },
    },
    size: {
      small: { minH: "32px", px: "10px" },
      machine: { minH: "64px", px: "20px", fontSize: "20px", borderWidth: "2px" },
    },
  },
  defaultVariants: { look: "plain", size: "small" },
});

/** A key of the keyboard. */
export const kbd = defineRecipe({
  className: "fa-kbd",
  base: {
    fontFamily: "mono",
    fontSize: "12.5px",
    borderWidth: "1px",
    borderStyle: "solid",
    borderColor: "currentColor",
    borderRadius: "sm",
    px: "5px",
  },
});
