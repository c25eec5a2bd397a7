import { SegmentGroup } from "@chakra-ui/react";

/** A choice of two or three in one line: arrows move it, and what is chosen acts at once. */
export function Segments<T extends string>({
  label,
  value,
  of,
  onChoose,
  size = "sm",
}: {
  label: string;
  value: T;
  of: readonly (readonly [value: T, word: string])[];
  onChoose: (value: T) => void;
  size?: "sm" | "lg";
}) {
  return (
    <SegmentGroup.Root
      aria-label={label}
      value={value}
      size={size}
      onValueChange={({ value: to }) => {
        const chosen = of.find(([v]) => v === to);
        if (chosen) onChoose(chosen[0]);
      }}
    >
      {of.map(([v, word]) => (
        <SegmentGroup.Item key={v} value={v}>
          <SegmentGroup.ItemText>{word}</SegmentGroup.ItemText>
          <SegmentGroup.ItemHiddenInput />
        </SegmentGroup.Item>
      ))}
    </SegmentGroup.Root>
  );
}
