import { defineTokens } from "@chakra-ui/react";

/** The two grounds: "paper" for the bench, "shop" for the machine. Every pair is readable against its ground. */
const paperAndShop = {
  ground: ["#FAF8F3", "#12181C"],
  sheet: ["#FFFFFF", "#1A222A"],
  band: ["#EEEAE0", "#1A222A"],
  ink: ["#1E2A32", "#E9E4D8"],
  quiet: ["#5D5A52", "#A7A89F"],
  rule: ["#C9C2B4", "#3A444C"],
  strong: ["#1E2A32", "#E9E4D8"],
  onStrong: ["#FAF8F3", "#12181C"],
  accent: ["#1B4D8C", "#7FB2F0"],
  accentSoft: ["#E3EAF4", "#16283F"],
  warn: ["#8A5A12", "#E0A53A"],
  warnSoft: ["#FFF6E0", "#2B2414"],
  stop: ["#A33A2C", "#F08A7A"],
  stopSoft: ["#FBEAE6", "#33201D"],
  good: ["#2F6B4F", "#6FBF95"],
  goodSoft: ["#E6F1EA", "#17291F"],
  metal: ["#FFFFFF", "#232D36"],
  drawn: ["#E4E9EE", "#2F3B46"],
  sawn: ["#F4E3C6", "#4A3D28"],
  jaw: ["#DFE5EA", "#2A343D"],
  chip: ["#C9D8EC", "#1E3A5F"],
} as const;

type ColorName = keyof typeof paperAndShop;

export const semanticColors = Object.fromEntries(
  (Object.keys(paperAndShop) as ColorName[]).map((name) => [
    name,
    // Paper is said too: a machine in paper stands on a desk in shop.
    {
      value: {
        base: paperAndShop[name][0],
        _shop: paperAndShop[name][1],
        _paper: paperAndShop[name][0],
      },
    },
  ]),
) as Record<ColorName, { value: { base: string; _shop: string; _paper: string } }>;

export const tokens = defineTokens({
  fonts: {
    body: { value: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif" },
    heading: { value: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif" },
    mono: { value: "'Atkinson Hyperlegible Mono Variable', ui-monospace, monospace" },
  },
  radii: { none: { value: "0" }, sm: { value: "2px" } },
});
