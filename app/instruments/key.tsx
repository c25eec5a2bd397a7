/** A key of the keyboard. */
export { Kbd as Key } from "@chakra-ui/react";
