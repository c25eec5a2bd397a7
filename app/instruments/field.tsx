import { Box, type BoxProps, chakra, defineRecipe } from "@chakra-ui/react";
import { type ComponentProps, type ReactNode, useId } from "react";

const look = defineRecipe({
  className: "fa-input",
  base: {
    minH: "36px",
    px: "8px",
    bg: "sheet",
    color: "ink",
    borderWidth: "1px",
    borderStyle: "solid",
    borderColor: "quiet",
    borderRadius: "sm",
    _invalid: { borderColor: "stop" },
  },
  variants: { figure: { true: { fontWeight: "600", fontSize: "16px" } } },
});

/** The app's text input; `figure` for what is a number. */
export const Input = chakra("input", look, { defaultProps: { autoComplete: "off" } });
export const TextArea = chakra("textarea", look);
export const Select = chakra("select", look);

/** Label above a control. */
export function Labeled({
  label,
  htmlFor,
  hidden,
  children,
  ...box
}: { label: ReactNode; htmlFor: string; hidden?: boolean } & BoxProps) {
  return (
    <Box minW="0" maxW="100%" {...box}>
      <chakra.label htmlFor={htmlFor} display="block" fontSize="13px" color="quiet" srOnly={hidden ?? false}>
        {label}
      </chakra.label>
      {children}
    </Box>
  );
}

/** A labeled text input. `grow` takes the width that is left in a row. */
export function Field({
  label,
  grow,
  ...input
}: { label: ReactNode; grow?: boolean } & ComponentProps<typeof Input>) {
  const id = useId();
  return (
    <Labeled label={label} htmlFor={id} {...(grow ? { flex: "1", minW: "140px" } : {})}>
      <Input id={id} maxLength={200} {...(grow ? { width: "100%" } : {})} {...input} />
    </Labeled>
  );
}
