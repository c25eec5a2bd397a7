import { Box, chakra } from "@chakra-ui/react";
import { type MeasuredHow, type Shop } from "../../core/shop/index.ts";
import { Check } from "./check.tsx";
import { Choice } from "./choice.tsx";
import { Field } from "./field.tsx";

/** What else is known of a reading, as it is typed. */
export interface MoreTyped {
  held: "" | "clamped" | "free";
  atMost: boolean;
  part: string;
  instrument: string;
  against: string;
  corner: "" | "open" | "closed";
}
export const nothingMore: MoreTyped = {
  held: "",
  atMost: false,
  part: "",
  instrument: "",
  against: "",
  corner: "",
};

/** What is kept of it: only what was said. */
export interface More {
  held?: "clamped" | "free";
  atMost?: boolean;
  temperatures?: { part: number; instrument: number };
  against?: string;
  corner?: "open" | "closed";
}

const degrees = (text: string): number => (text.trim() === "" ? 20 : Number(text.trim().replace(",", ".")));

/** A temperature that can be, in °C; the other of the two counts as 20 where only one is typed. */
const temperaturesOf = ({ part, instrument }: MoreTyped): More["temperatures"] | "wrong" | null => {
  if (part.trim() === "" && instrument.trim() === "") return null;
  const read = { part: degrees(part), instrument: degrees(instrument) };
  const can = (t: number) => Number.isFinite(t) && t >= -30 && t <= 120;
  return can(read.part) && can(read.instrument) ? read : "wrong";
};

/** What was said besides the figure; null where a temperature cannot be. */
export function moreOf(typed: MoreTyped): More | null {
  const temperatures = temperaturesOf(typed);
  if (temperatures === "wrong") return null;
  return {
    ...(typed.held ? { held: typed.held } : {}),
    ...(typed.atMost ? { atMost: true } : {}),
    ...(temperatures ? { temperatures } : {}),
    ...(typed.against ? { against: typed.against } : {}),
    ...(typed.corner ? { corner: typed.corner } : {}),
  };
}

/** How it was read, where that matters: clamped or free, no light, how warm, against what. */
export function ReadingMore({
  how,
  square,
  shop,
  typed,
  onType,
}: {
  how: MeasuredHow;
  /** It is a squareness of two faces by name. */
  square: boolean;
  shop: Shop;
  typed: MoreTyped;
  onType: (next: MoreTyped) => void;
}) {
  const references = shop.instruments.filter(
    (i) => !i.retired && (i.kind === "gaugeBlocks" || i.kind === "pins"),
  );
  const set = <K extends keyof MoreTyped>(key: K, value: MoreTyped[K]) => onType({ ...typed, [key]: value });
  const wrong = temperaturesOf(typed) === "wrong";
  return (
    <chakra.details fontSize="14px" mt="4px">
      <chakra.summary cursor="pointer" minH="28px">
        How it was read
      </chakra.summary>
      <Box display="flex" gap="6px 12px" flexWrap="wrap" alignItems="flex-end" pt="4px">
        <Choice
          label="Held"
          value={typed.held}
          empty="not said"
          options={[
            ["free", "free, let go"],
            ["clamped", "still clamped"],
          ]}
          onChoose={(held) => set("held", held)}
        />
        {square && (
          <Choice
            label="The corner is"
            value={typed.corner}
            empty="not said"
            options={[
              ["open", "open: more than square"],
              ["closed", "closed: less than square"],
            ]}
            onChoose={(corner) => set("corner", corner)}
          />
        )}
        {how === "form" ? (
          <Check checked={typed.atMost} onCheck={(atMost) => set("atMost", atMost)}>
            no light, or a feeler that does not go: at most this
          </Check>
        ) : (
          <>
            <Field
              label="Part, °C"
              value={typed.part}
              inputMode="decimal"
              width="80px"
              onChange={(e) => set("part", e.target.value)}
            />
            <Field
              label="Instrument, °C"
              value={typed.instrument}
              inputMode="decimal"
              width="80px"
              onChange={(e) => set("instrument", e.target.value)}
            />
          </>
        )}
        {references.length > 0 && (
          <Choice
            label="Compared with"
            value={typed.against}
            empty="nothing"
            options={references.map((i) => [i.id, i.name] as const)}
            onChoose={(against) => set("against", against)}
          />
        )}
      </Box>
      {how === "form" && (
        <chakra.p color="quiet">
          In divisions of the indicator: 6 div. A whole run: 0 4 5 -1 div, its start, end, highest and lowest.
        </chakra.p>
      )}
      {wrong && (
        <chakra.p color="stop" role="status">
          A temperature lies between −30 and 120 °C. Correct it, or leave it empty.
        </chakra.p>
      )}
    </chakra.details>
  );
}
