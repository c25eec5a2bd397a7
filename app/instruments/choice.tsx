import { useId } from "react";
import { Labeled, Select } from "./field.tsx";

interface ChoiceProps<T extends string> {
  label: string;
  value: T | "";
  options: readonly (readonly [value: T, text: string])[];
  onChoose: (value: T) => void;
  /** Shown while nothing is chosen. */
  empty?: string;
  hideLabel?: boolean;
  disabled?: boolean;
}

/** One of a list; the browser's own select, so that keyboard and phone work as people know. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChoose,
  empty,
  hideLabel,
  disabled,
}: ChoiceProps<T>) {
  const id = useId();
  return (
    <Labeled label={label} htmlFor={id} hidden={hideLabel ?? false} disabled={disabled ?? false}>
      <Select id={id} value={value} maxW="100%" onChange={(event) => onChoose(event.target.value as T)}>
        {value === "" && <option value="">{empty ?? "choose"}</option>}
        {options.map(([v, text]) => (
          <option key={v} value={v}>
            {text}
          </option>
        ))}
      </Select>
    </Labeled>
  );
}
