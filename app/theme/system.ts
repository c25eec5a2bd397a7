import { createSystem, defaultBaseConfig, defineRecipe } from "@chakra-ui/react";
import { semanticColors, tokens } from "./tokens.ts";

const button = defineRecipe({
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

/** Chakra's base (conditions, utilities) with only the tokens and recipes this app uses: the whole theme is 170 kB. */
export const system = createSystem(defaultBaseConfig, {
  conditions: { shop: "[data-theme=shop] &" },
  preflight: true,
  theme: {
    tokens,
    semanticTokens: { colors: semanticColors },
    recipes: { button },
    breakpoints: { phone: "0px", narrow: "700px", wide: "1100px" },
  },
  globalCss: {
    html: { colorScheme: "light", "&[data-theme=shop]": { colorScheme: "dark" } },
    body: {
      fontFamily: "body",
      fontSize: "15px",
      lineHeight: "1.45",
      bg: "ground",
      color: "ink",
      fontVariantNumeric: "tabular-nums",
      textSizeAdjust: "100%",
    },
    ":focus-visible": { outline: "3px solid", outlineColor: "accent", outlineOffset: "2px" },
    "h1, h2, h3": { fontWeight: "700", lineHeight: "1.2" },
    "*, *::before, *::after": { borderColor: "rule", _motionReduce: { transition: "none !important", animation: "none !important" } },
    ".no-print": { _print: { display: "none !important" } },
  },
});
