import { createSystem, defaultBaseConfig } from "@chakra-ui/react";
import { button, kbd } from "./button.ts";
import { dialog } from "./dialog.ts";
import { checkbox, field, input, nativeSelect, textarea } from "./field.ts";
import { menu } from "./menu.ts";
import { segmentGroup } from "./segments.ts";
import { tabs } from "./tabs.ts";
import { alert, progress, skeleton, table } from "./told.ts";
import { toast } from "./toast.ts";
import { semanticColors, tokens } from "./tokens.ts";

/** Chakra's base (conditions, utilities) with only the tokens this app uses: the whole theme is 170 kB. */
export const system = createSystem(defaultBaseConfig, {
  conditions: {
    shop: "[data-theme=shop] &, [data-theme=shop]",
    paper: "[data-theme=paper] &, [data-theme=paper]",
  },
  preflight: true,
  theme: {
    tokens,
    recipes: { button, input, kbd, skeleton, textarea },
    slotRecipes: {
      alert,
      checkbox,
      dialog,
      field,
      menu,
      nativeSelect,
      progress,
      segmentGroup,
      table,
      tabs,
      toast,
    },
    semanticTokens: { colors: semanticColors },
    breakpoints: { sm: "420px", md: "700px", lg: "1100px", xl: "1500px", "2xl": "1800px" },
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
    // Names are a person's: one that runs the other way turns round nothing beside it.
    "h1, h2, h3, th, td, li, dt, dd, a, button, label, option, text, tspan, figcaption": {
      unicodeBidi: "isolate",
    },
    "h1, h2, h3": { fontWeight: "700", lineHeight: "1.2" },
    "*, *::before, *::after": {
      borderColor: "rule",
      _motionReduce: { transition: "none !important", animation: "none !important" },
    },
    ".no-print": { _print: { display: "none !important" } },
  },
});
