import { Box, chakra } from "@chakra-ui/react";
import { useId } from "react";

interface ChoiceProps<T extends string> {
  label: string;
  value: T | "";
  options: readonly (readonly [value: T, text: string])[];
  onChoose: (value: T) => void;
  /** Shown while nothing is chosen. */
  empty?: string;
  hideLabel?: boolean;
}

/** One of a list; the browser's own select, so that keyboard and phone work as people know. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChoose,
  empty,
  hideLabel,
}: ChoiceProps<T>) {
  const id = useId();
  return (
    <Box minW="0" maxW="100%">
      <chakra.label
        htmlFor={id}
        display="block"
        fontSize="13px"
        color="quiet"
        {...(hideLabel ? { srOnly: true } : {})}
      >
        {label}
      </chakra.label>
      <chakra.select
        id={id}
        value={value}
        minH="36px"
        maxW="100%"
        px="8px"
        bg="sheet"
        color="ink"
        borderWidth="1px"
        borderStyle="solid"
        borderColor="quiet"
        borderRadius="sm"
        onChange={(event) => onChoose(event.target.value as T)}
      >
        {value === "" && <option value="">{empty ?? "choose"}</option>}
        {options.map(([v, text]) => (
          <option key={v} value={v}>
            {text}
          </option>
        ))}
      </chakra.select>
    </Box>
  );
}
