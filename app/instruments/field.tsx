import {
  Field as ChakraField,
  type FieldRootProps,
  Input as ChakraInput,
  type InputProps as ChakraInputProps,
  NativeSelect,
  type NativeSelectFieldProps,
  Textarea,
} from "@chakra-ui/react";
import { type FC, type ReactNode, type Ref, useId } from "react";

export type InputProps = Omit<ChakraInputProps, "size" | "variant"> & {
  figure?: boolean | undefined;
  ref?: Ref<HTMLInputElement>;
};

const Styled = ChakraInput as FC<InputProps>;

/** The app's text input; `figure` for what is a number. */
export const Input = (props: InputProps) => <Styled autoComplete="off" {...props} />;
export const TextArea = Textarea;

/** The browser's own select, so that keyboard and phone work as people know. */
export const Select = (props: NativeSelectFieldProps) => (
  <NativeSelect.Root>
    <NativeSelect.Field {...props} />
  </NativeSelect.Root>
);

/** Label above a control. */
export function Labeled({
  label,
  htmlFor,
  hidden,
  children,
  ...root
}: {
  label: ReactNode;
  htmlFor: string;
  hidden?: boolean | { base: boolean; md: boolean };
} & Omit<FieldRootProps, "hidden" | "label">) {
  return (
    <ChakraField.Root id={htmlFor} {...root}>
      <ChakraField.Label srOnly={hidden ?? false}>{label}</ChakraField.Label>
      {children}
    </ChakraField.Root>
  );
}

/** A labeled text input. `grow` takes the width that is left in a row. */
export function Field({ label, grow, ...input }: { label: ReactNode; grow?: boolean } & InputProps) {
  const id = useId();
  return (
    <Labeled label={label} htmlFor={id} {...(grow ? { flex: "1", minW: "140px" } : {})}>
      <Input id={id} maxLength={200} {...(grow ? { width: "100%" } : {})} {...input} />
    </Labeled>
  );
}
