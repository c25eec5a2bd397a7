import { chakra } from "@chakra-ui/react";
import { type ReactNode, useContext } from "react";
import { FocusContext } from "./job-context.tsx";

/** A figure a person may doubt: on focus or press its working stands in the margin. */
export function Worked({ at, children }: { at: string; children: ReactNode }) {
  const { focusKey, setFocusKey } = useContext(FocusContext);
  const chosen = focusKey === at;
  return (
    <chakra.button
      type="button"
      font="inherit"
      color="inherit"
      bg={chosen ? "accentSoft" : "transparent"}
      borderBottomWidth="1.5px"
      borderBottomStyle="dotted"
      borderColor="accent"
      cursor="help"
      px="1px"
      title="Show the working"
      onFocus={() => setFocusKey(at)}
      onClick={() => setFocusKey(at)}
    >
      {children}
    </chakra.button>
  );
}
