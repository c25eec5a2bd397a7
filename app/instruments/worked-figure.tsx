import { chakra } from "@chakra-ui/react";
import { type ReactNode, type Ref, useContext } from "react";
import { FocusContext } from "./job-context.tsx";

/** A figure a person may doubt: on focus or press its working stands in the margin; a press can do more. */
export function Worked({
  at,
  onPress,
  title = "Show the working",
  ref,
  children,
}: {
  /** Which working; null where it has none. */
  at: string | null;
  onPress?: () => void;
  title?: string;
  ref?: Ref<HTMLButtonElement>;
  children: ReactNode;
}) {
  const { focusKey, setFocusKey } = useContext(FocusContext);
  const chosen = at !== null && focusKey === at;
  const show = () => {
    if (at !== null) setFocusKey(at);
  };
  return (
    <chakra.button
      ref={ref}
      type="button"
      font="inherit"
      color="inherit"
      textAlign="start"
      bg={chosen ? "accentSoft" : "transparent"}
      borderBottomWidth="1.5px"
      borderBottomStyle="dotted"
      borderColor="accent"
      cursor={onPress ? "pointer" : "help"}
      px="1px"
      title={title}
      onFocus={show}
      onClick={() => {
        show();
        onPress?.();
      }}
    >
      {children}
    </chakra.button>
  );
}
