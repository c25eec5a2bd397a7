import { Button as ChakraButton, type ButtonProps, chakra } from "@chakra-ui/react";
import type { FC } from "react";
import { Link } from "react-router";
import { button } from "../theme/button.ts";

interface Looks {
  look?: "plain" | "strong" | "warn" | "quiet" | undefined;
  size?: "small" | "machine" | undefined;
}

/** A button in one of the app's looks. */
export const Button = ChakraButton as FC<Omit<ButtonProps, "size" | "variant"> & Looks>;

/** A link that looks like a button. */
export const ButtonLink = chakra(Link, button);
