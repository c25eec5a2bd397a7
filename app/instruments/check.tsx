import { Checkbox } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A thing that is so or not, with its words beside it. */
export const Check = ({
  checked,
  onCheck,
  children,
}: {
  checked: boolean;
  onCheck: (checked: boolean) => void;
  children: ReactNode;
}) => (
  <Checkbox.Root checked={checked} onCheckedChange={(to) => onCheck(to.checked === true)}>
    <Checkbox.HiddenInput />
    <Checkbox.Control />
    <Checkbox.Label>{children}</Checkbox.Label>
  </Checkbox.Root>
);
